import type { PointerEvent } from 'react';
import { follow } from '../../ui/pointer';
import type { Point } from '../../api/types';
import { toScene, type Lens } from '../../session/camera';
import { work } from '../../session/store';
import type { Gestures } from '../../session/gestures';
import type { Changes, StripChange } from '../../api/types';

export type Held = { shift: boolean; alt: boolean };

/**
 * Drags something on the picture: `change` says what a place of the pointer means, in scene pixels, while it moves; the
 * release writes one edit; escape takes everything back.
 */
export function startDrag(event: PointerEvent<Element>, lens: Lens, strip: string, gestures: Gestures, label: string, change: (at: Point, from: Point, held: Held) => StripChange): void {
    startDragOf(event, lens, [strip], gestures, label, (at, from, held) => ({ [strip]: change(at, from, held) }));
}

/** The same for several strips that move as one. */
export function startDragOf(
    event: PointerEvent<Element>,
    lens: Lens,
    strips: string[],
    gestures: Gestures,
    label: string,
    change: (at: Point, from: Point, held: Held) => Changes,
    onEnd: () => void = () => undefined,
): void {
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
        onEnd();
        strips.forEach(work.drop);
    };
    const stop = follow(element, event.pointerId, {
        move: (pointer) => {
            hasMoved = true;
            for (const [strip, part] of Object.entries(change(place(pointer), from, { shift: pointer.shiftKey, alt: pointer.altKey }))) {
                work.live(strip, part, pointer.timeStamp);
            }
        },
        end: () => {
            leave();
            onEnd();
            if (hasMoved) {
                void (strips.length === 1 ? gestures.commit(strips[0] ?? '', label) : gestures.commitSeveral(strips, label));
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
