import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { addSpot, dragHandle, drop, newScene, onScreen, pngOf, settled, shownAt, stroke, unfold, written } from './help';

const ground = pngOf(320, 200, (x, y) => [70 + x / 8, 80, 90 + y / 8]);

/** A disc of a colour on nothing. */
const disc = (red: number) => pngOf(80, 80, (x, y) => [red, 90, 60, Math.hypot(x - 40, y - 40) < 38 ? 255 : 0], true);

type Strip = { id: string; name: string; locked?: boolean; level?: number; values: Record<string, never>; masks: { kind: string; on: string; values: { start?: string; strokes?: unknown[] } }[] };

async function strips(page: Page, scene: string): Promise<Strip[]> {
    return ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: Strip[] }).strips;
}

const chosen = (page: Page) => page.locator('[data-strip][aria-current="true"]');

/** A backdrop, a heron in the middle and a lantern that covers its right half. */
async function twoOnABackdrop(page: Page): Promise<string> {
    const scene = await newScene(page, ground);
    const view = page.getByRole('application', { name: /^View/ });
    for (const [name, at, red] of [['heron.png', 130, 200], ['lantern.png', 170, 120]] as const) {
        const [x, y] = await onScreen(page, [at, 100]);
        const box = (await view.boundingBox())!;
        await drop(page, view, name, 'image/png', disc(red), { x: x - box.x, y: y - box.y });
        await expect(page.locator(`[data-strip][aria-label^="${name === 'heron.png' ? 'Heron' : 'Lantern'}"]`)).toBeVisible();
        await settled(page);
    }
    return scene;
}

const press = async (page: Page, at: [number, number]) => page.mouse.click(...(await onScreen(page, at)));

test('a press on the picture chooses what is there; with alt what lies beneath, with shift another one; the backdrop is locked', async ({ page }) => {
    const scene = await twoOnABackdrop(page);
    await press(page, [105, 100]);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Heron/);
    // where both are, the foremost; its clear corner is not it
    await press(page, [150, 100]);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Lantern/);
    await page.keyboard.down('Alt');
    await press(page, [150, 100]);
    await page.keyboard.up('Alt');
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Heron/);
    await page.keyboard.down('Shift');
    await press(page, [195, 100]);
    await page.keyboard.up('Shift');
    await expect(page.locator('[data-strip][aria-label^="Lantern"]')).toHaveClass(/border-dashed/);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Heron/);
    // the backdrop is not meant
    await press(page, [20, 30]);
    await page.waitForTimeout(400);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Heron/);
    await page.locator('[data-strip][aria-label^="Backdrop"]').click({ position: { x: 40, y: 10 } });
    await expect(page.locator('[data-handle="Plate"]')).toHaveCount(0);
    await written(page, () => page.getByRole('button', { name: 'Unlock the strip' }).click());
    expect((await strips(page, scene))[0]!.locked).toBeUndefined();
    await expect(page.locator('[data-handle="Plate"]')).toHaveCount(1);
    await press(page, [105, 100]);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Heron/);
    await press(page, [20, 30]);
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Backdrop/);
});

test('the ring moves the plate; the pivot only with shift, or in its mode', async ({ page }) => {
    const scene = await twoOnABackdrop(page);
    const lantern = async () => (await strips(page, scene))[2]!.values as unknown as { place: [number, number]; pivot: [number, number] };
    const before = await lantern();
    await page.keyboard.down('Alt');
    await dragHandle(page, 'Pivot', 40, 30);
    await page.keyboard.up('Alt');
    const moved = await lantern();
    expect(moved.pivot).toEqual(before.pivot);
    expect(moved.place[0]).toBeGreaterThan(before.place[0] + 5);
    await page.keyboard.down('Shift');
    await dragHandle(page, 'Pivot', -30, -30);
    await page.keyboard.up('Shift');
    const shifted = await lantern();
    expect(shifted.pivot[0]).toBeLessThan(moved.pivot[0] - 3);
    await unfold(page, 'Placing');
    await page.getByRole('button', { name: 'Move the pivot' }).click();
    await dragHandle(page, 'Pivot', 30, 30);
    expect((await lantern()).pivot[0]).toBeGreaterThan(shifted.pivot[0] + 3);
});

test('grips outside of the view wait at its border, and are dragged by as much as the hand moves', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    const view = (await page.getByRole('application', { name: /^View/ }).boundingBox())!;
    const [x, y] = await onScreen(page, [300, 190]);
    await page.mouse.move(x, y);
    for (let k = 0; k < 8; k++) {
        await page.mouse.wheel(0, -240);
    }
    await settled(page);
    const away = page.locator('[data-handle][data-away]');
    expect(await away.count()).toBeGreaterThan(0);
    for (const grip of await page.locator('[data-handle][data-at]').all()) {
        const box = (await grip.boundingBox())!;
        expect(box.x + box.width / 2).toBeGreaterThan(view.x - 1);
        expect(box.x + box.width / 2).toBeLessThan(view.x + view.width + 1);
        expect(box.y + box.height / 2).toBeGreaterThan(view.y - 1);
        expect(box.y + box.height / 2).toBeLessThan(view.y + view.height + 1);
    }
    const origin = async () => (await strips(page, scene))[1]!.values.origin as unknown as [number, number];
    const before = await origin();
    const zoom = Number((await page.getByTestId('zoom').textContent())!.replace(' %', '')) / 100;
    await dragHandle(page, 'Origin', 60, 40);
    const after = await origin();
    expect(after[0] - before[0]).toBeCloseTo(60 / zoom, 0);
    expect(after[1] - before[1]).toBeCloseTo(40 / zoom, 0);
});

test('where paint goes is chosen beside the brush and said at the pointer; a first stroke does what its word says, and no more', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    const far = await onScreen(page, [160, 150]);
    const lit = await shownAt(page, ...far);
    await page.keyboard.press('p');
    const target = page.getByTestId('target');
    await page.mouse.move(...(await onScreen(page, [100, 100])));
    await expect(target).toHaveText('Paints on new falloff of Spot');
    const [pointer, said] = [await onScreen(page, [100, 100]), (await target.boundingBox())!];
    expect(Math.hypot(said.x - pointer[0], said.y - pointer[1])).toBeLessThan(40);
    await expect(page.getByRole('radio', { name: 'Hold back' })).toBeChecked();
    // there is nothing to let in yet: that is said, and nothing happens
    await page.getByRole('radio', { name: 'Let in' }).click();
    await expect(target).toHaveText(/Nothing is held back yet/);
    await stroke(page, [[150, 60], [170, 60]]);
    await expect(page.getByText('there is nothing to let in')).toBeVisible();
    expect((await strips(page, scene))[1]!.masks).toEqual([]);
    // held back, where the stroke is; the rest stays
    await page.keyboard.press('r');
    await page.getByRole('spinbutton', { name: /^Size/ }).fill('30');
    await stroke(page, [[150, 60], [170, 60]]);
    expect((await strips(page, scene))[1]!.masks).toMatchObject([{ kind: 'strokes', on: 'scene', values: { start: 'shown' } }]);
    expect(await shownAt(page, ...far)).toEqual(lit);
    await page.keyboard.press('Control+z');
    await settled(page);
    // or begun with nothing
    await page.getByRole('radio', { name: 'Let in' }).click();
    await written(page, () => page.getByRole('button', { name: 'Begin with nothing' }).click());
    expect((await shownAt(page, ...far))[0]).toBeLessThan(lit[0] - 5);
    await stroke(page, [[150, 150], [175, 150]]);
    expect((await shownAt(page, ...far))[0]).toBeGreaterThan(lit[0] - 3);

    // on a plate there are three things to paint
    await page.locator('[data-strip][aria-label^="Backdrop"]').click({ position: { x: 40, y: 10 } });
    const paints = page.getByLabel('What is painted');
    await expect(paints).toHaveValue('rough cut');
    await expect(page.getByRole('radio', { name: 'Subject' })).toBeChecked();
    await paints.selectOption('exact mask');
    await stroke(page, [[30, 100], [60, 100]]);
    await paints.selectOption('falloff');
    await stroke(page, [[230, 100], [260, 100]]);
    expect((await strips(page, scene))[0]!.masks).toMatchObject([
        { kind: 'strokes', on: 'plate' },
        { kind: 'strokes', on: 'scene' },
    ]);
});

test('the brush starts as a share of the scene, and its settings live through a reload', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    await page.keyboard.press('p');
    const size = page.getByRole('spinbutton', { name: /^Size/ });
    await expect(size).toHaveValue('14');
    await page.getByRole('spinbutton', { name: /^Hardness/ }).fill('35');
    await size.fill('20');
    await page.reload();
    await settled(page);
    await page.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('p');
    await expect(size).toHaveValue('20');
    await expect(page.getByRole('spinbutton', { name: /^Hardness/ })).toHaveValue('35');
    // in a scene that is twice as large the brush looks the same
    await newScene(page, pngOf(640, 400, () => [90, 90, 90]));
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    await page.keyboard.press('p');
    await expect(size).toHaveValue('40');
});

test('the focus goes where the work goes on; keys take back, zoom, pan, and can be switched off', async ({ page }) => {
    const scene = await newScene(page, ground);
    await addSpot(page);
    const card = page.locator('[data-strip][aria-label^="Spot"]');
    await expect(card).toBeFocused();
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowUp');
    // D writes the fade first: the copy has it
    await page.keyboard.press('d');
    await expect(page.locator('[data-strip][aria-label^="Spot 2"]')).toBeFocused();
    await settled(page);
    const [, first, second] = await strips(page, scene);
    expect([first!.level, second!.level]).toEqual([0.5, 0.5]);
    await page.keyboard.press('Control+z');
    await settled(page);
    expect(await strips(page, scene)).toHaveLength(2);
    await page.keyboard.press('Control+y');
    await settled(page);
    expect(await strips(page, scene)).toHaveLength(3);

    // enter in a field: the keys mean the picture again
    await page.locator('[data-strip][aria-label^="Spot 2"]').click({ position: { x: 40, y: 10 } });
    await page.locator('[data-strip][aria-label^="Spot 2"]').focus();
    const level = page.getByRole('complementary', { name: 'Bench' }).getByLabel('Level', { exact: true });
    await level.fill('1');
    await written(page, () => level.press('Enter'));
    await expect(page.locator('[data-strip][aria-label^="Spot 2"]')).toBeFocused();
    // and after a sheet
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-strip][aria-label^="Spot 2"]')).toBeFocused();

    // the modes too give it back
    await page.getByRole('button', { name: 'Modes side by side' }).click();
    await expect(page.getByRole('dialog', { name: 'Modes side by side' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'Modes side by side' })).toBeFocused();

    // escape takes back a fade and a carrying
    const fader = (await page.getByRole('slider', { name: 'Spot 2, fader' }).boundingBox())!;
    await page.mouse.move(fader.x + fader.width / 2, fader.y + fader.height / 2);
    await page.mouse.down();
    await page.mouse.move(fader.x + fader.width / 2, fader.y + fader.height / 2 + 20, { steps: 4 });
    await expect(page.getByRole('slider', { name: 'Spot 2, fader' })).not.toHaveAttribute('aria-valuenow', '1');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('slider', { name: 'Spot 2, fader' })).toHaveAttribute('aria-valuenow', '1');
    await page.mouse.up();
    const from = (await page.locator('[data-strip][aria-label^="Spot 2"]').boundingBox())!;
    await page.mouse.move(from.x + 60, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(from.x - 200, from.y + 10, { steps: 6 });
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await settled(page);
    expect((await strips(page, scene)).map((strip) => strip.name)).toEqual(['Backdrop', 'Spot', 'Spot 2']);
    expect((await strips(page, scene))[2]!.level).toBe(1);

    // zoom and pan
    const zoom = page.getByTestId('zoom');
    await page.getByRole('application', { name: /^View/ }).focus();
    await page.keyboard.press('z');
    const near = Number((await zoom.textContent())!.replace(' %', ''));
    const at = await page.locator('[data-handle="Origin"]').boundingBox();
    await page.keyboard.press('Control+ArrowRight');
    expect((await page.locator('[data-handle="Origin"]').boundingBox())!.x).toBeLessThan(at!.x - 50);
    await page.keyboard.press('x');
    expect(Number((await zoom.textContent())!.replace(' %', ''))).toBeLessThan(near);
    await page.keyboard.press('f');

    // single letters off
    await page.keyboard.press('?');
    await page.getByLabel('Single letters are keys').uncheck();
    await page.keyboard.press('Escape');
    await page.keyboard.press('w');
    await expect(page.getByRole('region', { name: 'Desk' })).toBeVisible();
    await page.reload();
    await settled(page);
    await page.keyboard.press('w');
    await expect(page.getByRole('region', { name: 'Desk' })).toBeVisible();
});

test('what was just placed is not scolded, and readings wait until the hand rests', async ({ page }) => {
    const scene = await twoOnABackdrop(page);
    const readings = page.getByTestId('readings');
    // two plates that are lit from opposite sides: said of the one that was just placed only once the hand has gone on
    const [, heron, lantern] = await strips(page, scene);
    const token = decodeURIComponent((await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')!.value);
    const bearing = async (strip: string, azimuth: number) => {
        const revision = ((await strips(page, scene)).find((other) => other.id === strip) as unknown as { revision: number }).revision;
        const reply = await page.request.post(`/api/scenes/${scene}/gestures/change-strip`, { data: { strip, revision, values: { bearing: { by: 'sphere', azimuth, elevation: 10 } } }, headers: { 'X-XSRF-TOKEN': token } });
        expect(reply.ok()).toBe(true);
    };
    await bearing(heron!.id, 0);
    await bearing(lantern!.id, 180);
    await expect(page.getByRole('region', { name: 'Compass' })).toContainText('the light agrees');
    await page.waitForTimeout(1200);
    await expect(readings).toHaveText('No readings');
    await page.locator('[data-strip][aria-label^="Heron"]').click({ position: { x: 40, y: 10 } });
    await expect(readings).toHaveText('1 reading');
    // one number for one thing
    const apart = (await page.getByRole('region', { name: 'Compass' }).getByRole('button', { name: /^Compass/ }).textContent())!.match(/(\d+)° apart/)![1];
    await expect(page.getByTestId('disagreement')).toContainText(`${apart}°`);
    await readings.click();
    await expect(page.getByRole('dialog')).toContainText(`${apart}°`);
    await page.keyboard.press('Escape');
    // what has ended is not said any more at once; something new waits until the hand rests
    const mark = page.getByRole('slider', { name: /^Heron/ }).first();
    await mark.focus();
    for (let k = 0; k < 3; k++) {
        await page.keyboard.press('ArrowLeft');
    }
    await expect(readings).toHaveText('1 reading');
    await page.keyboard.press('Control+z');
    await settled(page);
    await expect(readings).toHaveText('1 reading');
});

test('fingers: two zoom and move the picture, one scrolls the desk and carries nothing; a long press opens the menu', async ({ browser, baseURL }) => {
    const context = await browser.newContext({ baseURL, hasTouch: true, viewport: { width: 1024, height: 700 } });
    const page = await context.newPage();
    const scene = await newScene(page, ground);
    await addSpot(page);
    for (let k = 0; k < 8; k++) {
        await page.keyboard.press('d');
        await settled(page);
    }
    const touch = await context.newCDPSession(page);
    const fingers = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: [number, number][]) => touch.send('Input.dispatchTouchEvent', { type, touchPoints: points.map(([x, y], id) => ({ x, y, id })) });
    const view = (await page.getByRole('application', { name: /^View/ }).boundingBox())!;
    const [x, y] = [view.x + view.width / 2, view.y + view.height / 2];
    const before = (await strips(page, scene)).map((strip) => [strip.id, JSON.stringify(strip.values)]);
    await fingers('touchStart', [[x - 40, y]]);
    await fingers('touchStart', [[x - 40, y], [x + 40, y]]);
    for (let k = 1; k <= 8; k++) {
        await fingers('touchMove', [[x - 40 - 10 * k, y], [x + 40 + 10 * k, y]]);
    }
    await fingers('touchEnd', []);
    await settled(page);
    const zoom = Number((await page.getByTestId('zoom').textContent())!.replace(' %', ''));
    expect(zoom).toBeGreaterThan(300);
    expect((await strips(page, scene)).map((strip) => [strip.id, JSON.stringify(strip.values)])).toEqual(before);

    const list = page.getByRole('group', { name: 'Strips, back to front' });
    const scrolled = () => list.evaluate((element) => element.scrollLeft);
    await list.evaluate((element) => (element.scrollLeft = 400));
    const card = (await page.locator('[data-strip]').nth(4).boundingBox())!;
    await fingers('touchStart', [[card.x + 30, card.y + 45]]);
    for (let k = 1; k <= 12; k++) {
        await fingers('touchMove', [[card.x + 30 + 25 * k, card.y + 45]]);
        await page.waitForTimeout(30);
    }
    await fingers('touchEnd', []);
    await expect.poll(scrolled).toBeLessThan(200);
    await settled(page);
    expect((await strips(page, scene)).map((strip) => strip.id)).toEqual(before.map(([id]) => id));

    await fingers('touchStart', [[card.x + 30, card.y + 45]]);
    await expect(page.getByRole('menu')).toBeVisible();
    await fingers('touchEnd', []);
    await expect(page.getByRole('menuitem', { name: /^Duplicate/ })).toBeVisible();
    await context.close();
});

test('menus on a strip and on the picture do what they say', async ({ page }) => {
    const scene = await twoOnABackdrop(page);
    await page.locator('[data-strip][aria-label^="Heron"]').click({ button: 'right', position: { x: 40, y: 10 } });
    await expect(page.getByRole('menu', { name: 'Menu of Heron' })).toBeVisible();
    await page.getByRole('menuitem', { name: /^Rename/ }).click();
    await page.getByLabel('Name', { exact: true }).fill('Ceramic heron');
    await written(page, () => page.keyboard.press('Enter'));
    await page.locator('[data-strip][aria-label^="Ceramic"]').click({ button: 'right', position: { x: 40, y: 10 } });
    await written(page, () => page.getByRole('menuitem', { name: /^Carry to the front/ }).click());
    expect((await strips(page, scene)).map((strip) => strip.name)).toEqual(['Backdrop', 'Lantern', 'Ceramic heron']);
    const [x, y] = await onScreen(page, [150, 100]);
    await page.mouse.click(x, y, { button: 'right' });
    await page.getByRole('menuitem', { name: 'Choose Lantern' }).click();
    await expect(chosen(page)).toHaveAttribute('aria-label', /^Lantern/);
    await page.mouse.click(x, y, { button: 'right' });
    await page.getByRole('menuitem', { name: /^Zoom in here/ }).click();
    await expect(page.getByTestId('zoom')).toBeVisible();
});

test('files that are dropped anywhere, several at once, or pasted come in; the page is never left', async ({ page }) => {
    const scene = await newScene(page, ground);
    const url = page.url();
    const bring = (how: 'drop' | 'paste', files: [string, Buffer][]) =>
        page.evaluate(
            ([how, files]) => {
                const transfer = new DataTransfer();
                for (const [name, base64] of files) {
                    transfer.items.add(new File([Uint8Array.from(atob(base64), (character) => character.charCodeAt(0))], name, { type: 'image/png' }));
                }
                const target = document.querySelector('[aria-label="Desk"]')!;
                const event = how === 'drop' ? new DragEvent('drop', { dataTransfer: transfer, bubbles: true, cancelable: true }) : new ClipboardEvent('paste', { clipboardData: transfer, bubbles: true, cancelable: true });
                target.dispatchEvent(event);
                return event.defaultPrevented;
            },
            [how, files.map(([name, bytes]) => [name, bytes.toString('base64')] as const)] as const,
        );
    expect(await bring('drop', [['heron.png', disc(200)], ['lantern.png', disc(90)]])).toBe(true);
    await expect(page.locator('[data-strip][aria-label^="Lantern"]')).toBeVisible();
    expect(await bring('paste', [['buoy.png', disc(30)]])).toBe(true);
    await expect(page.locator('[data-strip][aria-label^="Buoy"]')).toBeVisible();
    // what is no picture is refused in words
    expect(await bring('drop', [['notes.png', Buffer.from('only words')]])).toBe(true);
    await expect(page.getByText(/notes.png is not a picture/)).toBeVisible();
    expect(page.url()).toBe(url);
    const all = await strips(page, scene);
    expect(all.map((strip) => strip.name)).toEqual(['Backdrop', 'Heron', 'Lantern', 'Buoy']);
    // none hides another one
    expect(all[1]!.values.place).not.toEqual(all[2]!.values.place);
});

test('a scene is written to another format, and made of it again', async ({ page }) => {
    test.setTimeout(240_000);
    await newScene(page, ground);
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    for (const [label, ending] of [['TIFF, 16 bit', '.tif'], ['AVIF', '.avif']] as const) {
        await page.getByLabel(label, { exact: true }).check();
        await page.getByRole('button', { name: 'Write the file' }).click();
        const saved = page.getByRole('list', { name: 'Files' }).locator('li').filter({ hasText: ending });
        await expect(saved.getByRole('link', { name: 'Save' })).toBeVisible({ timeout: 60_000 });
        const download = page.waitForEvent('download');
        await saved.getByRole('link', { name: 'Save' }).click();
        const path = await (await download).path();
        const bytes = readFileSync(path);
        await page.evaluate(() => undefined);
        const scene = await page.request.fetch('/api/health');
        expect(scene.ok()).toBe(true);
        expect(bytes.length).toBeGreaterThan(200);
        const other = await page.context().newPage();
        await other.goto('/');
        await drop(other, other.locator('main'), `again${ending}`, '', bytes);
        await other.waitForURL(/\/scenes\//);
        await expect(other.getByLabel('Title of the scene')).toHaveValue('Again');
        await other.close();
    }
});
