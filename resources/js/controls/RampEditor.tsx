import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ColourStop, KeptRamp, Stop, ToneStop } from '../api/types';
import { isSmooth, mirrored, reversed, smoothed, withOneMore } from '../session/stops';
import type { Hand } from './hand';
import { NumberField } from './NumberField';
import { RampBar, RampShelf } from './RampShelf';
import { StopColour } from './StopColour';
import { MOST_STOPS, shareOf, StopFrame } from './StopFrame';

type AnyStop = Stop | ToneStop | ColourStop;

type Props<T extends AnyStop> = {
    label: string;
    stops: T[];
    hand: Hand<T[]>;
    /** the ramp's colour at a share of its way, as CSS */
    colour: (share: number) => string;
    /** what a stop has beside its place */
    parts: { colour?: boolean; share?: { name: 'value' | 'opacity'; label: string } };
    words: { stop: string; add: string };
    /** what it becomes when a kept ramp is taken */
    taken: (kept: KeptRamp) => T[];
    /** whether its stretches are made smooth here */
    eases?: boolean;
    /** behind the buttons of the first line */
    more?: ReactNode;
};

/** A ramp of any kind: its course in little, what can be done to the whole, and its stops, folded away. */
export function RampEditor<T extends AnyStop>({ label, stops, hand, colour, parts, words, taken, eases = true, more }: Props<T>) {
    const share = parts.share;
    const smooth = isSmooth(stops);
    return (
        <div className="flex flex-col gap-0.5">
            <div className="flex items-center gap-2">
                <span className="w-[64px] shrink-0 text-quiet">{label}</span>
                <RampBar colour={colour} className="h-4 min-w-0 flex-1" />
                <button aria-label={words.add} className="rounded-sm p-1 text-quiet hover:text-ink disabled:opacity-40" onClick={() => hand.set(withOneMore(stops, (share?.name ?? 'offset') as keyof T))} disabled={stops.length >= MOST_STOPS}>
                    <Plus size={13} />
                </button>
                {more}
            </div>
            <div className="flex items-center gap-1.5 text-[12px]">
                <Whole label="Reverse" title="The same from the other end" onPress={() => hand.set(reversed(stops))} />
                <Whole label="Mirror" title="There and back again: mirrored about its middle" isOff={2 * stops.length > MOST_STOPS} onPress={() => hand.set(mirrored(stops))} />
                {eases && <Whole label="Smooth" title="Eased at its stops, so that no band is seen" isOn={smooth} onPress={() => hand.set(smoothed(stops, !smooth))} />}
                <RampShelf stops={stops} onTake={(kept) => hand.set(taken(kept))} />
            </div>
            <details>
                <summary className="cursor-default list-none text-[12px] text-quiet hover:text-ink">{stops.length === 1 ? 'Its one stop' : `Its ${stops.length} stops`}</summary>
                {stops.map((stop, at) => (
                    <StopFrame
                        key={at}
                        stops={stops}
                        at={at}
                        hand={hand}
                        words={{ offset: `${words.stop} ${at + 1}`, remove: `Remove ${words.stop.toLowerCase()} ${at + 1}` }}
                        before={parts.colour && <StopColour stops={stops as ToneStop[]} at={at} hand={hand as unknown as Hand<ToneStop[]>} />}
                        after={share && <NumberField label={share.label} value={Number(stop[share.name as keyof T]) * 100} unit="%" least={0} most={100} step={1} hand={shareOf(stops, at, share.name as never, hand)} />}
                    />
                ))}
            </details>
        </div>
    );
}

function Whole({ label, title, isOn, isOff = false, onPress }: { label: string; title: string; isOn?: boolean; isOff?: boolean; onPress: () => void }) {
    return (
        <button title={title} aria-pressed={isOn} disabled={isOff} className={`rounded-sm px-1 hover:text-ink disabled:opacity-40 ${isOn ? 'bg-raised text-ink' : 'text-quiet'}`} onClick={onPress}>
            {label}
        </button>
    );
}
