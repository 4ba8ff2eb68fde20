import { everyStrip } from '../session/strips';
import { ChoiceField } from './ChoiceField';
import type { ValueProps } from './hand';

/** Which other strip of the scene is meant; one that is gone is still named. */
export function StripChoice({ parameter, value, hand, scene, strip }: ValueProps) {
    const named = typeof value === 'string' ? value : '';
    const others = everyStrip(scene.strips)
        .filter((other) => other.id !== strip.id && other.family !== 'grade' && !everyStrip(other.strips ?? []).some((held) => held.id === strip.id))
        .map((other) => ({ value: other.id, label: other.name }));
    const gone = named !== '' && !others.some((other) => other.value === named) ? [{ value: named, label: 'a strip that is gone' }] : [];
    return <ChoiceField label={parameter.label} value={named} choices={[{ value: '', label: parameter.whenEmpty }, ...others, ...gone]} onSet={(other) => hand.set(other === '' ? null : other)} />;
}
