import { describe, expect, it } from 'vitest';
import type { Point } from '../api/types';
import { curveAt, isStraight, withPoint, withPointAt } from './curves';

describe('curves', () => {
    const points: Point[] = [[0, 0], [0.25, 0.5], [0.5, 0.625], [1, 0.875]];

    it('goes through its points and stays between them', () => {
        points.slice(0, 3).forEach(([before, after]) => expect(curveAt(points, before)).toBeCloseTo(after, 9));
        expect(curveAt(points, 1)).toBe(0.875);
        // slopes 2 and 1.25 at the ends of the first stretch, by hand: 0.125 (1.75 + ...) of a cubic through both
        expect(curveAt(points, 0.125)).toBeCloseTo(0.5 * 0.5 + (0.25 * (2 - 1.25)) / 8, 9);
        let last = 0;
        for (let k = 0; k <= 100; k++) {
            expect(curveAt(points, k / 100)).toBeGreaterThanOrEqual(last - 1e-9);
            last = curveAt(points, k / 100);
        }
    });

    it('puts a point where it changes nothing, once', () => {
        const more = withPoint(points, 0.7);
        expect(more.at).toBe(3);
        expect(more.points[3]![1]).toBeCloseTo(curveAt(points, 0.7), 3);
        expect(withPoint(more.points, 0.702)).toEqual({ points: more.points, at: 3 });
    });

    it('keeps points in their order', () => {
        expect(withPointAt(points, 1, [0.9, 0.2])[1]).toEqual([0.49, 0.2]);
        expect(withPointAt(points, 0, [-3, 2])[0]).toEqual([0, 1]);
        expect(isStraight([[0, 0], [1, 1]])).toBe(true);
        expect(isStraight(points)).toBe(false);
    });
});
