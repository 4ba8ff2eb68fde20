import { expect, test, type Page } from '@playwright/test';
import { addSpot, drop, newScene, pngOf, settled, written } from './help';

const ground = pngOf(320, 200, (x, y) => [30 + x / 4, 40, 60 + y / 4]);

/** The share of the window that the view has. */
async function share(page: Page): Promise<number> {
    const box = (await page.getByRole('application', { name: /^View/ }).boundingBox())!;
    const { width, height } = page.viewportSize()!;
    return (box.width * box.height) / (width * height);
}

test('the picture has most of the window, and nearly all of it when the rest is folded; that is remembered', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    for (const [width, height, normal, folded] of [
        [1024, 700, 0.5, 0.84],
        [1920, 1080, 0.68, 0.9],
        [1280, 800, 0.58, 0.85],
    ] as const) {
        await page.setViewportSize({ width, height });
        expect(await share(page)).toBeGreaterThan(normal);
        await page.keyboard.press('w');
        await expect(page.getByRole('region', { name: 'Desk' })).toHaveCount(0);
        expect(await share(page)).toBeGreaterThan(folded);
        await page.getByRole('button', { name: 'Fold', exact: true }).click();
        await expect(page.getByRole('region', { name: 'Desk' })).toBeVisible();
    }
    await page.getByRole('button', { name: 'Fold', exact: true }).click();
    await page.reload();
    await settled(page);
    await expect(page.getByRole('button', { name: 'Fold', exact: true })).toHaveAttribute('aria-pressed', 'true');
    expect(await share(page)).toBeGreaterThan(0.85);
    // a letter in a field is a letter
    await page.getByLabel('Title of the scene').press('w');
    await expect(page.getByRole('button', { name: 'Fold', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('the low desk shows fader, name, number, solo and mute; its edge opens it, by hand and by keys', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    const desk = page.getByRole('region', { name: 'Desk' });
    const edge = page.getByRole('button', { name: 'The whole desk' });
    const card = page.getByRole('group', { name: /^Spot, / });
    const fader = page.getByRole('slider', { name: 'Spot, fader' });
    expect((await desk.boundingBox())!.height).toBe(110);
    const [low, picture] = [(await fader.boundingBox())!, (await card.locator('canvas').boundingBox())!];
    expect(low.height).toBeGreaterThan(2 * picture.height);
    expect(low.y + low.height).toBeLessThanOrEqual(800);
    await expect(card.getByText('Spot', { exact: true })).toHaveAttribute('title', 'Spot');
    await expect(card.getByRole('button', { name: 'Mute' })).toBeVisible();
    // as far as the knob goes the level goes
    await written(page, async () => {
        await page.mouse.move(low.x + low.width / 2, low.y + low.height / 2);
        await page.mouse.down();
        await page.mouse.move(low.x + low.width / 2, low.y + low.height / 2 + 13, { steps: 4 });
        await page.mouse.up();
    });
    expect(Number(await fader.getAttribute('aria-valuenow'))).toBeCloseTo(-2, 0);
    // pulled up, let down by a press, by keys
    const grip = (await page.getByTestId('edge').boundingBox())!;
    await page.mouse.move(grip.x + grip.width / 2, grip.y + 3);
    await page.mouse.down();
    await page.mouse.move(grip.x + grip.width / 2, grip.y - 30, { steps: 3 });
    await page.mouse.up();
    await expect(edge).toHaveAttribute('aria-expanded', 'true');
    await expect(card.getByText('airlight').or(card.getByText('illuminate'))).toBeVisible();
    await page.reload();
    await settled(page);
    await expect(edge).toHaveAttribute('aria-expanded', 'true');
    await page.getByTestId('edge').click({ position: { x: 40, y: 3 } });
    await expect(edge).toHaveAttribute('aria-expanded', 'false');
    await edge.press('ArrowUp');
    await expect(edge).toHaveAttribute('aria-expanded', 'true');
    await edge.press('Enter');
    await expect(edge).toHaveAttribute('aria-expanded', 'false');
});

test('the compass is a badge until a direction is worked on, or the hand opens it', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    const compass = page.getByRole('region', { name: 'Compass' });
    const dial = compass.getByRole('group', { name: 'Where light comes from' });
    await expect(compass).toContainText('one bearing known');
    await expect(dial).toHaveCount(0);
    await page.getByRole('button', { name: 'Place a sun' }).click();
    const view = (await page.getByRole('application', { name: /^View/ }).boundingBox())!;
    await written(page, () => page.mouse.click(view.x + view.width / 2, view.y + view.height / 3));
    await expect(dial).toBeVisible();
    // the hand has the last word, and is remembered
    await compass.getByRole('button', { name: /^Compass/ }).click();
    await expect(dial).toHaveCount(0);
    await page.reload();
    await settled(page);
    await compass.getByRole('button', { name: /^Compass/ }).click();
    await expect(dial).toBeVisible();
});

type Card = { strips: unknown[]; title: string };

/** A scene with a lamp's consequence as a group and many spots besides, by its file. */
async function manyStrips(page: Page, count: number): Promise<string> {
    const id = await newScene(page, ground);
    const file = (await (await page.request.get(`/api/scenes/${id}/file`)).json()) as Card & Record<string, unknown>;
    const spot = (k: number) => ({ id: `spot${k}`, kind: 'spot', name: `Spot number ${k} over the old boardwalk`, level: -2, values: { origin: [20 + k * 4, 10], target: [20 + k * 4, 90] } });
    const scene = { ...file, title: 'Many', strips: [...file.strips, { id: 'lamps', kind: 'group', name: 'Lamps', strips: [spot(0), spot(1), spot(2)] }, ...Array.from({ length: count - 5 }, (_, k) => spot(k + 3))] };
    await page.goto('/');
    const transfer = await page.evaluateHandle(
        ([text, picture]) => {
            const transfer = new DataTransfer();
            transfer.items.add(new File([text], 'scene.json', { type: 'application/json' }));
            transfer.items.add(new File([Uint8Array.from(atob(picture), (character) => character.charCodeAt(0))], 'quay.png', { type: 'image/png' }));
            return transfer;
        },
        [JSON.stringify(scene), ground.toString('base64')] as const,
    );
    await page.locator('main').dispatchEvent('drop', { dataTransfer: transfer });
    await page.waitForURL((url) => url.pathname.startsWith('/scenes/') && !url.pathname.endsWith(id));
    await settled(page);
    return page.url().split('/').pop() ?? '';
}

test('sixty strips stay usable: groups fold, the wheel goes sideways, dots show where one is, one tab stop, tabbing does not choose', async ({ page }) => {
    await manyStrips(page, 60);
    const list = page.getByRole('group', { name: 'Strips, back to front' });
    const cards = page.locator('[data-strip]');
    await expect(cards).toHaveCount(60);
    const scrolled = () => list.evaluate((element) => element.scrollLeft);
    const box = (await list.boundingBox())!;
    await page.mouse.move(box.x + 300, box.y + 40);
    await page.mouse.wheel(0, 600);
    await expect.poll(scrolled).toBeGreaterThan(500);
    // dots: one for each, some of them in sight; a press goes there
    const dots = page.getByTestId('dots').locator('[data-dot]');
    await expect(dots).toHaveCount(60);
    const seen = page.getByTestId('dots').locator('[data-seen="true"]');
    expect(await seen.count()).toBeGreaterThan(5);
    expect(await seen.count()).toBeLessThan(15);
    await dots.nth(59).click();
    await expect(cards.nth(59)).toBeInViewport();
    // the chosen strip stays in sight
    await list.evaluate((element) => (element.scrollLeft = 0));
    await cards.nth(0).focus();
    await page.keyboard.press('ArrowRight');
    for (let k = 0; k < 12; k++) {
        await page.keyboard.press('ArrowRight');
    }
    await expect(page.locator('[data-strip][aria-current="true"]')).toBeInViewport();
    // one tab stop
    await page.keyboard.press('Shift+Tab');
    await page.keyboard.press('Tab');
    await expect(page.locator('[data-strip][aria-current="true"]')).toBeFocused();
    await page.keyboard.press('Tab');
    await expect(page.getByRole('button', { name: 'Add a strip' })).toBeFocused();
    // a group folds and opens, by hand and by key; what is folded away is not chosen
    const group = page.locator('[data-strip="lamps"]');
    await group.getByRole('button', { name: 'Fold the strips of Lamps away' }).click();
    await expect(cards).toHaveCount(57);
    await expect(group).toHaveAttribute('aria-current', 'true');
    await group.focus();
    await page.keyboard.press(' ');
    await expect(cards).toHaveCount(60);
    await page.keyboard.press(' ');
    await expect(cards).toHaveCount(57);
    await page.reload();
    await settled(page);
    await expect(cards).toHaveCount(57);
    // tabbing to the desk chooses nothing
    await expect(page.locator('[data-strip][aria-current="true"]')).toHaveCount(0);
    await page.getByRole('button', { name: 'The whole desk' }).focus();
    await page.keyboard.press('Tab');
    await expect(cards.first()).toBeFocused();
    await expect(page.locator('[data-strip][aria-current="true"]')).toHaveCount(0);
    await page.keyboard.press(' ');
    await expect(cards.first()).toHaveAttribute('aria-current', 'true');
});

test('names are readable in full on the open desk, and what a strip adds is brightened until it can be seen', async ({ page }) => {
    await newScene(page, pngOf(320, 200, () => [12, 12, 14]));
    await addSpot(page);
    const card = page.locator('[data-strip][aria-label^="Spot"]');
    await card.focus();
    await written(page, async () => {
        for (let k = 0; k < 9; k++) {
            await page.keyboard.press('ArrowDown');
        }
    });
    const small = card.locator('canvas');
    await expect(small).toHaveAttribute('title', /^Brightened \d+\.\d times$/);
    const brightest = await small.evaluate((canvas: HTMLCanvasElement) => Math.max(...canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height).data.filter((_, at) => at % 4 < 3)));
    expect(brightest).toBeGreaterThan(100);
    await page.keyboard.press('Enter');
    await page.getByLabel('Name', { exact: true }).fill('Far lamp on the boardwalk');
    await written(page, () => page.keyboard.press('Enter'));
    await page.getByRole('button', { name: 'The whole desk' }).press('ArrowUp');
    const name = page.locator('[data-strip][aria-label^="Far lamp"]').getByText('Far lamp on the boardwalk');
    expect(await name.evaluate((element) => element.scrollHeight <= element.clientHeight + 1 && element.scrollWidth <= element.clientWidth + 1)).toBe(true);
});

test('the bench shows the commonest kinds without a scroll, folds the rest and keeps it as it was left; numbers have sliders and are reset', async ({ page }) => {
    await newScene(page, ground);
    await addSpot(page);
    const bench = page.getByRole('complementary', { name: 'Bench' });
    const fits = () => bench.evaluate((element) => element.scrollHeight <= element.clientHeight);
    expect(await fits()).toBe(true);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Flat colour/ }).click();
    await expect(page.locator('[data-strip][aria-label^="Flat colour"]')).toBeVisible();
    expect(await fits()).toBe(true);
    await page.locator('[data-strip][aria-label^="Backdrop"]').click({ position: { x: 40, y: 10 } });
    expect(await fits()).toBe(true);
    // one that is cut out has more to tell, and that is all seen too
    await drop(page, page.locator('[data-view]'), 'buoy.png', 'image/png', pngOf(60, 60, (x, y) => [190, 90, 60, Math.hypot(x - 30, y - 30) < 26 ? 255 : 0], true));
    await page.locator('[data-strip][aria-label^="Buoy"]').click({ position: { x: 40, y: 10 } });
    await expect(bench.getByRole('button', { name: 'Cast its shadows' })).toBeVisible();
    expect(await fits()).toBe(true);
    await page.getByRole('button', { name: /^Undo/ }).click();
    await page.locator('[data-strip][aria-label^="Backdrop"]').click({ position: { x: 40, y: 10 } });
    // as it was left, for every strip of that kind, over a reload
    const part = (title: string) => bench.locator('details').filter({ has: page.locator('summary', { hasText: title }) }).first();
    await expect(part('Placing')).not.toHaveAttribute('open', '');
    await part('Placing').locator('summary').click();
    await part('Mix').locator('summary').first().click();
    await page.reload();
    await settled(page);
    await page.locator('[data-strip][aria-label^="Backdrop"]').click({ position: { x: 40, y: 10 } });
    await expect(part('Placing')).toHaveAttribute('open', '');
    await expect(part('Mix')).not.toHaveAttribute('open', '');
    // a slider is felt: dragged, taken back by escape, by keys; and there is a way back
    await page.locator('[data-strip][aria-label^="Spot"]').click({ position: { x: 40, y: 10 } });
    const level = bench.getByLabel('Level', { exact: true });
    // what a value does in light is told while focus or pointer rest on it
    await level.focus();
    await expect(page.getByText('one stop more is twice the light')).toBeVisible();
    await bench.getByLabel('Temperature', { exact: true }).hover();
    await expect(page.getByText('The colour of the light, by temperature, gel or swatch')).toBeVisible();
    await page.mouse.move(700, 300);
    await level.blur();
    await expect(page.getByText('one stop more is twice the light')).toHaveCount(0);
    const knob = bench.getByRole('slider', { name: 'Level, slider' });
    const before = await level.inputValue();
    const box = (await knob.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 - 14, box.y + box.height / 2, { steps: 4 });
    await expect(level).not.toHaveValue(before);
    await page.keyboard.press('Escape');
    await expect(level).toHaveValue(before);
    await page.mouse.up();
    await page.waitForTimeout(300);
    await expect(level).toHaveValue(before);
    await written(page, () => knob.press('ArrowLeft'));
    await expect(level).not.toHaveValue(before);
    await bench.getByRole('button', { name: 'Reset level' }).click();
    await settled(page);
    await expect(level).toHaveValue(/^[+−]?0\.00$/);
});

test('a scene opens with its kept picture at once, and a late picture is said quietly', async ({ page }) => {
    const id = await newScene(page, ground);
    await page.request.get(`/api/scenes/${id}/thumbnail`);
    let hold = true;
    await page.route('**/picture', async (route) => {
        while (hold) {
            await new Promise((done) => setTimeout(done, 50));
        }
        await route.continue().catch(() => undefined);
    });
    await page.reload();
    const kept = page.getByTestId('kept');
    await expect(kept).toBeVisible();
    expect(await kept.evaluate((image: HTMLImageElement) => image.complete && image.naturalWidth > 0)).toBe(true);
    await expect(page.getByText('Rendering…')).toBeVisible();
    hold = false;
    await expect(kept).toHaveCount(0);
    await expect(page.getByText('Rendering…')).toHaveCount(0);
});
