import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { dragHandle, drop, newScene, onScreen, pngOf, run, settled, shownAt, watch, written, unfold } from './help';

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

/** A dark ground with a bright window in it. */
const ground = pngOf(320, 200, (x, y) => (x > 230 && x < 260 && y > 60 && y < 90 ? [235, 225, 190] : [26 + (x % 20), 28, 40]));

/** A round grey on nothing. */
const figure = pngOf(80, 100, (x, y) => [120, 118, 116, Math.hypot((x - 40) / 34, (y - 50) / 46) < 1 ? 255 : 0], true);

type Strip = { id: string; name: string; kind: string; mode: string; level: number; values: Record<string, unknown>; masks: { id: string; kind: string; on: string; values: Record<string, unknown> }[] };

const strips = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;

const last = async (page: Page, scene: string) => (await strips(page, scene)).at(-1)!;

const bright = async (page: Page, at: [number, number]) => (await shownAt(page, ...(await onScreen(page, at)))).reduce((sum, value) => sum + value, 0);

async function add(page: Page, kind: RegExp, byLine = false): Promise<void> {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    if (byLine) {
        await page.getByRole('button', { name: kind }).click();
        return;
    }
    await written(page, () => page.getByRole('button', { name: kind }).click());
}

/** Drags with a finger. */
async function swipe(page: Page, from: [number, number], to: [number, number]): Promise<void> {
    const client = await page.context().newCDPSession(page);
    const at = (t: number) => ({ x: from[0] + t * (to[0] - from[0]), y: from[1] + t * (to[1] - from[1]) });
    await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at(0)] });
    for (let k = 1; k <= 8; k++) {
        await client.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [at(k / 8)] });
    }
    await client.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await settled(page);
}

test.use({ hasTouch: true });

test('a glow is placed, dragged, faded, nudged and swiped; its shells are taken out and put in', async ({ page }) => {
    const scene = await newScene(page, ground);
    const dark = await bright(page, [60, 60]);
    await add(page, /^Glow Something/);
    let glow = await last(page, scene);
    expect(glow).toMatchObject({ kind: 'glow', mode: 'airlight' });
    const [x, y] = glow.values.centre as [number, number];
    expect(await bright(page, [x, y])).toBeGreaterThan(700);
    // dragged by hand
    await dragHandle(page, 'Centre', -120, -60);
    glow = await last(page, scene);
    const moved = glow.values.centre as [number, number];
    expect(moved[0]).toBeLessThan(x - 30);
    expect(await bright(page, moved)).toBeGreaterThan(700);
    const size = glow.values.size as number;
    await dragHandle(page, 'Reach', 60, 0);
    expect((await last(page, scene)).values.reach).toBeGreaterThan(110);
    // by a finger
    const handle = (await page.locator('[data-handle="Size"]').boundingBox())!;
    await swipe(page, [handle.x + handle.width / 2, handle.y + handle.height / 2], [handle.x + 50, handle.y + handle.height / 2]);
    expect((await last(page, scene)).values.size).toBeGreaterThan(size);
    // by keys
    await page.getByRole('application', { name: /^View/ }).focus();
    await written(page, () => page.keyboard.press('Shift+ArrowRight'));
    expect(((await last(page, scene)).values.centre as number[])[0]).toBe(moved[0] + 10);
    // faded
    const fader = page.getByRole('slider', { name: 'Glow, fader' });
    const lit = await bright(page, [moved[0] + 40, moved[1]]);
    await written(page, () => fader.press('Home').then(() => fader.press('ArrowUp')));
    await settled(page);
    expect(await bright(page, [moved[0] + 40, moved[1]])).toBeLessThan(lit);
    expect(dark).toBeLessThan(200);
    // shells
    const before = (glow.values.shells as unknown[]).length;
    await written(page, () => page.getByRole('button', { name: 'Take out halo 3' }).click());
    expect(((await last(page, scene)).values.shells as unknown[]).length).toBe(before - 1);
    await written(page, () => page.getByRole('button', { name: 'Halo', exact: true }).click());
    await page.getByText('Core', { exact: true }).click();
    const pale = page.getByRole('textbox', { name: 'Pale' }).first();
    await pale.fill('20');
    await written(page, () => pale.press('Enter'));
    expect((await last(page, scene)).values.shells).toMatchObject([{ part: 'core', pale: 20 }, {}, {}, {}, {}, {}]);
});

test('a glow shines from what is drawn: painted, outlined, picked, and from bright tones', async ({ page }) => {
    const scene = await newScene(page, ground);
    const [plate] = await strips(page, scene);
    await add(page, /^Glow Something/);
    await written(page, () => page.getByLabel('Shines').selectOption('what is drawn').then(() => undefined));
    await expect(page.locator('summary').filter({ hasText: 'What shines' })).toBeVisible();
    // painted
    await page.keyboard.press('p');
    await expect(page.getByTestId('target')).toContainText('what shines of Glow');
    const [a, b] = [await onScreen(page, [60, 150]), await onScreen(page, [110, 150])];
    await page.mouse.move(...a);
    await page.mouse.down();
    await page.mouse.move(...b, { steps: 6 });
    await written(page, () => page.mouse.up());
    expect((await last(page, scene)).masks).toMatchObject([{ kind: 'strokes', on: 'emitter' }]);
    expect(await bright(page, [85, 150])).toBeGreaterThan(600);
    // outlined: it adds
    await page.keyboard.press('o');
    for (const corner of [[150, 20], [180, 20], [180, 45], [150, 45]] as [number, number][]) {
        await page.mouse.click(...(await onScreen(page, corner)));
    }
    await written(page, () => page.keyboard.press('Enter'));
    expect((await last(page, scene)).masks).toMatchObject([{ kind: 'strokes' }, { kind: 'outline', on: 'emitter', join: 'add' }]);
    expect(await bright(page, [165, 32])).toBeGreaterThan(600);
    // picked on a plate
    await page.keyboard.press('e');
    await page.locator('aside[aria-label="Bench"]').getByLabel('Of', { exact: true }).selectOption(plate!.id);
    await settled(page);
    await page.getByRole('button', { name: 'Colour area', exact: true }).click();
    await written(page, async () => page.mouse.click(...(await onScreen(page, [245, 75]))));
    const picked = (await last(page, scene)).masks[2]!;
    expect(picked).toMatchObject({ kind: 'colour area', on: 'emitter' });
    expect(await bright(page, [268, 75])).toBeGreaterThan(await bright(page, [310, 10]));
    // a plate's own bright tones
    await page.keyboard.press('e');
    await page.locator('[data-strip][aria-label^="Glow"]').click({ position: { x: 40, y: 10 } });
    await written(page, () => page.getByLabel('Shines').selectOption("a plate's bright tones").then(() => undefined));
    expect(await bright(page, [85, 150])).toBeLessThan(500);
    expect(await bright(page, [268, 75])).toBeGreaterThan(await bright(page, [310, 10]));
});

test('a halo lies round a plate; spread, shift and pull are dragged', async ({ page }) => {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application', { name: /^View/ });
    const box = (await view.boundingBox())!;
    const [x, y] = await onScreen(page, [120, 100]);
    await drop(page, view, 'figure.png', 'image/png', figure, { x: x - box.x, y: y - box.y });
    await expect(page.locator('[data-strip][aria-label^="Figure"]')).toBeVisible();
    await settled(page);
    const beside = await bright(page, [80, 100]);
    await add(page, /^Halo Colours/);
    let halo = await last(page, scene);
    expect(halo).toMatchObject({ kind: 'halo', mode: 'screen' });
    expect(await bright(page, [80, 100])).toBeGreaterThan(beside + 20);
    const spread = halo.values.spread as number;
    await dragHandle(page, 'Spread', 30, 0);
    await dragHandle(page, 'Shift', 40, -20);
    await dragHandle(page, 'Pull', -60, 0);
    halo = await last(page, scene);
    expect(halo.values.spread).toBeGreaterThan(spread);
    expect(halo.values.shift).toBeGreaterThan(8);
    expect(halo.values.shiftTo).toBeGreaterThan(0);
    expect(halo.values.pull).toBeGreaterThan(10);
    expect(Math.abs(halo.values.pullTo as number)).toBeGreaterThan(150);
    // the ramp is one control
    await page.getByText('Its 4 stops').click();
    await written(page, () => page.getByRole('button', { name: 'Remove stop 3' }).click());
    expect((await last(page, scene)).values.ramp).toHaveLength(3);
});

test('a line of light is drawn and dragged by its points, a sun by its disc, and fades by keys', async ({ page }) => {
    const scene = await newScene(page, ground);
    await add(page, /^Line of light/);
    let line = await last(page, scene);
    expect(line.masks).toMatchObject([{ kind: 'outline', on: 'emitter' }]);
    await dragHandle(page, 'Point 1', -40, 30);
    const [first] = (await last(page, scene)).masks[0]!.values.path as { at: [number, number] }[];
    expect(first!.at[1]).toBeGreaterThan((line.masks[0]!.values.path as { at: [number, number] }[])[0]!.at[1] + 5);
    expect(await bright(page, first!.at)).toBeGreaterThan(500);
    // another one, by hand: it ends where it is said to end
    await page.keyboard.press('o');
    await page.mouse.click(...(await onScreen(page, [30, 180])));
    await page.mouse.click(...(await onScreen(page, [290, 184])));
    await written(page, () => page.keyboard.press('Enter'));
    line = await last(page, scene);
    expect(line.masks).toHaveLength(2);
    expect(await bright(page, [160, 182])).toBeGreaterThan(500);
    await page.keyboard.press('e');

    await add(page, /^Sun A sun/);
    const sun = await last(page, scene);
    await dragHandle(page, 'Sun', -150, 40);
    const at = (await last(page, scene)).values.centre as [number, number];
    expect(at[0]).toBeLessThan((sun.values.centre as number[])[0]! - 30);
    expect(await bright(page, at)).toBeGreaterThan(700);
    await dragHandle(page, 'Radius', 20, 0);
    await dragHandle(page, 'Bloom', 30, 0);
    const grown = (await last(page, scene)).values;
    expect(grown.radius).toBeGreaterThan(sun.values.radius as number);
    expect(grown.bloom).toBeGreaterThan(sun.values.bloom as number);
    const fader = page.getByRole('slider', { name: 'Sun, fader' });
    await written(page, () => fader.press('ArrowDown'));
    expect((await last(page, scene)).level).toBeLessThan(0);
});

test('a beam is drawn by its line, a pattern is fitted by its corners, a leak is moved, turned and stretched', async ({ page }) => {
    const scene = await newScene(page, ground);
    await add(page, /^Beam A shaft/, true);
    const [a, b] = [await onScreen(page, [40, 10]), await onScreen(page, [120, 170])];
    await page.mouse.move(...a);
    await page.mouse.down();
    await page.mouse.move(...b, { steps: 6 });
    await written(page, () => page.mouse.up());
    let beam = await last(page, scene);
    expect(beam).toMatchObject({ kind: 'beam', values: { origin: [40, 10], target: [120, 170] } });
    expect(await bright(page, [70, 70])).toBeGreaterThan((await bright(page, [200, 150])) + 40);
    await dragHandle(page, 'Target', 60, 0);
    beam = await last(page, scene);
    expect((beam.values.target as number[])[0]).toBeGreaterThan(130);

    await add(page, /^Pattern Light through/);
    const pattern = await last(page, scene);
    const [corner] = pattern.values.corners as [number, number][];
    await dragHandle(page, 'Corner 1', -30, -20);
    expect(((await last(page, scene)).values.corners as [number, number][])[0]![0]).toBeLessThan(corner![0] - 5);
    // a corner that would fold it over stays where it can
    await dragHandle(page, 'Corner 1', 600, 420);
    const corners = (await last(page, scene)).values.corners as [number, number][];
    expect(corners[0]![0]).toBeLessThan(corners[1]![0]);
    await written(page, () => page.getByLabel('Through').selectOption('blinds').then(() => undefined));
    await expect(page.getByLabel('Slats')).toBeVisible();

    await add(page, /^Leak Stray light/);
    const leak = await last(page, scene);
    await dragHandle(page, 'Middle', -40, 20);
    await dragHandle(page, 'Turn', 60, 30);
    await dragHandle(page, 'Width', -80, 0);
    const changed = (await last(page, scene)).values;
    expect((changed.middle as number[])[0]).toBeLessThan((leak.values.middle as number[])[0]! - 5);
    expect(changed.turn).not.toBe(0);
    expect(changed.width).not.toBe(leak.values.width);
    // a picture of one's own, brought for it
    await written(page, () => page.getByLabel('Texture').selectOption('a picture').then(() => undefined));
    await page.getByLabel('Picture for picture').setInputFiles({ name: 'stray.png', mimeType: 'image/png', buffer: pngOf(40, 30, (x) => [6 * x, 3 * x, 0]) });
    await expect.poll(async () => (await last(page, scene)).values.picture).toBe('stray.png');
    // and as a mask on it
    await page.getByRole('button', { name: 'Texture', exact: true }).click();
    await expect.poll(async () => (await last(page, scene)).masks.length).toBe(1);
    await settled(page);
    await expect(page.locator('[data-handle="Middle"]')).toBeVisible();
});

test('a strip is looked at under every mode, side by side, and taken', async ({ page }) => {
    const scene = await newScene(page, ground);
    await add(page, /^Glow Something/);
    const sheet = page.getByRole('dialog', { name: 'Modes side by side' });
    await page.getByRole('button', { name: 'Modes side by side' }).click();
    await expect(sheet.getByRole('button')).toHaveCount(21);
    const asked = Date.now();
    await page.waitForFunction(() => [...document.querySelectorAll<HTMLCanvasElement>('[role=dialog] canvas')].every((canvas) => canvas.width < 300));
    expect(Date.now() - asked).toBeLessThan(1500);
    await expect(sheet.locator('section h3')).toHaveText(['covers', 'lifts everything', 'keeps blacks', 'darkens', 'colour only', 'turns tones over', 'our own']);
    const [x, y] = (await last(page, scene)).values.centre as [number, number];
    const airy = await bright(page, [x + 30, y]);
    // to point at one shows it, to go away takes it back
    await sheet.getByRole('button', { name: 'multiply' }).hover();
    await expect.poll(() => bright(page, [x + 30, y])).toBeLessThan(airy - 15);
    expect((await last(page, scene)).mode).toBe('airlight');
    await sheet.getByRole('heading', { name: 'darkens' }).hover();
    await expect.poll(() => bright(page, [x + 30, y])).toBeGreaterThan(airy - 6);
    await written(page, () => sheet.getByRole('button', { name: 'screen' }).click());
    expect((await last(page, scene)).mode).toBe('screen');
    await expect(sheet).toHaveCount(0);
    // a level above full: the desk says that nothing more comes where it is full
    const fader = page.getByRole('slider', { name: 'Glow, fader' });
    await written(page, () => fader.press('ArrowUp').then(() => fader.press('ArrowUp')));
    await expect(page.locator('[data-strip][aria-label^="Glow"]').getByText('full', { exact: true })).toBeVisible();
    // by keys alone
    await page.getByRole('button', { name: 'Modes side by side' }).press('Enter');
    await expect(sheet).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
});

test('what a strip alone adds is seen, brightened; values and clipping too', async ({ page }) => {
    const scene = await newScene(page, ground);
    await add(page, /^Glow Something/);
    const [x, y] = (await last(page, scene)).values.centre as [number, number];
    const fader = page.getByRole('slider', { name: 'Glow, fader' });
    for (let k = 0; k < 40; k++) {
        await fader.press('ArrowDown');
    }
    await settled(page);
    await page.getByRole('application', { name: /^View/ }).focus();
    await page.keyboard.press('l');
    await expect(page.getByText(/What this strip adds or takes away, brightened [\d.]+ times/)).toBeVisible();
    await expect.poll(() => bright(page, [245, 75])).toBeLessThan(60);
    expect(await bright(page, [x, y])).toBeGreaterThan(300);
    await page.getByLabel('See').selectOption('This strip in greys');
    await expect(page.getByText(/How much this strip adds/)).toBeVisible();
    await settled(page);
    const [r, g, b] = await shownAt(page, ...(await onScreen(page, [x, y])));
    expect(Math.abs(r - b) + Math.abs(r - g)).toBeLessThan(3);
    await page.getByRole('application', { name: /^View/ }).focus();
    await page.keyboard.press('v');
    await expect(page.getByText('Values: the picture in greys')).toBeVisible();
    await page.keyboard.press('v');
    await expect(page.getByText(/^Clipping:/)).toBeVisible();
    await page.keyboard.press('v');
    await expect(page.getByText(/^Clipping:/)).toHaveCount(0);
});

test('a light that does nothing, and one that shows its border, are read out; a mend is one step', async ({ page }) => {
    const scene = await newScene(page, ground);
    await add(page, /^Leak Stray light/);
    await written(page, () => page.getByLabel('Texture').selectOption('a picture').then(() => undefined));
    await page.getByLabel('Picture for picture').setInputFiles({ name: 'stray.png', mimeType: 'image/png', buffer: pngOf(40, 30, () => [160, 120, 90]) });
    await expect.poll(async () => (await last(page, scene)).values.picture).toBe('stray.png');
    await unfold(page, 'Reach');
    const width = page.getByRole('textbox', { name: 'Width', exact: true });
    await width.fill('120');
    await written(page, () => width.press('Enter'));
    await expect(page.getByTestId('readings')).not.toHaveText('No readings');
    await page.getByTestId('readings').click();
    await expect(page.getByText(/shows its straight edge in the picture/)).toBeVisible();
    await written(page, () => page.getByRole('button', { name: 'Let it run past the picture' }).click());
    expect((await last(page, scene)).values.width).toBeGreaterThan(320);
    await expect(page.getByText(/shows its straight edge/)).toHaveCount(0);
    // now it covers everything, and lifts it
    await expect(page.getByText(/lifts the whole picture/)).toBeVisible();
    await written(page, () => page.getByRole('button', { name: 'Hold its black' }).click());
    expect((await last(page, scene)).values.blacks).toBeGreaterThan(20);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await last(page, scene)).values.blacks).toBe(0);
    // a light down to nothing
    await add(page, /^Wash/);
    const fader = page.getByRole('slider', { name: 'Wash, fader' });
    await written(page, () => page.getByRole('group', { name: /^Wash/ }).focus().then(() => fader.press('Home')));
    await settled(page);
});

/** A scene in which every kind of light has something wrong with it. */
function storeFaulty(): string {
    const folder = mkdtempSync(join(tmpdir(), 'aumbrel-faulty-'));
    writeFileSync(join(folder, 'night.png'), pngOf(320, 200, (x, y) => [12 + x / 20, 14, 24 + y / 16]));
    writeFileSync(join(folder, 'figure.png'), figure);
    // a glow that was painted on too small a sheet
    writeFileSync(join(folder, 'cut.png'), pngOf(80, 60, (x, y) => [255, 200, 120, 255 * Math.max(0, 1 - Math.hypot(x - 40, y - 30) / 55)], true));
    const plate = (id: string, picture: string, values = {}) => ({ id, name: id === 'painted' ? 'Painted glow' : id, kind: 'plate', values: { picture, ...values } });
    const box = (id: string, left: number, width: number) => ({ id, kind: 'outline', on: 'emitter', join: 'add', values: { path: [{ at: [left, 120] }, { at: [left + width, 120] }, { at: [left + width, 170] }, { at: [left, 170] }] } });
    const scene = {
        aumbrel: 2,
        title: 'Nothing is right',
        size: [320, 200],
        sources: [{ id: 'lamp', kind: 'lamp', name: 'Lamp', values: { place: [310, 40], depth: 0, colour: { kelvin: 2700 } } }],
        strips: [
            plate('Night', 'night.png'),
            plate('Figure', 'figure.png', { place: [120, 50] }),
            plate('painted', 'cut.png', { place: [10, 130] }),
            { id: 'rim', name: 'Rim', kind: 'rim', values: { of: 'Figure', azimuth: 180, elevation: 0, width: 6 } },
            { id: 'porthole', name: 'Porthole', kind: 'glow', values: { centre: [60, 60], size: 40, shells: [{ part: 'body', radius: 0, level: 1, mode: 'multiply', colour: { swatch: '#401808' } }, { part: 'halo', radius: 20, level: 0 }] } },
            { id: 'signs', name: 'Signs', kind: 'glow', level: -2, values: { from: 'what is drawn', shells: [{ part: 'core', radius: 6, level: 0.5 }, { part: 'body', radius: 0 }] }, masks: [box('a', 220, 40), box('b', 280, 8), box('c', 300, 10)] },
            { id: 'lamp-glow', name: 'Lamp glow', kind: 'glow', level: -3, source: 'lamp', values: { centre: [290, 40], size: 10, colour: { swatch: '#3060ff' } } },
            { id: 'faint', name: 'Faint', kind: 'spot', mode: 'illuminate', level: -6, values: { origin: [200, 20], target: [190, 50], reach: 40, beam: 20, field: 30 } },
            { id: 'grey', name: 'Grey', kind: 'fill', mode: 'overlay', values: { colour: '#7f7f7f' } },
        ],
    };
    writeFileSync(join(folder, 'scene.json'), JSON.stringify(scene));
    return run('bin/aumbrel', 'store', join(folder, 'scene.json')).trim();
}

test('each reading of a light has a mend that ends it, in one step that is undone', async ({ page }) => {
    await watch(page);
    await page.goto(`/scenes/${storeFaulty()}`);
    await settled(page);
    await page.getByTestId('readings').click();
    const faults: [RegExp, RegExp][] = [
        [/^Rim lies on the side away from every light: .* is \d+° off\.$/, /^Turn it to /],
        [/^Porthole: what lies around it \(\d+ %\) is brighter than its heart \(\d+ %\).* body \d/, /^Heart \+.* stops$/],
        [/^Signs: 2 of its 3 pieces have no heart/, /^Smaller by /],
        [/^Lamp glow hangs on Lamp and has another colour: they are \d+ apart/, /^In Lamp's colour$/],
        [/^Painted glow: its soft edge is cut off .* over \d+ %/, /^Soften its edge by /],
        [/^Faint changes nothing that can be seen: at most 0\.\d of 255/, /^Mute it$/],
        [/^Grey does nothing: a middle grey \(#7f7f7f\) is neutral in overlay/, /^Mix it by multiply$/],
    ];
    for (const [seen, mend] of faults) {
        const article = page.locator('article', { has: page.getByText(seen) });
        await expect(article).toHaveCount(1);
        await written(page, () => article.getByRole('button', { name: mend }).click());
        await expect(article).toHaveCount(0);
        await page.keyboard.press('Control+z');
        await expect(article).toHaveCount(1);
        await settled(page);
    }
});
