import type { PointerEvent } from 'react';
import { follow } from '../../ui/pointer';
import type { Point } from '../../api/types';
import { toScene, type Lens } from '../camera';
import { work } from '../../screen/store';
import type { Gestures } from '../../screen/gestures';
import type { StripChange } from '../../api/types';

export type Held = { shift: boolean };

/**
 * Drags something on the picture: `change` says what a place of the pointer means, in scene pixels, while it moves; the
 * release writes one edit; escape takes everything back.
 */
export function startDrag(event: PointerEvent<Element>, lens: Lens, strip: string, gestures: Gestures, label: string, change: (at: Point, from: Point, held: Held) => StripChange): void {
    if (event.button !== 0) {
        return;
    }
    event.preventDefault();
    event.stopPropagation();
    const element = event.currentTarget;
    const bounds = (element.closest('svg') ?? element).getBoundingClientRect();
    const place = (at: { clientX: number; clientY: number }): Point => toScene(lens, [at.clientX - bounds.left, at.clientY - bounds.top]);
    const from = place(event);
    let hasMoved = false;
    (element as SVGElement).focus?.();

    const cancel = () => {
        leave();
        work.drop(strip);
    };
    const stop = follow(element, event.pointerId, {
        move: (pointer) => {
            hasMoved = true;
            work.live(strip, change(place(pointer), from, { shift: pointer.shiftKey }), pointer.timeStamp);
        },
        end: () => {
            leave();
            if (hasMoved) {
                void gestures.commit(strip, label);
            }
        },
        cancel,
    });
    const onKey = (key: KeyboardEvent) => {
        if (key.key === 'Escape') {
            key.stopPropagation();
            cancel();
        }
    };
    const leave = () => {
        stop();
        window.removeEventListener('keydown', onKey, true);
    };
    window.addEventListener('keydown', onKey, true);
}
