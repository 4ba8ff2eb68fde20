import axe from 'axe-core';
import { expect, test, type Page } from '@playwright/test';
import { stripKinds } from '../../resources/js/generated/catalogue';
import { addSpot, newScene, pngOf, settled } from './help';

const ground = pngOf(320, 200, (x, y) => [70 + x / 8, 80, 90 + y / 8]);

/** What a checker of accessibility finds (axe-core: WCAG 2.2 A and AA, and best practices), in words. It is brought into a page once. */
async function found(page: Page, ...within: string[]): Promise<string[]> {
    if (!(await page.evaluate(() => 'axe' in window))) {
        await page.evaluate(axe.source);
    }
    return page.evaluate(async (within) => {
        const { axe } = window as unknown as { axe: { run: (where: unknown, how: unknown) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> } };
        const { violations } = await axe.run(within.length === 0 ? document : { include: within.map((selector) => [selector]) }, { resultTypes: ['violations'], rules: { 'target-size': { enabled: true } }, preload: false });
        return violations.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`);
    }, within);
}

const added = stripKinds.filter((kind) => !['plate', 'group'].includes(kind.key));

/** A scene with a strip of every kind. */
async function everyKind(page: Page): Promise<void> {
    const id = await newScene(page, ground);
    const token = decodeURIComponent((await page.context().cookies()).find((cookie) => cookie.name === 'XSRF-TOKEN')!.value);
    for (const kind of added) {
        const reply = await page.request.post(`/api/scenes/${id}/gestures/add-strip`, { data: { kind: kind.key, centre: [160, 100], span: 200 }, headers: { 'X-XSRF-TOKEN': token, Accept: 'application/json' } });
        expect(reply.ok(), kind.key).toBe(true);
    }
    await page.reload();
    await settled(page);
}

test('a checker of accessibility finds nothing on any screen: wall, steps, tools, every kind of strip, sheets, menus', async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    await expect(page.getByRole('button', { name: /New scene/ })).toBeVisible();
    expect(await found(page), 'wall').toEqual([]);
    await everyKind(page);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quay');
    expect(await found(page), 'nothing chosen').toEqual([]);
    for (const [at, kind] of added.entries()) {
        await page.locator('[data-strip]').nth(at + 1).click({ position: { x: 40, y: 10 } });
        await expect(page.getByRole('complementary', { name: 'Bench' }).getByRole('heading', { level: 2 })).toHaveText(kind.label);
        // everything unfolded
        const folded = page.getByRole('complementary', { name: 'Bench' }).locator('details:not([open]) > summary');
        while ((await folded.count()) > 0) {
            await folded.first().click();
        }
        expect(await found(page, '[aria-label="Bench"]'), kind.key).toEqual([]);
    }
    await page.locator('[data-strip]').first().click({ position: { x: 40, y: 10 } });
    // a step and a tool at a time: each of both is looked at once
    for (const [at, tool] of ['p', 'o', 'i', 'e', ' ', 'e'].entries()) {
        await page.keyboard.press(String(at + 1));
        await page.keyboard.press(tool);
        expect(await found(page, '[aria-label="Course"]', '.room-tools', '[aria-label="Bench"]'), `step ${at + 1}, tool ${tool}`).toEqual([]);
    }
    await page.getByRole('button', { name: 'Stage' }).click();
    expect(await found(page), 'stage').toEqual([]);
    await page.getByRole('button', { name: 'The whole desk' }).press('ArrowUp');
    expect(await found(page), 'open desk').toEqual([]);
    for (const [open, name] of [['Keys', 'keys'], ['Export', 'export'], ['Add a strip', 'shelf']] as const) {
        await page.getByRole('button', { name: open, exact: true }).click();
        await page.waitForTimeout(200);
        expect(await found(page), name).toEqual([]);
        await page.keyboard.press('Escape');
    }
    await page.getByTestId('readings').click();
    expect(await found(page), 'readings').toEqual([]);
    await page.keyboard.press('Escape');
    await page.locator('[data-strip]').first().click({ button: 'right', position: { x: 40, y: 10 } });
    await expect(page.getByRole('menu')).toBeVisible();
    // what lies behind a menu is out of reach while it is open, which the checker cannot know
    expect(await found(page, '[role="menu"]'), 'menu').toEqual([]);
});

for (const [name, width, height] of [['a phone', 390, 844], ['a window of 1280 by 800 at 200 %', 640, 400], ['a small window', 1024, 700], ['a large one', 1920, 1080]] as const) {
    test(`in ${name} everything can be reached, and nothing lies outside`, async ({ page }) => {
        await page.setViewportSize({ width, height });
        await newScene(page, ground);
        await addSpot(page);
        const view = page.getByRole('application', { name: /^View/ });
        const box = (await view.boundingBox())!;
        expect(box.width).toBeGreaterThan(width * 0.6);
        expect(box.height).toBeGreaterThan(Math.min(160, height * 0.4));
        for (const target of [
            page.getByRole('slider', { name: 'Spot, fader' }),
            page.getByRole('button', { name: 'Add a strip' }),
            page.getByRole('button', { name: 'Export', exact: true }),
            page.getByRole('radio', { name: 'Paint' }),
            page.getByRole('complementary', { name: 'Bench' }).getByLabel('Level', { exact: true }),
            page.getByRole('button', { name: 'Match', exact: true }),
        ]) {
            await target.scrollIntoViewIfNeeded();
            await expect(target).toBeInViewport();
            const at = (await target.boundingBox())!;
            expect(at.x).toBeGreaterThanOrEqual(-1);
            expect(at.x + at.width).toBeLessThanOrEqual(width + 1);
        }
        // no page that scrolls sideways
        expect(await page.evaluate(() => document.scrollingElement!.scrollWidth)).toBeLessThanOrEqual(width);
        await page.getByRole('button', { name: 'Export', exact: true }).click();
        const sheet = (await page.getByRole('dialog').boundingBox())!;
        expect(sheet.x).toBeGreaterThanOrEqual(0);
        expect(sheet.x + sheet.width).toBeLessThanOrEqual(width);
        expect(await found(page)).toEqual([]);
    });
}

test('with colours that the browser decides, what is chosen is still told, and the picture keeps its own', async ({ page }) => {
    await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
    await newScene(page, ground);
    await addSpot(page);
    const outline = (name: RegExp) => page.locator(`[data-strip][aria-label^="${name.source.slice(1)}"]`).evaluate((element) => getComputedStyle(element).outlineStyle);
    expect(await outline(/^Spot/)).toBe('solid');
    expect(await outline(/^Backdrop/)).toBe('none');
    expect(await page.getByTestId('picture').evaluate((canvas) => getComputedStyle(canvas).forcedColorAdjust)).toBe('none');
    const moving = await page.evaluate(() => document.getAnimations().length);
    expect(moving).toBe(0);
    // and on a dark surround
    await page.getByRole('application', { name: /^View/ }).click({ button: 'right', position: { x: 5, y: 5 } });
    await page.getByRole('menuitem', { name: 'Dark surround' }).click();
    expect(await page.getByRole('application', { name: /^View/ }).evaluate((view) => getComputedStyle(view).backgroundColor)).toBe('rgb(18, 18, 18)');
});
