import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { add, addSpot, drop, newScene, pngOf, settled, valuesOf, written } from './help';

const wall = (width = 300, height = 200) => pngOf(width, height, (x) => [60 + (x % 40), 70, 90]);

/** Writes what is set, and saves the newest file. */
async function save(page: Page): Promise<{ name: string; bytes: Buffer }> {
    const files = page.getByRole('list', { name: 'Files' });
    const before = await files.getByRole('link', { name: 'Save' }).count();
    await page.getByRole('button', { name: 'Write the file' }).click();
    await expect(files.getByRole('link', { name: 'Save' })).toHaveCount(before + 1, { timeout: 60000 });
    const coming = page.waitForEvent('download');
    await files.getByRole('link', { name: 'Save' }).first().click();
    const download = await coming;
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
}

test('a scene leaves in other sizes, as layers, and as a sheet of its steps; the settings come again', async ({ page }) => {
    await newScene(page, wall());
    await addSpot(page);
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByRole('button', { name: 'For the web' }).click();
    await page.getByLabel('Longer side').fill('150');
    const small = await save(page);
    expect(small.name).toBe('quay-150px.jpg');
    expect(small.bytes.subarray(0, 2).toString('hex')).toBe('ffd8');
    await page.getByText('Keep these settings').click();
    await page.getByLabel('Name of these settings').fill('Tiny');
    await page.keyboard.press('Enter');
    await page.getByRole('radio', { name: 'Layers' }).check();
    await expect(page.getByText('one layer a strip')).toBeVisible();
    const layers = await save(page);
    expect(layers.name).toBe('quay.ora');
    expect(layers.bytes.subarray(38, 54).toString()).toBe('image/openraster');
    await page.getByRole('radio', { name: 'Sheet of steps' }).check();
    expect((await save(page)).name).toBe('quay-steps.png');
    // opened in the browser, and thrown away
    const files = page.getByRole('list', { name: 'Files' });
    const opened = page.waitForEvent('popup');
    await files.getByRole('link', { name: 'Open' }).first().click();
    const sheet = await opened;
    await sheet.waitForLoadState();
    expect(await sheet.locator('img').evaluate((image: HTMLImageElement) => Math.max(image.naturalWidth, image.naturalHeight))).toBe(150);
    await sheet.close();
    await page.getByRole('button', { name: 'Throw quay-steps.png away' }).click();
    await expect(files.getByRole('listitem')).toHaveCount(2);
    await page.getByRole('button', { name: 'Tiny', exact: true }).click();
    await expect(page.getByLabel('Longer side')).toHaveValue('150');
    await save(page);
    await page.getByRole('button', { name: 'Close' }).click();
    // one key exports as the last time
    await page.locator('[data-view]').focus();
    await page.keyboard.press('q');
    await expect(page.getByText(/quay-150px\.jpg is being written/)).toBeVisible();

    // the layers come in again as plates
    await page.goto('/');
    await drop(page, page.locator('main'), 'layers.ora', 'image/openraster', layers.bytes);
    await page.waitForURL(/\/scenes\//);
    await settled(page);
    await expect(page.locator('[data-strip]')).toHaveCount(2);
    await expect(page.locator('[data-strip][aria-label^="Spot (baked)"]')).toBeVisible();
});

test('how one works goes out as a file and comes in; a new strip looks like the last one; tokens let scripts in', async ({ page, playwright, baseURL }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'Settings' }).click();
    const sheet = page.getByRole('dialog', { name: 'Settings' });
    await sheet.getByLabel(/A new strip looks like the last one/).check();
    await sheet.getByLabel('Single letters are keys').uncheck();
    const coming = page.waitForEvent('download');
    await sheet.getByRole('link', { name: 'Settings as a file' }).click();
    const file = readFileSync(await (await coming).path());
    await sheet.getByRole('button', { name: 'As in the beginning' }).click();
    await expect(sheet.getByLabel('Single letters are keys')).toBeChecked();
    await sheet.getByLabel('File of settings').setInputFiles({ name: 'notes.json', mimeType: 'application/json', buffer: Buffer.from('[1]') });
    await expect(page.getByText('notes.json holds no settings of Aumbrel.')).toBeVisible();
    await sheet.getByLabel('File of settings').setInputFiles({ name: 'mine.json', mimeType: 'application/json', buffer: file });
    await expect(sheet.getByLabel(/A new strip looks like the last one/)).toBeChecked();
    await expect(sheet.getByLabel('Single letters are keys')).not.toBeChecked();
    await sheet.getByLabel('Name of the token').fill('nightly');
    await sheet.getByRole('button', { name: 'Make a token' }).click();
    const token = await sheet.getByText(/^aumbrel_/).textContent();
    const script = await playwright.request.newContext({ baseURL, extraHTTPHeaders: { Authorization: `Bearer ${token}` } });
    // without a page's session, and yet it may change things
    const laid = await script.post('/api/tokens', { data: { name: 'made by a script' } });
    expect(laid.status()).toBe(201);
    const stranger = await playwright.request.newContext({ baseURL });
    expect((await stranger.post('/api/tokens', { data: { name: 'nobody' } })).status()).toBe(419);
    await page.reload();
    await page.getByRole('button', { name: 'Settings' }).click();
    await expect(sheet.getByText('made by a script')).toBeVisible();
    await sheet.getByRole('button', { name: 'Withdraw nightly' }).click();
    await expect(sheet.getByText('nightly')).toHaveCount(0);
    expect((await script.get('/api/openapi.json')).status()).toBe(200);
    expect((await script.post('/api/tokens', { data: { name: 'late' } })).status()).toBe(419);

    // the last haze of another scene, of twice the size
    const first = await newScene(page, wall(600, 400));
    await add(page, /^Rim /);
    const rim = (await valuesOf(page, first, 'rim')).values.width as number;
    await page.getByLabel('Width', { exact: true }).fill(String(rim + 20));
    await written(page, () => page.getByLabel('Width', { exact: true }).press('Enter'));
    const second = await newScene(page, wall());
    await add(page, /^Rim /);
    expect((await valuesOf(page, second, 'rim')).values.width).toBeCloseTo((rim + 20) / 2, 1);
    await page.evaluate(() => localStorage.clear());
});

test('a second window shows the picture alone and follows the first', async ({ page, context }) => {
    const scene = await newScene(page, wall());
    const second = await context.newPage();
    await second.goto(`/scenes/${scene}?clean`);
    await expect(second.getByTestId('picture')).toBeVisible();
    await expect(second.locator('[data-strip]')).toHaveCount(0);
    await expect(second.getByRole('button')).toHaveCount(0);
    const sum = () =>
        second.evaluate(() => {
            const canvas = document.querySelector<HTMLCanvasElement>('[data-testid="picture"]')!;
            return canvas.getContext('2d')!.getImageData(Math.round(canvas.width / 2), Math.round(canvas.height / 2), 1, 1).data.slice(0, 3).reduce((all, value) => all + value, 0);
        });
    await expect.poll(sum).toBeGreaterThan(150);
    const before = await sum();
    await page.bringToFront();
    await addSpot(page);
    await expect.poll(sum, { timeout: 15000 }).toBeGreaterThan(before + 10);
});

test('a heavy group is held, says so, and lets go when something in it is touched', async ({ page }) => {
    const scene = await newScene(page, wall());
    await addSpot(page);
    await page.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    await written(page, () => page.keyboard.press('g'));
    await page.locator('[data-strip][aria-label^="Group"]').click({ position: { x: 40, y: 10 } });
    await written(page, () => page.getByLabel('Yields').selectOption('held'));
    await expect(page.locator('[data-strip][aria-label^="Group"]').getByLabel('Held')).toBeVisible();
    expect(((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { held?: boolean }[] }).strips[1]!.held).toBe(true);
    await page.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    await written(page, () => page.keyboard.press('m'));
    await expect(page.locator('[data-strip][aria-label^="Group"]').getByLabel('Held')).toHaveCount(0);
});

test('a folder of pictures becomes a set of scenes', async ({ page }) => {
    await page.goto('/');
    const folder = `${process.env.AUMBREL_TEST_ROOT ?? '/tmp'}/evening-walk`;
    execFileSync('mkdir', ['-p', folder]);
    const { writeFileSync } = await import('node:fs');
    writeFileSync(`${folder}/heron_bay.png`, wall(80, 60));
    writeFileSync(`${folder}/boat_shed.png`, wall(90, 60));
    writeFileSync(`${folder}/notes.txt`, 'only words');
    await page.getByLabel('A folder of pictures').setInputFiles(folder);
    await expect(page.getByText(/2 scenes lie in "evening-walk"\. No pictures: notes\.txt/)).toBeVisible({ timeout: 20000 });
    await page.getByRole('button', { name: /evening-walk/ }).click();
    await expect(page.getByRole('heading', { name: 'Heron bay' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Boat shed' })).toBeVisible();
});
