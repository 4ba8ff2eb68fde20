import { describe, expect, it } from 'vitest';
import { Pen, recorded, withPoint } from './pen';

const moment = (x: number, time: number, more = {}) => ({ x, y: 0, time, pressure: 0.4, isPen: true, ...more });

describe('the pen', () => {
    it('gives the device its say', () => {
        expect(new Pen(false).pressureOf(moment(0, 0))).toBe(0.4);
        expect(new Pen(false).pressureOf(moment(0, 0, { isPen: false }))).toBe(1);
    });

    it('presses less the faster it goes, and never jumps', () => {
        const run = (step: number) => {
            const pen = new Pen(true);
            return Array.from({ length: 20 }, (_, k) => pen.pressureOf(moment(k * step, k * 16, { isPen: false })));
        };
        const [slow, fast] = [run(2), run(60)];
        expect(slow[19]).toBeGreaterThan(0.9);
        expect(fast[19]).toBeLessThan(0.2);
        for (const pressures of [slow, fast]) {
            pressures.forEach((pressure, k) => expect(Math.abs(pressure - (pressures[k - 1] ?? pressure))).toBeLessThan(0.16));
        }
    });

    it('keeps points that lead somewhere, and standing still every 50 ms', () => {
        let points = withPoint([], 1.04, 2, 1, 0);
        points = withPoint(points, 1.2, 2.1, 1, 10);
        expect(points).toEqual([[1, 2, 1, 0]]);
        points = withPoint(points, 1.2, 2.1, 1, 60);
        expect(points).toHaveLength(2);
        expect(points[1]?.slice(0, 2)).toEqual([1, 2]);
        expect(withPoint(points, 9, 2, 0.5, 70)).toHaveLength(3);
    });

    it('has a recorded stroke to play', () => {
        expect(recorded.length).toBeGreaterThan(8);
        recorded.forEach(([x, , pressure, ms], k) => {
            expect(x).toBeGreaterThanOrEqual(0);
            expect(pressure).toBeGreaterThan(0);
            expect(pressure).toBeLessThanOrEqual(1);
            expect(ms).toBeGreaterThanOrEqual(recorded[k - 1]?.[3] ?? 0);
        });
    });
});
