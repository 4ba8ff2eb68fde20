import { describe, expect, it } from 'vitest';
import { inWords, placeOf, shiftAt } from './shifts';

describe('shifts', () => {
    it('lie on a plane, and come back from it', () => {
        expect(placeOf([100, -50, -50])).toEqual([expect.closeTo(1, 6), expect.closeTo(0, 6)]);
        const shift = shiftAt([-0.3, 0.5], [0, 0, 0]);
        expect(shift[0] + shift[1] + shift[2]).toBeCloseTo(0, 0);
        // its root: a third of the way out is a ninth of the most
        expect(placeOf([11.1, -5.55, -5.55])[0]).toBeCloseTo(1 / 3, 2);
        const [x, y] = placeOf(shift);
        expect(x).toBeCloseTo(-0.3, 2);
        expect(y).toBeCloseTo(0.5, 2);
    });

    it('keep what all three have in common, and stay on the plane', () => {
        expect(shiftAt([0, 0], [12, 6, 0])).toEqual([6, 6, 6]);
        expect(shiftAt([9, 0], [0, 0, 0])).toEqual([100, -50, -50]);
    });

    it('are said in words', () => {
        expect(inWords([0, 0, 0])).toBe('as it is');
        expect(inWords([5, 5, 5])).toBe('as it is');
        expect(inWords([20, -10, -10])).toBe('20 toward red');
        expect(inWords([-10, -10, 20])).toBe('20 toward blue');
    });
});
