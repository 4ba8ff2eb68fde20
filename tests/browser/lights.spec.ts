import { expect, test, type Page } from '@playwright/test';
import { drop, newScene, onScreen, pngOf, settled, shownAt, stroke, written } from './help';

/** A grey with darker and lighter stripes, and a green patch around (40, 160). */
const ground = pngOf(320, 200, (x, y) => (Math.hypot(x - 40, y - 160) < 12 ? [60, 200, 80] : [70 + (x % 40), 70 + (x % 40), 74 + (x % 40)]));

/** A head-shaped grey on nothing. */
const head = pngOf(80, 100, (x, y) => [150, 148, 146, Math.hypot((x - 40) / 34, (y - 50) / 46) < 1 ? 255 : 0], true);

type Strip = { id: string; name: string; kind: string; level: number; complements?: string; confinedTo?: string; contrast?: number; values: Record<string, unknown>; masks: { kind: string; join: string; values: Record<string, unknown[]> }[]; colours: Record<string, { swatch: string; loss: number }> };

const strips = async (page: Page, scene: string) => ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;

/** The strokes of a scene as its file has them. */
const painted = async (page: Page, scene: string) =>
    ((await (await page.request.get(`/api/scenes/${scene}/file`)).json()) as { strips: Strip[] }).strips.flatMap((strip) => strip.masks.flatMap((mask) => mask.values.strokes ?? []));

async function add(page: Page, kind: RegExp): Promise<void> {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await written(page, () => page.getByRole('button', { name: kind }).click());
}

test('two gels share one line: moved and painted on either of them, they neither double nor leave a gap', async ({ page }) => {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application', { name: /^View/ });
    const box = (await view.boundingBox())!;
    const [x, y] = await onScreen(page, [160, 100]);
    await drop(page, view, 'head.png', 'image/png', head, { x: x - box.x, y: y - box.y });
    await expect(page.locator('[data-strip][aria-label^="Head"]')).toBeVisible();
    await settled(page);
    await add(page, /^Split pair/);
    const [, plate] = await strips(page, scene);
    let [, , one, other] = await strips(page, scene);
    expect(one).toMatchObject({ kind: 'wash', confinedTo: plate!.id, masks: [{ kind: 'linear' }] });
    expect(other).toMatchObject({ kind: 'wash', complements: one!.id, confinedTo: plate!.id, masks: [] });
    const red = async (at: [number, number]) => {
        const [r, , b] = await shownAt(page, ...(await onScreen(page, at)));
        return r - b;
    };
    expect(await red([135, 100])).toBeGreaterThan(40);
    expect(await red([186, 100])).toBeLessThan(-40);

    // the line is moved on the second one: both go along
    await page.locator(`[data-strip="${other!.id}"]`).click({ position: { x: 40, y: 10 } });
    const [from, to] = ['From', 'To'].map((name) => page.locator(`[data-handle="${name}"]`));
    for (const handle of [from!, to!]) {
        const at = (await handle.boundingBox())!;
        await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
        await page.mouse.down();
        await page.mouse.move(at.x + at.width / 2 + 45, at.y + at.height / 2, { steps: 6 });
        await page.mouse.up();
        await settled(page);
    }
    [, , one, other] = await strips(page, scene);
    expect((one!.masks[0]!.values.from as unknown as number[])[0]).toBeGreaterThan(155);
    expect(other!.masks).toEqual([]);
    expect(await red([150, 100])).toBeGreaterThan(20);

    // painted on the second one: what lets it in holds the first one back
    await page.keyboard.press('p');
    await expect(page.getByTestId('target')).toContainText(`the line of ${one!.name}`);
    await written(page, () => stroke(page, [[138, 70], [140, 130]]));
    [, , one, other] = await strips(page, scene);
    expect(one!.masks.map((mask) => mask.join)).toEqual(['intersect', 'add', 'intersect']);
    expect(await painted(page, scene)).toMatchObject([{ letsIn: false }, { letsIn: false }]);
    expect(await red([139, 100])).toBeLessThan(-20);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(await red([139, 100])).toBeGreaterThan(20);
});

test('a torch is walked over the picture, paint dodges and burns, and both take the colours that are found', async ({ page }) => {
    const scene = await newScene(page, ground);
    const bright = async (at: [number, number]) => (await shownAt(page, ...(await onScreen(page, at))))[1];
    const before = await bright([200, 100]);
    await add(page, /^Torch/);
    await expect(page.getByTestId('target')).toContainText('Torch');
    await expect(page.getByLabel('Stretch')).toBeVisible();
    await written(page, () => stroke(page, [[180, 100], [220, 100]], { hold: 300 }));
    expect(await bright([200, 100])).toBeGreaterThan(before + 25);
    expect(await painted(page, scene)).toMatchObject([{ tip: 'lamp' }]);

    await page.keyboard.press('e');
    await add(page, /^Paint Lighter/);
    await written(page, () => stroke(page, [[60, 40], [120, 40]]));
    const dodged = await bright([90, 40]);
    const fader = page.getByRole('slider', { name: 'Paint, fader' });
    await written(page, () => fader.press('End').then(() => fader.press('ArrowDown')));
    for (let k = 0; k < 30; k++) {
        await fader.press('ArrowDown');
    }
    await settled(page);
    await expect.poll(async () => (await strips(page, scene))[2]!.level).toBeLessThan(0);
    await settled(page);
    expect(await bright([90, 40])).toBeLessThan(dodged - 10);

    // its colour from the picture: the mean of a patch, at its full strength
    await page.keyboard.press('e');
    await page.getByRole('button', { name: 'Colour: pick from the picture' }).click();
    await written(page, async () => page.mouse.click(...(await onScreen(page, [40, 160]))));
    const { swatch } = (await strips(page, scene))[2]!.values.colour as { swatch: string };
    expect(parseInt(swatch.slice(3, 5), 16)).toBe(255);
    expect(parseInt(swatch.slice(1, 3), 16)).toBeLessThan(110);

    // gels lie over a temperature; the loss is said
    await page.getByRole('radio', { name: 'kelvin' }).click();
    await settled(page);
    await page.getByRole('button', { name: 'Gels and tint' }).click();
    await written(page, () => page.getByLabel('Conversion gel').selectOption('full cooling').then(() => undefined));
    await written(page, () => page.getByLabel('Colour gel').selectOption('ember').then(() => undefined));
    const paint = (await strips(page, scene))[2]!;
    expect(paint.values.colour).toMatchObject({ kelvin: 3200, shift: -140, gel: 'ember' });
    expect(paint.colours.colour!.loss).toBeLessThan(-1);
    await expect(page.getByText(/^Takes its loss, −\d/)).toBeVisible();
    // the colour that was picked is at hand
    await written(page, () => page.getByRole('button', { name: `Take ${swatch}` }).first().click());
    expect((await strips(page, scene))[2]!.values.colour).toEqual({ swatch });
});
