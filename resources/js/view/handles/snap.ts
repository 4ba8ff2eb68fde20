import type { Point } from '../../api/types';
import type { Lens, Size } from '../../session/camera';

/** Where a plate has snapped to, in scene pixels; null where it has not. */
export type Guides = { x: number | null; y: number | null };

/** CSS pixels within which a plate snaps. */
const NEAR = 7;

/** Moves a plate by about as much as wanted: its edges and middle hold on to the scene's edges and middle. */
export function snapped(corners: Point[], by: Point, scene: Size, lens: Lens): { by: Point; guides: Guides } {
    const along = (axis: 0 | 1, length: number): { by: number; guide: number | null } => {
        const places = corners.map((corner) => corner[axis] + by[axis]);
        const [low, high] = [Math.min(...places), Math.max(...places)];
        let best = { by: by[axis], guide: null as number | null, away: NEAR / lens.zoom };
        for (const own of [low, (low + high) / 2, high]) {
            for (const line of [0, length / 2, length]) {
                const away = Math.abs(line - own);
                if (away < best.away) {
                    best = { by: by[axis] + line - own, guide: line, away };
                }
            }
        }
        return best;
    };
    const [x, y] = [along(0, scene.width), along(1, scene.height)];
    return { by: [x.by, y.by], guides: { x: x.guide, y: y.guide } };
}
