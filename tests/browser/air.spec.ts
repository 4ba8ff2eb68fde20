import { expect, test, type Page } from '@playwright/test';
import { add, addSpot, dragHandle, drop, newScene, onScreen, pngOf, settled, shownAt, unfold, valuesOf, written } from './help';

/** Tones from black on the left to white on the right. */
const wedge = pngOf(320, 200, (x) => [Math.floor((x * 255) / 319), Math.floor((x * 255) / 319), Math.floor((x * 255) / 319)]);

/** An orange half and a blue one, not too rich. */
const halves = pngOf(320, 200, (x) => (x < 160 ? [190, 120, 70] : [30, 90, 220]));

const at = async (page: Page, x: number, y = 100) => shownAt(page, ...(await onScreen(page, [x, y])));

/** Drags on the picture, between places of the scene, by so much on the screen. */
async function pull(page: Page, from: [number, number], [dx, dy]: [number, number]): Promise<void> {
    const [x, y] = await onScreen(page, from);
    const box = (await page.locator('[data-view]').boundingBox())!;
    await written(page, async () => {
        await page.mouse.move(box.x + x, box.y + y);
        await page.mouse.down();
        await page.mouse.move(box.x + x + dx, box.y + y + dy, { steps: 8 });
        await page.waitForTimeout(400);
        await page.mouse.up();
    });
}

test('a curve: a thread is drawn to another tone, a tone picked on the picture and dragged up, keys, and all of it taken back', async ({ page }) => {
    const scene = await newScene(page, wedge);
    await add(page, /^Curve/);
    const reset = page.getByRole('button', { name: 'Reset tones' });
    await written(page, () => reset.click());
    await settled(page);
    expect((await at(page, 160))[0]).toBeGreaterThan(118);
    const box = (await page.getByTestId('curve all').boundingBox())!;
    // a new thread is hung at the middle, and its lower end drawn to the right: the middle becomes brighter
    await written(page, async () => {
        await page.mouse.move(box.x + 0.5 * box.width, box.y + 10);
        await page.mouse.down();
        await page.mouse.move(box.x + 0.7 * box.width, box.y + 12, { steps: 6 });
        await page.mouse.up();
    });
    await settled(page);
    const points = (await valuesOf(page, scene, 'curve')).values.all as [number, number][];
    expect(points).toHaveLength(3);
    expect(points[1]![0]).toBeCloseTo(0.5, 1);
    expect(points[1]![1]).toBeCloseTo(0.7, 1);
    expect((await at(page, 160))[0]).toBeGreaterThan(165);
    // by keys: the lower end of the thread
    await written(page, () => page.getByRole('slider', { name: 'Tones, thread 2 after' }).press('Shift+ArrowLeft'));
    expect(((await valuesOf(page, scene, 'curve')).values.all as [number, number][])[1]![1]).toBeCloseTo(points[1]![1] - 0.05, 2);
    // a dark tone is picked on the picture and dragged up: it becomes brighter just there
    await page.getByRole('button', { name: 'Pick a tone' }).first().click();
    const dark = (await at(page, 48))[0];
    await pull(page, [48, 100], [0, -60]);
    await page.keyboard.press('Escape');
    await settled(page);
    expect((await valuesOf(page, scene, 'curve')).values.all).toHaveLength(4);
    expect((await at(page, 48))[0]).toBeGreaterThan(dark + 25);
    // and taken out again by Delete, then the whole undone
    await written(page, () => page.getByRole('slider', { name: 'Tones, thread 2 after' }).press('Delete'));
    expect((await valuesOf(page, scene, 'curve')).values.all).toHaveLength(3);
    for (let n = 0; n < 5; n++) {
        await page.getByRole('button', { name: /^Undo/ }).click();
        await settled(page);
    }
    expect((await valuesOf(page, scene, 'curve')).values.all).toEqual([[0, 0], [0.25, 0.2], [0.7, 0.75], [1, 1]]);
});

test('balance: a thread of greys among the colours, pulled at darks, mids and lights', async ({ page }) => {
    const scene = await newScene(page, halves);
    await add(page, /^Balance/);
    await written(page, () => page.getByRole('button', { name: 'Reset colours' }).click());
    await settled(page);
    // the colours that lie below are drawn about it
    await expect.poll(() => page.getByTestId('shifts').locator('circle').count()).toBeGreaterThan(1);
    const before = await at(page, 80);
    const mids = page.getByRole('slider', { name: 'Mids' });
    const from = (await mids.boundingBox())!;
    const toward = async (right: number, down: number) => {
        const peg = (await mids.boundingBox())!;
        await page.mouse.move(peg.x + peg.width / 2, peg.y + peg.height / 2);
        await page.mouse.down();
        await page.mouse.move(peg.x + peg.width / 2 + right, peg.y + peg.height / 2 + down, { steps: 6 });
        await page.mouse.up();
    };
    // reds lie to the right, toward the viewer
    await written(page, () => toward(26, 0));
    await settled(page);
    const shift = async () => ((await valuesOf(page, scene, 'balance')).values.shifts as { mids: number[] }).mids;
    expect((await shift())[0]).toBeGreaterThan(25);
    expect((await at(page, 80))[0]).toBeGreaterThan(before[0] + 8);
    expect((await mids.boundingBox())!.x).toBeGreaterThan(from.x + 20);
    await expect(mids).toHaveAttribute('aria-valuetext', /toward (red|orange)/);
    const far = (await shift())[0]!;
    await mids.focus();
    await written(page, () => mids.press('Shift+ArrowLeft'));
    expect((await shift())[0]).toBeLessThan(far);
});

test('single hues: picked on the picture, drawn on the hill, turned and calmed', async ({ page }) => {
    const scene = await newScene(page, halves);
    await add(page, /^Single hues/);
    const stretches = async () => (await valuesOf(page, scene, 'bands')).values.bands as { hues: number[]; turn?: number; chroma?: number }[];
    await written(page, () => page.getByRole('button', { name: /^Delete the stretch/ }).click());
    expect(await stretches()).toEqual([]);
    await page.getByRole('button', { name: 'Pick a hue' }).click();
    const [x, y] = await onScreen(page, [240, 100]);
    await written(page, () => page.mouse.click(x, y));
    expect((await stretches())[0]!.hues[1]).toBeLessThan(264);
    expect((await stretches())[0]!.hues[2]).toBeGreaterThan(250);
    await settled(page);
    const [orange, blue] = [await at(page, 80), await at(page, 240)];
    await written(page, async () => {
        await page.getByLabel('Richness').first().fill('0');
        await page.getByLabel('Richness').first().press('Enter');
    });
    await settled(page);
    const [r, , b] = await at(page, 240);
    expect(b - r).toBeLessThan(0.3 * (blue[2] - blue[0]));
    // the orange stays
    expect(Math.abs((await at(page, 80))[0] - orange[0])).toBeLessThan(4);

    // a second stretch, by a press on the hill of the oranges
    const hill = (await page.getByTestId('hues').boundingBox())!;
    const xOf = (hue: number) => hill.x + ((hue + 18) / 396) * hill.width;
    await written(page, () => page.mouse.click(xOf(55), hill.y + hill.height / 2));
    expect(await stretches()).toHaveLength(2);
    await expect(page.getByRole('radio', { name: 'orange' })).toHaveAttribute('aria-checked', 'true');
    await written(page, async () => {
        await page.getByLabel('Turned by').first().fill('-25');
        await page.getByLabel('Turned by').first().press('Enter');
    });
    await settled(page);
    expect((await at(page, 80))[1]).toBeLessThan(orange[1] - 5);
    // it is dragged by its middle, and by a slope's keys
    const before = (await stretches())[1]!.hues;
    await written(page, async () => {
        const middle = xOf((before[1]! + before[2]!) / 2);
        await page.mouse.move(middle, hill.y + hill.height / 2);
        await page.mouse.down();
        await page.mouse.move(middle + 30, hill.y + hill.height / 2, { steps: 4 });
        await page.mouse.up();
    });
    const moved = (await stretches())[1]!.hues;
    expect(moved[3]! - moved[0]!).toBeCloseTo(before[3]! - before[0]!, 0);
    expect(moved[0]).toBeGreaterThan(before[0]! + 20);
    await page.getByRole('slider', { name: 'Last end, none' }).focus();
    await written(page, () => page.keyboard.press('Shift+ArrowRight'));
    expect((await stretches())[1]!.hues[3]).toBeCloseTo(moved[3]! + 10, 0);
    // and a stretch is drawn where there is none
    await written(page, async () => {
        await page.mouse.move(xOf(150), hill.y + 20);
        await page.mouse.down();
        await page.mouse.move(xOf(190), hill.y + 20, { steps: 4 });
        await page.mouse.up();
    });
    expect(Math.abs((await stretches())[2]!.hues[1]! - 150)).toBeLessThan(4);
});

test('smoke hangs in a light, is drawn out by its handles, and the scope tells what is there', async ({ page }) => {
    const scene = await newScene(page, pngOf(320, 200, () => [40, 44, 50]));
    await addSpot(page);
    await add(page, /^Smoke/);
    await page.getByLabel('Lit by').selectOption({ label: 'Spot' });
    await settled(page);
    expect((await valuesOf(page, scene, 'smoke')).values.lit).toBe((await valuesOf(page, scene, 'spot')).id);
    const size = (await valuesOf(page, scene, 'smoke')).values.smokeSize as number;
    await dragHandle(page, 'Size', 0, 40);
    expect((await valuesOf(page, scene, 'smoke')).values.smokeSize as number).toBeGreaterThan(size + 5);
    await dragHandle(page, 'Drift and stretch', -20, -60);
    expect((await valuesOf(page, scene, 'smoke')).values.drift as number).toBeGreaterThan(15);

    await page.getByRole('button', { name: 'Scope', exact: true }).click();
    const panel = page.getByRole('region', { name: 'Scope' });
    await expect(panel.getByTestId('brightest place')).toContainText('%');
    const box = (await page.locator('[data-view]').boundingBox())!;
    await page.mouse.move(box.x + 80, box.y + box.height - 60);
    await page.mouse.move(box.x + 90, box.y + box.height - 66, { steps: 3 });
    await expect(panel.getByTestId('values')).toContainText(/Unlit\s*40\s+44\s+50/);
    for (const name of ['Waveform', 'Chroma', 'Tones']) {
        await panel.getByRole('radio', { name }).click();
        const ink = () => panel.getByTestId('scope').evaluate((canvas: HTMLCanvasElement) => canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height).data.some((value) => value > 60));
        await expect.poll(ink).toBe(true);
    }
    // of the chosen strip by itself
    await panel.getByRole('radio', { name: 'Smoke' }).click();
    await expect(panel.getByTestId('brightest place')).toBeHidden();
    await page.getByRole('button', { name: 'Scope', exact: true }).click();
    await expect(panel).toBeHidden();
});

test('what does not belong is noticed in the picture, and mended with a click that adds a strip', async ({ page }) => {
    const grain = (x: number, y: number) => ((x * 7919 + y * 104729 + ((x * y) % 13) * 31) % 41) - 20;
    const scene = await newScene(page, pngOf(320, 200, (x, y) => [90 + grain(x, y), 92 + grain(x, y), 98 + grain(x, y)]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    const disc = (x: number, y: number) => (Math.hypot(x - 54.5, y - 54.5) < 50 ? 255 : 0);
    await drop(page, page.locator('[data-view]'), 'disc.png', 'image/png', pngOf(110, 110, (x, y) => [100, 98, 94, disc(x, y)], true), { x: view.width / 2, y: view.height / 2 });
    await settled(page);
    // of what was just placed nothing is said before the hand has gone on
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await page.getByTestId('readings').click();
    const noticed = page.getByRole('dialog', { name: 'Readings' });
    await expect(noticed).toContainText('has grain of', { timeout: 20_000 });
    // what is worth knowing before work begins stands there too
    await expect(noticed).toContainText('is too flat for two gels: 0.0 stops from dark to bright.');
    await written(page, () => noticed.getByRole('button', { name: /^Grain as its neighbours: \d/ }).click());
    await expect(noticed).not.toContainText('has grain of');
    expect((await valuesOf(page, scene, 'grain')).confinedTo).toBeDefined();
});

test.setTimeout(90_000);

test('a plate is matched to what lies around it, given its grain, and the rest is brought along a light', async ({ page }) => {
    const grain = (x: number, y: number) => ((x * 7919 + y * 104729 + ((x * y) % 13) * 31) % 41) - 20;
    const scene = await newScene(page, pngOf(320, 200, (x, y) => [70 + grain(x, y), 90 + grain(x, y), 140 + grain(x, y)]));
    const view = (await page.locator('[data-view]').boundingBox())!;
    await drop(page, page.locator('[data-view]'), 'subject.png', 'image/png', pngOf(110, 110, (x, y) => [200 - ((x + y) % 2), 120, 60]), { x: view.width / 2, y: view.height / 2 });
    await settled(page);
    expect((await at(page, 160))[0]).toBeGreaterThan(195);
    await add(page, /^Match A plate/);
    const match = await valuesOf(page, scene, 'match');
    expect(match.confinedTo).toBeDefined();
    const [r, , b] = await at(page, 160);
    expect(r).toBeLessThan(170);
    expect(b).toBeGreaterThan(80);
    // its bench says how far both were apart, and are
    const apart = page.getByTestId('apart');
    await expect(apart).toHaveText(/^\d+\.\d before, \d+\.\d after$/);
    const [before, after] = (await apart.textContent())!.match(/\d+\.\d/g)!.map(Number);
    expect(before).toBeGreaterThan(12);
    expect(after).toBeLessThan(before! - 5);
    // toward a region: its corners are there to be dragged
    await page.getByLabel('Toward').selectOption('a region');
    await settled(page);
    await dragHandle(page, 'The other corner of the region', 30, 20);
    // grain, from the plate's own bench
    await page.locator('[data-strip]').nth(1).click({ position: { x: 40, y: 10 } });
    await unfold(page, 'Likeness');
    await written(page, () => page.getByRole('button', { name: 'Grain as its neighbours' }).click());
    await settled(page);
    expect((await valuesOf(page, scene, 'grain')).values.strength as number).toBeGreaterThan(10);
    await expect(page.getByText(/^Grain as its neighbours: \d+\.\d of 255\.$/)).toBeVisible();
    // a light, and the rest with it in a group under it
    await addSpot(page);
    await unfold(page, 'Likeness');
    await written(page, () => page.getByRole('button', { name: 'Bring the rest along' }).click());
    await settled(page);
    const group = (await valuesOf(page, scene, 'group')) as unknown as { name: string; strips: { kind: string }[] };
    expect(group.name).toContain('Rest along');
    expect(group.strips.map((strip) => strip.kind)).toEqual(['curve', 'warmth']);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await settled(page);
    expect(await valuesOf(page, scene, 'group')).toBeUndefined();
    // what was matched becomes a part of the plate
    await page.locator('[data-strip][aria-label^="Match"]').click({ position: { x: 40, y: 10 } });
    await written(page, () => page.getByRole('button', { name: 'Make it part of the plate' }).click());
    const held = (await valuesOf(page, scene, 'group')) as unknown as { closed: boolean; strips: { kind: string }[] };
    expect([held.closed, ...held.strips.map((strip) => strip.kind)]).toEqual([true, 'plate', 'match']);
});
