import { describe, expect, it } from 'vitest';
import type { Strip } from '../api/types';
import { arcBetween, fromDial, onDial, toPlateBearing, turnedSpot } from './turning';

const strip = (values: Strip['values']) => ({ values }) as Strip;

describe('the compass', () => {
    it('puts the camera in the middle and the picture plane on the rim', () => {
        expect(onDial(37, 90, 50, 80)[0]).toBeCloseTo(0);
        expect(onDial(90, 0, 50, 80)).toEqual([expect.closeTo(0), expect.closeTo(-50)]);
        expect(onDial(0, -45, 50, 80)[0]).toBeCloseTo(75);
        expect(onDial(0, -90, 50, 80)[0]).toBe(80);
    });

    it('reads back what it shows', () => {
        for (const [azimuth, elevation] of [
            [20, 10],
            [-130, 60],
            [170, -20],
        ] as const) {
            const back = fromDial(onDial(azimuth, elevation, 50, 100), 50);
            expect(back.azimuth).toBeCloseTo(azimuth);
            expect(back.elevation).toBeCloseTo(elevation);
        }
    });

    it("gives a plate's own bearing, turned and mirrored back", () => {
        expect(toPlateBearing(strip({ turn: 30, mirrored: false }), 50, 20)).toEqual({ azimuth: 20, elevation: 20 });
        expect(toPlateBearing(strip({ turn: 30, mirrored: true }), 50, 95)).toEqual({ azimuth: 160, elevation: 90 });
    });

    it('carries a spot round what it lights, at the same distance', () => {
        const values = turnedSpot(strip({ origin: [100, 50], target: [60, 60] }), [50, 50], 90, 12);
        expect(values).toEqual({ origin: [50, 0], elevation: 12 });
    });

    it('draws the shorter way, and one over the camera between opposites', () => {
        const arc = arcBetween({ azimuth: 0, elevation: 0 }, { azimuth: 90, elevation: 0 });
        expect(arc[12]?.azimuth).toBeCloseTo(45);
        expect(arcBetween({ azimuth: 0, elevation: 0 }, { azimuth: 180, elevation: 0 })[12]?.elevation).toBeCloseTo(90);
    });
});
