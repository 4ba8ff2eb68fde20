import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { dragHandle, onScreen, pngOf, run, settled, shownAt, stroke, unfold, watch, written } from './help';

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

const ground = pngOf(320, 200, () => [190, 186, 180]);

/** A grey post of 24 x 60 on nothing. */
const post = pngOf(40, 80, (x, y) => [120, 116, 110, x >= 8 && x < 32 && y >= 10 && y < 70 ? 255 : 0], true);

type Strip = { id: string; name: string; kind: string; amount?: number; source?: string; values: Record<string, unknown>; strips?: Strip[]; outlines: Record<string, [number, number][]> };

type State = { strips: Strip[]; sources: { id: string; values: { azimuth: number; elevation: number; place: [number, number] } }[]; undo: string | null };

const state = async (page: Page, scene: string) => (await (await page.request.get(`/api/scenes/${scene}`)).json()) as State;

/** A post before a plain backdrop, on a floor with its horizon in row 60. */
async function opened(page: Page, plate: Record<string, unknown>, sources: unknown[] = []): Promise<string> {
    const folder = mkdtempSync(join(tmpdir(), 'aumbrel-shadows-'));
    writeFileSync(join(folder, 'ground.png'), ground);
    writeFileSync(join(folder, 'post.png'), post);
    writeFileSync(
        join(folder, 'scene.json'),
        JSON.stringify({
            aumbrel: 2, title: 'Shadows', size: [320, 200], stage: { floor: { horizon: 60, contact: [[0, 150], [320, 150]] } }, sources,
            strips: [{ id: 'ground', kind: 'plate', name: 'Ground', locked: true, values: { picture: 'ground.png' } }, { id: 'post', kind: 'plate', name: 'Post', values: { picture: 'post.png', ...plate } }],
        }),
    );
    const scene = run('bin/aumbrel', 'store', join(folder, 'scene.json')).trim();
    await watch(page);
    await page.goto(`/scenes/${scene}`);
    await settled(page);
    return scene;
}

const bright = async (page: Page, x: number, y: number) => (await shownAt(page, ...(await onScreen(page, [x, y]))))[0];

const add = async (page: Page, name: RegExp) => {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name }).click();
};

test('a shadow from one drag: it starts at the feet, its tip turns the light, its foot and its bends are dragged, and all of it is undone', async ({ page }) => {
    const scene = await opened(page, { place: [140, 60] });
    await add(page, /^Cast shadow/);
    await expect(page.getByTestId('placing')).toHaveAccessibleName(/from the feet of a plate to where the tip of its shadow falls/);
    await written(page, () => stroke(page, [[160, 130], [230, 160]]));
    let now = await state(page, scene);
    const [, cast] = now.strips;
    expect(now.strips.map((strip) => strip.kind)).toEqual(['plate', 'cast', 'plate']);
    expect(cast!.values.of).toEqual(['post']);
    const [tip] = cast!.outlines.tip!;
    expect(Math.hypot(tip![0] - 230, tip![1] - 160)).toBeLessThan(1);
    // dark along the drag, from the foot on; light beside it
    expect(await bright(page, 172, 133)).toBeLessThan(150);
    expect(await bright(page, 200, 147)).toBeLessThan(165);
    expect(await bright(page, 130, 147)).toBeGreaterThan(180);

    // the tip to the other side: the light comes from the right now
    await written(page, () => dragHandle(page, 'Tip', -400, 20));
    now = await state(page, scene);
    expect(now.strips[1]!.values.azimuth as number).toBeLessThan(90);
    expect(await bright(page, 200, 147)).toBeGreaterThan(180);

    // a bend, by its half-moon; straightened on the bench
    await written(page, () => dragHandle(page, 'Bend 1', 0, 60));
    expect((await state(page, scene)).strips[1]!.values.bends).toHaveLength(1);
    await unfold(page, 'Reach');
    await written(page, () => page.getByRole('button', { name: 'Straighten the shadow' }).click());

    // the foot belongs to the plate: the shadow starts where it is dragged to, and a reading says how far off that is
    await written(page, () => dragHandle(page, 'Foot', 0, -80));
    now = await state(page, scene);
    expect((now.strips[2]!.values.feet as [number, number][])[0]![1]).toBeLessThan(60);
    await page.getByRole('button', { name: /reading/ }).click();
    await expect(page.getByText(/starts \d+ px above the feet of Post/)).toBeVisible();
    await written(page, () => page.getByRole('button', { name: 'Start it at the lower edge' }).click());
    await page.keyboard.press('Escape');
    // closing it gives the focus back to the button that opened it, and only then is it the strip's
    await expect(page.getByText('Worth knowing').or(page.getByText(/starts \d+ px above/))).toHaveCount(0);
    await expect(page.getByRole('button', { name: /reading/ })).toBeFocused();

    // by keys: its density, and everything back
    await page.locator(`[data-strip="${cast!.id}"]`).focus();
    await written(page, () => page.keyboard.press('ArrowDown'));
    expect((await state(page, scene)).strips[1]!.amount).toBeLessThan(70);
    for (let k = 0; (await state(page, scene)).undo !== null && k < 12; k++) {
        await page.keyboard.press('Control+z');
        await settled(page);
    }
    expect((await state(page, scene)).strips.map((strip) => strip.kind)).toEqual(['plate', 'plate']);
});

test('all shadows of a hung frame in one action, each by itself; the lamp moves its own', async ({ page }) => {
    const lamp = { id: 'lamp', kind: 'lamp', name: 'Lamp', values: { place: [60, 20], depth: 60, width: 12, unseen: true } };
    const scene = await opened(page, { place: [140, 20], stance: 'hangs', gap: 14 }, [lamp]);
    await page.locator('[data-strip="post"]').click({ button: 'right' });
    await written(page, () => page.getByRole('menuitem', { name: 'Cast its shadows' }).click());
    const group = async () => (await state(page, scene)).strips[1]!;
    const [room, byLamp, touch] = (await group()).strips!;
    expect([room!.kind, byLamp!.kind, touch!.kind]).toEqual(['wall', 'wall', 'contact']);
    expect([room!.source, byLamp!.source]).toEqual([undefined, 'lamp']);
    // to the right of the frame, away from the lamp
    expect((await bright(page, 150, 95)) - (await bright(page, 180, 60))).toBeGreaterThan(8);
    const before = byLamp!.outlines.tip![0]!;
    await page.locator(`[data-strip="${byLamp!.id}"]`).click();
    await settled(page);
    await written(page, () => dragHandle(page, 'Tip', -90, 0));
    const after = (await group()).strips![1]!.outlines.tip![0]!;
    expect(after[0]).toBeLessThan(before[0] - 10);
    expect((await state(page, scene)).sources[0]!.values.place[0]).toBeGreaterThan(60);
    // the others stay
    expect((await group()).strips![0]!.values).toEqual(room!.values);
});

test('shadows by two sources: as dense as each gives light, and the tip moves its source', async ({ page }) => {
    const sun = (id: string, azimuth: number, level: number) => ({ id, kind: 'sun', name: id, level, values: { azimuth, elevation: -30 } });
    const scene = await opened(page, { place: [140, 60] }, [sun('left', 130, 0), sun('right', 60, -1)]);
    await page.locator('[data-strip="post"]').click();
    await written(page, () => page.getByRole('button', { name: 'Cast its shadows' }).click());
    const [left, right] = (await state(page, scene)).strips[1]!.strips!;
    expect([left!.source, right!.source]).toEqual(['left', 'right']);
    expect(left!.amount!).toBeGreaterThan(right!.amount!);
    await page.locator(`[data-strip="${right!.id}"]`).click();
    await settled(page);
    await written(page, () => dragHandle(page, 'Tip', 60, 30));
    const now = await state(page, scene);
    expect(now.sources[1]!.values.azimuth).not.toBe(60);
    expect(now.sources[0]!.values.azimuth).toBe(130);
    // one plate more in the same strip, ticked on the bench
    await page.getByRole('button', { name: 'Of: Post' }).click();
    await expect(page.getByRole('checkbox', { name: 'Ground' })).not.toBeChecked();
    await page.keyboard.press('Escape');
});
