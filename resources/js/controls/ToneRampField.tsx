import { Plus, RotateCcw } from 'lucide-react';
import type { ToneStop } from '../api/types';
import { colourOf } from '../session/strips';
import type { Hand, ValueProps } from './hand';
import { Row } from './Row';
import { StopColour } from './StopColour';
import { MOST_STOPS, StopFrame } from './StopFrame';

/** Tones to colours: each stop's tone, colour and midpoint. Without stops of its own it goes from black to the strip's colour. */
export function ToneRampField({ parameter, value, hand, strip }: ValueProps) {
    const stops = Array.isArray(value) ? (value as ToneStop[]) : null;
    if (!stops) {
        const colour = colourOf(strip);
        const start: ToneStop[] = [
            { offset: 0, colour: '#000000', midpoint: 0.5 },
            { offset: 1, colour: colour && colour.swatch !== undefined ? colour.swatch : '#ffb46b', midpoint: 0.5 },
        ];
        return (
            <Row label={parameter.label}>
                <span className="text-quiet">{parameter.whenEmpty}</span>
                <button className="rounded-sm border border-line px-1.5 text-[12px] hover:bg-raised" onClick={() => hand.set(start)}>
                    Own
                </button>
            </Row>
        );
    }
    function add() {
        const [before, after] = [stops?.[stops.length - 2], stops?.[stops.length - 1]];
        if (stops && after) {
            const offset = before ? (before.offset + after.offset) / 2 : after.offset;
            hand.set([...stops.slice(0, -1), { offset, colour: before?.colour ?? after.colour, midpoint: 0.5 }, after]);
        }
    }

    return (
        <div className="flex flex-col gap-1">
            <div className="flex items-center gap-2">
                <span className="w-[100px] shrink-0 text-quiet">{parameter.label}</span>
                <div
                    className="h-4 flex-1 rounded-sm border border-line"
                    style={{ background: stops.length > 1 ? `linear-gradient(90deg, ${stops.map((stop) => `${stop.colour} ${stop.offset * 100}%`).join(', ')})` : stops[0]?.colour }}
                    aria-hidden
                />
                <button aria-label="Add a tone" className="rounded-sm p-1 text-quiet hover:text-ink" onClick={add} disabled={stops.length >= MOST_STOPS}>
                    <Plus size={13} />
                </button>
                <button aria-label={`${parameter.label}: ${parameter.whenEmpty}`} title={parameter.whenEmpty} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(null)}>
                    <RotateCcw size={12} />
                </button>
            </div>
            {stops.map((_, at) => (
                <StopFrame
                    key={at}
                    stops={stops}
                    at={at}
                    hand={hand as Hand<ToneStop[]>}
                    words={{ offset: `Tone ${at + 1}`, remove: `Remove tone ${at + 1}` }}
                    before={<StopColour stops={stops} at={at} hand={hand as Hand<ToneStop[]>} />}
                />
            ))}
        </div>
    );
}
