import { describe, expect, it } from 'vitest';
import { arcBetween, fromDial, onDial, turnTo } from './dial';

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

    it('asks for directions that there are', () => {
        expect(turnTo(370.04, 95)).toEqual({ azimuth: 10, elevation: 90 });
        expect(turnTo(-190, -20.26)).toEqual({ azimuth: 170, elevation: -20.3 });
    });

    it('draws the shorter way, and one over the camera between opposites', () => {
        const arc = arcBetween({ azimuth: 0, elevation: 0 }, { azimuth: 90, elevation: 0 });
        expect(arc[12]?.azimuth).toBeCloseTo(45);
        expect(arcBetween({ azimuth: 0, elevation: 0 }, { azimuth: 180, elevation: 0 })[12]?.elevation).toBeCloseTo(90);
    });
});
