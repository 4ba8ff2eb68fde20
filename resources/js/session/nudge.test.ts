import { expect, test } from 'vitest';
import type { Strip } from '../api/types';
import { nudged } from './nudge';

const strip = (more: Partial<Strip>) => ({ id: 's', values: {}, masks: [], inForce: {}, ...more }) as unknown as Strip;

test('what a strip has of places goes along, what its source holds stays', () => {
    expect(nudged(strip({ values: { centre: [10, 20], size: 4 } }), [1, -2])).toEqual({ values: { centre: [11, 18] } });
    expect(nudged(strip({ values: { centre: [10, 20], middle: [5, 5] }, inForce: { centre: [9, 9] } }), [1, 0])).toEqual({ values: { middle: [6, 5] } });
    expect(nudged(strip({ values: { corners: [[0, 0], [2, 0], [2, 2], [0, 2]] } }), [1, 1])).toEqual({ values: { corners: [[1, 1], [3, 1], [3, 3], [1, 3]] } });
    expect(nudged(strip({ values: { colour: { kelvin: 3000 } } }), [1, 1])).toBeNull();
});

test('lines that shine go along with their curves', () => {
    const line = strip({ shines: true, masks: [{ id: 'm', kind: 'outline', on: 'emitter', values: { path: [{ at: [1, 2], out: [3, 0] }, { at: [9, 9] }] } }, { id: 'n', kind: 'outline', on: 'scene', values: { path: [{ at: [0, 0] }] } }] as unknown as Strip['masks'] });
    expect(nudged(line, [10, 0])).toEqual({ values: {}, masks: { m: { values: { path: [{ at: [11, 2], out: [3, 0] }, { at: [19, 9] }] } } } });
});
