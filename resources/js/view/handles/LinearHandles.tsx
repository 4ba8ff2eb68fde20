import type { Point, StripChange, Values } from '../../api/types';
import { stopsOf, withStop } from '../../session/stops';
import { clamp, pointOf } from '../../session/strips';
import { startDrag, type Held } from './drag';
import type { MaskHandleProps } from './types';
import { Grip, GrabLine, Line } from './parts';

/** Ends, stops and midpoints of a linear mask. With shift an end turns in steps of 15 degrees. */
export function LinearHandles({ strip, mask, lens, gestures }: MaskHandleProps) {
    const from = pointOf(mask.values, 'from');
    const to = pointOf(mask.values, 'to');
    const stops = stopsOf(mask.values.stops);
    const at = (share: number): Point => [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    const length = Math.max(1e-6, Math.hypot(to[0] - from[0], to[1] - from[1]));
    const shareOf = ([x, y]: Point) => ((x - from[0]) * (to[0] - from[0]) + (y - from[1]) * (to[1] - from[1])) / length ** 2;
    const across = 26 / lens.zoom;
    const side: Point = [(-(to[1] - from[1]) / length) * across, ((to[0] - from[0]) / length) * across];
    const bar = ([x, y]: Point): Point[] => [
        [x - side[0], y - side[1]],
        [x + side[0], y + side[1]],
    ];
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (point, start, held): StripChange => ({ masks: { [mask.id]: { values: values(point, start, held) } } }));

    return (
        <>
            <Line lens={lens} points={[from, to]} />
            <Line lens={lens} points={bar(from)} />
            <Line lens={lens} points={bar(to)} dashed />
            <GrabLine
                lens={lens}
                points={[from, to]}
                label="Move the mask"
                onGrab={drag('Move the mask', (point, start) => ({
                    from: [from[0] + point[0] - start[0], from[1] + point[1] - start[1]],
                    to: [to[0] + point[0] - start[0], to[1] + point[1] - start[1]],
                }))}
            />
            {stops.slice(0, -1).map((stop, index) => {
                const next = stops[index + 1];
                const gap = (next?.offset ?? stop.offset) - stop.offset;
                return gap * length * lens.zoom > 40 ? (
                    <Grip
                        key={`midpoint ${index}`}
                        lens={lens}
                        at={at(stop.offset + stop.midpoint * gap)}
                        label={`Midpoint ${index + 1}`}
                        shape="diamond"
                        onGrab={drag('Midpoint', (point) => ({ stops: withStop(stops, index, { midpoint: clamp((shareOf(point) - stop.offset) / gap, 0.01, 0.99) }) }))}
                    />
                ) : null;
            })}
            {stops.map((stop, index) =>
                stop.offset > 0.001 && stop.offset < 0.999 ? (
                    <Grip key={index} lens={lens} at={at(stop.offset)} label={`Stop ${index + 1}`} shape="square" colour={grey(stop.value)} onGrab={drag('Stop', (point) => ({ stops: withStop(stops, index, { offset: shareOf(point) }) }))} />
                ) : null,
            )}
            <Grip lens={lens} at={from} label="From" colour={grey(stops[0]?.value ?? 1)} onGrab={drag('From', (point, _, held) => ({ from: stepped(to, point, held) }))} />
            <Grip lens={lens} at={to} label="To" shape="ring" onGrab={drag('To', (point, _, held) => ({ to: stepped(from, point, held) }))} />
        </>
    );
}

function grey(value: number): string {
    const byte = Math.round(40 + value * 212);
    return `rgb(${byte} ${byte} ${byte})`;
}

function stepped(fixed: Point, point: Point, held: Held): Point {
    if (!held.shift) {
        return point;
    }
    const step = Math.PI / 12;
    const angle = Math.round(Math.atan2(point[1] - fixed[1], point[0] - fixed[0]) / step) * step;
    const length = Math.hypot(point[0] - fixed[0], point[1] - fixed[1]);
    return [fixed[0] + length * Math.cos(angle), fixed[1] + length * Math.sin(angle)];
}
