import { set } from './slice';
import { beforeEach, expect, test } from 'vitest';
import type { Stroke } from '../api/types';
import { useWork, work } from './store';

beforeEach(() => work.reset({ id: 's', width: 320, height: 200 }));

const state = () => useWork.getState();

const stroke = (x: number): Stroke => ({ size: 9, hardness: 0, opacity: 100, flow: 100, spacing: 25, letsIn: true, pressure: 'nothing', points: [[x, 2, 1, 0]] });

test('what is pending is what the hand does on top of what is not written', () => {
    work.live('a', { level: 1, values: { beam: 20 } });
    work.letGo('one', { a: { level: 1, values: { beam: 20 } } });
    expect([state().hand, state().unwritten.map(({ key }) => key), state().moving]).toEqual([{}, ['one'], false]);
    work.live('a', { values: { beam: 30 } });
    work.live('b', { muted: true });
    expect(state().pending).toEqual({ a: { level: 1, values: { beam: 30 } }, b: { muted: true } });
    // written: only the hand is left
    work.settle('one');
    expect(state().pending).toEqual({ a: { values: { beam: 30 } }, b: { muted: true } });
    work.drop('a');
    expect(state().pending).toEqual({ b: { muted: true } });
});

test('escape takes back the hand alone, not what it did before', () => {
    work.letGo('one', { a: { level: 2 } });
    work.live('a', { level: 5 });
    work.drop('a');
    expect(state().pending).toEqual({ a: { level: 2 } });
});

test('gestures are settled in any order, each taking its own away', () => {
    work.letGo('one', { a: { level: 1 } });
    work.letGo('two', { a: { level: 2 }, b: { level: 3 } });
    work.letGo('three', { a: { name: 'N' } });
    expect(state().pending).toEqual({ a: { level: 2, name: 'N' }, b: { level: 3 } });
    work.settle('two');
    expect(state().pending).toEqual({ a: { level: 1, name: 'N' } });
    work.settle('nobody knows this one');
    work.settle('one');
    work.settle('three');
    expect([state().pending, state().unwritten]).toEqual([{}, []]);
});

test('a growing stroke stays one, and comes behind those that wait', () => {
    const grow = (x: number) => work.live('a', { masks: { m: { strokes: [stroke(x)] } } });
    [1, 2, 3].forEach(grow);
    expect(state().pending.a?.masks?.m?.strokes).toEqual([stroke(3)]);
    work.letGo('one', { a: { masks: { m: { strokes: [stroke(3)] } } } });
    [4, 5].forEach(grow);
    expect(state().pending.a?.masks?.m?.strokes).toEqual([stroke(3), stroke(5)]);
});

test('choosing another strip ends what belongs to the one before', () => {
    set({ chosen: 'a', also: ['b'], pointer: { does: 'fit' }, tint: 'a', maskAlone: 'm', mask: 'm' });
    work.choose('a', 'm');
    expect(state()).toMatchObject({ also: ['b'], pointer: { does: 'fit' }, maskAlone: 'm' });
    work.choose('b');
    expect(state()).toMatchObject({ chosen: 'b', mask: null, also: [], pointer: { does: 'tool', tool: 'move' }, tint: null, maskAlone: null });
});

test('solo and the other chosen plates are switched on and off', () => {
    work.toggleSolo('a');
    work.toggleSolo('b');
    work.toggleSolo('a');
    work.toggleAlso('c');
    expect([state().solo, state().also]).toEqual([['b'], ['c']]);
    work.toggleAlso('c');
    expect(state().also).toEqual([]);
});

test('lines that a draft brought go with the gesture that they belong to', () => {
    set({ outlines: { a: { beam: [] }, b: { beam: [] } }, noticed: { readings: [] } });
    work.letGo('one', { a: { level: 1 } });
    expect(Object.keys(state().outlines)).toEqual(['a', 'b']);
    work.settle('one');
    expect([Object.keys(state().outlines), state().noticed]).toEqual([['b'], {}]);
});
