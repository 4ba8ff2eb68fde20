import { expect, test } from 'vitest';
import { colourAt, isSmooth, mirrored, reversed, smoothed, valueAt, withOneMore, withStop, withStopAt } from './stops';

test('a stop keeps its place between its neighbours', () => {
    const stops = [{ offset: 0, value: 1, midpoint: 0.5 }, { offset: 0.4, value: 0.5, midpoint: 0.5 }, { offset: 1, value: 0, midpoint: 0.5 }];
    expect(withStop(stops, 1, { offset: 2 })[1]?.offset).toBe(1);
    expect(withStop(stops, 1, { offset: -1 })[1]?.offset).toBe(0);
    expect(withStop(stops, 0, { midpoint: 0.2 })[0]).toEqual({ offset: 0, value: 1, midpoint: 0.2 });
});

test('a reversed course is the same from the other end', () => {
    const stops = [{ offset: 0, value: 1, midpoint: 0.3 }, { offset: 0.4, value: 0.5, midpoint: 0.6 }, { offset: 1, value: 0, midpoint: 0.5 }];
    const turned = reversed(stops);
    expect(turned.map((stop) => stop.value)).toEqual([0, 0.5, 1]);
    expect(turned[1]?.offset).toBeCloseTo(0.6);
    expect(turned[0]?.midpoint).toBeCloseTo(0.4);
    expect(turned[1]?.midpoint).toBeCloseTo(0.7);
    expect(reversed(turned).map((stop) => stop.offset)).toEqual(stops.map((stop) => expect.closeTo(stop.offset)));
});

test('one more stop goes into the middle of the widest gap', () => {
    const stops = [
        { offset: 0, colour: '#000000', opacity: 1, midpoint: 0.5 },
        { offset: 0.2, colour: '#ff0000', opacity: 0.8, midpoint: 0.3 },
        { offset: 1, colour: '#ffffff', opacity: 0, midpoint: 0.5 },
    ];
    expect(withOneMore(stops, 'opacity')).toEqual([stops[0], stops[1], { offset: 0.6, colour: '#ff0000', opacity: 0.4, midpoint: 0.5 }, stops[2]]);
    expect(withOneMore([{ offset: 0.8, value: 0.25 }], 'value')).toEqual([{ offset: 0.8, value: 0.25 }, { offset: 1, value: 0.25, midpoint: 0.5 }]);
});

test('a mask is half way at its midpoint, and holds at its ends', () => {
    const stops = [
        { offset: 0.2, value: 1, midpoint: 0.25 },
        { offset: 0.6, value: 0, midpoint: 0.5 },
    ];
    expect(valueAt(stops, 0)).toBe(1);
    expect(valueAt(stops, 0.3)).toBeCloseTo(0.5, 9);
    expect(valueAt(stops, 0.2)).toBe(1);
    expect(valueAt(stops, 0.9)).toBe(0);
    expect(valueAt([], 0.5)).toBe(1);
});

test('a course that is mirrored goes there and back, and meets itself once', () => {
    const stops = [
        { offset: 0, value: 1, midpoint: 0.5, smooth: true },
        { offset: 1, value: 0, midpoint: 0.5 },
    ];
    const both = mirrored(stops);
    expect(both.map((stop) => stop.offset)).toEqual([0, 0.5, 1]);
    for (const share of [0, 0.1, 0.2, 0.31, 0.5]) {
        expect(valueAt(both, share)).toBeCloseTo(valueAt(stops, 2 * share), 9);
        expect(valueAt(both, 1 - share)).toBeCloseTo(valueAt(stops, 2 * share), 9);
    }
    // a bent stretch is half done at the same place from both ends
    expect(valueAt(mirrored([{ offset: 0, value: 1, midpoint: 0.3 }, { offset: 1, value: 0, midpoint: 0.5 }]), 0.85)).toBeCloseTo(0.5, 9);
    expect(mirrored([{ offset: 0, value: 1, midpoint: 0.5 }, { offset: 0.6, value: 0, midpoint: 0.5 }]).map((stop) => stop.offset)).toEqual([0, 0.3, 0.7, 1]);
});

test('a smooth ramp eases each stretch, and says so of none behind the last stop', () => {
    const stops = [{ offset: 0, value: 0, midpoint: 0.5 }, { offset: 1, value: 1, midpoint: 0.5 }];
    expect(valueAt(smoothed(stops, true), 0.25)).toBeCloseTo(3 * 0.25 ** 2 - 2 * 0.25 ** 3, 9);
    expect(isSmooth(smoothed(stops, true))).toBe(true);
    expect(smoothed(stops, true)[1]).not.toHaveProperty('smooth');
    expect(smoothed(smoothed(stops, true), false)).toEqual(stops);
});

test('colours are mixed premultiplied: one that fades keeps its hue', () => {
    const stops = [{ offset: 0, colour: '#ff8000', opacity: 1, midpoint: 0.5 }, { offset: 1, colour: '#0000ff', opacity: 0, midpoint: 0.5 }];
    expect(colourAt(stops, 0.5)).toEqual([255, 128, 0, 0.5]);
    expect(colourAt(stops, 2)).toEqual([0, 0, 255, 0]);
});

test('a stop that is put on the line changes nothing of a straight ramp', () => {
    const stops = [{ offset: 0, value: 1, midpoint: 0.5 }, { offset: 1, value: 0, midpoint: 0.5 }];
    expect(withStopAt(stops, 0.3)[1]).toEqual({ offset: 0.3, value: 0.7, midpoint: 0.5 });
    expect(withStopAt([{ offset: 0, colour: '#000000', midpoint: 0.5 }, { offset: 1, colour: '#ffffff', midpoint: 0.5 }], 0.2)[1]).toEqual({ offset: 0.2, colour: '#333333', midpoint: 0.5 });
    expect(withStopAt(stops, 1.4)).toHaveLength(3);
});
