import type { Point } from '../api/types';
import { Action, Forget } from './Action';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** As many as the core takes. */
const MOST = 6;

/** Where a plate touches the ground; the feet are dragged on the picture. */
export function FeetField({ parameter, value, hand }: ValueProps) {
    const feet = Array.isArray(value) ? (value as Point[]) : [];
    const last = feet.at(-1);
    return (
        <Row label={parameter.label}>
            <span className="text-quiet">{feet.length === 0 ? parameter.whenEmpty : `${feet.length}, marked`}</span>
            {last && feet.length < MOST && <Action label="Another" title="For feet at different depths" onPress={() => hand.set([...feet, [last[0] + 20, last[1]]])} />}
            {feet.length > 0 && <Forget label="Forget the feet" onPress={() => hand.set(null)} />}
        </Row>
    );
}
