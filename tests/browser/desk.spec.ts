import { expect, test } from '@playwright/test';
import { addSpot, drop, dragHandle, newScene, pngOf, settled, shownAt, written, unfold } from './help';

const ground = pngOf(320, 200, (x) => [40, 60 + (x % 60), 90]);
const subject = pngOf(80, 120, (x, y) => [220, 120, 60, Math.hypot(x - 40, y - 60) < 36 ? 255 : 0], true);

type Strip = { id: string; name: string; kind: string; muted: boolean; level?: number; values: Record<string, unknown> };

async function strips(page: import('@playwright/test').Page, scene: string): Promise<Strip[]> {
    return ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;
}

test('a picture with transparency dropped on the view becomes a plate that moves, scales, turns and mirrors', async ({ page }) => {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application');
    await drop(page, view, 'ceramic-heron.png', 'image/png', subject, { x: 460, y: 260 });
    await expect(page.locator('[data-strip][aria-label^="Ceramic heron"]')).toBeVisible();
    await settled(page);
    const before = (await strips(page, scene))[1]!.values as { place: [number, number]; scale: number };
    expect(before).toMatchObject({ scale: 1, pivot: [40, 60] });

    const box = (await view.boundingBox())!;
    await page.mouse.move(box.x + 480, box.y + 270);
    await page.mouse.down();
    await page.mouse.move(box.x + 420, box.y + 250, { steps: 6 });
    await page.mouse.up();
    await settled(page);
    const moved = (await strips(page, scene))[1]!.values as { place: [number, number] };
    expect(moved.place[0]).toBeLessThan(before.place[0] - 15);
    expect(Number.isInteger(moved.place[0] * 2)).toBe(true);

    await dragHandle(page, 'Corner 3', 40, 60);
    const scaled = (await strips(page, scene))[1]!.values as { scale: number };
    expect(scaled.scale).toBeGreaterThan(1.1);
    // numbers in the bench agree with the handles
    await unfold(page, 'Placing');
    await expect(page.getByLabel('Scale', { exact: true })).toHaveValue(scaled.scale.toFixed(3));
    await dragHandle(page, 'Turn', 60, 30);
    expect((await strips(page, scene))[1]!.values.turn).toBeLessThan(0);
    await page.getByLabel('Mirrored').check();
    await settled(page);
    expect((await strips(page, scene))[1]!.values.mirrored).toBe(true);

    await view.focus();
    const at = ((await strips(page, scene))[1]!.values as { place: [number, number] }).place;
    await written(page, async () => {
        await view.press('ArrowRight');
        await view.press('Shift+ArrowRight');
    });
    expect(((await strips(page, scene))[1]!.values as { place: [number, number] }).place[0]).toBeCloseTo(at[0] + 11, 5);
    // two keys, one gesture
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(((await strips(page, scene))[1]!.values as { place: [number, number] }).place).toEqual(at);
});

test('a broken picture dropped on the view is told in place', async ({ page }) => {
    const scene = await newScene(page, ground);
    await drop(page, page.getByRole('application'), 'lantern.png', 'image/png', Buffer.from('no picture'));
    await expect(page.getByText('lantern.png is not a picture in PNG, JPEG')).toBeVisible();
    expect(await strips(page, scene)).toHaveLength(1);
});

test('the desk: solo, mute, rename, carry, duplicate, delete, by hand and by key', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    await addSpot(page);
    const card = (name: string) => page.locator(`[data-strip][aria-label^="${name},"]`);
    await card('Spot').click({ position: { x: 40, y: 10 } });

    await page.keyboard.press('m');
    await settled(page);
    expect((await strips(page, scene))[1]!.muted).toBe(true);
    await page.keyboard.press('m');
    await settled(page);

    const view = (await page.getByRole('application').boundingBox())!;
    const [x, y] = [view.x + view.width / 2, view.y + view.height / 2];
    const both = await shownAt(page, x, y);
    await page.keyboard.press('s');
    await settled(page);
    const one = await shownAt(page, x, y);
    expect(one[0]).toBeLessThan(both[0]);
    await page.keyboard.press('s');
    await settled(page);
    // before, while it is held
    await page.keyboard.down('b');
    await settled(page);
    expect((await shownAt(page, x, y))[0]).toBeLessThan(one[0]);
    await page.keyboard.up('b');
    await settled(page);
    expect(await shownAt(page, x, y)).toEqual(both);

    await card('Spot').focus();
    await page.keyboard.press('Enter');
    await page.getByLabel('Name', { exact: true }).fill('Lamp by the hut');
    await page.keyboard.press('Enter');
    await expect(card('Lamp by the hut')).toBeFocused();
    await page.keyboard.press('Alt+ArrowRight');
    await settled(page);
    expect((await strips(page, scene)).map((strip) => strip.name)).toEqual(['Backdrop', 'Spot 2', 'Lamp by the hut']);

    const from = (await card('Lamp by the hut').boundingBox())!;
    const to = (await card('Backdrop').boundingBox())!;
    await page.mouse.move(from.x + 40, from.y + 12);
    await page.mouse.down();
    await page.mouse.move(to.x + 4, to.y + 100, { steps: 8 });
    await page.mouse.up();
    await settled(page);
    expect((await strips(page, scene)).map((strip) => strip.name)).toEqual(['Lamp by the hut', 'Backdrop', 'Spot 2']);

    await card('Lamp by the hut').focus();
    await page.keyboard.press('d');
    await expect(card('Lamp by the hut 2')).toBeVisible();
    await settled(page);
    await page.keyboard.press('Delete');
    await expect(card('Lamp by the hut 2')).toHaveCount(0);
    await settled(page);
    await page.keyboard.press('Control+z');
    await expect(card('Lamp by the hut 2')).toBeVisible();
});

test('a mask is viewed alone, inverted, and switched off for a look', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    await page.getByRole('button', { name: 'Radial' }).click();
    await expect(page.locator('[data-handle="Centre"]')).toBeVisible();
    await settled(page);
    const view = (await page.getByRole('application').boundingBox())!;
    const middle = [view.x + view.width / 2 + 4, view.y + view.height / 2 + 20] as const;
    await page.getByRole('button', { name: 'See the mask alone' }).click();
    await settled(page);
    const alone = await shownAt(page, ...middle);
    expect(Math.min(...alone)).toBeGreaterThan(200);
    expect(new Set(alone).size).toBe(1);
    await page.getByLabel('Inverted').check();
    await settled(page);
    expect(Math.max(...(await shownAt(page, ...middle)))).toBeLessThan(60);
    await page.getByRole('button', { name: 'See the mask alone' }).click();
    await settled(page);
    const inverted = await shownAt(page, ...middle);
    await page.getByRole('button', { name: 'Leave the mask out for a look' }).click();
    await settled(page);
    expect((await shownAt(page, ...middle))[0]).toBeGreaterThan(inverted[0]);
});

test('a second window follows what the first one does, and is told when it did not see it in time', async ({ page, context }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    const other = await context.newPage();
    await other.goto(`/scenes/${scene}`);
    await other.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    const beam = (one: typeof page) => one.getByLabel('Beam angle', { exact: true });
    await unfold(page, 'Reach');
    await unfold(other, 'Reach');
    await beam(page).fill('30');
    await page.keyboard.press('Enter');
    await expect(beam(other)).toHaveValue('30.0');
    await beam(other).fill('24');
    await other.keyboard.press('Enter');
    await expect(beam(page)).toHaveValue('24.0');
    expect((await strips(page, scene))[1]!.values.beam).toBe(24);
    // an edit that comes from elsewhere, and is not seen here before the hand has done its own
    const { revision } = (await strips(page, scene))[1]! as Strip & { revision: number };
    const mute = () => page.request.post(`/api/scenes/${scene}/gestures/change-strip`, { data: { strip, revision, muted: true }, headers: { 'X-XSRF-TOKEN': decodeURIComponent(token) } });
    const strip = (await strips(page, scene))[1]!.id;
    const token = (await context.cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')!.value;
    await other.route('**/revision', (route) => route.abort());
    expect((await mute()).status()).toBe(200);
    await beam(other).fill('28');
    await other.keyboard.press('Enter');
    await expect(other.getByText('was changed in another window')).toBeVisible();
    await expect(beam(other)).toHaveValue('24.0');
    expect((await strips(page, scene))[1]!.values.beam).toBe(24);
});

test('numbers are read as people write them, and it is said when one had to be brought into its range', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    const type = async (label: string, text: string) => {
        await page.getByLabel(label, { exact: true }).fill(text);
        await page.keyboard.press('Enter');
        await settled(page);
    };
    await type('Temperature', '12 000');
    expect((await strips(page, scene))[1]!.values.colour).toEqual({ kelvin: 12000 });
    await type('Temperature', '2*1600 K');
    expect((await strips(page, scene))[1]!.values.colour).toEqual({ kelvin: 3200 });
    await type('Temperature', '90000');
    await expect(page.getByText('Temperature goes from 1000 K to 25000 K: 90000 K became 25000 K.')).toBeVisible();
    expect((await strips(page, scene))[1]!.values.colour).toEqual({ kelvin: 25000 });
    await type('Temperature', 'warm');
    await expect(page.getByText('"warm" is no number in K: it was left as it was.')).toBeVisible();
    await expect(page.getByLabel('Temperature', { exact: true })).toHaveValue('25000');
});

test('a region that cannot be shown fails by itself: the others go on, and it can be tried again', async ({ page }) => {
    const scene = await newScene(page, pngOf(64, 40, () => [90, 80, 70]));
    // an answer that the compass cannot make sense of
    let broken = true;
    await page.route(`**/api/scenes/${scene}`, async (route) => {
        const reply = await route.fetch();
        await route.fulfill({ response: reply, json: { ...(await reply.json()), ...(broken ? { compass: { sights: null, arcs: [] } } : {}) } });
    });
    await page.reload();
    await expect(page.getByRole('alert')).toContainText('The compass could not be shown');
    await expect(page.getByRole('application')).toBeVisible();
    await expect(page.locator('[data-strip]')).toHaveCount(1);
    broken = false;
    await page.reload();
    await expect(page.getByRole('region', { name: 'Compass' })).toBeVisible();
    await expect(page.getByRole('alert')).toHaveCount(0);
});

test('one of a few words is chosen by the arrow keys too', async ({ page }) => {
    await newScene(page, pngOf(64, 40, () => [90, 80, 70]));
    const tools = page.getByRole('radiogroup', { name: 'What the pointer does' });
    // a hand holds a key for a moment, until the focus has moved on: on a busy machine that takes longer than any moment named here
    const held = async (key: string, to: string) => {
        await page.keyboard.down(key);
        await expect(tools.getByRole('radio', { name: to })).toBeFocused();
        await page.keyboard.up(key);
    };
    await tools.getByRole('radio', { name: 'Move' }).focus();
    await held('ArrowRight', 'Paint');
    await expect(tools.getByRole('radio', { name: 'Paint' })).toBeChecked();
    await held('ArrowLeft', 'Move');
    await held('ArrowLeft', 'Pan');
    await expect(tools.getByRole('radio', { name: 'Pan' })).toBeChecked();
    await expect(page.getByText('Drag the picture. The wheel zooms at the pointer.')).toBeVisible();
});
