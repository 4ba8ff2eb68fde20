import { expect, test, type Page } from '@playwright/test';
import { drop, dragHandle, newScene, onScreen, pngOf, settled, shownAt, written } from './help';

const ground = pngOf(320, 200, () => [40, 40, 60]);

/** A grey disc of radius 40 on nothing. */
const disc = pngOf(100, 100, (x, y) => [110, 110, 110, Math.round(255 * Math.max(0, Math.min(1, 40.5 - Math.hypot(x - 49.5, y - 49.5))))], true);

type Strip = { id: string; name: string; level?: number; values: Record<string, unknown> };

const strips = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;

/** The disc in the middle of the scene, chosen, and a rim on it. */
async function rimmed(page: Page): Promise<string> {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application');
    const box = (await view.boundingBox())!;
    await drop(page, view, 'heron.png', 'image/png', disc, { x: box.width / 2, y: box.height / 2 });
    await expect(page.locator('[data-strip][aria-label^="Heron"]')).toBeVisible();
    await settled(page);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Rim/ }).click();
    await expect(page.locator('[data-strip][aria-label^="Rim"]')).toBeVisible();
    await settled(page);
    return scene;
}

test('a rim lies on the chosen plate, is seen, and is turned by its arrow, on the compass and by keys', async ({ page }) => {
    const scene = await rimmed(page);
    const [, plate, rim] = await strips(page, scene);
    expect(rim!.values).toMatchObject({ of: plate!.id, azimuth: 45 });
    expect(rim!.level).toBe(2);
    await expect(page.getByLabel('On', { exact: true })).toHaveValue(plate!.id);
    // brighter toward the upper right, as it was toward the lower left
    const at = (azimuth: number, radius = 38): [number, number] => [160 + radius * Math.cos((azimuth * Math.PI) / 180), 100 - radius * Math.sin((azimuth * Math.PI) / 180)];
    const bright = async (azimuth: number) => (await shownAt(page, ...(await onScreen(page, at(azimuth)))))[1];
    expect(await bright(45)).toBeGreaterThan((await bright(-135)) + 30);

    // the arrow's end is dragged to the left
    await dragHandle(page, 'Light from', -330, 60);
    const azimuth = (await strips(page, scene))[2]!.values.azimuth as number;
    expect(Math.abs(azimuth)).toBeGreaterThan(120);
    expect(await bright(azimuth)).toBeGreaterThan((await bright(azimuth + 180)) + 30);

    // its dot on the compass, by keys: two degrees a press
    const dot = page.getByRole('region', { name: 'Compass' }).locator(`[data-sight="${rim!.id}"]`);
    await written(page, () => dot.press('ArrowUp'));
    expect((await strips(page, scene))[2]!.values.elevation).toBe(-18);

    // and by its dot, dragged to the middle: from the camera's side
    const box = (await dot.boundingBox())!;
    const dial = (await page.getByRole('group', { name: 'Where light comes from' }).boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(dial.x + dial.width / 2 + 20, dial.y + dial.height / 2, { steps: 6 });
    await page.mouse.up();
    await settled(page);
    expect((await strips(page, scene))[2]!.values.elevation as number).toBeGreaterThan(30);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await strips(page, scene))[2]!.values.elevation).toBe(-18);
});

test('a rim without a plate says so, and goes on when it has one', async ({ page }) => {
    const scene = await rimmed(page);
    const [, plate] = await strips(page, scene);
    await page.getByLabel('On', { exact: true }).selectOption('');
    await settled(page);
    await expect(page.getByTestId('readings')).toHaveText('1 reading');
    await page.getByTestId('readings').click();
    await expect(page.getByRole('dialog')).toContainText('A rim lies along the edge of a plate: choose which one.');
    await page.keyboard.press('Escape');
    await page.getByLabel('On', { exact: true }).selectOption(plate!.id);
    await settled(page);
    await expect(page.getByTestId('readings')).toHaveText('No readings');
    // the backdrop is cut out by nothing
    await page.getByLabel('On', { exact: true }).selectOption({ label: 'Backdrop' });
    await settled(page);
    await page.getByTestId('readings').click();
    await expect(page.getByRole('dialog')).toContainText('is not cut out');
});

test('a wash lies over everything, and is keyed by tones with a ramp of its own', async ({ page }) => {
    // black to white from left to right
    const scene = await newScene(page, pngOf(320, 200, (x) => [Math.round((x / 319) * 255), Math.round((x / 319) * 255), Math.round((x / 319) * 255)]));
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Wash/ }).click();
    await expect(page.locator('[data-strip][aria-label^="Wash"]')).toBeVisible();
    await settled(page);
    const shown = async (x: number) => shownAt(page, ...(await onScreen(page, [x, 100])));
    const warm = await shown(160);
    expect(warm[0]).toBeGreaterThan(warm[2] + 20);
    expect((await shown(2))[0]).toBeLessThan(8);
    await page.getByLabel('Keyed', { exact: true }).selectOption('by tones');
    await page.getByLabel('Mode', { exact: true }).selectOption('normal');
    await settled(page);
    await page.getByRole('button', { name: 'Own', exact: true }).click();
    await settled(page);
    await page.getByText('Its 2 stops').click();
    await written(page, () => page.getByLabel('Colour 2', { exact: true }).fill('#0000ff'));
    const [, wash] = await strips(page, scene);
    expect(wash!.values.ramp).toEqual([
        { offset: 0, colour: '#000000', midpoint: 0.5 },
        { offset: 1, colour: '#0000ff', midpoint: 0.5 },
    ]);
    // at half strength white becomes half blue
    const blue = await shown(316);
    expect(blue[2]).toBeGreaterThan(240);
    expect(blue[0]).toBeLessThan(150);
    await page.getByRole('button', { name: 'Tones: black to the colour' }).click();
    await settled(page);
    expect((await strips(page, scene))[1]!.values.ramp).toBeNull();
});
