import { describe, expect, it } from 'vitest';
import { allowed } from './ranges';

describe('what a handle may ask for', () => {
    it('stays within the range of the value', () => {
        expect(allowed('spot', 'beam', 500, {})).toBe(170);
        expect(allowed('spot', 'reach', -4, {})).toBe(1);
        expect(allowed('radial', 'radius', 12.3456, {})).toBe(12.34);
        expect(allowed('plate', 'scale', 0.333333, {})).toBeCloseTo(0.3333, 9);
    });

    it('stays so many times another value', () => {
        expect(allowed('spot', 'field', 10, { beam: 40 })).toBe(42);
        expect(allowed('spot', 'field', 300, { beam: 40 })).toBe(120);
    });

    it('leaves alone what it does not know', () => {
        expect(allowed('spot', 'nothing', 7.123, {})).toBe(7.123);
    });
});
