import type { Point, StripChange, Values } from '../../api/types';
import { clamp, numberOf, pointOf } from '../../screen/strips';
import { toView } from '../camera';
import { startDrag, type Held } from './drag';
import type { StripHandleProps } from './types';
import { Grip, Line } from './parts';

/** Corners scale about the pivot, the outer handle turns about it, inside the frame the plate moves. */
export function PlateHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const picture = scene.pictures[String(strip.values.picture)];
    if (!picture) {
        return null;
    }
    const place = pointOf(strip.values, 'place');
    const pivot = pointOf(strip.values, 'pivot');
    const scale = numberOf(strip.values, 'scale', 1);
    const turn = (numberOf(strip.values, 'turn') * Math.PI) / 180;
    const flip = strip.values.mirrored === true ? -1 : 1;
    const toScene = ([px, py]: Point): Point => {
        const [x, y] = [(px - pivot[0]) * scale * flip, (py - pivot[1]) * scale];
        return [place[0] + Math.cos(turn) * x + Math.sin(turn) * y, place[1] - Math.sin(turn) * x + Math.cos(turn) * y];
    };
    const toPicture = ([sx, sy]: Point): Point => {
        const [dx, dy] = [sx - place[0], sy - place[1]];
        return [pivot[0] + ((Math.cos(turn) * dx - Math.sin(turn) * dy) / scale) * flip, pivot[1] + (Math.sin(turn) * dx + Math.cos(turn) * dy) / scale];
    };
    const { width, height } = picture;
    const corners: Point[] = [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
    ].map(([x, y]) => toScene([x ?? 0, y ?? 0]));
    const top = toScene([width / 2, 0]);
    const out = 30 / lens.zoom;
    const turner: Point = [top[0] - Math.sin(turn) * out, top[1] - Math.cos(turn) * out];
    const distance = (point: Point) => Math.max(1e-6, Math.hypot(point[0] - place[0], point[1] - place[1]));
    const angle = (point: Point) => (-Math.atan2(point[1] - place[1], point[0] - place[0]) * 180) / Math.PI;
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from, held): StripChange => ({ values: values(at, from, held) }));

    return (
        <>
            <polygon
                points={corners.map((corner) => toView(lens, corner).join(',')).join(' ')}
                fill="transparent"
                style={{ cursor: 'move' }}
                data-handle="Plate"
                onPointerDown={drag('Move the plate', (at, from) => ({ place: [place[0] + Math.round(at[0] - from[0]), place[1] + Math.round(at[1] - from[1])] }))}
            />
            <Line lens={lens} points={[...corners, corners[0] ?? [0, 0]]} />
            <Line lens={lens} points={[top, turner]} dashed />
            {corners.map((corner, index) => (
                <Grip
                    key={index}
                    lens={lens}
                    at={corner}
                    label={`Corner ${index + 1}`}
                    shape="square"
                    onGrab={drag('Scale the plate', (at, from) => ({ scale: clamp(Math.round(((scale * distance(at)) / distance(from)) * 10000) / 10000, 0.005, 64) }))}
                />
            ))}
            <Grip
                lens={lens}
                at={turner}
                label="Turn"
                onGrab={drag('Turn the plate', (at, from, held) => {
                    const step = held.shift ? 15 : 0.1;
                    return { turn: wrap(Math.round((numberOf(strip.values, 'turn') + angle(at) - angle(from)) / step) * step) };
                })}
            />
            <Grip lens={lens} at={place} label="Pivot" shape="ring" onGrab={drag('Pivot', (at) => ({ pivot: toPicture(at), place: at }))} />
        </>
    );
}

function wrap(degrees: number): number {
    return Math.round((((((degrees + 180) % 360) + 360) % 360) - 180) * 100) / 100;
}
