import type { Point } from '../../api/types';
import type { Lens, Size } from '../../session/camera';

/** Where a plate has snapped to, in scene pixels; null where it has not. */
export type Guides = { x: number | null; y: number | null };

/** What one drag remembers: the line that holds it along each axis, and those that it was pulled off. */
export type Hold = { by: [number | null, number | null]; left: [number[], number[]] };

/** CSS pixels within which a line takes hold of a plate. */
const NEAR = 7;

/** Pulled further than this, CSS pixels, it comes off, and is not held by that line again before it is let go. */
const PULL = 16;

export function noHold(): Hold {
    return { by: [null, null], left: [[], []] };
}

/** Moves a plate by about as much as wanted: the scene's edges and middle take hold of its edges and middle, until it is pulled off. */
export function snapped(corners: Point[], by: Point, scene: Size, lens: Lens, hold: Hold): { by: Point; guides: Guides } {
    const along = (axis: 0 | 1, length: number): { by: number; guide: number | null } => {
        const places = corners.map((corner) => corner[axis] + by[axis]);
        const [low, high] = [Math.min(...places), Math.max(...places)];
        const holding = hold.by[axis];
        let best = { by: by[axis], guide: null as number | null, away: Infinity };
        for (const own of [low, (low + high) / 2, high]) {
            for (const line of [0, length / 2, length].filter((line) => !hold.left[axis].includes(line))) {
                const away = Math.abs(line - own) * lens.zoom;
                if (away < best.away && away < (line === holding ? PULL : NEAR)) {
                    best = { by: by[axis] + line - own, guide: line, away };
                }
            }
        }
        if (holding !== null && best.guide !== holding) {
            hold.left[axis].push(holding);
        }
        hold.by[axis] = best.guide;
        return best;
    };
    const [x, y] = [along(0, scene.width), along(1, scene.height)];
    return { by: [x.by, y.by], guides: { x: x.guide, y: y.guide } };
}
