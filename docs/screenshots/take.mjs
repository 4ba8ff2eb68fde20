// Takes the pictures of this folder anew, from the demo's scenes: node docs/screenshots/take.mjs [NAME...]
// Needs what the tests need (bin/setup test); serves on a port and on data of its own.
import { execFileSync, spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { launch } from '../../tests/browser/chromium.mjs';

const port = 8790;
const base = `http://127.0.0.1:${port}`;
const environment = { ...process.env, AUMBREL_TEST_ROOT: `${process.cwd()}/storage/screenshots` };

const chosen = (name) => async (page) => {
    await page.locator('[data-strip]', { hasText: name }).first().click({ position: { x: 40, y: 10 } });
};
const bench = (page) => page.getByRole('complementary', { name: 'Bench' });
const pressed = (page, name) => page.getByRole('button', { name, exact: true }).first().click();
const unfolded = async (page, title) => bench(page).locator('details:not([open]) > summary', { hasText: title }).first().click();

async function compared(page) {
    const snapshot = async (name) => {
        await page.getByPlaceholder('Name, such as Brighter').fill(name);
        await pressed(page, 'Keep as a snapshot');
        await page.waitForTimeout(2500);
    };
    await chosen('Filament')(page);
    await pressed(page, 'Compare');
    await snapshot('With the neon');
    await page.keyboard.press('Escape');
    await page.locator('[data-strip]', { hasText: 'Filament' }).first().focus();
    await page.keyboard.press('m');
    await page.waitForTimeout(2500);
    await pressed(page, 'Compare');
    await snapshot('Lamp alone');
    await page.getByRole('button', { name: /With the neon/ }).first().click();
    await page.waitForTimeout(3000);
}

async function kept(page) {
    await pressed(page, 'Rigs');
    await page.getByRole('textbox', { name: /Name/ }).last().fill('Morning fog');
    await pressed(page, 'Keep it');
    await page.waitForTimeout(6000);
}

/** What is looked at, and what is done before. */
const SHOTS = {
    scenes: { folder: 'Journeys, finished' },
    work: { scene: 'Night market, heron by the lantern', act: chosen('Lamp in the') },
    tones: { scene: 'Night market, heron by the lantern', act: async (page) => { await chosen('Lamp in the')(page); await unfolded(page, 'Tone limits'); } },
    'cut-out': { scene: 'Night market, heron by the lantern', act: async (page) => { await chosen('Heron')(page); await page.keyboard.press('p'); } },
    match: { scene: 'Night market, as it came in', act: async (page) => { await pressed(page, 'Match'); await chosen('Heron')(page); } },
    pool: { scene: 'Night market, under the lamp', act: chosen('Pool on') },
    stage: { scene: 'Night market, under the lamp', act: (page) => pressed(page, 'Stage') },
    glow: { scene: 'The pierced buoy, lit from within', act: chosen('All openings') },
    modes: { scene: 'Night stall, lamp, dust and lantern', act: async (page) => { await chosen('Filament')(page); await pressed(page, 'Modes side by side'); } },
    compare: { scene: 'Night stall, lamp, dust and lantern', act: compared },
    export: { scene: 'Night stall, lamp, dust and lantern', act: async (page) => { await pressed(page, 'Export'); await page.waitForTimeout(400); for (const wait of [6000, 2500]) { await page.getByRole('button', { name: /^Write the file/ }).click(); await page.waitForTimeout(wait); } } },
    pattern: { scene: 'Late sun in the sail loft', act: chosen('Light of') },
    body: { scene: 'The wrong side: a figurehead relit', act: async (page) => { await chosen('Figurehead')(page); await unfolded(page, 'Own light'); } },
    air: { scene: 'Foggy causeway before the market opens', act: async (page) => { await chosen('Mist in the')(page); await pressed(page, 'Scope'); await page.waitForTimeout(4000); } },
    rigs: { scene: 'Foggy causeway before the market opens', act: kept },
    'two-lamps': { scene: 'Night market, two lamps', act: chosen('By the stall') },
    shadow: { scene: 'The winch without a shadow', act: chosen('Shadow of') },
    consequence: { scene: 'The barometer in the ferry hut', act: async (page) => { await page.getByRole('group', { name: 'Sources and stage' }).getByRole('button', { name: 'Lamp', exact: true }).click(); await pressed(page, 'What belongs to it'); } },
    shelf: { scene: 'Drizzle on the causeway, as it came in', act: (page) => pressed(page, 'Add a strip') },
};

const server = spawn('tests/browser/serve', [String(port)], { stdio: ['ignore', 'pipe', 'inherit'], detached: true, env: environment });
const browser = await chromium.launch(launch);
try {
    await new Promise((done) => server.stdout.on('data', (text) => String(text).includes('runs at') && done()));
    execFileSync('bash', ['-c', '. tests/browser/environment; php artisan aumbrel:demo-scenes --quiet'], { env: environment, stdio: 'inherit' });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const wall = await (await page.request.get(`${base}/api/scenes`)).json();
    const all = wall.scenes ?? wall;
    const ids = Object.fromEntries([...all.filter((scene) => scene.folder), ...all.filter((scene) => !scene.folder)].map(({ id, title }) => [title, id]));
    for (const [name, { scene, folder, act }] of Object.entries(SHOTS).filter(([name]) => process.argv.length < 3 || process.argv.includes(name))) {
        try {
            await page.goto(scene ? `${base}/scenes/${ids[scene]}` : base);
            await page.waitForLoadState('networkidle');
            if (folder) {
                await page.getByRole('button', { name: `Open the folder ${folder}` }).click();
                await page.waitForTimeout(15_000);
            }
            if (act) {
                await act(page);
                await page.waitForTimeout(1500);
            }
            await page.waitForLoadState('networkidle');
            await page.waitForTimeout(800);
            await page.screenshot({ path: `docs/screenshots/${name}.png` });
            console.log(name);
        } catch (error) {
            console.error(`${name}: ${String(error).slice(0, 400)}`, all.filter((one) => one.title === scene));
            process.exitCode = 1;
        }
    }
} finally {
    await browser.close();
    process.kill(-server.pid, 'SIGTERM');
}
