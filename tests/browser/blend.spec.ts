import { expect, test } from '@playwright/test';
import { run } from './help';

/*
 * Every mode of the standard against the browser's canvas (globalCompositeOperation), which implements W3C Compositing
 * and Blending Level 1: opaque pairs that include 0, 255 and equal channels within 1/255 (exclusion 2/255: the browser
 * rounds); with alpha, both inputs rounded to 8-bit premultiplied first as the canvas stores them, within 3/255.
 */
const MODES = ['normal', 'multiply', 'screen', 'overlay', 'darken', 'lighten', 'color dodge', 'color burn', 'hard light', 'soft light', 'difference', 'exclusion', 'hue', 'saturation', 'color', 'luminosity', 'add'];

const SIDE = 68;

test('mixes as the browser does', async ({ page }) => {
    await page.goto('/');
    for (const alpha of [false, true]) {
        for (const mode of MODES) {
            const ours = Buffer.from(run('php', 'tests/browser/blend.php', mode, String(SIDE), alpha ? 'alpha' : 'opaque'), 'base64');
            const [below, above, out] = [0, 1, 2].map((part) => ours.subarray(part * SIDE * SIDE * 4, (part + 1) * SIDE * SIDE * 4).toString('base64'));
            const largest = await page.evaluate(
                ({ side, mode, below, above, out, alpha }) => {
                    const bytesOf = (base64: string) => Uint8ClampedArray.from(atob(base64), (character) => character.charCodeAt(0));
                    const layer = (base64: string) => {
                        const canvas = new OffscreenCanvas(side, side);
                        canvas.getContext('2d', { willReadFrequently: true })!.putImageData(new ImageData(bytesOf(base64), side, side), 0, 0);
                        return canvas;
                    };
                    const ground = layer(below);
                    const context = ground.getContext('2d')!;
                    context.globalCompositeOperation = ({ normal: 'source-over', add: 'lighter' } as Record<string, GlobalCompositeOperation>)[mode] ?? (mode.replace(' ', '-') as GlobalCompositeOperation);
                    context.drawImage(layer(above), 0, 0);
                    const theirs = context.getImageData(0, 0, side, side).data;
                    const ourOut = bytesOf(out);
                    let worst = 0;
                    for (let at = 0; at < ourOut.length; at += 4) {
                        const opacity = theirs[at + 3]! / 255;
                        for (let channel = 0; channel < 4; channel++) {
                            // premultiplied, since colours of next to no opacity say nothing
                            const weight = channel === 3 || !alpha ? 1 : opacity;
                            worst = Math.max(worst, Math.abs(theirs[at + channel]! - ourOut[at + channel]!) * weight);
                        }
                    }
                    return worst;
                },
                { side: SIDE, mode, below: below!, above: above!, out: out!, alpha },
            );
            expect(largest, `${mode}${alpha ? ' with alpha' : ''}`).toBeLessThanOrEqual(alpha ? 3 : mode === 'exclusion' ? 2 : 1);
        }
    }
});
