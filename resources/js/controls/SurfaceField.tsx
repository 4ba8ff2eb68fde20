import { ChoiceField } from './ChoiceField';
import type { ValueProps } from './hand';

/** Which surface of the stage is meant; one that is gone is still named. */
export function SurfaceField({ parameter, value, hand, scene }: ValueProps) {
    const { floor, walls = [] } = scene.stage;
    const surfaces = [...(floor && !parameter.wallsOnly ? [{ value: 'floor', label: 'the floor' }] : []), ...walls.map((wall) => ({ value: wall.id, label: wall.name }))];
    const named = typeof value === 'string' ? value : '';
    const gone = named !== '' && !surfaces.some((surface) => surface.value === named) ? [{ value: named, label: named === 'floor' ? 'the floor, not marked' : 'a wall that is gone' }] : [];
    return <ChoiceField label={parameter.label} value={named} choices={[{ value: '', label: parameter.whenEmpty }, ...surfaces, ...gone]} onSet={(surface) => hand.set(surface === '' ? null : surface)} />;
}
