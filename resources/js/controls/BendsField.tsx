import type { Bend } from '../api/types';
import { Forget } from './Action';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** Places of a shadow that were dragged elsewhere; they are dragged on the picture. */
export function BendsField({ parameter, value, hand }: ValueProps) {
    const bends = Array.isArray(value) ? (value as Bend[]) : [];
    return (
        <Row label={parameter.label}>
            <span className="text-quiet">{bends.length === 0 ? 'none: drag a half-moon on it' : bends.length === 1 ? 'one' : `${bends.length}`}</span>
            {bends.length > 0 && <Forget label="Straighten the shadow" onPress={() => hand.set([])} />}
        </Row>
    );
}
