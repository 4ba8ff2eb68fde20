import type { Stop } from '../api/types';
import { stopsOf, valueAt } from '../session/stops';
import type { Hand, ValueProps } from './hand';
import { RampEditor } from './RampEditor';

/** The stops of a mask in greys: offset, value and midpoint of each. */
export function StopsControl({ value, hand, parameter }: ValueProps) {
    const stops = stopsOf(value);
    return (
        <RampEditor
            label={parameter.label}
            stops={stops}
            hand={hand as Hand<Stop[]>}
            colour={(share) => `rgb(${Array(3).fill(Math.round(255 * valueAt(stops, share))).join(' ')})`}
            parts={{ share: { name: 'value', label: 'Value' } }}
            words={{ stop: 'Stop', add: 'Add a stop' }}
            taken={(kept) => kept.mask}
            // a mask is smooth as a whole
            eases={false}
        />
    );
}
