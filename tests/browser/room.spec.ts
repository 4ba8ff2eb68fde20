import { expect, test, type Page } from '@playwright/test';
import { addSpot, newScene, pngOf, settled, written } from './help';

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
    const grip = (await edge.boundingBox())!;
    await page.mouse.move(grip.x + grip.width / 2, grip.y + 8);
    await page.mouse.down();
    await page.mouse.move(grip.x + grip.width / 2, grip.y - 30, { steps: 3 });
    await page.mouse.up();
    await expect(edge).toHaveAttribute('aria-expanded', 'true');
    await expect(card.getByText('airlight').or(card.getByText('illuminate'))).toBeVisible();
    await page.reload();
    await settled(page);
    await expect(edge).toHaveAttribute('aria-expanded', 'true');
    await edge.click({ position: { x: 40, y: 8 } });
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
    await expect(compass).toContainText('the light agrees');
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
