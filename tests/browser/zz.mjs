import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const p = await b.newPage({ viewport: { width: 1280, height: 800 } });
await p.goto('http://127.0.0.1:8123/');
await p.waitForTimeout(1500);
const t = p.getByRole('button', { name: /heron by the lantern/i }).or(p.getByRole('link', { name: /heron by the lantern/i })).or(p.getByRole('heading', { name: /heron by the lantern/i })); await t.first().click(); await p.waitForURL(/scenes/, { timeout: 5000 }).catch(async () => { await p.screenshot({ path: '/tmp/p/wall.png' }); });
await p.waitForTimeout(6000);
const id = p.url().split('/').pop();
const token = decodeURIComponent((await p.context().cookies()).find((c) => c.name === 'XSRF-TOKEN').value);
for (const kind of process.argv.slice(2)) {
  const r = await p.request.post(`http://127.0.0.1:8123/api/scenes/${id}/gestures/add-strip`, { data: { kind, centre: [800, 500], span: 900 }, headers: { 'X-XSRF-TOKEN': token, Accept: 'application/json', Referer: 'http://127.0.0.1:8123/' } });
  console.log(kind, r.status(), r.status() > 201 ? await r.text() : '');
  await p.reload();
  await p.waitForTimeout(5000);
  await p.locator('[data-strip]').last().click({ position: { x: 40, y: 10 } });
  await p.waitForTimeout(5500);
  await p.screenshot({ path: `/tmp/p/${kind.replace(/ /g, '-')}.png` });
}
await b.close();
