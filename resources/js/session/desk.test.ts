import { describe, expect, it } from 'vitest';
import type { Strip } from '../api/types';
import { onDesk, placesTo } from './desk';

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
