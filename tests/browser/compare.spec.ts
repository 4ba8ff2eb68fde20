import { expect, test } from '@playwright/test';
import { addSpot, newScene, onScreen, pngOf, settled, shownAt, written } from './help';

const wall = () => pngOf(400, 260, () => [60, 64, 72]);

test('an edge is slid between how it was and how it is, by hand and by keys', async ({ page }) => {
    await newScene(page, wall());
    await addSpot(page);
    const view = (await page.locator('[data-view]').boundingBox())!;
    const at = async (share: number, canvas: string) =>
        page.evaluate(
            ([test, share]) => {
                const canvas = document.querySelector<HTMLCanvasElement>(`[data-testid="${test}"]`)!;
                const [r = 0, g = 0, b = 0] = canvas.getContext('2d')!.getImageData(Math.round(canvas.width * Number(share)), Math.round(canvas.height / 2), 1, 1).data;
                return r + g + b;
            },
            [canvas, share] as const,
        );
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await expect(page.getByText('Before it was lit').first()).toBeVisible();
    await settled(page);
    // the other picture is that of the wall as it came
    await expect.poll(() => at(0.5, 'compared')).toBe(60 + 64 + 72);
    expect(await at(0.5, 'picture')).toBeGreaterThan(60 + 64 + 72 + 10);
    const edge = page.getByRole('slider', { name: 'Edge between what is compared' });
    const box = (await edge.boundingBox())!;
    expect(Math.abs(box.x + box.width / 2 - view.x - view.width / 2)).toBeLessThan(2);
    await page.mouse.move(box.x + box.width / 2, box.y + 200);
    await page.mouse.down();
    await page.mouse.move(view.x + view.width * 0.25, box.y + 210, { steps: 4 });
    await page.mouse.up();
    await expect(edge).toHaveAttribute('aria-valuenow', '25');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(edge).toHaveAttribute('aria-valuenow', '37');
    await page.keyboard.press('Home');
    await expect(edge).toHaveAttribute('aria-valuenow', '0');
    // without the chosen strip it is the same as before here
    await page.getByRole('button', { name: 'Without Spot' }).click();
    await expect(page.getByText('Without Spot').first()).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(edge).toHaveCount(0);
});

test('snapshots are kept, flipped to, gone to, made from one another, and thrown away', async ({ page }) => {
    const scene = await newScene(page, wall());
    await addSpot(page);
    const card = page.locator('[data-strip][aria-label^="Spot"]');
    const middle = async () => (await shownAt(page, ...(await onScreen(page, [200, 130], { width: 400, height: 260 })))).reduce((sum, value) => sum + value, 0);
    const bright = await middle();
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await page.getByRole('button', { name: 'Close the comparison' }).click();
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    await page.getByRole('button', { name: 'Before it was lit' }).click();
    await page.getByLabel('Name of the new snapshot').fill('Bright');
    await page.getByRole('button', { name: 'Keep as a snapshot' }).click();
    await expect(page.locator('[data-snapshot]')).toHaveCount(1);
    await page.getByRole('button', { name: 'Close the comparison' }).click();
    // muted it is dark; while N is held it is bright again
    await card.click({ position: { x: 40, y: 10 } });
    await written(page, () => page.keyboard.press('m'));
    await settled(page);
    const dark = await middle();
    expect(dark).toBeLessThan(bright - 10);
    await page.keyboard.press('c');
    await page.locator('[data-snapshot]').getByRole('button', { name: 'Compare with Bright' }).hover();
    await expect.poll(middle).toBe(bright);
    await page.mouse.move(700, 300);
    await expect.poll(middle).toBe(dark);
    await page.locator('[data-view]').focus();
    await page.keyboard.down('n');
    await expect.poll(middle).toBe(bright);
    await page.keyboard.up('n');
    await expect.poll(middle).toBe(dark);
    // compared by the edge, then gone to, in one step
    await page.locator('[data-snapshot]').getByRole('button', { name: 'Compare with Bright' }).click();
    await page.mouse.move(700, 300);
    await expect(page.locator('[data-testid="compared"]')).toBeVisible();
    await written(page, () => page.locator('[data-snapshot]').getByRole('button', { name: 'Go to it' }).click());
    await settled(page);
    await expect.poll(middle).toBe(bright);
    await page.locator('[data-snapshot]').getByRole('button', { name: 'Another' }).click();
    await expect(page.locator('[data-snapshot]')).toHaveCount(2);
    await page.locator('[data-snapshot]').last().getByText('Bright 2').dblclick();
    await page.getByLabel('Name of the snapshot').fill('Brighter still');
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-snapshot]').last()).toContainText('Brighter still');
    await page.getByRole('button', { name: 'Side by side', exact: true }).click();
    await expect(page.getByRole('dialog', { name: 'Side by side', exact: true }).locator('figure')).toHaveCount(4);
    await page.getByRole('dialog', { name: 'Side by side', exact: true }).getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Throw Brighter still away' }).click();
    await expect(page.locator('[data-snapshot]')).toHaveCount(1);
    await page.getByRole('button', { name: 'Bring back' }).click();
    await expect(page.locator('[data-snapshot]')).toHaveCount(2);
    await page.getByRole('button', { name: 'Close the comparison' }).click();
    await page.getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    await expect.poll(middle).toBe(dark);
    const file = (await (await page.request.get(`/api/scenes/${scene}/file`)).json()) as { snapshots: { name: string }[] };
    expect(file.snapshots.map(({ name }) => name)).toEqual(['Bright', 'Brighter still']);
});

test('the view goes to the chosen plate, and a small picture shows where it stands', async ({ page }) => {
    await newScene(page, pngOf(900, 600, (x, y) => (Math.hypot(x - 600, y - 300) < 80 ? [200, 180, 160] : [50, 60, 70])));
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('z');
    await page.keyboard.press('z');
    await settled(page);
    const overview = page.getByTestId('overview');
    await expect(overview).toBeVisible();
    const box = (await overview.boundingBox())!;
    const centre = () => page.evaluate(() => document.querySelector('[data-testid="overview"] span')!.getBoundingClientRect().x);
    const before = await centre();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.7, box.y + box.height / 2, { steps: 4 });
    await page.mouse.up();
    expect(await centre()).toBeGreaterThan(before + 10);
    await page.locator('[data-view]').focus();
    await page.keyboard.press('t');
    await settled(page);
    // all of the plate is seen again, a little smaller than the view
    await expect(page.getByTestId('zoom')).toBeVisible();
    await expect(overview).toHaveCount(0);
});
