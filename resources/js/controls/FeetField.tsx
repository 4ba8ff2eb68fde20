import type { Point } from '../api/types';
import { Action, Forget } from './Action';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** Where a plate touches the ground; the feet are dragged on the picture. */
export function FeetField({ parameter, value, hand }: ValueProps) {
    const feet = Array.isArray(value) ? (value as Point[]) : [];
    const [first] = feet;
    return (
        <Row label={parameter.label}>
            <span className="text-quiet">{feet.length === 0 ? parameter.whenEmpty : feet.length === 1 ? 'one, marked' : 'two, marked'}</span>
            {feet.length === 1 && first && <Action label="A second" title="For feet at different depths" onPress={() => hand.set([first, [first[0] + 20, first[1]]])} />}
            {feet.length > 0 && <Forget label="Forget the feet" onPress={() => hand.set(null)} />}
        </Row>
    );
}
