/**
 * Follows the pointer that has just gone down on an element until it is let go, wherever it goes meanwhile.
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
    const stop = () => {
        element.removeEventListener('pointermove', move);
        element.removeEventListener('pointerup', end);
        element.removeEventListener('pointercancel', cancel);
    };
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', end);
    element.addEventListener('pointercancel', cancel);
    return stop;
}
