import type { ValueProps } from './hand';
import { Row } from './Row';

/** A colour as it is stored. */
export function FlatColourField({ parameter, value, hand }: ValueProps) {
    return (
        <Row label={parameter.label}>
            <input type="color" aria-label={parameter.label} className="h-6 w-8 rounded-sm border border-line bg-well p-0.5" value={String(value)} onChange={(event) => hand.nudge(event.target.value)} />
            <span className="font-mono text-[12px] text-quiet">{String(value)}</span>
        </Row>
    );
}
