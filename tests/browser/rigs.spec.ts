import { expect, test } from '@playwright/test';
import { add, drop, newScene, pngOf, settled, written } from './help';

const wall = (grey: number, width = 400, height = 260) => pngOf(width, height, () => [grey, grey, grey + 10]);

type Stripped = { strips: { kind: string; name: string; values: Record<string, unknown> }[] };

test('strips are copied in one scene and put into another by one chord each', async ({ page, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write']);
    await newScene(page, wall(60));
    await add(page, /^Haze A/);
    await page.keyboard.press('Enter');
    await settled(page);
    await page.keyboard.press('Escape');
    await page.locator('[data-strip][aria-label^="Haze"]').click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('Control+c');
    await expect(page.getByText('One strip is copied.')).toBeVisible();
    const other = await newScene(page, wall(80, 200, 130), 'hut.png');
    await written(page, async () => {
        await page.locator('[data-view]').focus();
        await page.keyboard.press('Control+v');
    });
    await expect(page.locator('[data-strip][aria-label^="Haze"]')).toBeVisible();
    const { strips } = (await (await page.request.get(`/api/scenes/${other}`)).json()) as Stripped;
    expect(strips.map(({ kind }) => kind)).toEqual(['plate', 'haze']);
    await page.getByRole('button', { name: /^Undo: Put in copied strips/ }).click();
    await expect(page.locator('[data-strip]')).toHaveCount(1);
});

test('a look is kept on the shelf, used on another scene for its plate, and over many pictures', async ({ page }) => {
    await newScene(page, wall(60));
    const view = (await page.locator('[data-view]').boundingBox())!;
    const disc = (name: string, x: number) => drop(page, page.locator('[data-view]'), name, 'image/png', pngOf(80, 80, (px, py) => [120, 110, 100, Math.hypot(px - 39.5, py - 39.5) < 36 ? 255 : 0], true), { x: view.width * x, y: view.height / 2 });
    await disc('heron.png', 0.4);
    await settled(page);
    await add(page, /^Rim /);
    await settled(page);
    await page.getByRole('button', { name: 'Rigs' }).click();
    const sheet = page.getByRole('dialog', { name: 'Rigs' });
    await expect(sheet.getByText('None is kept yet.')).toBeVisible();
    await expect(sheet.getByLabel('The plate that it is about')).toHaveValue(/.+/);
    await sheet.getByLabel('Name of the rig').fill('Warm edge');
    await sheet.getByRole('button', { name: 'Keep it' }).click();
    await expect(sheet.getByRole('list', { name: 'Kept rigs' })).toContainText('one strip, about a plate (Heron)');
    // and another one about the whole scene
    await sheet.getByRole('button', { name: 'Close' }).click();
    await add(page, /^Haze A/);
    await page.keyboard.press('Enter');
    await settled(page);
    await settled(page);
    await page.getByRole('button', { name: 'Rigs' }).click();
    await sheet.getByLabel('Name of the rig').fill('Mist');
    await sheet.getByRole('button', { name: 'Keep it' }).click();
    await expect(sheet.getByRole('list', { name: 'Kept rigs' }).getByRole('listitem')).toHaveCount(2);

    const other = await newScene(page, wall(90, 300, 200), 'ferry.png');
    await page.getByRole('button', { name: 'Rigs' }).click();
    const edge = sheet.getByRole('listitem').filter({ hasText: 'Warm edge' });
    await edge.getByRole('button', { name: 'Use', exact: true }).click();
    await expect(page.getByText(/choose the plate that it is for/)).toBeVisible();
    await disc('urn.png', 0.6);
    await settled(page);
    await page.getByRole('button', { name: 'Rigs' }).click();
    await written(page, () => edge.getByRole('button', { name: 'Use', exact: true }).click());
    const { strips } = (await (await page.request.get(`/api/scenes/${other}`)).json()) as Stripped;
    expect(strips.map(({ kind }) => kind)).toEqual(['plate', 'plate', 'rim']);

    // over pictures: one that needs a plate is refused for each, the other one writes them
    await page.getByRole('button', { name: 'Rigs' }).click();
    const files = ['one.png', 'two.png'].map((name, at) => ({ name, mimeType: 'image/png', buffer: wall(70 + 10 * at, 120, 80) }));
    await edge.getByRole('button', { name: 'Over pictures' }).click();
    await sheet.getByLabel('Pictures for the rig').setInputFiles(files.slice(0, 1));
    await expect(sheet.getByText(/one\.png: This rig lights a plate/)).toBeVisible();
    await sheet.getByRole('listitem').filter({ hasText: 'Mist' }).getByRole('button', { name: 'Over pictures' }).click();
    await sheet.getByLabel('Pictures for the rig').setInputFiles(files);
    await expect(sheet.getByText('2 of 2 are written')).toBeVisible({ timeout: 60000 });
    await expect(sheet.getByRole('list', { name: 'Files of the rig' }).getByRole('link', { name: 'Save' })).toHaveCount(2);
    // each is a scene of its own on the wall
    await page.goto('/');
    await expect(page.getByText('One', { exact: true })).toBeVisible();
    await expect(page.getByText('Two', { exact: true })).toBeVisible();
});
