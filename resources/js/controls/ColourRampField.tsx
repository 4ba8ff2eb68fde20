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
            more={<WholeColour label={label} stops={stops} hand={hand} />}
        />
    );
}

/** The one colour of a ramp that only comes and goes; one of several colours has none. */
function WholeColour({ label, stops, hand }: { label: string; stops: ColourStop[]; hand: Hand<ColourStop[]> }) {
    const colour = stops[0]?.colour;
    return colour === undefined || stops.some((stop) => stop.colour !== colour) ? null : (
        <input type="color" aria-label={`${label}: its colour`} title="Its colour, at all stops" className="h-6 w-8 shrink-0 rounded-sm border border-line bg-well p-0.5" value={colour} onChange={(event) => hand.nudge(stops.map((stop) => ({ ...stop, colour: event.target.value })))} />
    );
}

export function ColourRampControl({ parameter, value, hand }: ValueProps) {
    return <ColourRampField label={parameter.label} stops={Array.isArray(value) ? (value as ColourStop[]) : []} hand={hand as Hand<ColourStop[]>} />;
}

function css([red, green, blue, opacity]: [number, number, number, number]): string {
    return `rgb(${red} ${green} ${blue} / ${opacity})`;
}
