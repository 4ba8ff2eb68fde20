import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { addSpot, drop, newScene, pngOf, settled } from './help';

const grey = (width: number, height: number) => pngOf(width, height, (x) => [x % 256, 90, 120]);

test('says in place why a file is no picture, and makes no scene', async ({ page }) => {
    await page.goto('/');
    const count = async () => ((await (await page.request.get('/api/scenes')).json()) as { scenes: unknown[] }).scenes.length;
    const before = await count();
    for (const [name, bytes, says] of [
        ['notes.png', Buffer.from('only words'), /notes.png is not a PNG or JPEG/],
        ['nothing.png', Buffer.alloc(0), /nothing.png is empty/],
        ['short.png', grey(40, 30).subarray(0, 90), /short.png is cut off/],
    ] as const) {
        await drop(page, page.locator('main'), name, 'image/png', Buffer.from(bytes));
        await expect(page.getByRole('alert')).toContainText(says);
    }
    expect(await count()).toBe(before);
    await expect(page).toHaveURL('/');
});

test('a scene on the wall can be deleted, and brought back', async ({ page }) => {
    await newScene(page, grey(60, 40), 'ferry_hut.png');
    await page.getByRole('button', { name: 'To the scenes' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toBeVisible();
    page.on('dialog', (dialog) => void dialog.accept());
    await page.getByRole('button', { name: 'Delete Ferry hut' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toBeVisible();
});

test('both screens can be read by a screen reader', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('button', { name: /New scene/ })).toBeVisible();
    const serious = async () => (await new AxeBuilder({ page }).analyze()).violations.filter((violation) => ['serious', 'critical'].includes(violation.impact ?? '')).map((violation) => `${violation.id}: ${violation.nodes[0]?.html}`);
    expect(await serious()).toEqual([]);
    await newScene(page, grey(160, 100));
    await addSpot(page);
    await settled(page);
    expect(await serious()).toEqual([]);
});

test('a packed scene is taken in again, and what was deleted can be brought back from below', async ({ page }) => {
    const scene = await newScene(page, grey(60, 40), 'eel_traps.png');
    await addSpot(page);
    const packed = await (await page.request.get(`/api/scenes/${scene}/packed`)).body();
    await page.goto('/');
    await drop(page, page.locator('main'), 'eel-traps.zip', 'application/zip', packed);
    await page.waitForURL((url) => url.pathname.startsWith('/scenes/') && !url.pathname.endsWith(scene));
    await expect(page.locator('[data-strip][aria-label^="Spot"]')).toBeVisible();
    await expect(page.getByLabel('Title of the scene')).toHaveValue('Eel traps');
    // a scene file without its pictures says which one is missing
    await page.goto('/');
    const file = await (await page.request.get(`/api/scenes/${scene}/file`)).body();
    await drop(page, page.locator('main'), 'eel-traps.json', 'application/json', file);
    await expect(page.getByRole('alert')).toContainText('eel_traps.png');
    await expect(page.getByTestId('storage')).toHaveText(/Storage used: .* free/);

    page.on('dialog', (dialog) => void dialog.accept());
    await page.getByRole('button', { name: 'Delete Eel traps' }).first().click();
    await page.getByText(/^Deleted scenes/).click();
    await page.getByRole('button', { name: 'Bring back Eel traps' }).first().click();
    await expect(page.getByText('"Eel traps" is back.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Eel traps' })).toHaveCount(2);
});
