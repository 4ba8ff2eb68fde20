import { expect, test } from 'vitest';
import type { Strip } from '../api/types';
import { faded, firstSteps, nextOf, seenLevels } from './firstSteps';
import { isLight } from './strips';

test('what comes next is the step after the last one that was done', () => {
    expect(nextOf([])?.key).toBe('choose');
    // whoever went on is not sent back; what was left out comes at the end
    expect(nextOf(['choose', 'light'])?.key).toBe('fade');
    expect(nextOf(firstSteps.map(({ key }) => key).filter((key) => key !== 'bearing'))?.key).toBe('bearing');
    expect(nextOf(['choose', 'bearing', 'light', 'of an earlier version'])?.key).toBe('fade');
    expect(nextOf(firstSteps.map(({ key }) => key))).toBeNull();
});

test('a light is faded when it is not as bright as when it was seen first, not when it is added', () => {
    const light = (id: string, level: number) => ({ id, level, kind: 'spot', values: {}, masks: [] }) as unknown as Strip;
    expect(isLight(light('one', 1))).toBe(true);
    const opened = seenLevels({}, [light('one', 1)]);
    expect(faded(opened, [light('one', 1)])).toBe(false);
    const added = seenLevels(opened, [light('one', 1), light('two', 0.5)]);
    expect(faded(added, [light('one', 1), light('two', 0.5)])).toBe(false);
    expect(seenLevels(added, [light('two', 0.2)])).toBe(added);
    expect(faded(added, [light('one', 1), light('two', 0.2)])).toBe(true);
});
