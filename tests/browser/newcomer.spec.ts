import { expect, test, type Page } from '@playwright/test';
import { along, drop, onScreen, pixelsOf, pngOf, settled, shownAt, watch, written } from './help';
import { readFileSync } from 'node:fs';

/* Somebody who has never seen it brings two pictures, cuts one out, lights both twice and takes the result away: by what the screen says, and counted. */

const quay = pngOf(320, 200, (_, y) => [40 + (y > 120 ? 30 : 0), 50 + y / 6, 80 - y / 8]);

/** A buoy before a wall, as a camera has it: no transparency. */
const buoy = pngOf(160, 160, (x, y) => (Math.hypot(x - 80, y - 84) < 46 ? [200 - (x - 34) * 0.9, 70, 40] : [120 + ((x * 7 + y * 3) % 9), 128, 120]));

/** Counts what the hand does: presses of pointer and keys, and drops; nothing else reaches the page. */
async function counting(page: Page): Promise<() => Promise<number>> {
    await page.addInitScript(() => {
        const count = () => sessionStorage.setItem('gestures', String(Number(sessionStorage.getItem('gestures') ?? 0) + 1));
        for (const kind of ['pointerdown', 'keydown', 'drop']) {
            window.addEventListener(kind, (event) => !(event as KeyboardEvent).repeat && count(), true);
        }
    });
    return () => page.evaluate(() => Number(sessionStorage.getItem('gestures') ?? 0));
}

test('a newcomer: two pictures, a cut-out, two lights, an export, in no more than twenty gestures and without a wrong turn', async ({ page }) => {
    const gestures = await counting(page);
    await watch(page);
    await page.goto('/');
    // the wall says what to do
    await expect(page.getByText('Drop or paste a backdrop picture')).toBeVisible();
    await drop(page, page.locator('main'), 'quay.png', 'image/png', quay);
    await page.waitForURL(/\/scenes\//);
    await settled(page);
    // nothing is chosen: the bench says what comes first, the row above the desk too
    await expect(page.getByRole('region', { name: 'First steps' })).toContainText('Press on something in the picture');
    await expect(page.getByText(/^Next: Press on something/)).toBeVisible();
    const view = page.getByRole('application', { name: /^View/ });
    const box = (await view.boundingBox())!;
    const [x, y] = await onScreen(page, [160, 110]);
    await drop(page, view, 'buoy.png', 'image/png', buoy, { x: x - box.x, y: y - box.y });
    await expect(page.locator('[data-strip][aria-label^="Buoy"]')).toBeFocused();
    await settled(page);
    const sky = await onScreen(page, [100, 50]);
    // the bench offers Paint under Cut-out; what it paints is said
    await page.getByRole('complementary', { name: 'Bench' }).getByRole('button', { name: 'Paint', exact: true }).first().click();
    await expect(page.getByLabel('What is painted')).toHaveValue('rough cut');
    await expect(page.getByRole('radio', { name: 'Subject' })).toBeChecked();
    const at = (dx: number, dy: number): [number, number] => [x + dx, y + dy];
    const zoom = (box.width - 28) / 320;
    await along(page, [at(-20 * zoom, 0), at(20 * zoom, 0), at(0, 20 * zoom)]);
    await page.getByRole('radio', { name: 'Background' }).click();
    await along(page, [at(-65 * zoom, -65 * zoom), at(65 * zoom, -65 * zoom), at(65 * zoom, 60 * zoom)]);
    const cut = await shownAt(page, ...sky);
    expect(cut[2]).toBeGreaterThan(cut[0]);
    // a light: it is drawn from where it stands to where it aims, as the row says
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Spot A cone/ }).click();
    await expect(page.getByText('Drag from where it stands to where it aims.', { exact: false })).toBeVisible();
    const before = await shownAt(page, x, y - 20 * zoom);
    await along(page, [at(60 * zoom, -90 * zoom), at(0, 0)]);
    await expect(page.locator('[data-strip][aria-label^="Spot"]')).toBeFocused();
    await settled(page);
    expect((await shownAt(page, x, y - 20 * zoom))[0]).toBeGreaterThan(before[0]);
    // it is not scolded for what it just got, and faded by the arrow keys where the focus is
    await expect(page.getByTestId('readings')).toHaveText('No readings');
    await written(page, () => page.keyboard.press('ArrowDown'));
    // and another one for the whole
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Wash / }).click();
    await expect(page.locator('[data-strip][aria-label^="Wash"]')).toBeFocused();
    await written(page, () => page.keyboard.press('ArrowDown'));
    // out
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    await page.getByRole('button', { name: 'Write the file' }).click();
    const save = page.getByRole('list', { name: 'Files' }).getByRole('link', { name: 'Save' });
    await expect(save).toBeVisible({ timeout: 60_000 });
    const download = page.waitForEvent('download');
    await save.click();
    const file = await pixelsOf(page, readFileSync(await (await download).path()));
    expect([file.width, file.height]).toEqual([320, 200]);
    // the file is what was seen
    await page.keyboard.press('Escape');
    const seen = await shownAt(page, x, y);
    const written8 = file.data.slice(4 * (110 * 320 + 160), 4 * (110 * 320 + 160) + 3);
    written8.forEach((value, channel) => expect(Math.abs(value - (seen[channel] ?? 0))).toBeLessThan(12));
    const count = await gestures();
    console.log(`newcomer: ${count} gestures`);
    expect(count).toBeLessThanOrEqual(20);
    // what was done once is not offered again
    await expect(page.getByText(/^Next: /)).not.toContainText('Export');
});
