import { describe, expect, it } from 'vitest';
import type { Mask, Strip } from '../../api/types';
import { groundOf, mapped } from '../../session/ground';
import { noHold, snapped } from '../handles/snap';
import { pathOf } from '../handles/OutlineHandles';
import { groundFor, inWords, joinOf, letsAllIn, paintable, paintTarget } from './target';

const mask = (id: string, kind: string, on: Mask['on']): Mask => ({ id, kind, on, problem: null, join: 'intersect', inverted: false, off: false, values: {} });

const strip = (family: Strip['family'], masks: Mask[] = []) => ({ id: 's', name: 'Heron', family, masks, values: {} }) as unknown as Strip;

describe('what a stroke lands on', () => {
    it('is a rough cut of a plate unless something else is asked for, and the falloff of other strips', () => {
        expect(paintable(strip('plate'))).toEqual(['rough cut', 'exact mask', 'falloff']);
        expect(paintTarget(strip('plate'), null, null)).toEqual({ mask: null, kind: 'painted cut', on: 'plate' });
        expect(paintTarget(strip('plate'), null, 'exact mask')).toEqual({ mask: null, kind: 'strokes', on: 'plate' });
        expect(paintTarget(strip('plate'), null, 'falloff')).toEqual({ mask: null, kind: 'strokes', on: 'scene' });
        expect(paintTarget(strip('light'), null, 'rough cut')).toEqual({ mask: null, kind: 'strokes', on: 'scene' });
        expect(groundFor(strip('plate'), 'falloff')).toBe('scene');
        expect(groundFor(strip('plate'), null)).toBe('plate');
    });

    it('is the chosen mask when it takes strokes, else the last of its own', () => {
        const masks = [mask('a', 'strokes', 'scene'), mask('b', 'strokes', 'scene'), mask('c', 'linear', 'scene')];
        expect(paintTarget(strip('light', masks), 'a', null).mask?.id).toBe('a');
        expect(paintTarget(strip('light', masks), 'c', null).mask?.id).toBe('b');
    });

    it('is what lets a plate of a trio in, not a new cut-out', () => {
        expect(paintTarget(strip('plate', [mask('a', 'strokes', 'scene')]), null, null).mask?.id).toBe('a');
        expect(paintTarget(strip('plate', [mask('b', 'painted cut', 'plate'), mask('a', 'strokes', 'scene')]), null, null).mask?.id).toBe('b');
        expect(paintTarget(strip('plate', [mask('b', 'painted cut', 'plate'), mask('a', 'strokes', 'scene')]), null, 'falloff').mask?.id).toBe('a');
    });

    it('has nothing to let in before something was held back, or begun with nothing', () => {
        const strokes = (values: Mask['values']) => strip('light', [{ ...mask('a', 'strokes', 'scene'), values }]);
        const of = (own: Strip) => letsAllIn(paintTarget(own, null, null));
        expect(of(strip('light'))).toBe(true);
        expect(of(strokes({ start: 'shown', strokes: [] }))).toBe(true);
        expect(of(strokes({ start: 'hidden', strokes: [] }))).toBe(false);
        expect(of(strokes({ start: 'shown', strokes: ['9f3c'] as unknown as Mask['values'][string] }))).toBe(false);
        expect(of(strip('plate'))).toBe(false);
    });

    it('is said in words', () => {
        expect(inWords(strip('plate'), paintTarget(strip('plate'), null, null))).toBe('new rough cut of Heron');
        expect(inWords(strip('light', [mask('a', 'strokes', 'scene')]), paintTarget(strip('light', [mask('a', 'strokes', 'scene')]), null, null))).toBe('falloff of Heron');
    });

    it('joins what is there already', () => {
        expect(joinOf(strip('plate'), 'plate', false)).toBe('intersect');
        expect(joinOf(strip('plate', [mask('a', 'outline', 'plate')]), 'plate', false)).toBe('add');
        expect(joinOf(strip('plate', [mask('a', 'outline', 'scene')]), 'plate', false)).toBe('intersect');
        expect(joinOf(strip('plate'), 'plate', true)).toBe('take away');
    });
});

describe('grounds', () => {
    it('go there and back, and know their scale', () => {
        const plate = { ...strip('plate'), maps: { toScene: [2, 0, 10, 0, 2, 20, 0, 0, 1], toPlate: [0.5, 0, -5, 0, 0.5, -10, 0, 0, 1] } } as Strip;
        const ground = groundOf(plate, 'plate');
        expect(ground.toScene([3, 4])).toEqual([16, 28]);
        expect(ground.fromScene([16, 28])).toEqual([3, 4]);
        expect(ground.scale([16, 28])).toBeCloseTo(2);
        expect(groundOf(plate, 'scene').toScene([3, 4])).toEqual([3, 4]);
        expect(mapped([1, 0, 0, 0, 1, 0, 0, 0.01, 1], [10, 100])).toEqual([5, 50]);
    });
});

describe('snapping', () => {
    const corners: [number, number][] = [
        [10, 10],
        [50, 10],
        [50, 40],
        [10, 40],
    ];
    const scene = { width: 200, height: 100 };

    it('holds edges and middles, and says where', () => {
        const lens = { zoom: 1, origin: [0, 0] as [number, number] };
        expect(snapped(corners, [-8, 0], scene, lens, noHold())).toEqual({ by: [-10, 0], guides: { x: 0, y: null } });
        expect(snapped(corners, [72, 23], scene, lens, noHold())).toEqual({ by: [70, 25], guides: { x: 100, y: 50 } });
        expect(snapped(corners, [-8, 0], scene, { ...lens, zoom: 4 }, noHold()).guides.x).toBeNull();
    });

    it('lets go when it is pulled, and does not take hold again before the hand has let go', () => {
        const lens = { zoom: 1, origin: [0, 0] as [number, number] };
        const hold = noHold();
        expect(snapped(corners, [-8, 0], scene, lens, hold).guides.x).toBe(0);
        expect(snapped(corners, [4, 0], scene, lens, hold).by[0]).toBe(-10);
        expect(snapped(corners, [8, 0], scene, lens, hold).by[0]).toBe(8);
        expect(snapped(corners, [-9, 0], scene, lens, hold)).toMatchObject({ by: [-9, 0], guides: { x: null } });
        expect(snapped(corners, [68, 0], scene, lens, hold).guides.x).toBe(100);
    });
});

describe('paths', () => {
    it('are straight or curved as their points say', () => {
        const place = (point: [number, number]): [number, number] => point;
        expect(pathOf([{ at: [0, 0] }, { at: [10, 0] }, { at: [10, 10] }], place, true)).toBe('M 0.0 0.0 L 10.0 0.0 L 10.0 10.0 L 0.0 0.0 Z');
        expect(pathOf([{ at: [0, 0], out: [5, 0] }, { at: [10, 10] }], place, false)).toBe('M 0.0 0.0 C 5.0 0.0 10.0 10.0 10.0 10.0');
    });
});
