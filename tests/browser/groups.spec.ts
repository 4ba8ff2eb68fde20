import { expect, test, type Page } from '@playwright/test';
import { newScene, pngOf, settled, unfold, written } from './help';

const ground = pngOf(320, 200, () => [90, 96, 110]);

type Strip = { id: string; name: string; kind: string; muted: boolean; strips?: Strip[] };

/** Names, those that a group holds in a list behind its name. */
const desk = async (page: Page, scene: string): Promise<unknown[]> => {
    const named = (strips: Strip[]): unknown[] => strips.flatMap((strip) => (strip.strips ? [strip.name, named(strip.strips)] : [strip.name]));
    return named(((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips);
};

test('strips are held together, carried in and out, duplicated, muted together and taken apart, by hand and by key', async ({ page }) => {
    const scene = await newScene(page, ground);
    for (let k = 0; k < 3; k++) {
        await page.getByRole('button', { name: 'Add a strip' }).click();
        await written(page, () => page.getByRole('button', { name: /^Flat colour/ }).click());
    }
    const card = (name: string) => page.locator(`[data-strip][aria-label^="${name},"]`);
    await card('Flat colour').click({ position: { x: 40, y: 10 } });
    await card('Flat colour 2').click({ position: { x: 40, y: 10 }, modifiers: ['Shift'] });

    // several at once: muted together, then held together by a key
    await written(page, () => page.keyboard.press('m'));
    const muted = ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips.map((strip) => strip.muted);
    expect(muted).toEqual([false, true, true, false]);
    await page.keyboard.press('Control+z');
    await settled(page);
    await written(page, () => page.keyboard.press('g'));
    expect(await desk(page, scene)).toEqual(['Backdrop', 'Group', ['Flat colour', 'Flat colour 2'], 'Flat colour 3']);

    // in by alt and an arrow key, out again by hand
    await card('Flat colour 3').click({ position: { x: 40, y: 10 } });
    await card('Flat colour 3').focus();
    await written(page, () => page.keyboard.press('Alt+ArrowLeft'));
    expect(await desk(page, scene)).toEqual(['Backdrop', 'Group', ['Flat colour', 'Flat colour 3', 'Flat colour 2']]);
    const [from, to] = [(await card('Flat colour 3').boundingBox())!, (await card('Backdrop').boundingBox())!];
    await written(page, async () => {
        await page.mouse.move(from.x + 40, from.y + 12);
        await page.mouse.down();
        await page.mouse.move(to.x + 4, to.y + 60, { steps: 8 });
        await page.mouse.up();
    });
    expect(await desk(page, scene)).toEqual(['Flat colour 3', 'Backdrop', 'Group', ['Flat colour', 'Flat colour 2']]);

    // a group goes past its neighbour with all that it holds, is duplicated with it, and taken apart
    await card('Group').click({ position: { x: 40, y: 10 } });
    await card('Group').focus();
    await written(page, () => page.keyboard.press('Alt+ArrowLeft'));
    expect(await desk(page, scene)).toEqual(['Flat colour 3', 'Group', ['Flat colour', 'Flat colour 2'], 'Backdrop']);
    await written(page, () => page.keyboard.press('d'));
    expect(await desk(page, scene)).toEqual(['Flat colour 3', 'Group', ['Flat colour', 'Flat colour 2'], 'Group 2', ['Flat colour 4', 'Flat colour 5'], 'Backdrop']);
    await card('Group').click({ button: 'right', position: { x: 40, y: 10 } });
    await written(page, () => page.getByRole('menuitem', { name: 'Take apart' }).click());
    expect(await desk(page, scene)).toEqual(['Flat colour 3', 'Flat colour', 'Flat colour 2', 'Group 2', ['Flat colour 4', 'Flat colour 5'], 'Backdrop']);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect((await desk(page, scene)).length).toBe(6);

    // closed, it is mixed like a plate in a mode of its own
    await card('Group').click({ position: { x: 40, y: 10 } });
    await unfold(page, 'Mix');
    const bench = page.getByRole('complementary', { name: 'Bench' });
    await expect(bench.getByLabel('Mode', { exact: true })).toHaveCount(0);
    await written(page, () => bench.getByLabel('Group is').selectOption('closed'));
    await written(page, () => bench.getByLabel('Mode', { exact: true }).selectOption('screen'));
    const held = ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: (Strip & { closed?: boolean; mode: string })[] }).strips.find((strip) => strip.name === 'Group');
    expect(held).toMatchObject({ closed: true, mode: 'screen' });
});
