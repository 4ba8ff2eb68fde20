import { test } from '@playwright/test';
import { beds } from './marsh';
import { Walk } from './walk';
test('explore19', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 19, name: 'x', allowed: 9, ends: '' }, beds);
    await walk.add(/^Sky and ground/);
    await walk.colour('Ramp: its colour', '#4d6b5e');
    await walk.add(/^Haze A veil/, [[636, 4], [150, 190]]);
    await walk.colour('Ramp: its colour', '#b9e8b0');
    await page.screenshot({ path: '/tmp/zz.png' });
});
