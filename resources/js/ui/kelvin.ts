import type { Colour } from '../api/types';

/** A colour to show for a light: its swatch, or a rough hint of its temperature (the light itself is the core's). */
export function hintOf(colour: Colour | null): string {
    if (!colour) {
        return 'var(--color-air)';
    }
    if (colour.swatch !== undefined) {
        return colour.swatch;
    }
    const stops: [number, [number, number, number]][] = [
        [1000, [255, 84, 18]],
        [2000, [255, 150, 60]],
        [3200, [255, 190, 118]],
        [4500, [255, 221, 178]],
        [6500, [255, 255, 255]],
        [10000, [206, 220, 255]],
        [25000, [164, 192, 255]],
    ];
    const upper = stops.findIndex(([kelvin]) => kelvin >= colour.kelvin);
    const [k1, c1] = stops[Math.max(1, upper)] ?? stops[stops.length - 1]!;
    const [k0, c0] = stops[Math.max(1, upper) - 1] ?? stops[0]!;
    const share = Math.min(1, Math.max(0, (colour.kelvin - k0) / (k1 - k0)));
    return `rgb(${c0.map((channel, at) => Math.round(channel + share * ((c1[at] ?? channel) - channel))).join(' ')})`;
}
