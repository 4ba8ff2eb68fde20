import { defineConfig } from '@playwright/test';
import { launch } from './tests/browser/chromium.mjs';

/** How many run at once; each has a server and data of its own. */
const lanes = Number(process.env.AUMBREL_TEST_LANES ?? 1);
const first = Number(process.env.AUMBREL_TEST_PORT ?? 8765);
const port = (lane: number) => first + 10 * lane;
const data = process.env.AUMBREL_TEST_ROOT ?? `${process.cwd()}/storage/browser-tests`;
const root = (lane: number) => (lane === 0 ? data : `${data}-${lane + 1}`);

const lane = Number(process.env.TEST_PARALLEL_INDEX ?? NaN);
if (!Number.isNaN(lane)) {
    // in a worker: what the tests run from here finds the data of its lane
    process.env.AUMBREL_TEST_ROOT = root(lane);
}

export default defineConfig({
    testDir: 'tests/browser',
    timeout: 180_000,
    expect: { timeout: 15_000 },
    workers: lanes,
    reporter: [['list']],
    use: {
        baseURL: `http://127.0.0.1:${port(lane || 0)}`,
        viewport: { width: 1280, height: 800 },
        launchOptions: launch,
    },
    webServer: Array.from({ length: lanes }, (_, at) => ({
        command: `tests/browser/serve ${port(at)}`,
        url: `http://127.0.0.1:${port(at)}/`,
        env: { AUMBREL_TEST_ROOT: root(at) },
        timeout: 60_000,
        gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
    })),
});
