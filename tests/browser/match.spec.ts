import { expect, test, type Page } from '@playwright/test';
import { addSpot, dragHandle, drop, newScene, onScreen, pngOf, settled, shownAt, stroke, unfold, written } from './help';

const ground = pngOf(320, 200, (x, y) => [60 + (x % 40), 80 + (y % 30), 90]);

/** A ball lit from an azimuth, on nothing. */
function ball(azimuth: number): Buffer {
    const [lx, ly] = [Math.cos((azimuth * Math.PI) / 180), Math.sin((azimuth * Math.PI) / 180)];
    return pngOf(
        120,
        120,
        (x, y) => {
            const [u, v] = [(x - 59.5) / 52, (59.5 - y) / 52];
            const shade = Math.max(0, 0.94 * (u * lx + v * ly) + 0.34 * Math.sqrt(Math.max(0, 1 - u * u - v * v)));
            const grey = Math.min(255, Math.round(255 * (0.08 + 0.7 * shade) ** (1 / 2.2)));
            return [grey, grey, grey, u * u + v * v < 1 ? 255 : 0];
        },
        true,
    );
}

type Values = Record<string, unknown>;

type Scene = { strips: { id: string; name: string; kind: string; values: Values; masks: { id: string; kind: string; on: string; join: string; values: Values }[] }[]; readings: { id: string; seen: string }[] };

async function state(page: Page, scene: string): Promise<Scene> {
    return (await (await page.request.get(`/api/scenes/${scene}`)).json()) as Scene;
}

const tool = (page: Page, name: string) => page.getByRole('radio', { name, exact: true });

test('the compass sees two plates disagree; a mend is taken, and taken back', async ({ page }) => {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application');
    await page.keyboard.press('1');
    for (const [name, azimuth, x] of [
        ['heron.png', 20, 300],
        ['lantern.png', 160, 600],
    ] as const) {
        await drop(page, view, name, 'image/png', ball(azimuth), { x, y: 250 });
        await expect(page.locator(`[data-strip][aria-label^="${name === 'heron.png' ? 'Heron' : 'Lantern'}"]`)).toBeVisible();
        await settled(page);
        await page.getByRole('button', { name: 'Estimate' }).click();
        await expect(page.getByText('by its outline')).toBeVisible();
        await settled(page);
    }
    const compass = page.getByRole('region', { name: 'Compass' });
    await expect(compass.getByTestId('disagreement')).toContainText('Heron and Lantern disagree by');
    await expect(page.getByTestId('readings')).toHaveText('1 reading');
    await expect(page.getByLabel('A reading concerns this strip')).toHaveCount(2);

    await compass.getByRole('button', { name: /^Mirror Lantern/ }).click();
    await settled(page);
    await expect(compass.getByTestId('disagreement')).toHaveCount(0);
    expect((await state(page, scene)).strips[2]!.values.mirrored).toBe(true);
    await page.keyboard.press('Control+z');
    await settled(page);
    await expect(compass.getByTestId('disagreement')).toBeVisible();
    expect((await state(page, scene)).strips[2]!.values.mirrored).toBe(false);

    // the ring can be dragged and stepped by keys: that is a bearing set by hand
    const ring = compass.locator('[data-sight]').nth(1);
    const box = (await ring.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 70, box.y + box.height / 2 - 8, { steps: 8 });
    await page.mouse.up();
    await settled(page);
    await expect(compass.getByTestId('disagreement')).toHaveCount(0);
    expect((await state(page, scene)).strips[2]!.values.bearing).toMatchObject({ by: 'sphere' });
    await written(page, () => ring.press('ArrowUp'));

    // readings can be opened, and a reading accepted
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await settled(page);
    await page.getByTestId('readings').click();
    await page.getByRole('dialog').getByRole('button', { name: 'It is meant' }).first().click();
    await settled(page);
    await expect(page.getByTestId('readings')).toHaveText('No readings');
});

test('an outline is drawn with corners and a curve, edited, and cuts its plate out', async ({ page }) => {
    const scene = await newScene(page, ground);
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await tool(page, 'Outline').click();
    for (const point of [
        [40, 40],
        [200, 40],
    ] as [number, number][]) {
        await page.mouse.click(...(await onScreen(page, point)));
    }
    // the third one is dragged: a curve
    const [x, y] = await onScreen(page, [200, 160]);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 60, y + 30, { steps: 6 });
    await page.mouse.up();
    await page.mouse.click(...(await onScreen(page, [40, 160])));
    await page.keyboard.press('Enter');
    await settled(page);
    const mask = (await state(page, scene)).strips[0]!.masks[0]!;
    expect(mask).toMatchObject({ kind: 'outline', on: 'plate', join: 'intersect' });
    const path = mask.values.path as { at: [number, number]; out?: [number, number] }[];
    expect(path.map((node) => node.at.map(Math.round))).toEqual([
        [40, 40],
        [200, 40],
        [200, 160],
        [40, 160],
    ]);
    expect(path[2]!.out![0]).toBeLessThan(-5);
    const inside = await shownAt(page, ...(await onScreen(page, [100, 100])));
    expect(inside[0]).toBeGreaterThan(50);
    expect(await shownAt(page, ...(await onScreen(page, [300, 100])))).toEqual([0, 0, 0]);

    await dragHandle(page, 'Point 2', 60, 0);
    expect(((await state(page, scene)).strips[0]!.masks[0]!.values.path as { at: [number, number] }[])[1]!.at[0]).toBeGreaterThan(210);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(((await state(page, scene)).strips[0]!.masks[0]!.values.path as { at: [number, number] }[])[1]!.at[0]).toBeCloseTo(200, 0);

    // another one takes away
    await page.getByRole('radio', { name: 'Take away' }).click();
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    for (const point of [
        [80, 80],
        [120, 80],
        [120, 120],
        [80, 120],
        [80, 80],
    ] as [number, number][]) {
        await page.mouse.click(...(await onScreen(page, point)));
    }
    await settled(page);
    expect((await state(page, scene)).strips[0]!.masks[1]).toMatchObject({ join: 'take away' });
    expect(await shownAt(page, ...(await onScreen(page, [100, 100])))).toEqual([0, 0, 0]);
});

test('strokes on the subject and on the background cut it out along its edge', async ({ page }) => {
    // an orange disc before blue water: its edge is known
    const disc = pngOf(320, 200, (x, y) => (Math.hypot(x - 150, y - 100) < 60 ? [210 + (x % 9), 120 + (y % 7), 50] : [40 + (x % 11), 70 + (y % 13), 130 + ((x + y) % 9)]));
    const scene = await newScene(page, disc);
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('p');
    await page.getByRole('spinbutton', { name: /^Size/ }).fill('12');
    await expect(page.getByText('Paints on new rough cut of Backdrop')).toBeVisible();
    await stroke(page, [
        [130, 80],
        [170, 110],
        [140, 125],
    ]);
    // one side alone is no cut: it is said, and the picture stays whole
    await expect(page.getByText('Paint a stroke on the background too').first()).toBeVisible();
    expect((await shownAt(page, ...(await onScreen(page, [290, 30]))))[2]).toBeGreaterThan(100);
    await page.keyboard.press('r');
    await stroke(page, [
        [40, 30],
        [280, 30],
        [280, 180],
        [40, 180],
    ]);
    await expect(page.getByText('Paint a stroke on the background too')).toHaveCount(0);
    for (const [place, isInside] of [
        [[150, 46], true],
        [[204, 100], true],
        [[150, 34], false],
        [[216, 100], false],
        [[290, 30], false],
    ] as [[number, number], boolean][]) {
        const [red] = await shownAt(page, ...(await onScreen(page, place)));
        expect(red, `${place}`)[isInside ? 'toBeGreaterThan' : 'toBeLessThan'](isInside ? 150 : 40);
    }
    const { masks } = (await state(page, scene)).strips[0]!;
    expect(masks).toHaveLength(1);
    expect(masks[0]!.values.strokes).toHaveLength(2);

    // judged: what is cut away is seen again, behind hatching
    await page.getByText('Clean the edge').click();
    await page.getByRole('button', { name: 'Judge the cut' }).click();
    await settled(page);
    const hatched = await Promise.all([0, 2, 4, 6, 8].map(async (more) => (await shownAt(page, ...(await onScreen(page, [286 + more, 30]))))[0]));
    expect(Math.max(...hatched) - Math.min(...hatched)).toBeGreaterThan(50);
    await page.getByRole('button', { name: 'Judge the cut' }).click();
    await settled(page);

    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await shownAt(page, ...(await onScreen(page, [290, 30]))))[2]).toBeGreaterThan(100);
});

test('strokes shape the falloff of a light, with pressure, and are seen at once', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    await page.keyboard.press('p');
    await page.getByRole('spinbutton', { name: /^Size/ }).fill('50');
    await page.getByRole('button', { name: 'More of the brush' }).click();
    await page.getByLabel('Pen on').selectOption('opacity');
    await page.keyboard.press('Escape');
    const lit = await shownAt(page, ...(await onScreen(page, [160, 120])));
    await page.getByRole('radio', { name: 'Hold back' }).click();
    await stroke(page, [
        [120, 120],
        [200, 120],
    ]);
    const hidden = await shownAt(page, ...(await onScreen(page, [160, 120])));
    expect(hidden[0]).toBeLessThan(lit[0] - 15);
    const first = (await state(page, scene)).strips[1]!.masks[0]!;
    expect(first.values).toMatchObject({ start: 'shown' });

    // the second one is live: the picture follows while the pen is down
    await page.keyboard.press('r');
    const [x, y] = await onScreen(page, [140, 120]);
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 60, y, { steps: 10 });
    await expect.poll(async () => (await shownAt(page, ...(await onScreen(page, [160, 120]))))[0]).toBeGreaterThan(hidden[0] + 10);
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await settled(page);
    expect((await state(page, scene)).strips[1]!.masks[0]!.values.strokes).toHaveLength(1);

    // a pen, played: its pressure is recorded
    const [left, top] = await onScreen(page, [90, 90]);
    await page.evaluate(([left, top]) => window.aumbrelPen?.(left!, top!, 260), [left, top]);
    await settled(page);
    // the state names strokes; what they are stands in the scene file
    const file = (await (await page.request.get(`/api/scenes/${scene}/file`)).json()) as Awaited<ReturnType<typeof state>>;
    const strokes = file.strips[1]!.masks[0]!.values.strokes as { pressure: string; points: number[][] }[];
    expect(strokes).toHaveLength(2);
    expect(strokes[1]!.pressure).toBe('opacity');
    expect(new Set(strokes[1]!.points.map((point) => point[2])).size).toBeGreaterThan(5);
});

test('a colour area is picked, a shadow line drawn, the sphere turned', async ({ page }) => {
    const patches = pngOf(320, 200, (x, y) => (x > 100 && x < 220 && y > 60 && y < 140 ? [200, 60, 50] : [90, 110, 100]));
    const scene = await newScene(page, patches);
    await page.keyboard.press('1');
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await page.getByRole('button', { name: 'Shadow line' }).click();
    await stroke(page, [
        [160, 120],
        [220, 120],
    ]);
    const plate = async () => (await state(page, scene)).strips[0]!;
    expect((await plate()).values.bearing).toMatchObject({ by: 'shadow line' });
    await expect(page.getByText('by a shadow line')).toBeVisible();
    // a shadow to the right: light from the left
    expect((await plate()).values.bearing).toMatchObject({ azimuth: 135 });
    await dragHandle(page, 'Tip of the shadow', -240, 0);
    expect(((await plate()).values.bearing as { azimuth: number }).azimuth).toBeLessThan(90);

    await page.getByRole('button', { name: 'Sphere' }).click();
    const sphere = page.getByTestId('sphere');
    const box = (await sphere.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 20, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
    await settled(page);
    const turned = (await plate()).values.bearing as { by: string; azimuth: number; elevation: number };
    expect(turned.by).toBe('sphere');
    expect(Math.abs(turned.azimuth)).toBeGreaterThan(170);
    await page.getByRole('button', { name: 'It matches' }).click();
    await expect(sphere).toHaveCount(0);

    await page.keyboard.press('i');
    await page.mouse.click(...(await onScreen(page, [160, 100])));
    await settled(page);
    expect((await plate()).masks[0]).toMatchObject({ kind: 'colour area', on: 'plate', values: { reach: 'touching', patch: 7 } });
    expect((await shownAt(page, ...(await onScreen(page, [160, 100]))))[0]).toBeGreaterThan(150);
    expect((await shownAt(page, ...(await onScreen(page, [40, 40]))))[0]).toBeLessThan(20);
});

test('plates are fitted in perspective, move together, snap, and become a trio', async ({ page }) => {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application');
    for (const [name, x] of [
        ['heron.png', 300],
        ['lantern.png', 600],
    ] as const) {
        await drop(page, view, name, 'image/png', ball(30), { x, y: 250 });
        await settled(page);
    }
    const places = async () => (await state(page, scene)).strips.slice(1).map((strip) => strip.values.place as [number, number]);
    const before = await places();
    await page.locator('[data-strip][aria-label^="Heron"]').click({ position: { x: 40, y: 10 }, modifiers: ['Shift'] });
    await page.keyboard.down('Alt');
    const frame = (await page.locator('[data-handle="Plate"]').boundingBox())!;
    // beside the pivot, which stands in the middle
    await page.mouse.move(frame.x + 40, frame.y + 60);
    await page.mouse.down();
    await page.mouse.move(frame.x + 7, frame.y + 81, { steps: 8 });
    await page.mouse.up();
    await settled(page);
    await page.keyboard.up('Alt');
    const after = await places();
    expect(after[0]![0] - before[0]![0]).toBe(after[1]![0] - before[1]![0]);
    expect(after[0]![1] - before[0]![1]).toBeGreaterThan(3);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(await places()).toEqual(before);

    await page.locator('[data-strip][aria-label^="Heron"]').click({ position: { x: 40, y: 10 } });
    await unfold(page, 'Placing');
    await page.getByRole('button', { name: 'Fit the corners' }).click();
    await dragHandle(page, 'Corner 2', 30, -40);
    const fit = (await state(page, scene)).strips[1]!.values.fit as [number, number][];
    expect(fit[0]).toEqual([0, 0]);
    expect(fit[1]![1]).toBeLessThan(-5);
    await page.getByRole('button', { name: 'Straight on again' }).click();
    await settled(page);

    await page.getByText('Base', { exact: true }).click();
    await page.getByRole('button', { name: 'Trio' }).click();
    await settled(page);
    expect((await state(page, scene)).strips.map((strip) => strip.values.exposure).slice(1, 4)).toEqual([-2, 0, 2]);
    await page.getByRole('button', { name: 'Average as a flat colour' }).click();
    await expect(page.locator('[data-strip][aria-label^="Average of"]')).toBeVisible();
});
