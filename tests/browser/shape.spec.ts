import { expect, test, type Page } from '@playwright/test';
import { newScene, onScreen, pngOf, settled, shownAt, stroke, unfold, written } from './help';

/** Two halves, orange and teal. */
const halves = pngOf(320, 200, (x) => (x < 160 ? [200, 120, 50] : [40, 120, 130]));

/** A pale disc on dark green. */
const disc = pngOf(320, 200, (x, y) => (Math.hypot(x - 170, y - 100) < 55 ? [214, 206, 190] : [50 + (x % 7), 84 + (y % 5), 60]));

type Mask = { id: string; kind: string; uses?: string; grow?: number; inverted: boolean; values: Record<string, unknown> };
type Strip = { id: string; name: string; kind: string; values: Record<string, unknown>; masks: Mask[] };

const strips = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;

const named = async (page: Page, scene: string, name: string) => (await strips(page, scene)).find((strip) => strip.name === name)!;

const bench = (page: Page) => page.getByRole('complementary', { name: 'Bench' });

async function add(page: Page, kind: RegExp): Promise<void> {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await written(page, () => page.getByRole('button', { name: kind }).click());
}

const card = (page: Page, name: string) => page.locator(`[data-strip][aria-label^="${name},"]`);

test('a ramp is laid, turned, given stops on the picture, mirrored, kept for other scenes and taken back', async ({ page }) => {
    const scene = await newScene(page, halves);
    await add(page, /^Flat colour/);
    await written(page, () => bench(page).getByLabel('Filled with').selectOption('a linear ramp'));
    await written(page, () => bench(page).getByLabel('Mode', { exact: true }).selectOption('normal'));
    const fill = async () => (await named(page, scene, 'Flat colour')).values as { stops: { offset: number; smooth?: boolean; colour: string }[]; from: number[] | null; to: number[] };
    // as it comes: from the top of the picture down, fading
    expect((await shownAt(page, ...(await onScreen(page, [60, 6]))))[0]).toBeLessThan(60);
    expect((await shownAt(page, ...(await onScreen(page, [60, 192]))))[0]).toBeGreaterThan(180);

    // an end is turned in steps with shift, and held by the border of the picture without
    const end = page.locator('[data-handle="Ramp to"]');
    const grab = async () => {
        const box = (await end.boundingBox())!;
        await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
        await page.mouse.down();
    };
    await page.keyboard.down('Shift');
    await grab();
    await page.mouse.move(...(await onScreen(page, [300, 30])), { steps: 6 });
    await written(page, () => page.mouse.up());
    await page.keyboard.up('Shift');
    const turned = await fill();
    const angle = (Math.atan2(turned.to[1]! - 0, turned.to[0]! - 160) * 180) / Math.PI;
    expect(Math.abs(angle - Math.round(angle / 15) * 15)).toBeLessThan(0.01);
    await grab();
    const [x, y] = await onScreen(page, [160, 200]);
    await page.mouse.move(x + 3, y - 3, { steps: 6 });
    await written(page, () => page.mouse.up());
    expect((await fill()).to[1]).toBe(200);

    // a double click puts a stop on the line, another one takes it out
    await written(page, async () => page.mouse.dblclick(...(await onScreen(page, [160, 60]))));
    expect((await fill()).stops).toHaveLength(3);
    expect((await fill()).stops[1]!.offset).toBeCloseTo(0.3, 1);
    await written(page, () => page.locator('[data-handle="Stop 2"]').dblclick());
    expect((await fill()).stops).toHaveLength(2);

    await written(page, () => bench(page).getByRole('button', { name: 'Mirror' }).click());
    expect((await fill()).stops.map((stop) => stop.offset)).toEqual([0, 0.5, 1]);
    await written(page, () => bench(page).getByRole('button', { name: 'Smooth', pressed: true }).click());
    expect((await fill()).stops.some((stop) => stop.smooth)).toBe(false);

    // kept by name, and taken for another strip, a mask
    await bench(page).getByRole('button', { name: 'Kept', exact: true }).click();
    await page.getByLabel('Name of this ramp').fill('There and back');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('button', { name: 'There and back', exact: true })).toBeVisible();
    await written(page, () => page.getByRole('button', { name: 'Embers' }).click());
    expect((await fill()).stops).toHaveLength(4);
    await unfold(page, 'Falloff');
    await written(page, () => bench(page).getByRole('button', { name: 'Linear', exact: true }).click());
    await bench(page).getByRole('button', { name: 'Kept', exact: true }).last().click();
    await written(page, () => page.getByRole('button', { name: 'There and back', exact: true }).click());
    const stops = (await named(page, scene, 'Flat colour')).masks[0]!.values.stops as { value: number }[];
    expect(stops.map((stop) => Math.round(stop.value))).toEqual([1, 0, 1]);
    // linear and radial exchanged in place, and one step back
    await written(page, () => bench(page).getByRole('button', { name: 'Make it radial' }).click());
    expect((await named(page, scene, 'Flat colour')).masks[0]!.kind).toBe('radial');
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await named(page, scene, 'Flat colour')).masks[0]!.kind).toBe('linear');
});

test('a mask of brightness is grown under a tint, used on another strip, changed once for both, and on its own again', async ({ page }) => {
    const scene = await newScene(page, halves);
    await add(page, /^Flat colour/);
    await add(page, /^Flat colour/);
    await unfold(page, 'Falloff');
    await written(page, () => bench(page).getByRole('button', { name: 'Brightness', exact: true }).click());
    const mask = async (name: string) => (await named(page, scene, name)).masks[0]!;
    expect(await mask('Flat colour 2')).toMatchObject({ kind: 'brightness', values: { of: null } });
    // it has a picture of itself
    await expect(bench(page).locator('canvas').first()).toBeVisible();
    // while its softness is dragged, what it holds back lies under a tint
    const green = async () => (await shownAt(page, ...(await onScreen(page, [280, 100]))))[1];
    const plain = await green();
    const label = (await bench(page).getByText('Grow or shrink', { exact: true }).boundingBox())!;
    await page.mouse.move(label.x + 10, label.y + 6);
    await page.mouse.down();
    await page.mouse.move(label.x + 20, label.y + 6, { steps: 4 });
    await expect.poll(green).toBeGreaterThan(plain + 15);
    await written(page, () => page.mouse.up());
    expect((await mask('Flat colour 2')).grow).toBeGreaterThan(0);
    await expect.poll(green).toBeLessThan(plain + 5);

    await bench(page).getByRole('button', { name: 'Use on' }).click();
    await written(page, () => page.getByRole('menuitem', { name: 'Flat colour', exact: true }).click());
    const holder = await mask('Flat colour 2');
    expect(await mask('Flat colour')).toMatchObject({ uses: holder.id, kind: 'brightness' });
    // changed on the one that uses it; its own inversion stays its own
    await card(page, 'Flat colour').click({ position: { x: 40, y: 10 } });
    await bench(page).getByRole('button', { name: /^Brightness/, expanded: false }).click();
    await expect(bench(page).getByText('Used on')).toBeVisible();
    await written(page, () => bench(page).getByLabel('Inverted').check());
    await bench(page).getByLabel('Whites held at', { exact: true }).first().fill('60');
    await written(page, () => page.keyboard.press('Enter'));
    expect(await mask('Flat colour 2')).toMatchObject({ inverted: false, values: { whites: 60 } });
    expect((await mask('Flat colour')).inverted).toBe(true);
    await written(page, () => bench(page).getByRole('button', { name: 'On its own' }).click());
    expect((await mask('Flat colour')).uses).toBeUndefined();
    await page.keyboard.press('Control+z');
    await settled(page);
    // deleted in one place, the other one has it
    await card(page, 'Flat colour 2').click({ position: { x: 40, y: 10 } });
    await written(page, () => bench(page).getByRole('button', { name: 'Delete the mask' }).click());
    expect(await mask('Flat colour')).toMatchObject({ kind: 'brightness', inverted: true, values: { whites: 60 } });
    expect((await mask('Flat colour')).uses).toBeUndefined();
});

test('a brush has tips, a steadied hand, straight strokes and both sides of a line, and stays on what is alike', async ({ page }) => {
    const scene = await newScene(page, halves);
    await add(page, /^Flat colour/);
    await page.keyboard.press('p');
    const strokes = async () => (((await named(page, scene, 'Flat colour')).masks[0]?.values.strokes as { tip?: string; alike?: number; points: number[][]; size: number; hardness: number }[]) ?? []).length;
    const more = async (act: () => Promise<unknown>) => {
        await page.getByRole('button', { name: 'More of the brush' }).click();
        await act();
        await page.keyboard.press('Escape');
    };
    // size, and nothing else, by a drag of the right button; hardness by keys
    const hardness = Number(await page.getByLabel('Hardness').inputValue());
    const size = Number(await page.getByLabel('Size').inputValue());
    const [x, y] = await onScreen(page, [80, 100]);
    await page.mouse.move(x, y);
    await page.mouse.down({ button: 'right' });
    await page.mouse.move(x + 60, y - 80, { steps: 5 });
    await page.mouse.up({ button: 'right' });
    expect(Number(await page.getByLabel('Size').inputValue())).toBeGreaterThan(size * 1.3);
    expect(Number(await page.getByLabel('Hardness').inputValue())).toBe(hardness);
    await page.keyboard.press('Escape');
    for (let times = 0; times < 4; times++) {
        await page.keyboard.press('+');
    }
    expect(Number(await page.getByLabel('Hardness').inputValue())).toBe(hardness + 40);

    await more(async () => {
        await page.getByLabel('Tip', { exact: true }).selectOption('chalk');
        await page.getByRole('button', { name: 'On both sides of a line' }).click();
    });
    await page.getByLabel('Size').fill('24');
    await written(page, () => stroke(page, [[40, 60], [60, 90], [100, 60]]));
    expect(await strokes()).toBe(2);
    await more(async () => {
        await page.getByRole('button', { name: 'On both sides of a line' }).click();
        await page.getByRole('button', { name: 'For specks' }).click();
        await page.getByRole('slider', { name: 'On what is alike' }).fill('80');
    });
    expect(Number(await page.getByLabel('Hardness').inputValue())).toBe(100);
    // straight with shift, from where it began to where it ends
    await page.getByLabel('Size').fill('40');
    await page.keyboard.down('Shift');
    await written(page, () => stroke(page, [[120, 150], [150, 120], [200, 150]]));
    await page.keyboard.up('Shift');
    expect(await strokes()).toBe(3);
    const masks = (await (await page.request.get(`/api/scenes/${scene}/file`)).json()) as { strips: { masks: { values: { strokes: { tip?: string; alike?: number; points: number[][] }[] } }[] }[] };
    const kept = masks.strips[1]!.masks[0]!.values.strokes;
    expect(kept.map((each) => each.tip)).toEqual(['chalk', 'chalk', undefined]);
    expect(kept[2]!.alike).toBe(80);
    expect(kept[2]!.points.length).toBe(2);
    // the first stroke's points lie mirrored about the middle
    expect(kept[0]!.points[0]![0]! + kept[1]!.points[0]![0]!).toBeCloseTo(320, 0);
});

test('a subject is found by a box, and an outline follows its edge', async ({ page }) => {
    const scene = await newScene(page, disc);
    await card(page, 'Backdrop').click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('p');
    await page.getByRole('button', { name: 'Find it', exact: true }).click();
    const started = Date.now();
    await written(page, () => stroke(page, [[100, 30], [180, 120], [240, 172]]));
    expect(Date.now() - started).toBeLessThan(8000);
    const plate = async () => (await strips(page, scene))[0]!;
    expect((await plate()).masks[0]).toMatchObject({ kind: 'painted cut' });
    // the disc is left, the ground is gone
    const inside = await shownAt(page, ...(await onScreen(page, [170, 100])));
    const outside = await shownAt(page, ...(await onScreen(page, [60, 60])));
    expect(inside[0]).toBeGreaterThan(190);
    expect(Math.max(...outside) - Math.min(...outside)).toBeLessThan(8);
    await page.keyboard.press('Control+z');
    await settled(page);

    await page.keyboard.press('o');
    await page.getByRole('button', { name: 'Along edges' }).click();
    const at = async (angle: number) => onScreen(page, [170 + 55 * Math.cos(angle), 100 + 55 * Math.sin(angle)]);
    // a hurried hand on a slow machine: no click is lost while the way to the one before is looked for
    await page.route('**/edge*', async (route) => {
        await new Promise((done) => setTimeout(done, 300));
        await route.continue();
    });
    for (const angle of [0, 1.6, 3.2, 4.8]) {
        await page.mouse.click(...(await at(angle)));
    }
    await written(page, async () => page.mouse.click(...(await at(0))));
    const path = (await plate()).masks.find((mask) => mask.kind === 'outline')!.values.path as { at: [number, number] }[];
    expect(path.length).toBeGreaterThan(12);
    for (const { at: [u, v] } of path) {
        expect(Math.abs(Math.hypot(u - 170, v - 100) - 55)).toBeLessThan(3);
    }
});

test('a tip is made of a picture, and a black one is refused in a sentence', async ({ page }) => {
    await newScene(page, halves);
    await add(page, /^Flat colour/);
    await page.keyboard.press('p');
    await page.getByRole('button', { name: 'More of the brush' }).click();
    await page.getByLabel('Picture for the tip').setInputFiles({ name: 'Reed.png', mimeType: 'image/png', buffer: pngOf(40, 40, (x) => (x > 12 && x < 28 ? [255, 255, 255] : [0, 0, 0])) });
    await expect(page.getByLabel('Tip', { exact: true })).toHaveValue(/^[0-9a-z]{26}$/);
    await page.getByLabel('Picture for the tip').setInputFiles({ name: 'Night.png', mimeType: 'image/png', buffer: pngOf(40, 40, () => [0, 0, 0]) });
    await expect(page.getByText('black throughout')).toBeVisible();
});
