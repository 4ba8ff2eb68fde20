import type { Point } from '../../api/types';
import type { Lens } from '../../session/camera';

const PIECES = 72;

/** A circle as a line, in scene pixels. */
export function ring(centre: Point, radius: number): Point[] {
    return Array.from({ length: PIECES + 1 }, (_, at): Point => [centre[0] + radius * Math.cos((2 * Math.PI * at) / PIECES), centre[1] + radius * Math.sin((2 * Math.PI * at) / PIECES)]);
}

/** As far as handles of about this size must lie from one another, CSS pixels. */
const APART = 27;

/** Where two handles on one line out of a middle lie, so that all three can be grabbed. */
export function apart(lens: Lens, inner: number, outer: number): [number, number] {
    const first = Math.max(inner, APART / lens.zoom);
    return [first, Math.max(outer, first + APART / lens.zoom)];
}
