import type { Point, StripChange, Values } from '../../api/types';
import { toView } from '../../session/camera';
import { stopsOf } from '../../session/stops';
import { pointOf } from '../../session/strips';
import { startDrag, type Held } from './drag';
import { endAt } from './ends';
import type { MaskHandleProps } from './types';
import { Grip, turnOf } from './parts';
import { RampGrips, ribbonOf } from './RampGrips';

/** Half of the ribbon's width where the mask lets everything through, CSS pixels. */
const RIBBON = 20;

/** A ribbon that tells how much a linear mask lets through along its line; its ends, stops and halves are dragged. */
export function LinearHandles({ scene, strip, mask, lens, gestures }: MaskHandleProps) {
    const from = pointOf(mask.values, 'from');
    const to = pointOf(mask.values, 'to');
    const stops = stopsOf(mask.values.stops);
    const turn = turnOf(from, to);
    const change = (values: Values): StripChange => ({ masks: { [mask.id]: { values } } });
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (point, start, held) => change(values(point, start, held)));
    const ribbon = ribbonOf(lens, from, to, stops, (stop) => stop.value, mask.values.smooth === true, RIBBON);

    return (
        <>
            <polygon points={ribbon.map((point) => toView(lens, point).map((value) => value.toFixed(1)).join(',')).join(' ')} fill="#f4f4f4" fillOpacity={0.16} stroke="#f4f4f4" strokeOpacity={0.8} strokeWidth={1.25} pointerEvents="none" />
            <RampGrips
                lens={lens}
                from={from}
                to={to}
                stops={stops}
                strength={(stop) => stop.value}
                colour={(stop) => grey(stop.value)}
                drag={(label, next) => drag(label, (point) => ({ stops: next(point) }))}
                onMove={drag('Move the mask', (point, start) => ({
                    from: [from[0] + point[0] - start[0], from[1] + point[1] - start[1]],
                    to: [to[0] + point[0] - start[0], to[1] + point[1] - start[1]],
                }))}
                onSet={(next, label) => void gestures.change(strip.id, change({ stops: next }), label)}
            />
            <Grip lens={lens} at={from} label="From" shape="bar" turn={turn} onGrab={drag('From', (point, _, held) => ({ from: endAt(to, point, held, scene, lens) }))} />
            <Grip lens={lens} at={to} label="To" shape="bar" turn={turn} onGrab={drag('To', (point, _, held) => ({ to: endAt(from, point, held, scene, lens) }))} />
        </>
    );
}

export function grey(value: number): string {
    const byte = Math.round(40 + value * 212);
    return `rgb(${byte} ${byte} ${byte})`;
}
