import { expect, test } from '@playwright/test';
import { addSpot, dragHandle, newScene, pngOf, settled, shownAt, written } from './help';

test('a picture that comes late never covers a newer one', async ({ page }) => {
    await newScene(page, pngOf(320, 200, () => [0, 0, 0]));
    await addSpot(page);
    const box = (await page.locator('[data-handle="Target"]').boundingBox())!;
    const [x, y] = [box.x + box.width / 2 + 3, box.y - 40];
    // every second picture is held back, so that it arrives after the one behind it
    let count = 0;
    let held = 0;
    await page.route('**/picture', async (route) => {
        const response = await route.fetch();
        if (count++ % 2 === 0) {
            held++;
            await new Promise((done) => setTimeout(done, 700));
        }
        await route.fulfill({ response });
    });
    const fader = page.getByRole('slider', { name: 'Spot, fader' });
    await written(page, async () => {
        await fader.press('End');
        await fader.press('Home');
    });
    expect(held).toBeGreaterThan(0);
    await page.unroute('**/picture');
    const shown = await shownAt(page, x, y);
    // at -6 stops there is next to no light left
    expect(Math.max(...shown)).toBeLessThan(70);
    await written(page, () => fader.press('ArrowUp'));
    const after = await shownAt(page, x, y);
    expect(Math.max(...after)).toBeGreaterThanOrEqual(Math.max(...shown));
    expect(Math.max(...after)).toBeLessThan(80);
});

test('at 1:1 the view shows the pixels that an export has', async ({ page }) => {
    const colour = (x: number, y: number): [number, number, number] => [(x * 7) % 256, (y * 11) % 256, (x * y) % 256];
    await newScene(page, pngOf(300, 200, colour));
    await page.getByRole('button', { name: '1:1' }).click();
    await settled(page);
    const canvas = (await page.getByTestId('picture').boundingBox())!;
    // the scene's middle is in the view's middle
    const [left, top] = [canvas.x + Math.round(canvas.width / 2 - 150), canvas.y + Math.round(canvas.height / 2 - 100)];
    for (const [x, y] of [[0, 0], [10, 20], [299, 199], [150, 77]] as const) {
        expect(await shownAt(page, left + x, top + y)).toEqual(colour(x, y));
    }
});

test('a release asks for one picture at rest, and never for the state before it', async ({ page }) => {
    await newScene(page, pngOf(320, 200, () => [10, 20, 30]));
    await addSpot(page);
    const asked: { draft: boolean; changes: Record<string, { values?: { target?: [number, number] } }> }[] = [];
    page.on('request', (request) => request.url().endsWith('/picture') && asked.push(request.postDataJSON()));
    await written(page, () => dragHandle(page, 'Target', 70, -30));
    const atRest = asked.filter((request) => !request.draft);
    expect(atRest).toHaveLength(1);
    expect(Object.values(atRest[0]!.changes)[0]?.values?.target).toBeDefined();
});
