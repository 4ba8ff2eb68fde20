import type { Point, Shell, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf, pointOf } from '../../session/strips';
import { sourceName } from '../../session/things';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import { apart, ring } from './ring';
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
    const drag = (label: string, change: (at: Point, further: number) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: change(at, away(at) - away(from)) }));
    // handles of what is small lie apart all the same
    const [sizeAt, reachAt] = apart(lens, radius, out);
    const held = 'centre' in strip.inForce;
    return (
        <>
            <Line lens={lens} points={ring(centre, radius)} />
            <Line lens={lens} points={ring(centre, out)} dashed />
            <Grip lens={lens} at={[centre[0] + reachAt, centre[1]]} label="Reach" shape="bar" onGrab={drag('Reach', (_, further) => ({ reach: allowed(strip.kind, 'reach', Math.round(reach + (further / widest) * 100), values) }))} />
            <Grip lens={lens} at={[centre[0] + sizeAt, centre[1]]} label="Size" shape="bar" onGrab={drag('Size', (_, further) => ({ size: allowed(strip.kind, 'size', Math.round(2 * (2 * radius + 2 * further)) / 2, values) }))} />
            {/* at its source's place, that is what moves */}
            <Grip lens={lens} at={centre} label="Centre" colour="#f2a950" onGrab={held ? (event) => startDrag(event, lens, sourceName(strip.source ?? ''), gestures, 'Move the source', (at) => ({ at })) : drag('Centre', (at) => ({ centre: at }))} />
        </>
    );
}
