import type { Point, StripChange, Values } from '../../api/types';
import { toView } from '../../session/camera';
import { stopsOf, valueAt, withStop } from '../../session/stops';
import { clamp, pointOf } from '../../session/strips';
import { startDrag, type Held } from './drag';
import type { MaskHandleProps } from './types';
import { Grip, GrabLine, Line, turnOf } from './parts';

/** Half of the ribbon's width where the mask lets everything through, CSS pixels. */
const RIBBON = 20;

const RIBBON_STEPS = 48;

/** A ribbon that tells how much a linear mask lets through along its line; its ends, stops and halves are dragged. With shift an end turns in steps of 15 degrees. */
export function LinearHandles({ strip, mask, lens, gestures }: MaskHandleProps) {
    const from = pointOf(mask.values, 'from');
    const to = pointOf(mask.values, 'to');
    const stops = stopsOf(mask.values.stops);
    const at = (share: number): Point => [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    const length = Math.max(1e-6, Math.hypot(to[0] - from[0], to[1] - from[1]));
    const shareOf = ([x, y]: Point) => ((x - from[0]) * (to[0] - from[0]) + (y - from[1]) * (to[1] - from[1])) / length ** 2;
    const turn = turnOf(from, to);
    const side: Point = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
    /** A place beside the line, so many CSS pixels to its right. */
    const beside = (share: number, pixels: number): Point => {
        const [x, y] = at(share);
        return [x + (side[0] * pixels) / lens.zoom, y + (side[1] * pixels) / lens.zoom];
    };
    // a ribbon as wide as the mask lets through there
    const shares = Array.from({ length: RIBBON_STEPS + 1 }, (_, k) => k / RIBBON_STEPS);
    const ribbon = [...shares.map((share) => beside(share, RIBBON * valueAt(stops, share))), ...shares.reverse().map((share) => beside(share, -RIBBON * valueAt(stops, share)))];
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (point, start, held): StripChange => ({ masks: { [mask.id]: { values: values(point, start, held) } } }));

    return (
        <>
            <polygon points={ribbon.map((point) => toView(lens, point).map((value) => value.toFixed(1)).join(',')).join(' ')} fill="#f4f4f4" fillOpacity={0.16} stroke="#f4f4f4" strokeOpacity={0.8} strokeWidth={1.25} pointerEvents="none" />
            <Line lens={lens} points={[from, to]} dashed />
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
                        title="Where this stretch is half done"
                        shape="half"
                        turn={(next?.value ?? 0) < stop.value ? turn + 90 : turn - 90}
                        onGrab={drag('Midpoint', (point) => ({ stops: withStop(stops, index, { midpoint: clamp((shareOf(point) - stop.offset) / gap, 0.01, 0.99) }) }))}
                    />
                ) : null;
            })}
            {stops.map((stop, index) =>
                stop.offset > 0.001 && stop.offset < 0.999 ? (
                    <Grip key={index} lens={lens} at={at(stop.offset)} label={`Stop ${index + 1}`} shape="bar" turn={turn} colour={grey(stop.value)} onGrab={drag('Stop', (point) => ({ stops: withStop(stops, index, { offset: shareOf(point) }) }))} />
                ) : null,
            )}
            <Grip lens={lens} at={from} label="From" shape="bar" turn={turn} onGrab={drag('From', (point, _, held) => ({ from: stepped(to, point, held) }))} />
            <Grip lens={lens} at={to} label="To" shape="bar" turn={turn} onGrab={drag('To', (point, _, held) => ({ to: stepped(from, point, held) }))} />
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
