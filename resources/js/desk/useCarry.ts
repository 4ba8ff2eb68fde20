import { useState } from 'react';
import { follow } from '../ui/pointer';

const FAR_ENOUGH = 8;

/** The cards of the strips on a desk, back to front. */
export function cardsOf(list: HTMLElement | null): HTMLElement[] {
    return Array.from(list?.querySelectorAll<HTMLElement>('[data-strip]') ?? []);
}

/**
 * Carries a strip along the desk with mouse or pen; the slot says before which strip it would come to stand. A finger
 * scrolls the desk instead.
 */
export function useCarry(list: React.RefObject<HTMLDivElement | null>, onMove: (strip: string, slot: number) => void) {
    const [carried, setCarried] = useState<string | null>(null);
    const [slot, setSlot] = useState<number | null>(null);

    function onPointerDown(event: React.PointerEvent) {
        const card = (event.target as HTMLElement).closest<HTMLElement>('[data-strip]');
        if (!card || event.button !== 0 || event.pointerType === 'touch' || (event.target as HTMLElement).closest('button, input, [role="slider"]')) {
            return;
        }
        const strip = card.dataset.strip ?? '';
        const start = event.clientX;
        let to: number | null = null;
        const leave = () => {
            setCarried(null);
            setSlot(null);
        };
        // not captured: whoever presses without carrying may press twice on something within the card
        follow(document.documentElement, null, {
            move: (pointer) => {
                if (to === null && Math.abs(pointer.clientX - start) < FAR_ENOUGH) {
                    return;
                }
                const middles = cardsOf(list.current).map((other) => other.getBoundingClientRect().left + other.offsetWidth / 2);
                to = middles.filter((middle) => middle < pointer.clientX).length;
                setCarried(strip);
                setSlot(to);
            },
            end: () => {
                const from = cardsOf(list.current).findIndex((other) => other.dataset.strip === strip);
                leave();
                if (to !== null && from >= 0 && to !== from && to !== from + 1) {
                    onMove(strip, to);
                }
            },
            cancel: leave,
        });
    }

    return { carried, slot, onPointerDown };
}
