import type { ValueProps } from './hand';
import { Row } from './Row';

export function PictureField({ parameter, value }: ValueProps) {
    return (
        <Row label={parameter.label}>
            <span className="truncate text-quiet" title={String(value)}>
                {String(value)}
            </span>
        </Row>
    );
}
