import type { Point, Shell, StripChange, Values } from '../../api/types';
import { allowed } from '../../work/ranges';
import { numberOf, pointOf } from '../../work/strips';
import { sourceName } from '../../work/things';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import { ring } from './ring';
import type { StripHandleProps } from './types';

/** A round lamp: its centre, its size, and how far its widest halo goes. What is drawn has the handles of its masks. */
export function GlowHandles({ strip, outlines, lens, gestures }: StripHandleProps) {
    const values = strip.values;
    if (!outlines.lamp) {
        return null;
    }
    const centre = pointOf(values, 'centre');
    const radius = numberOf(values, 'size', 1) / 2;
    const shells = Array.isArray(values.shells) ? (values.shells as Shell[]) : [];
    const widest = Math.max(1, ...shells.filter((shell) => shell.part !== 'core').map((shell) => shell.radius));
    const reach = numberOf(values, 'reach', 100);
    const out = radius + (widest * reach) / 100;
    const away = ([x, y]: Point) => Math.hypot(x - centre[0], y - centre[1]);
    const drag = (label: string, change: (at: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (at): StripChange => ({ values: change(at) }));
    const held = 'centre' in strip.inForce;
    return (
        <>
            <Line lens={lens} points={ring(centre, radius)} />
            <Line lens={lens} points={ring(centre, out)} dashed />
            <Grip lens={lens} at={[centre[0] + out, centre[1]]} label="Reach" shape="square" onGrab={drag('Reach', (at) => ({ reach: allowed(strip.kind, 'reach', Math.round(((away(at) - radius) / widest) * 100), values) }))} />
            <Grip lens={lens} at={[centre[0] + radius, centre[1]]} label="Size" shape="diamond" onGrab={drag('Size', (at) => ({ size: allowed(strip.kind, 'size', Math.round(4 * away(at)) / 2, values) }))} />
            {/* at its source's place, that is what moves */}
            <Grip lens={lens} at={centre} label="Centre" colour="#f2a950" onGrab={held ? (event) => startDrag(event, lens, sourceName(strip.source ?? ''), gestures, 'Move the source', (at) => ({ at })) : drag('Centre', (at) => ({ centre: at }))} />
        </>
    );
}
