import { RotateCcw } from 'lucide-react';
import type { ToneStop } from '../api/types';
import { colourAt } from '../session/stops';
import { colourOf } from '../session/strips';
import type { Hand, ValueProps } from './hand';
import { RampEditor } from './RampEditor';
import { Row } from './Row';

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
    const reset = (
        <button aria-label={`${parameter.label}: ${parameter.whenEmpty}`} title={parameter.whenEmpty} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(null)}>
            <RotateCcw size={12} />
        </button>
    );
    return (
        <RampEditor
            label={parameter.label}
            stops={stops}
            hand={hand as Hand<ToneStop[]>}
            colour={(share) => `rgb(${colourAt(stops, share).slice(0, 3).join(' ')})`}
            parts={{ colour: true }}
            words={{ stop: 'Tone', add: 'Add a tone' }}
            taken={(kept) => kept.stops.map(({ offset, colour, midpoint, smooth }) => ({ offset, colour, midpoint, ...(smooth ? { smooth } : {}) }))}
            more={reset}
        />
    );
}
