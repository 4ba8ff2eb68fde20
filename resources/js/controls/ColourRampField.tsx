import type { ColourStop } from '../api/types';
import { colourAt } from '../session/stops';
import type { Hand, ValueProps } from './hand';
import { RampEditor } from './RampEditor';

/** Colours that come and go: each stop's place, colour, opacity and midpoint. */
export function ColourRampField({ label, stops, hand }: { label: string; stops: ColourStop[]; hand: Hand<ColourStop[]> }) {
    return (
        <RampEditor
            label={label}
            stops={stops}
            hand={hand}
            colour={(share) => css(colourAt(stops, share))}
            parts={{ colour: true, share: { name: 'opacity', label: 'Opacity' } }}
            words={{ stop: 'Stop', add: `Add a stop to ${label.toLowerCase()}` }}
            taken={(kept) => kept.stops}
        />
    );
}

export function ColourRampControl({ parameter, value, hand }: ValueProps) {
    return <ColourRampField label={parameter.label} stops={Array.isArray(value) ? (value as ColourStop[]) : []} hand={hand as Hand<ColourStop[]>} />;
}

function css([red, green, blue, opacity]: [number, number, number, number]): string {
    return `rgb(${red} ${green} ${blue} / ${opacity})`;
}
