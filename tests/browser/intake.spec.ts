import { expect, test } from '@playwright/test';
import { addSpot, newScene, pngOf, settled, watch } from './help';

/** A picture that takes a while to come and to decode. */
const large = pngOf(4000, 3000, (x, y) => [(x * 7 + y * 3) % 251, (x * y) % 199, (x + y * 5) % 241]);

test.describe.configure({ timeout: 120_000 });

test('a large picture says how far it is, the rest goes on, and it becomes a plate', async ({ page }) => {
    await newScene(page, pngOf(320, 200, (x) => [40, 60 + (x % 30), 80]));
    await addSpot(page);
    await page.locator('input[type=file]').first().setInputFiles({ name: 'salt_marsh.png', mimeType: 'image/png', buffer: large });
    const coming = page.getByRole('list', { name: 'Being taken in' });
    await expect(coming).toContainText('Taking in salt_marsh.png');
    await expect(coming.getByRole('progressbar')).toHaveAttribute('value', /^0\.\d/);
    // a gesture is written while the file is on its way
    await page.locator('[data-strip][aria-label^="Spot"]').click();
    const written = page.waitForResponse((response) => response.url().includes('/gestures/') && response.ok());
    await page.keyboard.press('m');
    await written;
    if (process.env.SHOT) {
        await page.screenshot({ path: process.env.SHOT });
    }
    await expect(coming).toBeVisible();
    await expect(page.locator('[data-strip][aria-label^="Salt marsh"]')).toBeVisible({ timeout: 60_000 });
    await expect(coming).toHaveCount(0);
    await settled(page);
});

test('what is on its way can be cancelled, and leaves nothing behind', async ({ page }) => {
    await page.goto('/');
    const made = async () => ((await (await page.request.get('/api/scenes')).json()) as { scenes: { title: string }[] }).scenes.filter(({ title }) => title === 'Reeds').length;
    await page.locator('input[type=file]').first().setInputFiles({ name: 'reeds.png', mimeType: 'image/png', buffer: Buffer.concat([large, Buffer.alloc(9)]) });
    await page.getByRole('button', { name: 'Cancel reeds.png' }).click();
    await expect(page.getByRole('list', { name: 'Being taken in' })).toHaveCount(0);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expect(page.getByRole('button', { name: /New scene/ })).toBeVisible();
    expect(await made()).toBe(0);
});

test('a line that breaks is waited for, and the file goes on where it was', async ({ page }) => {
    await watch(page);
    await page.goto('/');
    let parts = 0;
    await page.route('**/api/intakes/*?from=*', (route) => (++parts === 2 ? route.abort('connectionreset') : route.continue()));
    await page.locator('input[type=file]').first().setInputFiles({ name: 'ferry.png', mimeType: 'image/png', buffer: large });
    await expect(page.getByRole('list', { name: 'Being taken in' })).toContainText('The server does not answer.');
    await page.waitForURL(/\/scenes\//, { timeout: 90_000 });
    await settled(page);
    await expect(page.getByLabel('Title of the scene')).toHaveValue('Ferry');
});
