// Measures the interface in a headless browser: a 1600 x 1000 plate with one spot, the benchmark scene, a plate with two
// rims that is dragged, 24 strips in a large window, and a photograph of 24 megapixels from the file to its first picture.
// Each kind that is seen alone: what makes its plane, and its fader; and 24 strips of all kinds. With `ONLY=kinds` these only,
// with `KIND=glow` one of them, with `KIND=all` the 24 strips. `ONLY=browser` says which browser would be driven.
// Prints JSON. Run by `bin/aumbrel timings`.
import { execFileSync, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { launch } from './chromium.mjs';

if (!existsSync(launch.executablePath)) {
    console.log(JSON.stringify({ skipped: `needs the browser ${launch.executablePath}: bin/setup test` }));
    process.exit();
}
const browser = await chromium.launch(launch);
if (process.env.ONLY === 'browser') {
    console.log(JSON.stringify({ browser: browser.version() }));
    await browser.close();
    process.exit();
}

const port = 8799;
const base = `http://127.0.0.1:${port}`;

const server = spawn('tests/browser/serve', [String(port)], { stdio: ['ignore', 'pipe', 'inherit'], detached: true });
await new Promise((done, fail) => {
    server.stdout.on('data', (text) => String(text).includes('runs at') && done());
    server.on('exit', () => fail(new Error('the server did not start')));
});

const inEnvironment = (...words) => execFileSync('bash', ['-c', '. tests/browser/environment; exec "$@"', 'bash', ...words], { encoding: 'utf8' });

class Done extends Error {}

const folder = mkdtempSync(join(tmpdir(), 'aumbrel-timings-'));

try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    if (process.env.ONLY === 'shadows') {
        console.log(JSON.stringify(await shadows(page), null, 1));
        throw new Done();
    }
    if (process.env.ONLY === 'kinds') {
        console.log(JSON.stringify(await kinds(page), null, 1));
        throw new Done();
    }
    await page.goto(base);
    await page.setInputFiles('input[type=file]', 'demo/night-market/boardwalk.jpg');
    await page.waitForURL(/\/scenes\//);
    await settled(page);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Spot A cone/ }).click();
    await page.keyboard.press('Enter');
    await settled(page);
    const oneSpot = await drag(page);

    const id = inEnvironment('bin/aumbrel', 'store', 'demo/night-market/benchmark.json').trim();
    await page.goto(`${base}/scenes/${id}`);
    await settled(page);
    // from the start of the navigation to the first full picture
    const open = await page.evaluate(() => Math.round(Math.min(...performance.getEntriesByName('aumbrel settled').map((entry) => entry.startTime + entry.duration))));
    await page.locator('[data-strip="spot-6"]').click();
    await settled(page);
    const twelveStrips = { ...(await drag(page)), open };
    await page.locator('[data-strip="spot-1"]').click();
    await settled(page);
    const twelveStripsLowest = await drag(page);
    await page.locator('[data-strip="spot-6"]').click();
    const painting = await paint(page);

    const withRims = inEnvironment('bin/aumbrel', 'store', rimmedPlate()).trim();
    await page.goto(`${base}/scenes/${withRims}`);
    await settled(page);
    await page.locator('[data-strip="heron"]').click();
    await settled(page);
    const rimmed = await drag(page, 'Plate');
    await page.locator('[data-strip="rim-1"]').click();
    await settled(page);
    const rim = await drag(page, 'Light from');

    const lit = inEnvironment('bin/aumbrel', 'store', sourceWithSix()).trim();
    await page.goto(`${base}/scenes/${lit}`);
    await settled(page);
    await page.getByRole('group', { name: 'Sources and stage' }).getByRole('button', { name: 'Lamp', exact: true }).click();
    await settled(page);
    const source = await drag(page, 'Lamp');
    await page.locator('[data-strip="pool"]').click();
    await settled(page);
    const pool = await drag(page);

    const long = inEnvironment('bin/aumbrel', 'store', twentyFourStrips()).trim();
    await page.setViewportSize({ width: 1920, height: 1080 });
    await page.goto(`${base}/scenes/${long}`);
    await settled(page);
    await page.locator('[data-strip="spot-6"]').click();
    await settled(page);
    const twentyFourStripsLarge = await drag(page);
    const threeShadows = await shadows(page);
    const ofKinds = await kinds(page);
    const takingIn = await take(page);
    console.log(JSON.stringify({ unit: 'ms', oneSpot, twelveStrips, twelveStripsLowest, painting, rimmedPlate: rimmed, rim, sourceWithSixStrips: source, pool, twentyFourStripsLarge, threeShadows, kinds: ofKinds, takingIn }));
} catch (error) {
    if (!(error instanceof Done)) {
        throw error;
    }
} finally {
    rmSync(folder, { recursive: true });
    await browser.close();
    process.kill(-server.pid, 'SIGTERM');
    process.kill(server.pid, 'SIGTERM');
}

/** Strips of the kinds that are seen, and the handle of each that makes its plane anew. */
function seenKinds() {
    const line = [{ id: 'e', kind: 'outline', on: 'emitter', values: { path: [{ at: [300, 300], out: [150, -80] }, { at: [800, 350], in: [-120, 0], out: [120, 0] }, { at: [1300, 280] }] } }];
    return {
        glow: [{ kind: 'glow', values: { centre: [560, 300], size: 60 } }, 'Size'],
        glowOfTones: [{ kind: 'glow', values: { from: "a plate's bright tones", of: 'boardwalk', threshold: 78 } }, 'Brighter than'],
        glowOfOutline: [{ kind: 'glow', level: -1, values: { from: "a plate's outline", of: 'heron' } }, 'Reach'],
        halo: [{ kind: 'halo', values: { of: 'heron', spread: 60, pull: 60 } }, 'Spread'],
        line: [{ kind: 'line', values: {}, masks: line }, 'Point 2'],
        sun: [{ kind: 'sun', values: { centre: [700, 300], behind: 'heron' } }, 'Radius'],
        beam: [{ kind: 'beam', values: { origin: [560, 80], target: [760, 820], reach: 820 } }, 'Target'],
        pattern: [{ kind: 'pattern', level: 1, values: { corners: [[250, 300], [900, 380], [980, 900], [200, 860]] } }, 'Corner 1'],
        leaves: [{ kind: 'pattern', level: 1, values: { through: 'leaves', corners: [[250, 300], [900, 380], [980, 900], [200, 860]] } }, 'Corner 1'],
        leak: [{ kind: 'leak', values: { middle: [800, 500], width: 1600, height: 1000 } }, 'Middle'],
        smoke: [{ kind: 'leak', values: { texture: 'smoke', colours: 'one colour', middle: [800, 500], width: 1600, height: 1000 } }, 'Middle'],
    };
}

/** A scene of strips over a backdrop with a cut-out before it. */
function sceneOf(name, strips) {
    const plate = (id, picture, values = {}) => ({ id, kind: 'plate', values: { picture, ...values } });
    const scene = {
        aumbrel: 2,
        title: name,
        size: [1600, 1000],
        strips: [plate('boardwalk', 'boardwalk.jpg'), plate('heron', 'heron.png', { place: [900, 800], pivot: [497, 1545], scale: 0.375 }), ...strips],
    };
    cpSync('demo/night-market', folder, { recursive: true });
    writeFileSync(join(folder, `${name}.json`), JSON.stringify(scene));
    return inEnvironment('bin/aumbrel', 'store', join(folder, `${name}.json`)).trim();
}

/** Each kind that is seen by itself, and 24 strips of all of them. */
async function kinds(page) {
    const figures = {};
    for (const [name, [strip, handle]] of Object.entries(seenKinds()).filter(([name]) => (process.env.KIND ?? name) === name)) {
        await page.goto(`${base}/scenes/${sceneOf(name, [{ id: 'it', name: 'It', ...strip }])}`);
        await settled(page);
        await page.locator('[data-strip="it"]').click();
        await settled(page);
        const plane = await drag(page, handle);
        const fade = await drag(page, 'fader');
        figures[name] = { plane, fade };
    }
    if ((process.env.KIND ?? 'all') !== 'all') {
        return figures;
    }
    const all = Object.values(seenKinds()).map(([strip]) => strip);
    const many = Array.from({ length: 22 }, (_, k) => ({ ...structuredClone(all[k % all.length]), id: `it-${k}`, name: `It ${k}`, level: -2 }));
    await page.goto(`${base}/scenes/${sceneOf('many', many)}`);
    await settled(page);
    await page.locator('[data-strip="it-11"]').click();
    await settled(page);
    figures.twentyFourStrips = { plane: await drag(page, 'Size'), fade: await drag(page, 'fader') };
    return figures;
}

/** Twelve strips, three of them shadows of one lamp: the lamp is dragged, and the tip of one. */
async function shadows(page) {
    const plate = (id, picture, values = {}) => ({ id, kind: 'plate', values: { picture, ...values } });
    const cast = (id, of) => ({ id, kind: 'cast', source: 'lamp', amount: 60, values: { of: [of] } });
    const spot = (k) => ({ id: `spot-${k}`, kind: 'spot', level: -1, values: { origin: [560, 240], target: [300 + 200 * k, 900], reach: 900 } });
    const heron = (id, place, scale) => plate(id, 'heron.png', { place, pivot: [497, 1545], scale });
    const scene = {
        aumbrel: 2,
        title: 'Shadows',
        size: [1600, 1000],
        stage: { floor: { horizon: 493, contact: [[0, 830], [1600, 830]] } },
        sources: [{ id: 'lamp', kind: 'lamp', name: 'Lamp', values: { place: [600, 200], depth: -200, width: 60 } }],
        strips: [
            plate('boardwalk', 'boardwalk.jpg'), cast('by-heron', 'heron'), cast('by-lantern', 'lantern'), cast('by-other', 'other'),
            heron('heron', [900, 800], 0.375), plate('lantern', 'lantern.png', { place: [1166, 858], pivot: [400, 1010], scale: 0.235 }), heron('other', [400, 850], 0.3),
            ...[0, 1, 2, 3, 4].map(spot),
        ],
    };
    cpSync('demo/night-market', folder, { recursive: true });
    writeFileSync(join(folder, 'shadows.json'), JSON.stringify(scene));
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${base}/scenes/${inEnvironment('bin/aumbrel', 'store', join(folder, 'shadows.json')).trim()}`);
    await settled(page);
    await page.getByRole('group', { name: 'Sources and stage' }).getByRole('button', { name: 'Lamp', exact: true }).click();
    await settled(page);
    const source = await drag(page, 'Lamp');
    await page.locator('[data-strip="by-heron"]').click();
    await settled(page);
    return { source, tip: await drag(page, 'Tip') };
}

/** Where something is grabbed: a handle on the picture, the chosen strip's fader, or a value by its name. */
async function grabbed(page, name) {
    const fader = page.locator('[aria-current="true"] [role=slider]');
    const handle = page.locator(`[data-handle="${name}"]`);
    const value = page.locator('label span', { hasText: name });
    return (name === 'fader' ? fader : (await handle.count()) > 0 ? handle : value).first().boundingBox();
}

/** A cut-out in front of a backdrop, with a rim from either side. */
function rimmedPlate() {
    const plate = (id, picture, values = {}) => ({ id, kind: 'plate', values: { picture, ...values } });
    const rim = (id, azimuth) => ({ id, kind: 'rim', level: 2, values: { of: 'heron', width: 10, azimuth, elevation: -20 } });
    const scene = {
        aumbrel: 2,
        title: 'Rims',
        size: [1600, 1000],
        strips: [plate('boardwalk', 'boardwalk.jpg'), plate('heron', 'heron.png', { place: [900, 800], pivot: [497, 1545], scale: 0.375 }), rim('rim-1', 30), rim('rim-2', 160)],
    };
    cpSync('demo/night-market', folder, { recursive: true });
    writeFileSync(join(folder, 'rims.json'), JSON.stringify(scene));
    return join(folder, 'rims.json');
}

/** A lamp on which six strips hang: two pools, three spots in the air, and a rim. */
function sourceWithSix() {
    const plate = (id, picture, values = {}) => ({ id, kind: 'plate', values: { picture, ...values } });
    const pool = (id, beam, field) => ({ id, kind: 'spot-onto', level: 1, source: 'lamp', confinedTo: 'boardwalk', values: { surface: 'floor', lamp: [560, 820], target: [560, 830], beam, field } });
    const spot = (id, x, more) => ({ id, kind: 'spot', level: -1, source: 'lamp', ...more, values: { origin: [560, 240], target: [x, 900], reach: 900 } });
    const scene = {
        aumbrel: 2,
        title: 'Lamp',
        size: [1600, 1000],
        stage: { floor: { horizon: 500, contact: [[0, 820], [1600, 820]] } },
        sources: [{ id: 'lamp', kind: 'lamp', name: 'Lamp', values: { place: [560, 240], colour: { kelvin: 2800 } } }],
        strips: [
            plate('boardwalk', 'boardwalk.jpg'), plate('heron', 'heron.png', { place: [900, 800], pivot: [497, 1545], scale: 0.375 }),
            pool('pool', 64, 104), pool('close', 26, 44), spot('left', 300), spot('middle', 560, { mode: 'screen' }), spot('right', 820),
            { id: 'rim', kind: 'rim', level: 2, source: 'lamp', values: { of: 'heron', width: 10 } },
        ],
    };
    cpSync('demo/night-market', folder, { recursive: true });
    writeFileSync(join(folder, 'lamp.json'), JSON.stringify(scene));
    return join(folder, 'lamp.json');
}

/** The benchmark scene with its lights once more, beside where they were. */
function twentyFourStrips() {
    const scene = JSON.parse(readFileSync('demo/night-market/benchmark.json', 'utf8'));
    const again = structuredClone(scene.strips.filter((strip) => strip.kind !== 'plate' && strip.kind !== 'group'));
    const count = (strips) => strips.reduce((sum, strip) => sum + 1 + count(strip.strips ?? []), 0);
    for (let k = 0; count(scene.strips) < 24; k++) {
        const strip = structuredClone(again[k % again.length]);
        const moved = Object.fromEntries(['origin', 'target'].filter((name) => strip.values?.[name]).map((name) => [name, [strip.values[name][0] + 40 * k - 200, strip.values[name][1]]]));
        scene.strips.splice(scene.strips.length - 1, 0, { ...strip, id: `more-${k}`, values: { ...strip.values, ...moved }, masks: (strip.masks ?? []).map((mask, at) => ({ ...mask, id: `more-${k}-${at}` })) });
    }
    cpSync('demo/night-market', folder, { recursive: true });
    writeFileSync(join(folder, 'long.json'), JSON.stringify(scene));
    return join(folder, 'long.json');
}

/** A photograph of 24 megapixels, from the moment that it is chosen to its first full picture. */
async function take(page) {
    const photograph = join(folder, 'photograph.jpg');
    execFileSync('php', ['-r', '$image = new Imagick("demo/night-market/boardwalk.jpg"); $image->resizeImage(6000, 4000, Imagick::FILTER_CATROM, 1); $image->setImageFormat("jpeg"); $image->setImageCompressionQuality(92); $image->writeImage($argv[1]);', photograph]);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(base);
    await page.evaluate(() => performance.clearMeasures());
    const chosen = Date.now();
    await page.setInputFiles('input[type=file]', photograph);
    await page.waitForURL(/\/scenes\//);
    await page.waitForFunction(() => performance.getEntriesByName('aumbrel settled').length > 0);
    return { megapixels: 24, firstPicture: Date.now() - chosen };
}

async function settled(page) {
    await page.waitForLoadState('networkidle');
    await page.waitForFunction(() => performance.getEntriesByName('aumbrel settled').length > 0);
    await page.waitForTimeout(300);
}

/** Drags a handle of the chosen strip for a while, as a hand does; a first time to warm up. */
async function drag(page, handle = 'Target') {
    let figures = {};
    for (const counts of [false, true]) {
        await page.evaluate(() => performance.clearMeasures());
        const box = await grabbed(page, handle);
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        await page.mouse.move(x, y);
        await page.mouse.down();
        for (let k = 1; k <= 60; k++) {
            // there and back, and let go close to where it began: a value that ends anywhere is no picture that anybody would make
            await page.mouse.move(x + k / 15 + 60 * Math.sin((k * Math.PI) / 20), y - 40 * Math.sin((k * Math.PI) / 30));
            await page.waitForTimeout(16);
        }
        const released = await page.evaluate(() => performance.now());
        await page.mouse.up();
        await page.waitForFunction((since) => performance.getEntriesByName('aumbrel settled').some((entry) => entry.startTime + entry.duration > since), released);
        const seen = await page.evaluate(
            (since) => ({
                drafts: performance.getEntriesByName('aumbrel draft').map((entry) => entry.duration),
                settled: Math.min(...performance.getEntriesByName('aumbrel settled').map((entry) => entry.startTime + entry.duration - since).filter((time) => time > 0)),
            }),
            released,
        );
        if (counts) {
            const sorted = seen.drafts.sort((a, b) => a - b);
            figures = {
                dragMedian: round(sorted[Math.floor(sorted.length / 2)]),
                drag95: round(sorted[Math.floor(sorted.length * 0.95)]),
                drafts: sorted.length,
                settled: round(seen.settled),
            };
        }
        await page.waitForTimeout(500);
        await settled(page);
    }
    return figures;
}

/** Paints into the falloff of the chosen light: from the stroke's last point to the picture that has it in it. */
async function paint(page) {
    await page.keyboard.press('p');
    const box = await page.locator('[data-testid=paint]').boundingBox();
    const times = [];
    let drafts = [];
    for (let stroke = 0; stroke < 6; stroke++) {
        const [x, y] = [box.x + 250 + 40 * stroke, box.y + 180];
        await page.evaluate(() => performance.clearMeasures());
        await page.mouse.move(x, y);
        await page.mouse.down();
        for (let k = 1; k <= 25; k++) {
            await page.mouse.move(x + 6 * k, y + 60 * Math.sin(k / 7));
            await page.waitForTimeout(16);
        }
        const last = await page.evaluate(() => performance.now());
        await page.mouse.up();
        await page.waitForFunction((since) => performance.getEntriesByName('aumbrel settled').some((entry) => entry.startTime + entry.duration > since), last);
        const seen = await page.evaluate(
            (since) => ({
                drafts: performance.getEntriesByName('aumbrel draft').map((entry) => entry.duration),
                settled: Math.min(...performance.getEntriesByName('aumbrel settled').map((entry) => entry.startTime + entry.duration - since).filter((time) => time > 0)),
            }),
            last,
        );
        // the first stroke makes the mask, the second one is the first that is live
        if (stroke > 1) {
            times.push(seen.settled);
            drafts = [...drafts, ...seen.drafts];
        }
        await page.waitForTimeout(400);
        await settled(page);
    }
    drafts.sort((a, b) => a - b);
    times.sort((a, b) => a - b);
    return { draftMedian: round(drafts[Math.floor(drafts.length / 2)] ?? 0), draft95: round(drafts[Math.floor(drafts.length * 0.95)] ?? 0), settledMedian: round(times[Math.floor(times.length / 2)]), settledMost: round(times[times.length - 1]) };
}

function round(value) {
    return Math.round(value * 10) / 10;
}
