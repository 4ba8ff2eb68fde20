import type { Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf, pointOf } from '../../session/strips';
import { toView } from '../../session/camera';
import { startDrag } from './drag';
import { Grip, Line, turnOf } from './parts';
import type { StripHandleProps } from './types';

/** Four corners; on a surface of the stage its middle, its width and its height, whose lines the core draws. */
export function PatternHandles({ strip, outlines, lens, gestures }: StripHandleProps) {
    const values = strip.values;
    const drag = (label: string, change: (at: Point, from: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: change(at, from) }));
    const isOn = typeof values.surface === 'string';
    const corners = isOn ? (outlines.edge ?? []).slice(0, 4) : Array.isArray(values.corners) ? (values.corners as Point[]) : [];
    const [upperLeft, upperRight, lowerRight, lowerLeft] = corners;
    if (!upperLeft || !upperRight || !lowerRight || !lowerLeft) {
        return null;
    }
    const between = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    const shifted = (by: Point): Point[] => corners.map(([x, y]): Point => [x + by[0], y + by[1]]);
    const middle = pointOf(values, 'middle');
    const [right, lower] = [between(upperRight, lowerRight), between(lowerLeft, lowerRight)];
    const ratio = (at: Point, from: Point) => Math.max(0.05, Math.hypot(at[0] - middle[0], at[1] - middle[1]) / Math.max(1, Math.hypot(from[0] - middle[0], from[1] - middle[1])));
    const inside = isOn
        ? drag('Move the pattern', (at, from) => ({ middle: [middle[0] + at[0] - from[0], middle[1] + at[1] - from[1]] }))
        : drag('Move the pattern', (at, from) => ({ corners: shifted([at[0] - from[0], at[1] - from[1]]) }));
    return (
        <>
            <polygon points={corners.map((corner) => toView(lens, corner).join(',')).join(' ')} fill="transparent" style={{ cursor: 'move' }} data-handle="Pattern" onPointerDown={inside} />
            <Line lens={lens} points={[...corners, upperLeft]} />
            {isOn ? (
                <>
                    <Grip lens={lens} at={right} label="Width" shape="bar" turn={turnOf(middle, right)} onGrab={drag('Width', (at, from) => ({ width: allowed(strip.kind, 'width', Math.round(numberOf(values, 'width') * ratio(at, from)), values) }))} />
                    <Grip lens={lens} at={lower} label="Height" shape="bar" turn={turnOf(middle, lower)} onGrab={drag('Height', (at, from) => ({ height: allowed(strip.kind, 'height', Math.round(numberOf(values, 'height') * ratio(at, from)), values) }))} />
                    <Grip lens={lens} at={middle} label="Middle" shape="ring" onGrab={drag('Move the pattern', (at) => ({ middle: at }))} />
                </>
            ) : (
                corners.map((corner, index) => (
                    <Grip
                        key={index}
                        lens={lens}
                        at={corner}
                        label={`Corner ${index + 1}`}
                        shape="quarter"
                        turn={turnOf(corner, corners[(index + 2) % 4] ?? corner) - 45}
                        onGrab={drag('Fit a corner', (at) => {
                            const next = corners.map((other, k): Point => (k === index ? [Math.round(at[0] * 10) / 10, Math.round(at[1] * 10) / 10] : other));
                            // a corner that would fold it over stays where it was
                            return { corners: isConvex(next) ? next : corners };
                        })}
                    />
                ))
            )}
        </>
    );
}

/** Whether four corners go clockwise round without a dent. */
export function isConvex(corners: Point[]): boolean {
    const turns = corners.map((a, at) => {
        const [b, c] = [corners[(at + 1) % 4] ?? a, corners[(at + 2) % 4] ?? a];
        return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    });
    return Math.min(...turns) > 1e-3 * Math.max(...turns.map(Math.abs));
}
