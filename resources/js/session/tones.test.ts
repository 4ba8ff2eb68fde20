import { expect, test } from 'vitest';
import { around, meanTone, moved, passes, type Limits } from './tones';

const limits: Limits = [0.2, 0.3, 0.6, 0.8];

test('a limit that is dragged pushes the others along and never crosses them', () => {
    expect(moved(limits, [1], 0.1)).toEqual([0.2, 0.4, 0.6, 0.8]);
    expect(moved(limits, [1], 0.45)).toEqual([0.2, 0.75, 0.75, 0.8]);
    expect(moved(limits, [2], -0.5)).toEqual([0.1, 0.1, 0.1, 0.8]);
    expect(moved(limits, [0, 1], -0.9)).toEqual([0, 0.1, 0.6, 0.8]);
    expect(moved(limits, [2, 3], 0.9)).toEqual([0.2, 0.3, 0.8, 1]);
});

test('a tone that is picked passes, others further off do not', () => {
    const { darks, brights } = around(0.5);
    const about: Limits = [...darks, ...brights];
    expect(passes(about, 0.5)).toBe(1);
    expect(passes(about, 0.2)).toBe(0);
    expect(passes(about, 0.8)).toBe(0);
    expect(around(0.03).darks).toEqual([0, 0]);
    expect(around(0.97).brights).toEqual([1, 1]);
});

test('what passes is drawn as the definition says', () => {
    expect(passes(limits, 0.25)).toBeCloseTo(0.5);
    expect(passes(limits, 0.7)).toBeCloseTo(0.5);
    expect(passes([0, 0, 1, 1], 0)).toBe(1);
    expect(passes([0.4, 0.4, 0.5, 0.5], 0.4)).toBe(1);
    expect(passes([0.4, 0.4, 0.5, 0.5], 0.39)).toBe(0);
});

test('the mean of counted tones', () => {
    expect(meanTone(null)).toBeNull();
    const counts = Array.from({ length: 256 }, () => 0);
    counts[51] = 3;
    counts[102] = 1;
    expect(meanTone(counts)).toBeCloseTo((3 * 51 + 102) / 4 / 255);
});
