import { mapped } from '../../session/ground';
import type { Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { everyStrip, numberOf } from '../../session/strips';
import { useWork } from '../../session/store';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import type { StripHandleProps } from './types';

/** How far a halo spreads, where it is shifted to, and to which side it is pulled. */
export function HaloHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const moving = useWork((state) => state.pending);
    const values = strip.values;
    const plate = everyStrip(scene.strips, moving).find((other) => other.id === values.of);
    const picture = plate && scene.pictures[String(plate.values.picture)];
    if (!plate?.maps || !picture) {
        return null;
    }
    const { toScene } = plate.maps;
    const middle = mapped(toScene, [picture.width / 2, picture.height / 2]);
    const side = mapped(toScene, [picture.width, picture.height / 2]);
    const spread = numberOf(values, 'spread', 1);
    const way = (name: string): Point => {
        const angle = (numberOf(values, `${name}To`) * Math.PI) / 180;
        return [middle[0] + numberOf(values, name) * Math.cos(angle), middle[1] - numberOf(values, name) * Math.sin(angle)];
    };
    const polar = (name: string, [x, y]: Point): Values => ({
        [name]: allowed(strip.kind, name, Math.round(Math.hypot(x - middle[0], y - middle[1])), values),
        [`${name}To`]: Math.round((Math.atan2(middle[1] - y, x - middle[0]) * 1800) / Math.PI) / 10,
    });
    const drag = (label: string, change: (at: Point, from: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: change(at, from) }));
    const out: Point = [side[0] + spread, side[1]];
    // handles that lie on one another are moved apart
    const apart = 22 / lens.zoom;
    const [shift, pull] = [way('shift'), way('pull')];
    return (
        <>
            <Line lens={lens} points={[side, out]} dashed />
            <Line lens={lens} points={[middle, shift]} />
            <Line lens={lens} points={[[middle[0], middle[1] - apart], [pull[0], pull[1] - apart]]} colour="#f2a950" />
            <Grip lens={lens} at={out} label="Spread" shape="bar" onGrab={drag('Spread', (at) => ({ spread: allowed(strip.kind, 'spread', Math.round(at[0] - side[0]), values) }))} />
            <Grip lens={lens} at={[pull[0], pull[1] - apart]} label="Pull" shape="half" colour="#f2a950" onGrab={drag('Pull', (at) => polar('pull', [at[0], at[1] + apart]))} />
            <Grip lens={lens} at={shift} label="Shift" shape="ring" onGrab={drag('Shift', (at) => polar('shift', at))} />
        </>
    );
}
