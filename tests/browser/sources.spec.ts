import { expect, test, type Page } from '@playwright/test';
import { dragHandle, drop, newScene, onScreen, pngOf, settled, shownAt, stroke, written } from './help';

/** Dusk over a floor: darker above row 90, with a small warm lamp at (100, 40). */
const ground = pngOf(320, 200, (x, y) => (Math.hypot(x - 100, y - 40) < 5 ? [250, 170, 80] : y < 90 ? [50, 54, 70] : [70, 66, 60]));

/** A grey post of 24 x 60 on nothing. */
const post = pngOf(40, 80, (x, y) => [120, 116, 110, x >= 8 && x < 32 && y >= 10 && y < 70 ? 255 : 0], true);

type Strip = { id: string; name: string; kind: string; source?: string; level?: number; values: Record<string, unknown>; inForce: Record<string, unknown>; strips?: Strip[]; stance?: string };

type State = { strips: Strip[]; sources: { id: string; values: Record<string, unknown> }[]; stage: { floor?: unknown; walls?: unknown[]; lines: { horizon: number; contact: [number, number][]; walls: Record<string, [number, number][]> } } };

const state = async (page: Page, scene: string) => (await (await page.request.get(`/api/scenes/${scene}`)).json()) as State;

const bar = (page: Page) => page.getByRole('group', { name: 'Sources and stage' });

/** A post that stands on a floor whose horizon lies at row 90. */
async function staged(page: Page): Promise<string> {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application', { name: /^View/ });
    const [x, y] = await onScreen(page, [200, 130]);
    const box = (await view.boundingBox())!;
    await drop(page, view, 'post.png', 'image/png', post, { x: x - box.x, y: y - box.y });
    await expect(page.locator('[data-strip][aria-label^="Post"]')).toBeVisible();
    await settled(page);
    await bar(page).getByRole('button', { name: 'Stage' }).click();
    await page.getByRole('button', { name: 'Horizon and contact row' }).click();
    await written(page, () => stroke(page, [[20, 165], [300, 165]]));
    const now = await state(page, scene);
    await written(page, async () => {
        const zoom = (await onScreen(page, [0, 100]))[1] - (await onScreen(page, [0, 0]))[1];
        await dragHandle(page, 'Horizon', 0, ((90 - now.stage.lines.horizon) * zoom) / 100);
    });
    return scene;
}

test('floor and walls are marked on the picture, a lamp is placed by a press, and what belongs to it is taken', async ({ page }) => {
    const scene = await staged(page);
    let now = await state(page, scene);
    expect(now.stage.lines.horizon).toBeGreaterThan(86);
    expect(now.stage.lines.horizon).toBeLessThan(94);
    expect(now.stage.lines.contact[0]![1]).toBeGreaterThan(162);
    expect(now.strips[1]!.stance).toBe('stands');

    // a wall by its foot line, another one by four corners
    await page.getByRole('button', { name: 'Foot line' }).click();
    await written(page, () => stroke(page, [[230, 150], [310, 130]]));
    await page.getByRole('button', { name: 'Four corners' }).click();
    await written(page, async () => {
        for (const corner of [[10, 100], [60, 100], [60, 20], [10, 25]] as [number, number][]) {
            await page.mouse.click(...(await onScreen(page, corner)));
        }
    });
    now = await state(page, scene);
    expect(now.stage.walls).toHaveLength(2);
    expect(Object.values(now.stage.lines.walls).every((corners) => corners.length === 4)).toBe(true);

    // pressed on the lamp in the picture, it takes that colour
    await bar(page).getByRole('button', { name: 'Place a lamp' }).click();
    await page.mouse.click(...(await onScreen(page, [100, 40])));
    const sheet = page.getByTestId('consequence');
    await expect(sheet.getByRole('checkbox')).toHaveCount(10, { timeout: 15000 });
    await expect(sheet.getByRole('checkbox', { name: /^Pool on Wall/ })).toHaveCount(1);
    now = await state(page, scene);
    const [red, , blue] = [1, 3, 5].map((at) => parseInt((now.sources[0]!.values.colour as { swatch: string }).swatch.slice(at, at + 2), 16));
    expect(red).toBeGreaterThan(240);
    expect(blue).toBeLessThan(110);
    await expect(sheet.getByRole('checkbox', { name: /^Pool on the floor/ })).toBeChecked();
    for (const offered of [/^Close pool on the floor/, /^Key light/, /^Beam/, /^Glow/]) {
        await expect(sheet.getByRole('checkbox', { name: offered })).not.toBeChecked();
    }
    await written(page, () => sheet.getByRole('button', { name: /^Take these/ }).click());
    now = await state(page, scene);
    const group = now.strips[now.strips.length - 1]!;
    expect(group.strips!.map((strip) => strip.kind)).toEqual(['base', 'cast', 'spot-onto', 'rim']);
    const under = async (x: number) => (await shownAt(page, ...(await onScreen(page, [x, 165]))))[0];
    expect(await under(100)).toBeGreaterThan((await under(310)) + 30);

    // one undo takes all of it back
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await state(page, scene)).strips).toHaveLength(2);
});

test('a source that is moved moves the pool and the rim that hang on it, and what lets go stays', async ({ page }) => {
    const scene = await staged(page);
    await bar(page).getByRole('button', { name: 'Place a lamp' }).click();
    await page.mouse.click(...(await onScreen(page, [100, 40])));
    const sheet = page.getByTestId('consequence');
    await written(page, () => sheet.getByRole('button', { name: /^Take these/ }).click());
    const strips = async () => (await state(page, scene)).strips[2]!.strips!;
    const [, , pool, rim] = await strips();
    const at = async (x: number, y: number) => (await shownAt(page, ...(await onScreen(page, [x, y]))))[0];
    const leftOf = async () => (await at(189, 130)) - (await at(211, 130));
    expect(await leftOf()).toBeGreaterThan(4);

    // the lamp goes to the right of the post: the rim changes sides, the pool goes along
    const [a, b] = [await onScreen(page, [100, 40]), await onScreen(page, [290, 40])];
    await written(page, async () => {
        await page.mouse.move(...a);
        await page.mouse.down();
        await page.mouse.move((a[0] + b[0]) / 2, a[1], { steps: 5 });
        await page.mouse.move(...b, { steps: 5 });
        await page.mouse.up();
    });
    const [, , moved, turned] = await strips();
    expect((moved!.inForce.lamp as number[])[0]).toBeGreaterThan((pool!.inForce.lamp as number[])[0]! + 150);
    expect(Math.abs(turned!.inForce.azimuth as number)).toBeLessThan(90);
    expect(Math.abs(rim!.inForce.azimuth as number)).toBeGreaterThan(90);
    expect(await leftOf()).toBeLessThan(-4);

    // by keys: the dot on the compass, and muting
    const dot = page.getByRole('region', { name: 'Compass' }).getByRole('slider', { name: /^Lamp/ });
    await written(page, () => dot.press('ArrowUp'));
    await bar(page).getByRole('button', { name: 'Lamp', exact: true }).click();
    await page.keyboard.press('m');
    await settled(page);
    expect(Math.abs(await leftOf())).toBeLessThan(4);
    await page.keyboard.press('Control+z');
    await settled(page);

    // by the arrow keys in the view, ten pixels with shift
    const place = async () => (await state(page, scene)).sources[0]!.values.place as number[];
    const [wasAt] = await place();
    await page.getByRole('application', { name: /^View/ }).focus();
    await written(page, () => page.keyboard.press('Shift+ArrowLeft'));
    expect((await place())[0]).toBeCloseTo(wasAt! - 10, 0);

    // the rim lets go: the source may go where it wants
    const before = (await strips())[3]!.inForce;
    await written(page, () => page.getByRole('complementary', { name: 'Bench' }).getByText('Rim on Post').locator('..').getByRole('button', { name: 'Let go' }).click());
    expect((await strips())[3]).toMatchObject({ values: before });
    expect((await strips())[3]!.source).toBeUndefined();
});

test('a spot is drawn from where it stands to where it aims, by touch too, and hangs on the only source', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, hasTouch: true, baseURL });
    const page = await context.newPage();
    const scene = await staged(page);
    await page.getByRole('button', { name: 'Add a strip' }).tap();
    await page.getByRole('button', { name: /^Pool/ }).tap();
    await written(page, () => stroke(page, [[60, 150], [120, 160]]));
    let strips = (await state(page, scene)).strips;
    expect(strips[2]).toMatchObject({ kind: 'spot-onto', values: { target: [120, 160] } });
    // aimed at the floor, it lies there
    await expect(page.getByLabel('Onto', { exact: true })).toHaveValue('floor');
    // its rings lie on the floor: wider than high
    const wide = async (name: string) => (await page.locator(`[data-handle="${name}"]`).boundingBox())!.x;
    expect(await wide('10 % line')).toBeGreaterThan(await wide('50 % line'));
    await written(page, () => dragHandle(page, '50 % line', 30, 0));
    expect((await state(page, scene)).strips[2]!.values.beam as number).toBeGreaterThan(strips[2]!.values.beam as number);

    // keyboard only: a lamp by Enter in the middle, then a spot that hangs on it
    await bar(page).getByRole('button', { name: 'Place a lamp' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('placing')).toBeFocused();
    await written(page, () => page.keyboard.press('Enter'));
    await page.getByRole('button', { name: 'Put it away' }).click();
    expect((await state(page, scene)).sources[0]!.values.place).toEqual([160, 100]);
    await page.getByRole('button', { name: 'Add a strip' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^Spot A cone/ }).press('Enter');
    await written(page, () => page.keyboard.press('Enter'));
    strips = (await state(page, scene)).strips;
    expect(strips[strips.length - 1]).toMatchObject({ kind: 'spot', inForce: { origin: [160, 100] } });
    await context.close();
});
