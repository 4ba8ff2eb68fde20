/*
 * The browser of the tests, the timings and the screenshots: Debian's Chromium without windows. The whole browser without a window
 * needs half as much time again for the same pages.
 */
export const launch = {
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
};
