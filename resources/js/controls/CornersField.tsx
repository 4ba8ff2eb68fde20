import type { Value } from '../api/types';
import { fits, useWork, work } from '../session/store';
import { Action, Forget } from './Action';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** A picture's corners in perspective; they are dragged on the picture. */
export function CornersField(props: ValueProps) {
    const { scene, strip, parameter } = props;
    const fitting = useWork(fits);
    const set = (value: Value, label: string) => void props.gestures.change(props.strip.id, { values: { [props.parameter.name]: value } }, label);
    const picture = scene.pictures[String(strip.values.picture)];
    const value = strip.values[parameter.name];
    return (
        <Row label={parameter.label}>
            <Action label="Fit the corners" title="Drag each corner by itself" pressed={fitting} onPress={() => work.fit(!fitting)} />
            {value && picture && <Forget label="Straight on again" onPress={() => set(null, 'Straight on')} />}
        </Row>
    );
}
