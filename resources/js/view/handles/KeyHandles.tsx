import { mapped } from '../../session/ground';
import { everyStrip, plateOf } from '../../session/strips';
import { useWork } from '../../session/store';
import type { Point, Scene, Strip } from '../../api/types';
import { LitSphere } from './LitSphere';
import type { StripHandleProps } from './types';

/** The middle of the plate that a strip lights or is confined to. */
function useMiddle(scene: Scene, strip: Strip): Point | null {
    const moving = useWork((state) => state.pending);
    const lit = plateOf(strip);
    const plate = everyStrip(scene.strips, moving).find((other) => other.id === lit);
    const picture = plate && scene.pictures[String(plate.values.picture)];
    return plate?.maps && picture ? mapped(plate.maps.toScene, [picture.width / 2, picture.height / 2]) : null;
}

/** On the plate that it lights, or whose body it follows. */
export function KeyHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const middle = useMiddle(scene, strip);
    return middle && <LitSphere strip={strip} lens={lens} gestures={gestures} middle={middle} />;
}

/** On the plate whose tones are its heights, or in the middle of the scene. */
export function ReliefHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const middle = useMiddle(scene, strip);
    return <LitSphere strip={strip} lens={lens} gestures={gestures} middle={middle ?? [scene.width / 2, scene.height / 2]} />;
}
