import type { PointerEvent } from 'react';
import type { Point } from '../../api/types';
import type { Lens } from '../../session/camera';
import { courseAt, withStop, withStopAt, type Placed } from '../../session/stops';
import { clamp } from '../../session/strips';
import { MOST_STOPS } from '../../controls/StopFrame';
import { Grip, GrabLine, Line, turnOf } from './parts';

/** A half is shown where its stretch is longer than this, CSS pixels. */
const ROOM = 40;

type Props<T> = {
    lens: Lens;
    from: Point;
    to: Point;
    stops: T[];
    /** how strong a stop is, 0..1, and how its grip looks */
    strength: (stop: T) => number;
    colour: (stop: T) => string;
    /** makes a hand of what a place on the picture means for the stops */
    drag: (label: string, stops: (at: Point) => T[]) => (event: PointerEvent<Element>) => void;
    /** the whole line is dragged; left out where it is not */
    onMove?: (event: PointerEvent<Element>) => void;
    onSet: (stops: T[], label: string) => void;
};

/** The stops of a ramp and the halves between them on its line; a double click on the line puts a stop there, one on a stop takes it out. */
export function RampGrips<T extends Placed & { midpoint: number }>({ lens, from, to, stops, strength, colour, drag, onMove, onSet }: Props<T>) {
    const at = (share: number): Point => [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    const length = Math.max(1e-6, Math.hypot(to[0] - from[0], to[1] - from[1]));
    const shareOf = ([x, y]: Point) => ((x - from[0]) * (to[0] - from[0]) + (y - from[1]) * (to[1] - from[1])) / length ** 2;
    const turn = turnOf(from, to);
    return (
        <>
            <Line lens={lens} points={[from, to]} dashed />
            <GrabLine
                lens={lens}
                points={[from, to]}
                label="Move the ramp"
                title="Drag to move it; a double click puts a stop here"
                onGrab={(event) => onMove?.(event)}
                onDouble={(point) => stops.length < MOST_STOPS && onSet(withStopAt(stops, clamp(shareOf(point), 0, 1)), 'Add a stop')}
            />
            {stops.slice(0, -1).map((stop, index) => {
                const next = stops[index + 1];
                const gap = (next?.offset ?? stop.offset) - stop.offset;
                return gap * length * lens.zoom > ROOM ? (
                    <Grip
                        key={`midpoint ${index}`}
                        lens={lens}
                        at={at(stop.offset + stop.midpoint * gap)}
                        label={`Midpoint ${index + 1}`}
                        title="Where this stretch is half done"
                        shape="half"
                        turn={(next ? strength(next) : 0) < strength(stop) ? turn + 90 : turn - 90}
                        onGrab={drag('Midpoint', (point) => withStop(stops, index, { midpoint: clamp((shareOf(point) - stop.offset) / gap, 0.01, 0.99) } as Partial<T>))}
                    />
                ) : null;
            })}
            {stops.map((stop, index) =>
                stop.offset > 0.001 && stop.offset < 0.999 ? (
                    <Grip
                        key={index}
                        lens={lens}
                        at={at(stop.offset)}
                        label={`Stop ${index + 1}`}
                        title={`Stop ${index + 1}; a double click takes it out`}
                        shape="bar"
                        turn={turn}
                        colour={colour(stop)}
                        onGrab={drag('Stop', (point) => withStop(stops, index, { offset: shareOf(point) } as Partial<T>))}
                        onDouble={() => stops.length > 1 && onSet(stops.filter((_, other) => other !== index), 'Take a stop out')}
                    />
                ) : null,
            )}
        </>
    );
}

/** A ramp's line as wide as the ramp is strong, as an outline beside it. */
export function ribbonOf<T extends Placed>(lens: Lens, from: Point, to: Point, stops: T[], strength: (stop: T) => number, smooth: boolean, widest: number): Point[] {
    const length = Math.max(1e-6, Math.hypot(to[0] - from[0], to[1] - from[1]));
    const side: Point = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length];
    const beside = (share: number, pixels: number): Point => [from[0] + share * (to[0] - from[0]) + (side[0] * pixels) / lens.zoom, from[1] + share * (to[1] - from[1]) + (side[1] * pixels) / lens.zoom];
    const strongAt = (share: number) => {
        const { before, after, way } = courseAt(stops, share, smooth);
        return before ? strength(before) + way * (strength(after ?? before) - strength(before)) : 1;
    };
    const shares = Array.from({ length: 49 }, (_, k) => k / 48);
    return [...shares.map((share) => beside(share, widest * strongAt(share))), ...shares.reverse().map((share) => beside(share, -widest * strongAt(share)))];
}
