import { describe, expect, it } from 'vitest';
import type { Strip } from '../api/types';
import { carried, onDesk, placesOf, placesTo, slotBeside } from './desk';

const strip = (id: string, strips?: Strip[]) => ({ id, name: id, family: strips ? 'group' : 'light', values: {}, masks: [], ...(strips ? { strips } : {}) }) as unknown as Strip;

const strips = [strip('ground'), strip('lamps', [strip('left'), strip('right')]), strip('haze')];

describe('the desk', () => {
    it('shows what a group holds behind it, unless that is folded away', () => {
        expect(onDesk(strips, {}, [], null).map((one) => [one.strip.id, one.group, one.folded])).toEqual([
            ['ground', null, 0],
            ['lamps', null, 0],
            ['left', 'lamps', 0],
            ['right', 'lamps', 0],
            ['haze', null, 0],
        ]);
        expect(onDesk(strips, {}, ['lamps'], 'haze').map((one) => [one.strip.id, one.folded])).toEqual([
            ['ground', 0],
            ['lamps', 2],
            ['haze', 0],
        ]);
    });

    it('never hides the chosen strip', () => {
        expect(onDesk(strips, {}, ['lamps'], 'right').map((one) => one.strip.id)).toContain('right');
        expect(onDesk(strips, {}, ['lamps'], 'lamps').map((one) => one.strip.id)).not.toContain('right');
    });

    it('carries a strip over folded ones', () => {
        const order = ['ground', 'lamps', 'left', 'right', 'haze'];
        const shown = ['ground', 'lamps', 'haze'];
        expect(placesTo(order, shown, 'ground', 2)).toBe(3);
        expect(placesTo(order, shown, 'haze', 1)).toBe(-3);
        expect(placesTo(order, shown, 'ground', 3)).toBe(4);
        expect(placesTo(order, shown, 'lamps', 1)).toBe(0);
        expect(placesTo(order, shown, 'lamps', 2)).toBe(2);
    });
});

it('a strip is carried into the group of what then stands to its right, and out of it', () => {
    const places = placesOf([strip('a'), strip('g', [strip('b'), strip('c')]), strip('d')]);
    expect(places).toEqual([
        { id: 'a', group: null },
        { id: 'g', group: null },
        { id: 'b', group: 'g' },
        { id: 'c', group: 'g' },
        { id: 'd', group: null },
    ]);
    // one place on: before the group's first strip, so into it; two more: out behind it
    expect(carried(places, 'a', 1)).toEqual({ order: ['g', 'a', 'b', 'c', 'd'], into: 'g' });
    expect(carried(places, 'a', 3)).toEqual({ order: ['g', 'b', 'c', 'a', 'd'], into: null });
    expect(carried(places, 'c', 1)).toEqual({ order: ['a', 'g', 'b', 'd', 'c'], into: null });
    // out without changing the order: the last one of a group, before what stands behind it
    expect(carried(places, 'd', -1)).toEqual({ order: ['a', 'g', 'b', 'd', 'c'], into: 'g' });
    // a group goes with all that it holds, past its own strips
    expect(carried(places, 'g', 3)).toEqual({ order: ['a', 'd', 'g', 'b', 'c'], into: null });
    expect(carried(places, 'g', 2)).toBeNull();
    expect(carried(places, 'g', -1)).toEqual({ order: ['g', 'b', 'c', 'a', 'd'], into: null });
    expect(carried(places, 'a', 0)).toBeNull();
    // by a key it goes past its neighbour, whatever it holds
    const shown = onDesk([strip('a'), strip('g', [strip('b'), strip('c')]), strip('d')], {}, [], null);
    expect([slotBeside(shown, 'g', 1), slotBeside(shown, 'g', -1), slotBeside(shown, 'a', 1), slotBeside(shown, 'd', 1)]).toEqual([5, 0, 2, 5]);
});
