import type { Strip } from '../api/types';
import { Forget } from './Action';
import type { ValueProps } from './hand';
import { OneOf } from './OneOf';
import { Row } from './Row';

/** How a plate is in the scene: as it was said, or as it looks until then; a click says it. */
export function StanceField({ parameter, value, hand, strip }: ValueProps) {
    const looks = (strip as Partial<Strip>).stance ?? 'free';
    const said = typeof value === 'string' ? value : null;
    return (
        <Row label={parameter.label}>
            <OneOf label={parameter.label} value={said ?? looks} choices={parameter.choices.map((choice) => ({ value: choice, label: choice }))} onSet={(stance) => hand.set(stance)} />
            {said === null ? <span className="truncate text-[12px] text-quiet" title={parameter.whenEmpty}>{parameter.whenEmpty}</span> : <Forget label="As it looks" onPress={() => hand.set(null)} />}
        </Row>
    );
}
