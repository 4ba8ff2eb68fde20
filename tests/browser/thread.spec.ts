import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { addSpot, dragHandle, newScene, pixelsOf, pngOf, run, settled, written } from './help';

const [WIDTH, HEIGHT] = [320, 200];

/** Where a picture is rendered to. */
const RENDERED = `${process.env.AUMBREL_TEST_ROOT ?? 'storage/browser-tests'}/thread.png`;

const base = (x: number, y: number): [number, number, number] => [(x * 5) % 200, (y * 3 + 20) % 220, (x + y) % 180];

const decode = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const encode = (l: number) => (l <= 0.0031308 ? l * 12.92 : 1.055 * l ** (1 / 2.4) - 0.055);

type Values = Record<string, unknown> & { origin: [number, number]; target: [number, number]; beam: number; field: number; reach: number };

/** The spot's field, by the definition and not by a line of the product. */
function spot(v: Values, x: number, y: number): number {
    const axis = Math.atan2(v.target[1] - v.origin[1], v.target[0] - v.origin[0]);
    let angle = Math.abs(Math.atan2(y - v.origin[1], x - v.origin[0]) - axis);
    angle = ((angle > Math.PI ? 2 * Math.PI - angle : angle) * 180) / Math.PI;
    const n = Math.log(Math.log2(10)) / Math.log(v.field / v.beam);
    const d = Math.hypot(x - v.origin[0], y - v.origin[1]);
    return Math.exp(-Math.LN2 * (angle / (v.beam / 2)) ** n) * Math.max(0, 1 - d / v.reach);
}

const linear = (from: [number, number], to: [number, number], x: number, y: number) => {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    return 1 - Math.min(1, Math.max(0, ((x - from[0]) * dx + (y - from[1]) * dy) / (dx * dx + dy * dy)));
};

test('the thread: a picture, a spot, a falloff, five modes, a reload, an export', async ({ page }) => {
    const scene = await newScene(
        page,
        pngOf(WIDTH, HEIGHT, base),
        'quay.png',
    );
    await addSpot(page);

    // placed and dragged by origin and target
    await dragHandle(page, 'Target', -60, 10);
    await dragHandle(page, 'Origin', 30, 20);
    // a colour whose linear values are plain
    await page.getByRole('radio', { name: 'swatch' }).click();
    await written(page, () => page.getByLabel('Colour: swatch').fill('#ff8000'));
    // faded in stops, by the keys of the fader
    const fader = page.getByRole('slider', { name: 'Spot, fader' });
    await fader.focus();
    await written(page, async () => {
        await fader.press('ArrowDown');
        await fader.press('ArrowDown');
    });
    await expect(fader).toHaveAttribute('aria-valuenow', '-0.5');
    // given a linear mask, which is dragged
    await page.getByRole('button', { name: 'Linear' }).click();
    await expect(page.locator('[data-handle="From"]')).toBeVisible();
    await dragHandle(page, 'To', 40, -30);

    for (const mode of ['normal', 'multiply', 'screen', 'illuminate', 'airlight']) {
        await page.getByLabel('Mode', { exact: true }).selectOption(mode);
        await settled(page);
        await expect(page.locator(`[data-strip][aria-label^="Spot, ${mode}"]`)).toBeVisible();

        const rendered = run('bin/aumbrel', 'render', scene, '--out', RENDERED);
        expect(JSON.parse(rendered)).toMatchObject({ columns: WIDTH, rows: HEIGHT });
        const file = await pixelsOf(page, readFileSync(RENDERED));
        const state = (await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: { level: number; values: Values; masks: { values: { from: [number, number]; to: [number, number] } }[] }[] };
        const strip = state.strips[1]!;
        const mask = strip.masks[0]!.values;
        const colour = [1, decode(128 / 255), 0];
        let largest = 0;
        for (let y = 0; y < HEIGHT; y += 3) {
            for (let x = 0; x < WIDTH; x += 3) {
                const [px, py] = [x + 0.5, y + 0.5];
                if (Math.hypot(px - strip.values.origin[0], py - strip.values.origin[1]) < 3) {
                    continue;
                }
                const cover = spot(strip.values, px, py) * linear(mask.from, mask.to, px, py) * 2 ** strip.level;
                base(x, y).forEach((byte, channel) => {
                    const b = byte / 255;
                    const c = colour[channel]!;
                    const s = encode(c);
                    const wanted = {
                        normal: b + cover * (s - b),
                        multiply: b + cover * (b * s - b),
                        screen: b + cover * (b + s - b * s - b),
                        illuminate: encode(decode(b) * (1 + cover * c)),
                        airlight: encode(decode(b) + cover * c),
                    }[mode]!;
                    largest = Math.max(largest, Math.abs(Math.min(1, wanted) * 255 - file.data[(y * WIDTH + x) * 4 + channel]!));
                });
            }
        }
        expect(largest, mode).toBeLessThan(1);
    }

    // reload: all is there
    const before = await (await page.request.get(`/api/scenes/${scene}`)).json();
    await page.reload();
    await settled(page);
    await expect(page.locator('[data-strip]')).toHaveCount(2);
    await page.locator('[data-strip][aria-label^="Spot"]').click();
    await expect(page.getByLabel('Mode', { exact: true })).toHaveValue('airlight');
    expect(await (await page.request.get(`/api/scenes/${scene}`)).json()).toEqual(before);

    // export, and read the file's pixels back
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByRole('button', { name: 'Write the file' }).click();
    const save = page.getByRole('link', { name: 'Save' });
    await expect(save).toBeVisible({ timeout: 30_000 });
    const [download] = await Promise.all([page.waitForEvent('download'), save.click()]);
    expect(download.suggestedFilename()).toBe('quay.png');
    const exported = await pixelsOf(page, readFileSync(await download.path()));
    run('bin/aumbrel', 'render', scene, '--out', RENDERED);
    const rendered = await pixelsOf(page, readFileSync(RENDERED));
    expect([exported.width, exported.height]).toEqual([rendered.width, rendered.height]);
    expect(exported.data.equals(rendered.data)).toBe(true);
});

test('undo takes back what the hand did, over a reload too', async ({ page }) => {
    const scene = await newScene(page, pngOf(WIDTH, HEIGHT, base));
    await addSpot(page);
    await dragHandle(page, 'Target', 50, 0);
    const moved = (await (await page.request.get(`/api/scenes/${scene}`)).json()).strips[1].values.target;
    await page.reload();
    await settled(page);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: 'Redo: Target' })).toBeEnabled();
    const back = (await (await page.request.get(`/api/scenes/${scene}`)).json()).strips[1].values.target;
    expect(back).not.toEqual(moved);
    await page.keyboard.press('Control+Shift+z');
    await expect(page.getByRole('button', { name: 'Undo: Target' })).toBeEnabled();
    expect((await (await page.request.get(`/api/scenes/${scene}`)).json()).strips[1].values.target).toEqual(moved);
});

test('escape takes back what is being dragged, and nothing is written', async ({ page }) => {
    const scene = await newScene(page, pngOf(WIDTH, HEIGHT, base));
    await addSpot(page);
    const before = await (await page.request.get(`/api/scenes/${scene}`)).json();
    const box = (await page.locator('[data-handle="Target"]').boundingBox())!;
    await page.mouse.move(box.x + 12, box.y + 12);
    await page.mouse.down();
    await page.mouse.move(box.x + 90, box.y + 40, { steps: 5 });
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await settled(page);
    expect(await (await page.request.get(`/api/scenes/${scene}`)).json()).toEqual(before);
});
