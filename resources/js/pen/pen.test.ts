import { describe, expect, it } from 'vitest';
import { mirroredStroke, Pen, recorded, Steadied, withPoint } from './pen';

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

describe('a steadied hand', () => {
    it('comes after the hand without trembling as much, and stays where an unsteadied one is', () => {
        const trembling = Array.from({ length: 120 }, (_, k): [number, number] => [k * 4, 50 + (k % 2 === 0 ? 6 : -6)]);
        const height = (share: number) => {
            const hand = new Steadied(share);
            const way = trembling.map(([x, y], k) => hand.after(x, y, k * 16)).slice(90);
            return Math.max(...way.map(([, y]) => y)) - Math.min(...way.map(([, y]) => y));
        };
        expect(height(0)).toBe(12);
        expect(height(0.5)).toBeLessThan(4);
        expect(height(1)).toBeLessThan(height(0.5));
        const hand = new Steadied(1);
        hand.after(0, 0, 0);
        hand.after(100, 0, 10);
        // it arrives when the hand waits
        expect(hand.after(100, 0, 3000)[0]).toBeCloseTo(100, 2);
    });

    it('paints on the other side of a line, twice there is once back', () => {
        const stroke = { size: 4, hardness: 0, opacity: 100, flow: 100, spacing: 25, letsIn: true, pressure: 'nothing', points: [[10, 20, 0.5, 0], [14, 28, 1, 30]] as [number, number, number, number][] };
        expect(mirroredStroke(stroke, [[50, 0], [50, 90]]).points).toEqual([[90, 20, 0.5, 0], [86, 28, 1, 30]]);
        const across: [[number, number], [number, number]] = [[0, 0], [30, 30]];
        expect(mirroredStroke(stroke, across).points[0]).toEqual([20, 10, 0.5, 0]);
        expect(mirroredStroke(mirroredStroke(stroke, across), across)).toEqual(stroke);
    });
});
