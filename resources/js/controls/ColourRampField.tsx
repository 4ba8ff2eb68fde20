import { Plus } from 'lucide-react';
import type { ColourStop } from '../api/types';
import { reversed, withOneMore } from '../session/stops';
import { NumberField } from './NumberField';
import type { Hand, ValueProps } from './hand';
import { StopColour } from './StopColour';
import { MOST_STOPS, shareOf, StopFrame } from './StopFrame';

/** Colours that come and go: each stop's place, colour, opacity and midpoint, over a chequered ground. */
export function ColourRampField({ label, stops, hand }: { label: string; stops: ColourStop[]; hand: Hand<ColourStop[]> }) {
    const shown = stops.map((stop) => `${stop.colour}${byte(stop.opacity)} ${stop.offset * 100}%`);

    return (
        <div className="flex flex-col gap-1">
            <div className="flex items-center gap-2">
                <span className="w-[64px] shrink-0 text-quiet">{label}</span>
                <div className="relative h-4 min-w-0 flex-1 overflow-hidden rounded-sm border border-line bg-[repeating-conic-gradient(#555_0_25%,#333_0_50%)] bg-[length:8px_8px]" aria-hidden>
                    <div className="absolute inset-0" style={{ background: stops.length > 1 ? `linear-gradient(90deg, ${shown.join(', ')})` : stops[0]?.colour }} />
                </div>
                <button className="rounded-sm px-1 text-[12px] text-quiet hover:text-ink" onClick={() => hand.set(reversed(stops))}>
                    Reverse
                </button>
                <button aria-label={`Add a stop to ${label.toLowerCase()}`} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(withOneMore(stops, 'opacity'))} disabled={stops.length >= MOST_STOPS}>
                    <Plus size={13} />
                </button>
            </div>
            <details>
                <summary className="cursor-default list-none text-[12px] text-quiet hover:text-ink">{stops.length === 1 ? 'Its one stop' : `Its ${stops.length} stops`}</summary>
                {stops.map((stop, at) => (
                    <StopFrame
                        key={at}
                        stops={stops}
                        at={at}
                        hand={hand}
                        words={{ offset: `Stop ${at + 1}`, remove: `Remove stop ${at + 1}` }}
                        before={<StopColour stops={stops} at={at} hand={hand} />}
                        after={<NumberField label="Opacity" value={stop.opacity * 100} unit="%" least={0} most={100} step={1} hand={shareOf(stops, at, 'opacity', hand)} />}
                    />
                ))}
            </details>
        </div>
    );
}

export function ColourRampControl({ parameter, value, hand }: ValueProps) {
    return <ColourRampField label={parameter.label} stops={Array.isArray(value) ? (value as ColourStop[]) : []} hand={hand as Hand<ColourStop[]>} />;
}

function byte(share: number): string {
    return Math.round(share * 255)
        .toString(16)
        .padStart(2, '0');
}
