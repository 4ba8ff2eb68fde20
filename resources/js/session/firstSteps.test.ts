import { expect, test } from 'vitest';
import { firstSteps, nextOf } from './firstSteps';

test('what comes next is the first step that was not done, whatever was done before it', () => {
    expect(nextOf([])?.key).toBe('choose');
    expect(nextOf(['choose', 'light'])?.key).toBe('bearing');
    expect(nextOf(['choose', 'bearing', 'light', 'of an earlier version'])?.key).toBe('fade');
    expect(nextOf(firstSteps.map(({ key }) => key))).toBeNull();
});
