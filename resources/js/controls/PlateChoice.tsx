import { everyStrip } from '../session/strips';
import { ChoiceField } from './ChoiceField';
import type { ValueProps } from './hand';

/** Which plate of the scene is meant; one that is gone is still named. */
export function PlateChoice({ parameter, value, hand, scene }: ValueProps) {
    const plates = everyStrip(scene.strips)
        .filter((strip) => strip.family === 'plate')
        .map((plate) => ({ value: plate.id, label: plate.name }));
    const named = typeof value === 'string' ? value : '';
    const gone = named !== '' && !plates.some((plate) => plate.value === named) ? [{ value: named, label: 'a plate that is gone' }] : [];
    return <ChoiceField label={parameter.label} value={named} choices={[{ value: '', label: parameter.whenEmpty }, ...plates, ...gone]} onSet={(plate) => hand.set(plate === '' ? null : plate)} />;
}
