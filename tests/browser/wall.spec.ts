import { expect, test } from '@playwright/test';
import { addSpot, drop, newScene, pngOf, run } from './help';

/** Does something that must be quick, and what it expects of the clock; what else the machine has to do slows a try, not all of a minute. */
const inTime = (what: () => Promise<void>) => expect(what).toPass({ intervals: [500], timeout: 60_000 });

const grey = (width: number, height: number) => pngOf(width, height, (x) => [x % 256, 90, 120]);

test('says in place why a file is no picture, and makes no scene', async ({ page }) => {
    await page.goto('/');
    const made = async () => ((await (await page.request.get('/api/scenes')).json()) as { scenes: { title: string }[] }).scenes.filter(({ title }) => /^(Notes|Nothing|Short)/.test(title)).length;
    const before = await made();
    for (const [name, bytes, says] of [
        ['notes.png', Buffer.from('only words'), /notes.png is not a picture in PNG, JPEG/],
        ['nothing.png', Buffer.alloc(0), /nothing.png is empty/],
        ['short.png', grey(40, 30).subarray(0, 90), /short.png is cut off/],
    ] as const) {
        await drop(page, page.locator('main'), name, 'image/png', Buffer.from(bytes));
        await expect(page.getByRole('alert')).toContainText(says);
    }
    expect(await made()).toBe(before);
    await expect(page).toHaveURL('/');
});

test('a scene on the wall can be deleted, and brought back', async ({ page }) => {
    await newScene(page, grey(60, 40), 'ferry_hut.png');
    await page.getByRole('button', { name: 'To the scenes' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toBeVisible();
    await page.getByRole('button', { name: 'Delete Ferry hut' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: 'Ferry hut' })).toBeVisible();
});

test('a packed scene is taken in again, and what was deleted can be brought back from below', async ({ page }) => {
    const scene = await newScene(page, grey(60, 40), 'eel_traps.png');
    await addSpot(page);
    const packed = await (await page.request.get(`/api/scenes/${scene}/packed`)).body();
    await page.goto('/');
    await drop(page, page.locator('main'), 'eel-traps.zip', 'application/zip', packed);
    await page.waitForURL((url) => url.pathname.startsWith('/scenes/') && !url.pathname.endsWith(scene));
    await expect(page.locator('[data-strip][aria-label^="Spot"]')).toBeVisible();
    await expect(page.getByLabel('Title of the scene')).toHaveValue('Eel traps');
    // a scene file without its pictures says which one is missing
    await page.goto('/');
    const file = await (await page.request.get(`/api/scenes/${scene}/file`)).body();
    await drop(page, page.locator('main'), 'eel-traps.json', 'application/json', file);
    await expect(page.getByRole('alert')).toContainText('eel_traps.png');
    await expect(page.getByTestId('storage')).toHaveText(/Storage used: .* free/);

    await page.getByRole('button', { name: 'Delete Eel traps' }).first().click();
    await page.getByText(/^Deleted scenes/).click();
    await page.getByRole('button', { name: 'Bring back Eel traps' }).first().click();
    await expect(page.getByText('"Eel traps" is back.')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Eel traps' })).toHaveCount(2);
});

test('the wall is searched and sorted, a scene is renamed and duplicated there, cards that are dropped on another lie in a folder', async ({ page }) => {
    const names = ['eel_smoke 10', 'eel_smoke 9', 'eel_smoke lantern'];
    for (const [at, name] of names.entries()) {
        await newScene(page, grey(60 + at, 40), `${name}.png`);
    }
    await page.goto('/');
    const titles = () => page.locator('article h2').allTextContents();
    await page.getByRole('searchbox', { name: 'Search the scenes' }).fill('SMOKE eel');
    await expect.poll(titles).toEqual(['Eel smoke lantern', 'Eel smoke 9', 'Eel smoke 10']);
    await page.getByLabel('Order of the scenes').selectOption('By name');
    await expect.poll(titles).toEqual(['Eel smoke 9', 'Eel smoke 10', 'Eel smoke lantern']);
    await page.getByRole('searchbox').fill('eel smoke crab');
    await expect(page.getByText('No scene has “eel smoke crab” in its name.')).toBeVisible();
    await page.getByRole('searchbox').fill('eel smoke');
    // renamed by its menu, duplicated
    await page.getByRole('link', { name: 'Eel smoke 9' }).click({ button: 'right' });
    await page.getByRole('menuitem', { name: /^Rename/ }).click();
    await page.getByLabel('Name of the scene').fill('Eel smoke over the marsh');
    await page.keyboard.press('Enter');
    await expect.poll(titles).toContain('Eel smoke over the marsh');
    await page.getByRole('link', { name: 'Eel smoke lantern' }).click({ button: 'right' });
    await page.getByRole('menuitem', { name: 'Duplicate' }).click();
    await expect.poll(titles).toContain('Eel smoke lantern, copy');
    // dropped on another one: a folder of both
    await page.getByRole('searchbox').fill('');
    await page.getByRole('link', { name: 'Eel smoke 10', exact: true }).dragTo(page.getByRole('link', { name: 'Eel smoke lantern', exact: true }));
    const folder = page.getByRole('button', { name: 'Open the folder Eel smoke lantern' });
    await expect(folder).toContainText('2 scenes');
    await page.getByRole('link', { name: 'Eel smoke lantern, copy' }).dragTo(folder);
    await expect(folder).toContainText('3 scenes');
    await folder.click();
    await expect.poll(titles).toEqual(['Eel smoke 10', 'Eel smoke lantern', 'Eel smoke lantern, copy']);
    await page.getByLabel('Name of the folder').fill('Smoke house');
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name of the folder')).toHaveValue('Smoke house');
    // back from a scene one is where one was
    await page.getByRole('link', { name: 'Eel smoke 10' }).click();
    await page.waitForURL(/\/scenes\//);
    await page.getByRole('button', { name: 'To the scenes' }).click();
    await expect(page.getByLabel('Name of the folder')).toHaveValue('Smoke house');
    await page.getByRole('link', { name: 'Eel smoke 10' }).click({ button: 'right' });
    await page.getByRole('menuitem', { name: 'Lay out of Smoke house' }).click();
    await expect.poll(titles).toEqual(['Eel smoke lantern', 'Eel smoke lantern, copy']);
    await page.getByRole('button', { name: 'Undo' }).last().click();
    await expect.poll(titles).toHaveLength(3);
    await page.getByRole('button', { name: /All scenes/ }).click();
    await expect(page.getByRole('button', { name: 'Open the folder Smoke house' })).toBeVisible();
});

test('five hundred scenes come quickly, and one comes back to where one was among them', async ({ page }) => {
    await newScene(page, grey(60, 40), 'crowd.png');
    const crowd = (code: string) => run('php', '-r', `$db = new PDO('sqlite:'.getenv('DB_DATABASE')); $db->exec('pragma busy_timeout=20000'); ${code}`);
    crowd(`$one = $db->query("select * from scenes where title = 'Crowd' order by id desc limit 1")->fetch(PDO::FETCH_ASSOC); $db->beginTransaction();
        for ($k = 0; $k < 500; $k++) { $next = [...$one, 'id' => substr($one['id'], 0, 22).sprintf('%04d', $k), 'title' => "Crowd {$k}"]; $ask = $db->prepare('insert into scenes ('.implode(',', array_keys($next)).') values ('.implode(',', array_fill(0, count($next), '?')).')'); $ask->execute(array_values($next)); } $db->commit();`);
    try {
        await inTime(async () => {
            const started = Date.now();
            await page.goto('/');
            // asked of the page itself: looking five hundred links up by their names costs more than showing them
            await page.waitForFunction(() => document.querySelectorAll('article').length >= 500);
            expect(Date.now() - started).toBeLessThan(2500);
        });
        await inTime(async () => {
            await page.getByRole('searchbox').fill('');
            await expect(page.getByRole('link', { name: 'Crowd 499', exact: true })).toBeAttached();
            const typed = Date.now();
            await page.getByRole('searchbox').fill('crowd 25');
            await expect(page.locator('article h2')).toHaveCount(15);
            expect(Date.now() - typed).toBeLessThan(1500);
        });
        await page.getByRole('searchbox').fill('');
        const wall = page.getByTestId('wall');
        await wall.evaluate((element) => (element.scrollTop = 9000));
        await page.waitForTimeout(300);
        const [top, name] = await wall.evaluate((element) => {
            const inSight = [...element.querySelectorAll('article')].find((card) => card.getBoundingClientRect().top > 150 && card.getBoundingClientRect().bottom < 700 && card.querySelector('h2'));
            return [element.scrollTop, inSight?.querySelector('h2')?.textContent ?? ''] as const;
        });
        await page.getByRole('link', { name, exact: true }).click();
        await page.waitForURL(/\/scenes\//);
        await page.getByRole('button', { name: 'To the scenes' }).click();
        await expect.poll(() => wall.evaluate((element) => element.scrollTop)).toBeGreaterThan(top - 400);
        await expect(page.getByRole('link', { name, exact: true })).toBeInViewport();
    } finally {
        crowd(`$db->exec("delete from scenes where title like 'Crowd %'");`);
    }
});
