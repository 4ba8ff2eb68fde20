import { expect, test, type Page } from '@playwright/test';
import { add, drop, newScene, onScreen, pngOf, settled, shownAt, unfold, valuesOf, written } from './help';

/** Turns the sphere to the side: 1 is nearly its right rim. */
async function turned(page: Page, dx: number): Promise<void> {
    const sphere = (await page.getByTestId('lit-sphere').boundingBox())!;
    const grip = (await page.getByRole('button', { name: 'Light from' }).boundingBox())!;
    await written(page, async () => {
        await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
        await page.mouse.down();
        await page.mouse.move(sphere.x + sphere.width / 2 + dx * (sphere.width / 2 - 6), sphere.y + sphere.height / 2, { steps: 6 });
        await page.mouse.up();
    });
    await settled(page);
}

const ball = (x: number, y: number) => Math.hypot(x - 99.5, y - 99.5) < 90;

test('a light is walked around a drawn figure by its small sphere, on a body that its outline tells', async ({ page }) => {
    const scene = await newScene(page, pngOf(400, 260, () => [30, 32, 38]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    await drop(page, page.locator('[data-view]'), 'figure.png', 'image/png', pngOf(200, 200, (x, y) => [120, 110, 100, ball(x, y) ? 255 : 0], true), { x: view.width / 2, y: view.height / 2 });
    await settled(page);
    await add(page, /^Key light /);
    const key = async () => valuesOf(page, scene, 'key light');
    const figure = async () => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { id: string; values: Record<string, unknown> }[] }).strips[1]!;
    const plate = await figure();
    expect((await key()).values.of).toBe(plate.id);
    await expect(page.getByTestId('lit-sphere')).toBeVisible();
    const before = (await key()).values.azimuth as number;
    // it comes from the upper left: that side is brighter
    const side = async (dx: number) => (await shownAt(page, ...(await onScreen(page, [200 + dx, 130], { width: 400, height: 260 }))))[0];
    expect(await side(-60)).toBeGreaterThan((await side(60)) + 15);
    // to the right side of the sphere: near its rim the light comes from the side
    await turned(page, 1);
    const walked = await key();
    expect(Math.abs(walked.values.azimuth as number)).toBeLessThan(10);
    expect(walked.values.elevation as number).toBeGreaterThan(5);
    expect(walked.values.elevation as number).toBeLessThan(40);
    expect(await side(60)).toBeGreaterThan((await side(-60)) + 15);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    expect((await key()).values.azimuth).toBe(before);
    // the body stands on the plate's bench: rounder, and detail of its own tones
    await page.locator('[data-strip][aria-label^="Figure"]').click({ position: { x: 40, y: 10 } });
    await unfold(page, 'Body');
    await page.getByLabel('Roundness', { exact: true }).fill('150');
    await written(page, () => page.getByLabel('Roundness', { exact: true }).press('Enter'));
    expect((await figure()).values.roundness).toBe(150);
});

test('a texture answers the light: a relief is turned by its sphere', async ({ page }) => {
    const scene = await newScene(page, pngOf(320, 200, (x) => [90 + 60 * Math.sin(x / 4), 90 + 60 * Math.sin(x / 4), 90 + 60 * Math.sin(x / 4)]));
    const at = async (x: number) => (await shownAt(page, ...(await onScreen(page, [x, 100]))))[0];
    // halfway up a hill of the texture
    const slope = 4 * Math.PI * 8;
    const flat = await at(slope);
    await add(page, /^Relief /);
    const relief = async () => valuesOf(page, scene, 'relief');
    // it rises to the right there: from the left it is brighter, from the right darker
    await turned(page, -1);
    expect(Math.abs((await relief()).values.azimuth as number)).toBeGreaterThan(170);
    expect(await at(slope)).toBeGreaterThan(flat + 5);
    await turned(page, 1);
    expect(await at(slope)).toBeLessThan(flat - 5);
});

test('a wash that follows the body of its plate is turned by the same sphere, and has none where it does not', async ({ page }) => {
    const scene = await newScene(page, pngOf(400, 260, () => [30, 32, 38]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    await drop(page, page.locator('[data-view]'), 'figure.png', 'image/png', pngOf(200, 200, (x, y) => [120, 110, 100, ball(x, y) ? 255 : 0], true), { x: view.width / 2, y: view.height / 2 });
    await settled(page);
    await add(page, /^Wash /);
    const side = async (dx: number) => (await shownAt(page, ...(await onScreen(page, [200 + dx, 130], { width: 400, height: 260 }))))[0];
    await expect(page.getByTestId('lit-sphere')).toHaveCount(0);
    await unfold(page, 'Mix');
    await written(page, async () => void (await page.getByLabel('Confined to', { exact: true }).selectOption({ label: 'Figure' })));
    await settled(page);
    expect(Math.abs((await side(60)) - (await side(-60)))).toBeLessThan(3);
    await unfold(page, 'Around it');
    await written(page, () => page.getByLabel('Follows the body', { exact: true }).click());
    await expect(page.getByTestId('lit-sphere')).toBeVisible();
    await turned(page, 1);
    const values = (await valuesOf(page, scene, 'wash')).values;
    expect(Math.abs(values.azimuth as number)).toBeLessThan(10);
    expect(await side(60)).toBeGreaterThan((await side(-60)) + 15);
    await turned(page, -1);
    expect(await side(-60)).toBeGreaterThan((await side(60)) + 15);
    // its other handles and those of its masks are as they were: the sphere goes while it does not follow
    await written(page, () => page.getByLabel('Follows the body', { exact: true }).click());
    await expect(page.getByTestId('lit-sphere')).toHaveCount(0);
});

test('a plate that is lit from the wrong side is relit by one action, its form seen, and taken back', async ({ page }) => {
    const scene = await newScene(page, pngOf(400, 260, () => [40, 42, 50]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    // lit from the left
    const shade = (x: number, y: number) => {
        const [u, v] = [(x - 99.5) / 90, (99.5 - y) / 90];
        return Math.round(255 * (0.1 + 0.6 * Math.max(0, -0.8 * u + 0.3 * v + 0.52 * Math.sqrt(Math.max(0, 1 - u * u - v * v)))) ** (1 / 2.2));
    };
    await drop(page, page.locator('[data-view]'), 'jug.png', 'image/png', pngOf(200, 200, (x, y) => [shade(x, y), shade(x, y), shade(x, y), ball(x, y) ? 255 : 0], true), { x: view.width / 2, y: view.height / 2 });
    await settled(page);
    const side = async (dx: number) => (await shownAt(page, ...(await onScreen(page, [200 + dx, 130], { width: 400, height: 260 }))))[0];
    expect(await side(-50)).toBeGreaterThan((await side(50)) + 60);
    // a lamp on the right
    await page.getByRole('button', { name: 'Place a lamp' }).click();
    await page.locator('[data-view]').click({ position: { x: view.width * 0.85, y: view.height * 0.3 } });
    await expect(page.getByTestId('consequence').getByRole('checkbox').first()).toBeVisible({ timeout: 15000 });
    await page.getByRole('button', { name: 'Put it away' }).click();
    await settled(page);
    await page.locator('[data-strip][aria-label^="Jug"]').click({ position: { x: 40, y: 10 } });
    await unfold(page, 'Own light');
    await expect(page.getByText('It is not known where its light comes from')).toBeVisible();
    await written(page, () => page.getByRole('button', { name: 'Estimate' }).click());
    await expect(page.getByTestId('own-light')).toContainText('explained');
    await page.getByRole('button', { name: 'See its form' }).click();
    await settled(page);
    await expect(page.getByText('Its form, in one grey under its own light')).toBeVisible();
    expect(await side(-50)).toBeGreaterThan((await side(50)) + 60);
    await page.getByRole('button', { name: 'See its form' }).click();
    await settled(page);
    await written(page, () => page.getByRole('button', { name: 'Relight' }).click());
    expect((await valuesOf(page, scene, 'key light')).values.gloss).toBe(0);
    expect(await side(50)).toBeGreaterThan((await side(-50)) + 60);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    expect(await side(-50)).toBeGreaterThan((await side(50)) + 60);
});

test('a render and its passes are dropped one on the other, and a light walks around them', async ({ page }) => {
    const scene = await newScene(page, pngOf(400, 260, () => [30, 32, 38]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    const middle = { x: view.width / 2, y: view.height / 2 };
    const view200 = (name: string, colour: Parameters<typeof pngOf>[2]) => drop(page, page.locator('[data-view]'), name, 'image/png', pngOf(200, 200, colour, name === 'urn.png'), middle);
    await view200('urn.png', () => [120, 110, 100, 255]);
    await settled(page);
    // half a cylinder that stands upright, as its renderer tells it
    const across = (x: number) => (x - 99.5) / 100;
    await view200('urn-normals.png', (x) => [Math.round(127.5 + 127.5 * across(x)), 128, Math.round(127.5 + 127.5 * Math.sqrt(1 - across(x) ** 2))]);
    await expect(page.getByText('urn-normals.png became the normals of Urn.')).toBeVisible();
    await view200('urn-ao.png', (_, y) => (y < 100 ? [255, 255, 255] : [40, 40, 40]));
    await settled(page);
    const urn = async () => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { values: Record<string, unknown> }[] }).strips;
    expect((await urn()).length).toBe(2);
    expect((await urn())[1]!.values).toMatchObject({ normals: 'urn-normals.png', occlusion: 'urn-ao.png' });
    await add(page, /^Key light /);
    await settled(page);
    const side = async (dx: number) => (await shownAt(page, ...(await onScreen(page, [200 + dx, 130], { width: 400, height: 260 }))))[0];
    await turned(page, 1);
    expect(await side(60)).toBeGreaterThan((await side(-60)) + 20);
    await turned(page, -1);
    expect(await side(-60)).toBeGreaterThan((await side(60)) + 20);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    expect(await side(60)).toBeGreaterThan((await side(-60)) + 20);
});
