import { chromium } from '@playwright/test';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const base = 'http://127.0.0.1:8123';
page.on('pageerror', (e) => console.log('ERR', e.message));
const scenes = (await (await page.request.get(`${base}/api/scenes`)).json()).scenes;
const open = async (title) => { const s = scenes.find((x) => x.title.startsWith(title)); await page.goto(`${base}/scenes/${s.id}`); await page.waitForSelector('[data-strip]'); await page.waitForTimeout(3500); return s.id; };
const what = process.argv[2];
if (what === 'compare') {
  await open('Night stall');
  await page.getByRole('button', { name: 'Compare', exact: true }).click();
  await page.waitForTimeout(500);
  await page.getByLabel('Name of the new snapshot').fill('Warm');
  await page.getByRole('button', { name: 'Keep as a snapshot' }).click();
  await page.waitForTimeout(1500);
  await page.getByLabel('Name of the new snapshot').fill('Without the neon');
  await page.getByRole('button', { name: 'Keep as a snapshot' }).click();
  await page.waitForTimeout(2500);
  await page.screenshot({ path: '/tmp/p1.png' });
} else if (what === 'rigs') {
  await open('Night stall');
  await page.locator('[data-strip][aria-label^="Pool"]').click({ position: { x: 40, y: 10 } });
  await page.getByRole('button', { name: 'Rigs' }).click();
  await page.getByLabel('Name of the rig').fill('Lantern light');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.waitForTimeout(2000);
  await page.getByRole('button', { name: 'Over pictures' }).click();
  await page.waitForTimeout(700);
  await page.screenshot({ path: '/tmp/p1.png' });
} else if (what === 'export') {
  await open('Night stall');
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('button', { name: 'For the web' }).click();
  await page.getByRole('button', { name: 'Write the file' }).click();
  await page.waitForTimeout(1000);
  await page.getByText('Sheet of steps').click();
  await page.getByRole('button', { name: 'Write the file' }).click();
  await page.waitForTimeout(6000);
  await page.screenshot({ path: '/tmp/p1.png' });
} else if (what === 'zoom') {
  await open('Night stall');
  await page.locator('[data-strip][aria-label^="Heron"]').click({ position: { x: 40, y: 10 } });
  await page.keyboard.press('t');
  await page.waitForTimeout(2500);
  await page.screenshot({ path: '/tmp/p1.png' });
}
if (what === 'wall') { await page.goto(base); await page.waitForTimeout(3500); await page.screenshot({ path: '/tmp/p1.png' }); await page.getByRole('button', { name: 'Settings' }).click(); await page.getByLabel('Name of the token').fill('nightly'); await page.getByRole('button', { name: 'Make a token' }).click(); await page.waitForTimeout(800); await page.screenshot({ path: '/tmp/p2.png' }); }
if (what === 'api') { await page.goto(base + '/api'); await page.waitForTimeout(800); await page.locator('summary').nth(12).click(); await page.screenshot({ path: '/tmp/p1.png' }); }
await browser.close();
