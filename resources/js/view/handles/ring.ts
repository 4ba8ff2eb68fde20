import type { Point } from '../../api/types';

const PIECES = 72;

/** A circle as a line, in scene pixels. */
export function ring(centre: Point, radius: number): Point[] {
    return Array.from({ length: PIECES + 1 }, (_, at): Point => [centre[0] + radius * Math.cos((2 * Math.PI * at) / PIECES), centre[1] + radius * Math.sin((2 * Math.PI * at) / PIECES)]);
}
