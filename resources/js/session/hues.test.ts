import { expect, test } from 'vitest';
import { drawn, hueName, marked, movedRound, share, type Hues } from './hues';

const NAMES = ['red', 'orange', 'blue'];
const MIDDLES = [29, 53, 264];

test('limits go round the join, push one another along and never go further than once round', () => {
    expect(movedRound([10, 20, 40, 60], [0, 1, 2, 3], -30)).toEqual([340, 350, 370, 390]);
    expect(movedRound([340, 350, 370, 390], [0, 1, 2, 3], 45)).toEqual([25, 35, 55, 75]);
    expect(movedRound([10, 20, 40, 60], [1], 30)).toEqual([10, 50, 50, 60]);
    expect(movedRound([10, 20, 40, 60], [2], -35)).toEqual([5, 5, 5, 60]);
    expect(movedRound([10, 20, 40, 360], [3], 20)).toEqual([10, 20, 40, 360]);
    expect(movedRound([2, 20, 40, 60], [0], -10)).toEqual([352, 380, 400, 420]);
});

test('a stretch is drawn with soft shoulders, in either direction', () => {
    expect(drawn(80, 120)).toEqual([68, 80, 120, 132]);
    expect(drawn(20, -10)).toEqual([338, 350, 380, 392]);
});

test('what lies in it is drawn as the definition says, the way round', () => {
    const hues: Hues = [340, 350, 370, 390];
    expect([345, 355, 5, 10, 20, 30, 200].map((hue) => Math.round(100 * share(hues, hue)) / 100)).toEqual([0.5, 1, 1, 1, 0.5, 0, 0]);
    expect(share([90, 90, 160, 160], 90)).toBe(1);
    expect(share([90, 90, 160, 160], 160)).toBe(1);
    expect(share([90, 90, 160, 160], 160.5)).toBe(0);
});

test('a hue that is marked is one that is there, the one that changes nothing yet, or a new one', () => {
    const calm = { hues: [0, 20, 40, 60] as Hues, chroma: 0.7 };
    const none = { hues: [200, 220, 240, 260] as Hues };
    const about: Hues = [100, 110, 130, 140];
    expect(marked([calm, none], 1, 30, about)).toEqual({ stretches: [calm, none], at: 0 });
    expect(marked([calm, none], 1, 120, about)).toEqual({ stretches: [calm, { hues: about }], at: 1 });
    expect(marked([calm, none], 0, 120, about)).toEqual({ stretches: [calm, none, { hues: about }], at: 2 });
});

test('a stretch has the name of the hue in its middle', () => {
    expect(hueName(NAMES, MIDDLES, [10, 20, 40, 60])).toBe('red');
    expect(hueName(NAMES, MIDDLES, [300, 380, 400, 430])).toBe('red');
    expect(hueName(NAMES, MIDDLES, [200, 250, 260, 300])).toBe('blue');
});
