import { expect, test } from 'vitest';
import type { Strip } from '../api/types';
import { allStacked, changed, everyStrip, joined, stacked } from './strips';

const spot: Strip = {
    id: 's', kind: 'spot', family: 'light', name: 'Spot', mode: 'airlight', level: 0, muted: false, confinedTo: 'p',
    values: { beam: 20, origin: [1, 2] },
    masks: [{ id: 'm', kind: 'linear', on: 'scene', problem: null, join: 'intersect', inverted: false, off: false, values: { from: [0, 0], to: [0, 9] } }],
    revision: 3, outlines: {}, inForce: {}, colours: {}, atLimit: false,
};

test('pending changes are merged by name, like the server merges them', () => {
    const next = changed(spot, { level: 1, confinedTo: null, values: { beam: 30 }, masks: { m: { inverted: true, values: { to: [5, 5] } } } });
    expect(next).toMatchObject({ level: 1, confinedTo: undefined, values: { beam: 30, origin: [1, 2] } });
    expect(next.masks[0]).toMatchObject({ inverted: true, values: { from: [0, 0], to: [5, 5] } });
    expect(changed(spot, undefined)).toBe(spot);
});

test('two changes join with the later one on top', () => {
    const both = joined({ level: 1, values: { beam: 30 }, masks: { m: { values: { to: [1, 1] } } } }, { level: 2, values: { field: 50 }, masks: { m: { off: true } } });
    expect(both).toEqual({ level: 2, values: { beam: 30, field: 50 }, masks: { m: { off: true, values: { to: [1, 1] } } } });
});

test('strips in groups are found too', () => {
    const group: Strip = { ...spot, id: 'g', kind: 'group', family: 'group', strips: [spot] };
    expect(everyStrip([group], { s: { level: 4 } }).map((strip) => [strip.id, strip.level])).toEqual([['g', 0], ['s', 4]]);
});

test('puts a stroke behind the others once, though it is pending when it is written already', () => {
    const stroke = { size: 9, hardness: 0, opacity: 100, flow: 100, spacing: 25, letsIn: true, pressure: 'nothing', points: [[1, 2, 1, 0]] as [number, number, number, number][] };
    const change = { masks: { m: { strokes: [stroke] } } };
    const painted = { id: 's', values: {}, masks: [{ id: 'm', kind: 'strokes', on: 'scene', problem: null, join: 'intersect', inverted: false, off: false, values: { strokes: [] } }] } as unknown as Parameters<typeof changed>[0];
    const once = changed(painted, change);
    expect(once.masks[0]?.values.strokes).toEqual([stroke]);
    expect(changed(once, change).masks[0]?.values.strokes).toEqual([stroke]);
});

test('gestures stack: strokes of both stay, a growing stroke takes its own place', () => {
    const stroke = (x: number) => ({ size: 9, hardness: 0, opacity: 100, flow: 100, spacing: 25, letsIn: true, pressure: 'nothing', points: [[x, 2, 1, 0]] as [number, number, number, number][] });
    const one = { muted: true, masks: { m: { strokes: [stroke(1)] } } };
    const two = { level: 2, masks: { m: { strokes: [stroke(2)] } } };
    expect(stacked(one, two)).toEqual({ muted: true, level: 2, masks: { m: { strokes: [stroke(1), stroke(2)], values: {} } } });
    expect(joined(one, two).masks?.m?.strokes).toEqual([stroke(2)]);
    // what changes afterwards does not bring the stroke again
    expect(stacked(one, { muted: false })).toEqual({ muted: false, masks: { m: { strokes: [stroke(1)] } } });
    expect(allStacked([{ s: one }, { t: { level: 1 } }, { s: two }])).toEqual({ s: stacked(one, two), t: { level: 1 } });
});
