import { defineConfig } from '@playwright/test';

const port = Number(process.env.AUMBREL_TEST_PORT ?? 8765);

export default defineConfig({
    testDir: 'tests/browser',
    timeout: 180_000,
    expect: { timeout: 15_000 },
    workers: 1,
    reporter: [['list']],
    use: {
        baseURL: `http://127.0.0.1:${port}`,
        viewport: { width: 1280, height: 800 },
        launchOptions: {
            executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
            args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
    webServer: { command: `tests/browser/serve ${port}`, url: `http://127.0.0.1:${port}/`, timeout: 60_000, gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 } },
});
