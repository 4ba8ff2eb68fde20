import type { Ground, Point, Strip } from '../api/types';

/** The way from one plane to another in perspective: three by three numbers, row after row. */
export function mapped(map: number[], [x, y]: Point): Point {
    const at = (k: number) => map[k] ?? 0;
    const w = at(6) * x + at(7) * y + at(8);
    return [(at(0) * x + at(1) * y + at(2)) / w, (at(3) * x + at(4) * y + at(5)) / w];
}

/** The ground that a mask lies on: how its own coordinates and the scene's belong together. */
export type GroundMap = { toScene: (point: Point) => Point; fromScene: (point: Point) => Point; /** scene pixels to one of the ground, at a place of the scene */ scale: (at: Point) => number };

const asItIs = (point: Point): Point => point;

/** Of what a colour area lies on: its own plate, or the one that a light shines from. */
export function plateOf(strip: Strip, strips: Strip[]): Strip | undefined {
    return strip.maps ? strip : strips.find((other) => other.id === strip.values.of);
}

export function groundOf(strip: Strip, on: Ground): GroundMap {
    const { maps } = strip;
    if (on !== 'plate' || !maps) {
        return { toScene: asItIs, fromScene: asItIs, scale: () => 1 };
    }
    const fromScene = (point: Point) => mapped(maps.toPlate, point);
    return {
        toScene: (point) => mapped(maps.toScene, point),
        fromScene,
        scale: ([x, y]) => {
            const [a, b, c] = [fromScene([x, y]), fromScene([x + 1, y]), fromScene([x, y + 1])];
            const area = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
            return area > 0 ? 1 / Math.sqrt(area) : 1;
        },
    };
}
