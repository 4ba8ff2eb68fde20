import type { Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf, pointOf } from '../../session/strips';
import { sourceName } from '../../session/things';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import { apart, ring } from './ring';
import type { StripHandleProps } from './types';

/** The disc of a sun, its edge, and how far its bloom goes. */
export function SunHandles({ strip, lens, gestures }: StripHandleProps) {
    const values = strip.values;
    const centre = pointOf(values, 'centre');
    const radius = numberOf(values, 'radius', 1);
    const bloom = numberOf(values, 'bloom', 1);
    const away = ([x, y]: Point) => Math.hypot(x - centre[0], y - centre[1]);
    const within = (name: string, value: number) => allowed(strip.kind, name, Math.round(value * 2) / 2, values);
    const drag = (label: string, change: (at: Point, further: number) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: change(at, away(at) - away(from)) }));
    const [radiusAt, bloomAt] = apart(lens, radius, radius + bloom);
    return (
        <>
            <Line lens={lens} points={ring(centre, radius)} />
            <Line lens={lens} points={ring(centre, radius + bloom)} dashed />
            <Grip lens={lens} at={[centre[0] + bloomAt, centre[1]]} label="Bloom" shape="bar" onGrab={drag('Bloom', (_, further) => ({ bloom: within('bloom', bloom + further) }))} />
            <Grip lens={lens} at={[centre[0] + radiusAt, centre[1]]} label="Radius" shape="bar" onGrab={drag('Radius', (_, further) => ({ radius: within('radius', radius + further) }))} />
            <Grip
                lens={lens}
                at={centre}
                label="Sun"
                colour="#f2a950"
                onGrab={strip.source ? (event) => startDrag(event, lens, sourceName(strip.source ?? ''), gestures, 'Move the source', (at) => ({ at })) : drag('Move the sun', (at) => ({ centre: at }))}
            />
        </>
    );
}
