import { Slider } from 'radix-ui';
import { useRef } from 'react';
import type { Hand } from './hand';

/** A slider beside a number whose range is felt rather than known; escape takes back what it is dragging. */
export function Range({ label, value, least, most, step, hand }: { label: string; value: number; least: number; most: number; step: number; hand: Hand<number | null> }) {
    const isDragged = useRef(false);
    const isGivenUp = useRef(false);
    return (
        <Slider.Root
            className="relative mr-2 flex h-6 min-w-[30px] flex-1 touch-none items-center select-none"
            value={[value]}
            min={least}
            max={most}
            step={step}
            onPointerDown={() => {
                isDragged.current = true;
                isGivenUp.current = false;
            }}
            // behind the slider's own end of the drag, which commits
            onPointerUp={() => window.setTimeout(() => (isDragged.current = false))}
            onValueChange={([next]) => {
                const tidy = Math.round((next ?? 0) * 1e4) / 1e4;
                if (!isDragged.current) {
                    hand.nudge(tidy);
                } else if (!isGivenUp.current) {
                    hand.live(tidy);
                }
            }}
            onValueCommit={() => isDragged.current && !isGivenUp.current && hand.commit()}
            onKeyDown={(event) => {
                if (event.key === 'Escape' && isDragged.current) {
                    event.stopPropagation();
                    isGivenUp.current = true;
                    hand.drop();
                }
            }}
        >
            <Slider.Track className="relative h-[3px] grow rounded-full bg-well">
                <Slider.Range className="absolute h-full rounded-full bg-line" />
            </Slider.Track>
            <Slider.Thumb aria-label={`${label}, slider`} className="block h-3.5 w-[7px] rounded-[2px] bg-quiet before:absolute before:-inset-2 hover:bg-ink focus-visible:bg-ink" />
        </Slider.Root>
    );
}
