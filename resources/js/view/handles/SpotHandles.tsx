import type { Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf, pointOf } from '../../session/strips';
import { sourceName } from '../../session/things';
import { startDrag } from './drag';
import type { StripHandleProps } from './types';
import { Grip, GrabLine, Line, Tag, turnOf } from './parts';

/** Origin, target, the 50 % and 10 % lines and the reach of a spot. */
export function SpotHandles({ strip, outlines, lens, gestures }: StripHandleProps) {
    const origin = pointOf(strip.values, 'origin');
    const target = pointOf(strip.values, 'target');
    const beam = numberOf(strip.values, 'beam');
    const field = numberOf(strip.values, 'field');
    const throwLength = Math.max(1, Math.hypot(target[0] - origin[0], target[1] - origin[1]));
    const axis: Point = [(target[0] - origin[0]) / throwLength, (target[1] - origin[1]) / throwLength];
    const isConstant = strip.values.reachLaw === 'constant';
    const reach = typeof strip.values.reach === 'number' ? strip.values.reach : throwLength;
    const along = (angle: number, distance: number): Point => {
        const turn = (angle * Math.PI) / 180;
        return [origin[0] + distance * (axis[0] * Math.cos(turn) - axis[1] * Math.sin(turn)), origin[1] + distance * (axis[0] * Math.sin(turn) + axis[1] * Math.cos(turn))];
    };
    const angleAt = ([x, y]: Point) => {
        const [dx, dy] = [x - origin[0], y - origin[1]];
        return (Math.abs(Math.atan2(axis[0] * dy - axis[1] * dx, axis[0] * dx + axis[1] * dy)) * 180) / Math.PI;
    };
    const drag = (label: string, values: (at: Point, from: Point) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: values(at, from) }));
    const within = (name: string, value: number, values: Values = strip.values) => allowed(strip.kind, name, value, values);
    const moved = ([x, y]: Point, at: Point, from: Point): Point => [x + at[0] - from[0], y + at[1] - from[1]];

    return (
        <>
            <Line lens={lens} points={outlines.field ?? []} dashed />
            <Line lens={lens} points={outlines.beam ?? []} />
            <Line lens={lens} points={[origin, along(0, isConstant ? throwLength : Math.max(throwLength, reach))]} dashed />
            <GrabLine lens={lens} points={[origin, target]} label="Move the spot" onGrab={drag('Move the spot', (at, from) => ({ ...(strip.source ? {} : { origin: moved(origin, at, from) }), target: moved(target, at, from) }))} />
            {!isConstant && (
                <Grip
                    lens={lens}
                    at={along(0, reach)}
                    label="Reach"
                    shape="bar"
                    turn={turnOf(origin, target)}
                    onGrab={drag('Reach', (at) => ({ reach: within('reach', Math.round((at[0] - origin[0]) * axis[0] + (at[1] - origin[1]) * axis[1])) }))}
                />
            )}
            <Grip
                lens={lens}
                at={along(field / 2, throwLength * 0.85)}
                label="10 % line"
                shape="diamond"
                onGrab={drag('Field angle', (at) => ({ field: within('field', 2 * angleAt(at)) }))}
            />
            <Grip
                lens={lens}
                at={along(beam / 2, throwLength * 0.65)}
                label="50 % line"
                shape="diamond"
                onGrab={drag('Beam angle', (at) => {
                    const next = within('beam', 2 * angleAt(at));
                    return { beam: next, field: within('field', field, { beam: next }) };
                })}
            />
            <Tag lens={lens} at={along(beam / 2, throwLength * 0.65)} text="50 %" />
            <Tag lens={lens} at={along(field / 2, throwLength * 0.85)} text="10 %" />
            <Grip lens={lens} at={target} label="Target" shape="ring" onGrab={drag('Target', (at) => ({ target: at }))} />
            {/* where it hangs on a lamp, that is what moves */}
            <Grip lens={lens} at={origin} label="Origin" colour="#f2a950" onGrab={strip.source ? (event) => startDrag(event, lens, sourceName(strip.source ?? ''), gestures, 'Move the source', (at) => ({ at })) : drag('Origin', (at) => ({ origin: at }))} />
        </>
    );
}
