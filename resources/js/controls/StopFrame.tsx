import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { withStop } from '../session/stops';
import { clamp } from '../session/strips';
import { through, type Hand } from './hand';
import { NumberField } from './NumberField';

/** As many stops as the core takes. */
export const MOST_STOPS = 32;

const RANGES = { offset: [0, 100], midpoint: [1, 99], value: [0, 100], opacity: [0, 100] } as const;

/** A share of one stop, shown in percent. */
export function shareOf<T extends { offset: number }>(stops: T[], at: number, name: keyof typeof RANGES & keyof T, hand: Hand<T[]>): Hand<number | null> {
    const [least, most] = RANGES[name];
    return through(hand, (percent) => withStop(stops, at, { [name]: clamp(percent ?? 0, least, most) / 100 } as Partial<T>));
}

type Props<T> = { stops: T[]; at: number; hand: Hand<T[]>; words: { offset: string; remove: string }; /** what stands before and after the stop's offset */ before?: ReactNode; after?: ReactNode };

/** One stop of a ramp: its offset, what it has of its own, the midpoint of the stretch after it, and how to take it out. */
export function StopFrame<T extends { offset: number; midpoint: number }>({ stops, at, hand, words, before, after }: Props<T>) {
    const stop = stops[at];
    if (!stop) {
        return null;
    }
    return (
        <div className="relative border-l-2 border-line pr-9 pl-2">
            {before}
            <NumberField label={words.offset} value={stop.offset * 100} unit="%" least={0} most={100} step={1} hand={shareOf(stops, at, 'offset', hand)} />
            {after}
            {at < stops.length - 1 && (
                <NumberField label="Midpoint" value={stop.midpoint * 100} unit="%" least={1} most={99} step={1} rest={50} hand={shareOf(stops, at, 'midpoint', hand)} />
            )}
            {stops.length > 1 && (
                <button aria-label={words.remove} className="absolute top-1 right-0 rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(stops.filter((_, other) => other !== at))}>
                    <X size={12} />
                </button>
            )}
        </div>
    );
}
