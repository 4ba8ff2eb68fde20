import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { drop, newScene, onScreen, pixelsOf, pngOf, settled, shownAt } from './help';

/*
 * Whole jobs, walked by hand and counted: pointer, keys, typed values and strokes, nothing behind the interface's back. Counting
 * starts in the opened scene with its plates placed. Each is undone to the start, done again to the end, and written out.
 */

type Size = { width: number; height: number };

/** What looking is: zooming, panning, before, values; it costs nothing. */
const LOOKING = 'zxfbkvlnwt';

/** Counts gestures in the page itself: presses, chords, and values that were typed. */
async function counting(page: Page): Promise<() => Promise<number>> {
    await page.evaluate((looking) => {
        const state = { count: 0 };
        Object.assign(window, { gestures: state });
        const isField = (target: EventTarget | null) => target instanceof HTMLInputElement && !/^(checkbox|radio|range|color)$/.test(target.type);
        window.addEventListener('pointerdown', () => state.count++, true);
        window.addEventListener('drop', () => state.count++, true);
        window.addEventListener('change', (event) => isField(event.target) && state.count++, true);
        window.addEventListener('keydown', ({ key, repeat, target, ctrlKey, metaKey }) => !repeat && !isField(target) && !/^(Shift|Control|Alt|Meta)$/.test(key) && (ctrlKey || metaKey || !looking.includes(key.toLowerCase())) && state.count++, true);
    }, LOOKING);
    return () => page.evaluate(() => (window as unknown as { gestures: { count: number } }).gestures.count);
}

/** Undone to the start and done again to the end it is the same; written out it is what was seen. */
async function endsWell(page: Page, scene: string, size: Size, at: [number, number]): Promise<void> {
    const state = async () => (await (await page.request.get(`/api/scenes/${scene}`)).json()) as { undo: string | null; redo: string | null; strips: { kind: string; values: unknown; level?: number }[] };
    const plain = ({ strips }: Awaited<ReturnType<typeof state>>) => JSON.stringify(strips.map(({ kind, values, level }) => ({ kind, values, level })));
    const end = plain(await state());
    const shown = await shownAt(page, ...(await onScreen(page, at, size)));
    await page.locator('[data-view]').focus();
    for (let left = 60; left > 0 && (await state()).undo !== null; left--) {
        await page.keyboard.press('Control+z');
        await settled(page);
    }
    expect(plain(await state())).not.toBe(end);
    for (let left = 60; left > 0 && (await state()).redo !== null; left--) {
        await page.keyboard.press('Control+y');
        await settled(page);
    }
    expect(plain(await state())).toBe(end);
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    await page.getByRole('radio', { name: 'PNG, 8 bit' }).check();
    await page.getByRole('button', { name: 'Write the file' }).click();
    const save = page.getByRole('list', { name: 'Files' }).getByRole('link', { name: 'Save' }).first();
    await expect(save).toBeVisible({ timeout: 60_000 });
    const coming = page.waitForEvent('download');
    await save.click();
    const file = await pixelsOf(page, readFileSync(await (await coming).path()));
    expect([file.width, file.height]).toEqual([size.width, size.height]);
    const from = 4 * (at[1] * size.width + at[0]);
    [...file.data.subarray(from, from + 3)].forEach((value, channel) => expect(Math.abs(value - (shown[channel] ?? 0))).toBeLessThan(12));
}

const luma = ([r, g, b]: readonly number[]) => 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);

test('20, the wrong side: a jug lit from the wrong side, its own light exchanged, its shadow and its rim', async ({ page }) => {
    const size = { width: 400, height: 260 };
    // a wall, planks, and a lantern on the right
    const scene = await newScene(page, pngOf(400, 260, (x, y) => (Math.hypot(x - 350, y - 80) < 6 ? [90, 84, 70] : y > 170 ? [70, 60, 52] : [60, 62, 70])));
    const jug = pngOf(140, 140, (x, y) => {
        const [u, v] = [(x - 69.5) / 62, (69.5 - y) / 62];
        const z2 = 1 - u * u - v * v;
        const grey = Math.round(255 * (0.1 + 0.6 * Math.max(0, -0.8 * u + 0.3 * v + 0.52 * Math.sqrt(Math.max(0, z2)))) ** (1 / 2.2));
        return [grey, grey, grey, z2 > 0 ? 255 : 0];
    }, true);
    const view = (await page.locator('[data-view]').boundingBox())!;
    await drop(page, page.locator('[data-view]'), 'jug.png', 'image/png', jug, { x: view.width * 0.4, y: view.height * 0.55 });
    await settled(page);
    const count = await counting(page);
    const side = async (dx: number) => {
        const box = ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { values: { place: [number, number] } }[] }).strips.find((_, at) => at > 0 && true);
        const [x, y] = box!.values.place;
        return luma(await shownAt(page, ...(await onScreen(page, [x + dx, y], size))));
    };
    expect(await side(-40)).toBeGreaterThan((await side(40)) + 40);
    // its bearing is on the bench: the jug is chosen, as it has just come in
    await page.getByRole('button', { name: 'Estimate' }).click();
    await settled(page);
    // the lantern, with what belongs to it
    await page.getByRole('button', { name: 'Place a lamp' }).click();
    const lantern = await onScreen(page, [350, 80], size);
    await page.mouse.click(...lantern);
    await expect(page.getByTestId('consequence').getByRole('checkbox').first()).toBeVisible({ timeout: 15000 });
    await page.getByTestId('consequence').getByRole('button', { name: /^Take/ }).click();
    await settled(page);
    // a press on the jug, and its light is exchanged
    const state = (await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { id: string; kind: string; strips?: unknown[]; values: { place: [number, number] } }[] };
    const place = state.strips.find(({ kind }, at) => kind === 'plate' && at > 0)?.values.place ?? [160, 140];
    await page.mouse.click(...(await onScreen(page, [place[0], place[1]], size)));
    await page.getByRole('complementary', { name: 'Bench' }).locator('summary', { hasText: 'Own light' }).click();
    await page.getByRole('button', { name: 'Relight' }).click();
    await settled(page);
    const used = await count();
    console.log(`journey 20: ${used} gestures of 8`);
    expect(used).toBeLessThanOrEqual(8);
    const end = (await (await page.request.get(`/api/scenes/${scene}`)).json()) as { compass: { arcs: unknown[] }; strips: { kind: string; strips?: { kind: string }[] }[] };
    expect(end.compass.arcs).toEqual([]);
    const kinds = end.strips.flatMap(({ kind, strips }) => [kind, ...(strips ?? []).map((inner) => inner.kind)]);
    expect(kinds).toContain('key light');
    expect(kinds).toContain('rim');
    expect(await side(40)).toBeGreaterThan((await side(-40)) + 10);
    await endsWell(page, scene, size, [Math.round(place[0]), Math.round(place[1])]);
});
