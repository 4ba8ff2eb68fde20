import type { Point } from '../api/types';
import { clamp } from './strips';

/** Points of a curve keep this far apart before. */
const APART = 0.01;

const round = (value: number) => Math.round(value * 1000) / 1000;

/**
 * Where a curve takes a tone, for the drawing and for points that are put on it; what the picture is made of is the core's
 * (Fritsch and Carlson 1980).
 */
export function curveAt(points: Point[], tone: number): number {
    const [first, last] = [points[0], points[points.length - 1]];
    if (!first || !last || tone <= first[0]) {
        return first?.[1] ?? tone;
    }
    if (tone >= last[0]) {
        return last[1];
    }
    const secants = points.slice(1).map(([x, y], at) => (y - points[at]![1]) / (x - points[at]![0]));
    const slopes = points.map((_, at) => {
        const [before, after] = [secants[at - 1], secants[at]];
        return before === undefined ? after! : after === undefined ? before : before * after <= 0 ? 0 : (before + after) / 2;
    });
    secants.forEach((secant, at) => {
        if (secant === 0) {
            slopes[at] = slopes[at + 1] = 0;
            return;
        }
        const length = Math.hypot(slopes[at]! / secant, slopes[at + 1]! / secant);
        if (length > 3) {
            slopes[at]! *= 3 / length;
            slopes[at + 1]! *= 3 / length;
        }
    });
    const at = points.findIndex(([x], k) => tone >= x && tone < points[k + 1]![0]);
    const [[x, y], [nextX]] = [points[at]!, points[at + 1]!];
    const [h, t, secant, m, next] = [nextX - x, tone - x, secants[at]!, slopes[at]!, slopes[at + 1]!];
    return (((m + next - 2 * secant) / (h * h)) * t + (3 * secant - 2 * m - next) / h) * t * t + m * t + y;
}

/** One more point on the curve, where it changes nothing yet; the point that is there already when there is one. */
export function withPoint(points: Point[], tone: number): { points: Point[]; at: number } {
    const near = points.findIndex(([x]) => Math.abs(x - tone) < APART);
    if (near >= 0) {
        return { points, at: near };
    }
    const at = points.filter(([x]) => x < tone).length;
    return { points: [...points.slice(0, at), [round(tone), round(curveAt(points, tone))], ...points.slice(at)], at };
}

/** One point moved: before it stays between its neighbours, after it goes anywhere. */
export function withPointAt(points: Point[], at: number, [before, after]: Point): Point[] {
    const least = at === 0 ? 0 : points[at - 1]![0] + APART;
    const most = at === points.length - 1 ? 1 : points[at + 1]![0] - APART;
    return points.map((point, other) => (other === at ? [round(clamp(before, least, most)), round(clamp(after, 0, 1))] : point));
}

/** Whether every tone stays as it is. */
export const isStraight = (points: Point[]) => points.length === 2 && points.every(([before, after]) => before === after) && points[0]![0] === 0 && points[1]![0] === 1;
