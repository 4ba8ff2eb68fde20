const followed = new Set<() => void>();

/** Takes back whatever is being dragged: a second finger has come, the gesture is another one. */
export function letGoOfPointers(): void {
    [...followed].forEach((cancel) => cancel());
}

/**
 * Follows the pointer that has just gone down on an element until it is let go, wherever it goes meanwhile. Escape takes
 * back what can be taken back, like a pointer that is lost.
 *
 * @returns a function that stops following
 */
export function follow(element: Element, pointer: number | null, hand: { move: (event: PointerEvent) => void; end: () => void; cancel?: () => void }): () => void {
    if (pointer !== null) {
        element.setPointerCapture(pointer);
    }
    const move = (event: Event) => hand.move(event as PointerEvent);
    const end = () => {
        stop();
        hand.end();
    };
    const cancel = () => {
        stop();
        (hand.cancel ?? hand.end)();
    };
    const onKey = (event: KeyboardEvent) => {
        if (event.key === 'Escape' && hand.cancel) {
            event.preventDefault();
            event.stopPropagation();
            cancel();
        }
    };
    const stop = () => {
        element.removeEventListener('pointermove', move);
        element.removeEventListener('pointerup', end);
        element.removeEventListener('pointercancel', cancel);
        window.removeEventListener('keydown', onKey, true);
        followed.delete(cancel);
    };
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', end);
    element.addEventListener('pointercancel', cancel);
    window.addEventListener('keydown', onKey, true);
    followed.add(cancel);
    return stop;
}
