import type { ColourStop, Point, Values } from '../../api/types';
import { stripKinds } from '../../generated/catalogue';
import { isShown, pointOf } from '../../session/strips';
import { startDrag, type Held } from './drag';
import { endAt } from './ends';
import { Grip, Line, turnOf } from './parts';
import { RampGrips } from './RampGrips';
import type { StripHandleProps } from './types';

/** The line of a ramp that a strip is filled with, its ends, stops and halves; round a place, the circle at its end too. */
export function RampHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const ramp = stripKinds.find((kind) => kind.key === strip.kind)?.parameters.find(({ name }) => name === 'stops');
    const stops = Array.isArray(strip.values.stops) ? (strip.values.stops as ColourStop[]) : [];
    if (!ramp || !isShown(ramp, strip.values) || stops.length === 0) {
        return null;
    }
    const [choice, [, round]] = Object.entries(ramp.shownWhen)[0] as [string, string[]];
    const isRound = strip.values[choice] === round;
    const from: Point = strip.values.from ? pointOf(strip.values, 'from') : [scene.width / 2, 0];
    const to: Point = strip.values.to ? pointOf(strip.values, 'to') : [scene.width / 2, scene.height];
    const turn = turnOf(from, to);
    const radius = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (point, start, held) => ({ values: values(point, start, held) }));
    return (
        <>
            {isRound && <Line lens={lens} dashed points={Array.from({ length: 65 }, (_, k) => [from[0] + radius * Math.cos((k * Math.PI) / 32), from[1] + radius * Math.sin((k * Math.PI) / 32)])} />}
            <RampGrips
                lens={lens}
                from={from}
                to={to}
                stops={stops}
                strength={(stop) => stop.opacity}
                colour={(stop) => stop.colour}
                drag={(label, next) => drag(label, (point) => ({ stops: next(point) }))}
                onMove={drag('Move the ramp', (point, start) => ({
                    from: [from[0] + point[0] - start[0], from[1] + point[1] - start[1]],
                    to: [to[0] + point[0] - start[0], to[1] + point[1] - start[1]],
                }))}
                onSet={(next, label) => void gestures.change(strip.id, { values: { stops: next } }, label)}
            />
            <Grip lens={lens} at={from} label="Ramp from" shape={isRound ? 'ring' : 'bar'} turn={turn} colour={stops[0]?.colour} onGrab={drag('Ramp from', (point, _, held) => ({ from: endAt(to, point, held, scene, lens), to }))} />
            <Grip lens={lens} at={to} label="Ramp to" shape="bar" turn={turn} colour={stops[stops.length - 1]?.colour} onGrab={drag('Ramp to', (point, _, held) => ({ from, to: endAt(from, point, held, scene, lens) }))} />
        </>
    );
}
