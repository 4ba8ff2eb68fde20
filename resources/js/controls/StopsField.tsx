import { Plus } from 'lucide-react';
import type { Stop } from '../api/types';
import { reversed, stopsOf, withOneMore } from '../session/stops';
import type { Hand, ValueProps } from './hand';
import { NumberField } from './NumberField';
import { MOST_STOPS, shareOf, StopFrame } from './StopFrame';

/** The stops of a mask: a strip of greys, and offset, value and midpoint of each. */
export function StopsField({ stops, hand }: { stops: Stop[]; hand: Hand<Stop[]> }) {
    const gradient = stops.map((stop) => `rgb(${Math.round(stop.value * 255)} ${Math.round(stop.value * 255)} ${Math.round(stop.value * 255)}) ${stop.offset * 100}%`);

    return (
        <div className="flex flex-col gap-1">
            <div className="flex items-center gap-2">
                <div className="h-4 flex-1 rounded-sm border border-line" style={{ background: stops.length > 1 ? `linear-gradient(90deg, ${gradient.join(', ')})` : undefined }} aria-hidden />
                <button className="rounded-sm px-1.5 text-[12px] text-quiet hover:text-ink" onClick={() => hand.set(reversed(stops))}>
                    Reverse
                </button>
                <button aria-label="Add a stop" className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(withOneMore(stops, 'value'))} disabled={stops.length >= MOST_STOPS}>
                    <Plus size={13} />
                </button>
            </div>
            {stops.map((stop, at) => (
                <StopFrame
                    key={at}
                    stops={stops}
                    at={at}
                    hand={hand}
                    words={{ offset: `Stop ${at + 1}`, remove: `Remove stop ${at + 1}` }}
                    after={<NumberField label="Value" value={stop.value * 100} unit="%" least={0} most={100} step={1} hand={shareOf(stops, at, 'value', hand)} />}
                />
            ))}
        </div>
    );
}

export function StopsControl({ value, hand }: ValueProps) {
    return <StopsField stops={stopsOf(value)} hand={hand as Hand<Stop[]>} />;
}
