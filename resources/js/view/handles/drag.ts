import type { PointerEvent } from 'react';
import { follow } from '../../ui/pointer';
import type { Point } from '../../api/types';
import { toScene, type Lens } from '../../session/camera';
import { work } from '../../session/store';
import type { Gestures } from '../../session/gestures';
import type { Changes, StripChange } from '../../api/types';

/** Where a grip stands in the scene; null of what is no grip. */
function standsAt(element: Element): Point | null {
    const [x, y] = (element.getAttribute('data-at') ?? '').split(' ').map(Number);
    return x === undefined || y === undefined ? null : [x, y];
}

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
    const under = (at: { clientX: number; clientY: number }): Point => toScene(lens, [at.clientX - bounds.left, at.clientY - bounds.top]);
    // a grip is dragged by where it stands, not by where in it the pointer went down; one that waits at the border comes along from afar
    const pressed = under(event);
    const from = standsAt(element) ?? pressed;
    const place = (at: { clientX: number; clientY: number }): Point => {
        const [x, y] = under(at);
        return [x + from[0] - pressed[0], y + from[1] - pressed[1]];
    };
    let hasMoved = false;
    (element as SVGElement).focus?.();

    follow(element, event.pointerId, {
        move: (pointer) => {
            hasMoved = true;
            for (const [strip, part] of Object.entries(change(place(pointer), from, { shift: pointer.shiftKey, alt: pointer.altKey }))) {
                work.live(strip, part, pointer.timeStamp);
            }
        },
        end: () => {
            onEnd();
            if (hasMoved) {
                void (strips.length === 1 ? gestures.commit(strips[0] ?? '', label) : gestures.commitSeveral(strips, label));
            }
        },
        cancel: () => {
            onEnd();
            strips.forEach(work.drop);
        },
    });
}
