import type { Point } from '../../api/types';
import { everyStrip, pointOf } from '../../session/strips';
import { groundOf, plateOf } from '../../session/ground';
import { startDrag } from './drag';
import { Grip } from './parts';
import type { MaskHandleProps } from './types';

/** The place whose colour is looked for. */
export function ColourAreaHandles({ scene, strip, mask, lens, gestures }: MaskHandleProps) {
    const plate = plateOf(strip, everyStrip(scene.strips));
    if (!plate) {
        return null;
    }
    const ground = groundOf(plate, 'plate');
    return (
        <Grip
            lens={lens}
            at={ground.toScene(pointOf(mask.values, 'at'))}
            label="Picked at"
            shape="ring"
            onGrab={(event) =>
                startDrag(event, lens, strip.id, gestures, 'Pick', (at) => {
                    const place: Point = ground.fromScene(at);
                    return { masks: { [mask.id]: { values: { at: [Math.round(place[0]), Math.round(place[1])] } } } };
                })
            }
        />
    );
}
