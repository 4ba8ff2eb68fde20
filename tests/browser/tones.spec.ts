import { expect, test, type Page } from '@playwright/test';
import { drop, newScene, onScreen, pngOf, settled, shownAt, unfold, written } from './help';

/** Tones from black on the left to white on the right. */
const wedge = pngOf(320, 200, (x) => [Math.floor((x * 255) / 319), Math.floor((x * 255) / 319), Math.floor((x * 255) / 319)]);

type Tones = { darks: [number, number]; brights: [number, number]; of: string };

const tones = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { tones?: Tones }[] }).strips[1]!.tones;

const red = async (page: Page, x: number) => {
    const [r, g] = await shownAt(page, ...(await onScreen(page, [x, 100])));
    return r - g;
};

/** Drags between two places of the drawing of tones, in shares of it. */
async function slope(page: Page, from: [number, number], to: [number, number]): Promise<void> {
    const box = (await page.getByTestId('tones').boundingBox())!;
    await written(page, async () => {
        await page.mouse.move(box.x + from[0] * box.width, box.y + from[1] * box.height);
        await page.mouse.down();
        await page.mouse.move(box.x + to[0] * box.width, box.y + to[1] * box.height, { steps: 6 });
        await page.mouse.up();
    });
}

test('a strip acts on some tones only: slopes dragged, a tone picked, what passes looked at, by keys, and all of it taken back', async ({ page }) => {
    const scene = await newScene(page, wedge);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Flat colour/ }).click();
    await settled(page);
    await page.getByLabel('Mode', { exact: true }).selectOption('normal');
    await page.getByLabel(/^Colour/).first().fill('#ff2010');
    await settled(page);
    expect(await red(page, 40)).toBeGreaterThan(150);
    await unfold(page, 'Tone limits');
    // the tones below are spread evenly: the hill is there
    await expect(page.getByTestId('tones').locator('path')).toHaveAttribute('d', /^M0 58 L0\.0 /);

    // the dark slope from the left end to the middle: darks are let go
    await slope(page, [0.01, 0.5], [0.5, 0.5]);
    expect((await tones(page, scene))!.darks[0]).toBeCloseTo(0.49, 1);
    expect(await red(page, 60)).toBe(0);
    expect(await red(page, 250)).toBeGreaterThan(150);
    // its lower end alone: a soft shoulder
    await slope(page, [0.5, 0.9], [0.3, 0.9]);
    const [none, all] = (await tones(page, scene))!.darks;
    expect(none).toBeLessThan(0.35);
    expect(all).toBeGreaterThan(0.45);
    const half = await red(page, 320 * ((none + all) / 2));
    expect(half).toBeGreaterThan(60);
    expect(half).toBeLessThan(170);

    // what passes is white
    await page.getByRole('button', { name: 'See what passes' }).click();
    await settled(page);
    expect((await shownAt(page, ...(await onScreen(page, [40, 100]))))[0]).toBe(0);
    expect((await shownAt(page, ...(await onScreen(page, [280, 100]))))[0]).toBe(255);
    await page.getByRole('button', { name: 'See what passes' }).click();
    await settled(page);

    // a tone picked on the picture
    await page.getByRole('button', { name: 'Pick a tone' }).click();
    await written(page, async () => page.mouse.click(...(await onScreen(page, [96, 100]))));
    const picked = (await tones(page, scene))!;
    expect(picked.darks[1]).toBeLessThan(0.3);
    expect(picked.brights[0]).toBeGreaterThan(0.3);
    expect(await red(page, 96)).toBeGreaterThan(120);
    expect(await red(page, 220)).toBe(0);

    // by keys
    await page.getByRole('slider', { name: 'Bright end, none' }).focus();
    await written(page, () => page.keyboard.press('Shift+ArrowRight'));
    expect((await tones(page, scene))!.brights[1]).toBeCloseTo(picked.brights[1] + 0.05, 2);

    // of itself: one colour, one tone
    await written(page, () => page.getByRole('radio', { name: 'itself' }).click());
    expect((await tones(page, scene))!.of).toBe('itself');
    await written(page, () => page.getByRole('button', { name: 'All tones' }).click());
    expect(await tones(page, scene)).toBeUndefined();
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await tones(page, scene))!.of).toBe('itself');
});

test('a strip is kept off a plate, further away and softly', async ({ page }) => {
    const post = pngOf(60, 80, () => [20, 20, 20, 254], true);
    await newScene(page, pngOf(320, 200, () => [60, 60, 60]));
    const view = page.getByRole('application', { name: /^View/ });
    const [x, y] = await onScreen(page, [160, 100]);
    const box = (await view.boundingBox())!;
    await drop(page, view, 'post.png', 'image/png', post, { x: x - box.x, y: y - box.y });
    await expect(page.locator('[data-strip][aria-label^="Post"]')).toBeVisible();
    await settled(page);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Flat colour/ }).click();
    await settled(page);
    await page.getByLabel('Mode', { exact: true }).selectOption('normal');
    await page.getByLabel(/^Colour/).first().fill('#ff2010');
    await settled(page);
    const at = async (x: number) => (await shownAt(page, ...(await onScreen(page, [x, 100]))))[0];
    expect(await at(160)).toBeGreaterThan(240);
    await page.getByRole('button', { name: 'Kept off: no plate' }).click();
    await written(page, () => page.getByRole('checkbox', { name: 'Post' }).check());
    await page.keyboard.press('Escape');
    expect(await at(160)).toBeLessThan(30);
    expect(await at(120)).toBeGreaterThan(240);
    await page.getByLabel('Away', { exact: true }).fill('15');
    await written(page, () => page.keyboard.press('Enter'));
    expect(await at(120)).toBeLessThan(80);
    await page.getByLabel('Softness', { exact: true }).fill('8');
    await written(page, () => page.keyboard.press('Enter'));
    const half = await at(115);
    expect(half).toBeGreaterThan(110);
    expect(half).toBeLessThan(210);
});

test('a falloff is softened later, hides less, is turned over whole, and taken by another strip', async ({ page }) => {
    const scene = await newScene(page, pngOf(320, 200, () => [60, 60, 60]));
    const masks = async (strip: number) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { masks: { feather?: number; lets?: number[]; inverted: boolean }[] }[] }).strips[strip]!.masks;
    const fill = async (colour: string) => {
        await page.getByRole('button', { name: 'Add a strip' }).click();
        await page.getByRole('button', { name: /^Flat colour/ }).click();
        await settled(page);
        await page.getByLabel('Mode', { exact: true }).selectOption('normal');
        await page.getByLabel(/^Colour/).first().fill(colour);
        await settled(page);
    };
    const at = async (x: number, y: number) => (await shownAt(page, ...(await onScreen(page, [x, y]))))[0];
    await fill('#ff2010');
    await unfold(page, 'Falloff');
    await written(page, () => page.getByRole('button', { name: 'Radial' }).click());
    await settled(page);
    expect(await at(5, 5)).toBe(60);
    // by keys: it hides half at most
    await page.getByLabel('Hides at most', { exact: true }).fill('50');
    await written(page, () => page.keyboard.press('Enter'));
    expect((await masks(1))[0]!.lets).toEqual([50, 100]);
    expect(Math.abs((await at(5, 5)) - (60 + 255) / 2)).toBeLessThan(3);
    await page.getByLabel('Softness', { exact: true }).fill('4 px');
    await written(page, () => page.keyboard.press('Enter'));
    expect((await masks(1))[0]!.feather).toBe(4);
    // what it leaves
    await written(page, () => page.getByRole('button', { name: 'Complement' }).click());
    expect((await masks(1))[0]).toMatchObject({ inverted: true, lets: [0, 50] });
    expect(Math.abs((await at(5, 5)) - (60 + 255) / 2)).toBeLessThan(3);
    expect(await at(160, 100)).toBeLessThan(90);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await masks(1))[0]).toMatchObject({ inverted: false, lets: [50, 100] });

    // another strip takes it, by keys
    await fill('#10ff20');
    await unfold(page, 'Falloff');
    await page.getByRole('button', { name: 'Take from' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('menuitem', { name: 'Flat colour' })).toBeFocused();
    await written(page, () => page.keyboard.press('Enter'));
    expect((await masks(2))[0]).toMatchObject({ feather: 4, lets: [50, 100] });
});
