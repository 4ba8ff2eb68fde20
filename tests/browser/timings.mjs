// Measures the interface in a headless browser: a 1600 x 1000 plate with one spot, and the benchmark scene.
// Prints JSON. Run by `bin/aumbrel timings`.
import { execFileSync, spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const port = 8799;
const base = `http://127.0.0.1:${port}`;

const server = spawn('tests/browser/serve', [String(port)], { stdio: ['ignore', 'pipe', 'inherit'], detached: true });
await new Promise((done, fail) => {
    server.stdout.on('data', (text) => String(text).includes('runs at') && done());
    server.on('exit', () => fail(new Error('the server did not start')));
});

const inEnvironment = (...words) => execFileSync('bash', ['-c', '. tests/browser/environment; exec "$@"', 'bash', ...words], { encoding: 'utf8' });

const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(base);
    await page.setInputFiles('input[type=file]', 'demo/night-market/boardwalk.jpg');
    await page.waitForURL(/\/scenes\//);
    await settled(page);
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Spot/ }).click();
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
    console.log(JSON.stringify({ unit: 'ms', oneSpot, twelveStrips, twelveStripsLowest, painting }));
} finally {
    await browser.close();
    process.kill(-server.pid, 'SIGTERM');
    process.kill(server.pid, 'SIGTERM');
}

async function settled(page) {
    await page.waitForLoadState('networkidle');
    await page.waitForFunction(() => performance.getEntriesByName('aumbrel settled').length > 0);
    await page.waitForTimeout(300);
}

/** Drags the target of the chosen spot for a while, as a hand does; a first time to warm up. */
async function drag(page) {
    let figures = {};
    for (const counts of [false, true]) {
        await page.evaluate(() => performance.clearMeasures());
        const box = await page.locator('[data-handle="Target"]').boundingBox();
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        await page.mouse.move(x, y);
        await page.mouse.down();
        for (let k = 1; k <= 60; k++) {
            await page.mouse.move(x + 60 * Math.sin(k / 6), y - 40 * Math.sin(k / 9));
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
