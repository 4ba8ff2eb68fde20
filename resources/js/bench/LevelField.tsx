import { stopsScale } from '../controls/Fader';
import { NumberField } from '../controls/NumberField';
import { Told } from '../controls/Told';
import type { Gestures } from '../session/gestures';
import { thingHand } from './hands';

/** The level of a light or of a source, in stops. */
export function LevelField({ name, level, gestures }: { name: string; level: number; gestures: Gestures }) {
    return (
        <Told says="How bright it is: one stop more is twice the light">
            <NumberField
                label="Level"
                value={level}
                unit="stops"
                signed
                least={stopsScale.least}
                most={stopsScale.most}
                step={stopsScale.fine}
                rest={0}
                hand={thingHand<number | null>(name, gestures, 'Fade', (next) => ({ level: next ?? 0 }))}
            />
        </Told>
    );
}
