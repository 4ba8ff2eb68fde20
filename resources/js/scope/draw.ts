import type { ScopeCounts } from '../api/types';
import { hillOf } from '../ui/hill';

/** Channels as they are drawn: muted, so that none shouts. */
const CHANNELS = [
    ['red', '214 92 84'],
    ['green', '104 176 104'],
    ['blue', '98 130 220'],
] as const;

/** Where the six full colours of sRGB lie on the plane of chroma, Oklab a and b (Ottosson 2020). */
const FULL: [string, number, number][] = [
    ['#ff0000', 0.225, 0.126],
    ['#ffff00', -0.071, 0.199],
    ['#00ff00', -0.234, 0.179],
    ['#00ffff', -0.149, -0.039],
    ['#0000ff', -0.032, -0.312],
    ['#ff00ff', 0.275, -0.169],
];

/** How far the plane of chroma reaches, as the core counts it. */
const REACH = 0.32;

type Draw = (context: CanvasRenderingContext2D, counts: ScopeCounts, width: number, height: number) => void;

/** The height of a channel's row under the hill, and what lies between two of them. */
const [ROW, BETWEEN] = [5, 2];

/** The hill of tones, each in the mean colour that it has in the picture; under it a row for each channel, brighter where there is more. */
export const tones: Draw = (context, counts, width, height) => {
    const foot = height - CHANNELS.length * (ROW + BETWEEN);
    const lit = context.createLinearGradient(0, 0, width, 0);
    counts.colours.forEach((colour, at) => lit.addColorStop(at / (counts.colours.length - 1), colour));
    const hill = new Path2D(hillOf(counts.luma, width, foot, foot - 6));
    context.fillStyle = lit;
    context.fill(hill);
    context.strokeStyle = 'rgb(230 230 230 / 0.55)';
    context.stroke(hill);
    CHANNELS.forEach(([channel, colour], row) => {
        const values = counts[channel];
        const most = Math.max(1, ...values.slice(1, -1));
        values.forEach((count, at) => {
            context.fillStyle = `rgb(${colour} / ${count === 0 ? 0.06 : 0.15 + 0.85 * Math.min(1, Math.sqrt(count / most))})`;
            context.fillRect((at / values.length) * width, foot + BETWEEN + row * (ROW + BETWEEN), width / values.length + 0.3, ROW);
        });
    });
};

/** For each place across the picture the tones that are there: bright at the top. */
export const waveform: Draw = (context, counts, width, height) => {
    const columns = counts.wave.length;
    counts.wave.forEach((column, x) => {
        const all = Math.max(1, column.reduce((sum, count) => sum + count, 0));
        column.forEach((count, tone) => {
            if (count > 0) {
                context.fillStyle = `rgb(232 226 214 / ${Math.min(1, 0.15 + 3 * Math.sqrt(count / all))})`;
                context.fillRect((x / columns) * width, height - ((tone + 1) / column.length) * height, width / columns + 0.5, height / column.length + 0.5);
            }
        });
    });
    context.fillStyle = 'rgb(255 255 255 / 0.16)';
    [0.25, 0.5, 0.75].forEach((share) => context.fillRect(0, Math.round(height * share), width, 1));
};

/** Where the colours lie: green to red across, blue to yellow upward, greys in the middle. */
export const chroma: Draw = (context, counts, width, height) => {
    const side = Math.min(width, height);
    const [left, count] = [(width - side) / 2, counts.chroma.length];
    const most = Math.max(1, ...counts.chroma.flat());
    context.strokeStyle = 'rgb(255 255 255 / 0.16)';
    context.strokeRect(left + 0.5, 0.5, side - 1, side - 1);
    context.beginPath();
    context.moveTo(left + side / 2, 0);
    context.lineTo(left + side / 2, side);
    context.moveTo(left, side / 2);
    context.lineTo(left + side, side / 2);
    context.stroke();
    counts.chroma.forEach((row, b) =>
        row.forEach((pixels, a) => {
            if (pixels > 0) {
                const [x, y] = [(2 * (a + 0.5)) / count - 1, (2 * (b + 0.5)) / count - 1];
                context.fillStyle = `oklch(0.72 ${0.03 + Math.hypot(x, y) * REACH} ${(Math.atan2(y, x) * 180) / Math.PI} / ${Math.min(1, 0.2 + 0.8 * Math.sqrt(pixels / most))})`;
                context.fillRect(left + (a / count) * side, side - ((b + 1) / count) * side, side / count + 0.5, side / count + 0.5);
            }
        }),
    );
    FULL.forEach(([colour, a, b]) => {
        context.fillStyle = colour;
        context.fillRect(left + ((a / REACH + 1) / 2) * side - 1.5, side - ((b / REACH + 1) / 2) * side - 1.5, 3, 3);
    });
};
