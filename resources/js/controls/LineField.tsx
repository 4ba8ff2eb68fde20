import type { Point, Value } from '../api/types';
import { Action, Forget } from './Action';
import { Draw } from './Draw';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** A plate's horizon; it is drawn on the picture. */
export function LineField(props: ValueProps) {
    const { scene, strip, parameter, gestures } = props;
    const set = (value: Value, label: string) => void props.gestures.change(props.strip.id, { values: { [props.parameter.name]: value } }, label);
    const value = strip.values[parameter.name] as Point[] | null;
    const ground = scene.strips.find((other) => other.family === 'plate');
    return (
        <Row label={parameter.label}>
            <Draw label={value ? 'Draw again' : 'Draw'} drawing="horizon" />
            {value && ground?.id !== strip.id && <Action label="Align" title={`Lay it on the horizon of ${ground?.name ?? 'the lowest plate'}`} onPress={() => void gestures.align(strip.id)} />}
            {value && <Forget label="Forget the horizon" onPress={() => set(null, 'Forget the horizon')} />}
        </Row>
    );
}
