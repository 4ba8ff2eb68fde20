import { expect, test } from 'vitest';
import { ago, figure, megabytes, waiting } from './words';

test('numbers are shown with as many decimals as their step, and a proper minus', () => {
    expect(figure(-0.5, 0.05, true)).toBe('−0.50');
    expect(figure(1.25, 0.05, true)).toBe('+1.25');
    expect(figure(-0.001, 1)).toBe('0');
    expect(figure(3200, 50)).toBe('3200');
});

test('times and sizes are said in words', () => {
    const now = Date.parse('2026-11-24T12:00:00Z');
    expect(ago('2026-11-24T11:59:40Z', now)).toBe('just now');
    expect(ago('2026-11-24T11:58:40Z', now)).toBe('1 minute ago');
    expect(ago('2026-11-22T11:00:00Z', now)).toBe('2 days ago');
    expect(megabytes(2_450_000)).toBe('2.5 MB');
    expect(megabytes(900)).toBe('1 kB');
    expect(megabytes(0)).toBe('0 kB');
    expect(megabytes(12_345_000_000)).toBe('12.3 GB');
});

test('what waits is named, or counted', () => {
    expect(waiting(['Fade'])).toBe('"Fade" waits to be written');
    expect(waiting(['Fade', 'Reveal', 'Target'])).toBe('3 changes wait to be written');
});
