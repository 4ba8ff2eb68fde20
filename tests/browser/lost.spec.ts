import { expect, test, type Page } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addSpot, newScene, pngOf, settled, unfold } from './help';
import { OwnServer } from './own-server';

/*
 * What the hand has done is never lost: not when the server goes in the middle of it, not when the page is loaded again,
 * not when there is no room to write it.
 */

const server = new OwnServer(8790, mkdtempSync(join(tmpdir(), 'aumbrel-lost-')));

test.use({ baseURL: server.url });
test.beforeAll(() => server.start());
test.afterAll(() => server.stop());

type Strip = { id: string; level?: number; values: Record<string, unknown>; masks: { values: { strokes?: unknown[] } }[] };

const strips = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;

const waits = (page: Page) => page.getByTestId('waits');

async function aSpot(page: Page): Promise<string> {
    const scene = await newScene(page, pngOf(320, 200, (x) => [30, 50 + (x % 40), 70]));
    await addSpot(page);
    return scene;
}

test('the server goes during a drag, a fade and a stroke: all of it is kept, said, and written when it is back', async ({ page }) => {
    const scene = await aSpot(page);
    const { target } = (await strips(page, scene))[1]!.values;
    const box = (await page.getByRole('application').boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.keyboard.press('p');
    await page.mouse.move(x - 60, y - 30);
    await page.mouse.down();
    await page.mouse.move(x + 60, y - 30, { steps: 6 });
    await page.mouse.up();
    await settled(page);
    // a second stroke under way
    await page.mouse.move(x - 60, y + 20);
    await page.mouse.down();
    await page.mouse.move(x, y + 25, { steps: 6 });
    await server.kill();
    await page.mouse.move(x + 60, y + 40, { steps: 6 });
    await page.mouse.up();
    await expect(waits(page)).toHaveText(/waits? to be written/);
    // a fade and a drag while it is gone
    const fader = page.getByRole('slider', { name: 'Spot, fader' });
    await fader.press('ArrowUp');
    await fader.press('ArrowUp');
    await expect(waits(page)).toHaveText('2 changes wait to be written');
    await expect(fader).toHaveAttribute('aria-valuenow', '0.5');
    await unfold(page, 'Reach');
    await page.getByLabel('Beam angle', { exact: true }).fill('33');
    await page.keyboard.press('Enter');
    await expect(waits(page)).toHaveText('3 changes wait to be written');
    await server.start(true);
    await expect(waits(page)).toHaveText('', { timeout: 20000 });
    const spot = (await strips(page, scene))[1]!;
    expect(spot.level).toBe(0.5);
    expect(spot.values).toMatchObject({ beam: 33, target });
    expect(spot.masks[0]!.values.strokes).toHaveLength(2);
    // and the picture comes by itself
    await expect(page.getByRole('alert')).toHaveCount(0, { timeout: 15000 });
});

test('a gesture whose answer was lost is not written twice', async ({ page }) => {
    const scene = await aSpot(page);
    let count = 0;
    // the server writes it, and the line breaks before it can say so
    await page.route('**/gestures/duplicate', async (route) => {
        if (count++ === 0) {
            await route.fetch();
            await route.abort('connectionreset');
        } else {
            await route.continue();
        }
    });
    await page.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('d');
    await expect(page.locator('[data-strip][aria-label^="Spot 2"]')).toBeVisible();
    await expect(waits(page)).toHaveText('');
    expect(count).toBe(2);
    expect(await strips(page, scene)).toHaveLength(3);
});

test('a key fade is written though the page is loaded again at once', async ({ page }) => {
    const scene = await aSpot(page);
    const fader = page.getByRole('slider', { name: 'Spot, fader' });
    for (let k = 0; k < 3; k++) {
        await fader.press('ArrowUp');
    }
    await page.reload();
    await expect(page.getByRole('slider', { name: 'Spot, fader' })).toHaveAttribute('aria-valuenow', '0.75');
    await expect.poll(async () => (await strips(page, scene))[1]!.level).toBe(0.75);
});

test('what waits outlives the window, and is written by the next one that opens the scene', async ({ page, context }) => {
    const scene = await aSpot(page);
    await page.route('**/gestures/**', (route) => route.abort());
    await unfold(page, 'Reach');
    await page.getByLabel('Beam angle', { exact: true }).fill('21');
    await page.keyboard.press('Enter');
    await expect(waits(page)).toHaveText(/waits to be written/);
    await page.close();
    const next = await context.newPage();
    await next.goto(`/scenes/${scene}`);
    await expect(next.getByRole('slider', { name: 'Spot, fader' })).toBeVisible();
    await expect.poll(async () => (await strips(next, scene))[1]!.values.beam, { timeout: 15000 }).toBe(21);
});

test('with the disk full it waits too, and ctrl Z takes back what was never sent', async ({ page }) => {
    const scene = await aSpot(page);
    let full = true;
    await page.route('**/gestures/*', (route) =>
        full ? route.fulfill({ status: 507, json: { message: 'The change could not be written: the disk seems to be full.' } }) : route.continue(),
    );
    const type = async (label: string, text: string) => {
        await page.getByLabel(label, { exact: true }).fill(text);
        await page.keyboard.press('Enter');
    };
    await unfold(page, 'Reach');
    await type('Beam angle', '18');
    await expect(waits(page)).toHaveAttribute('title', /the disk seems to be full/);
    await type('Field angle', '50');
    await expect(waits(page)).toHaveText('2 changes wait to be written');
    await page.getByRole('application').focus();
    await page.keyboard.press('Control+z');
    await expect(waits(page)).toHaveText(/waits to be written/);
    full = false;
    await expect(waits(page)).toHaveText('', { timeout: 15000 });
    const { values } = (await strips(page, scene))[1]!;
    expect(values.beam).toBe(18);
    expect(values.field).not.toBe(50);
});
