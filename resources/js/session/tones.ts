import { api } from '../api/client';
import type { Point, ToneLimits } from '../api/types';

/** Every tone passes. */
export const OPEN: ToneLimits = { darks: [0, 0], brights: [1, 1], of: 'below' };

/** Half the width of what a picked tone lets pass, and of its shoulders. */
const PICKED = [0.09, 0.1] as const;

/** The four limits, from dark to bright. */
export type Limits = [number, number, number, number];

export const limitsOf = ({ darks, brights }: ToneLimits): Limits => [...darks, ...brights];

const view = Math.random().toString(36).slice(2);

let number = 0;

/** How many pixels of each tone there are; null when a newer question came before the answer. */
export function toneCounts(scene: string, strip: string, of: string, window: number[]): Promise<number[] | null> {
    return api.tones(scene, { strip, of, view, number: ++number, window });
}

/** The mean of what was counted, 0..1; null when nothing was. */
export function meanTone(counts: number[] | null): number | null {
    const all = (counts ?? []).reduce((sum, count) => sum + count, 0);
    return all === 0 ? null : (counts ?? []).reduce((sum, count, tone) => sum + count * tone, 0) / all / 255;
}

const round = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000;

/** Limits about a tone that was picked. At the ends of the scale there is no limit. */
export function around(tone: number): { darks: Point; brights: Point } {
    const [half, shoulder] = PICKED;
    return {
        darks: tone - half <= 0.02 ? [0, 0] : [round(tone - half - shoulder), round(tone - half)],
        brights: tone + half >= 0.98 ? [1, 1] : [round(tone + half), round(tone + half + shoulder)],
    };
}

/** One limit, or both of a shoulder, moved; they push one another along and never cross. */
export function moved(limits: Limits, which: number[], by: number): Limits {
    const next = [...limits] as Limits;
    const least = Math.max(...which.map((k) => -(next[k] ?? 0)));
    const most = Math.min(...which.map((k) => 1 - (next[k] ?? 0)));
    const way = Math.min(most, Math.max(least, by));
    which.forEach((k) => (next[k] = round((next[k] ?? 0) + way)));
    // those before lie no higher, those behind no lower
    const [first, last] = [Math.min(...which), Math.max(...which)];
    for (let k = first - 1; k >= 0; k--) {
        next[k] = Math.min(next[k] ?? 0, next[k + 1] ?? 0);
    }
    for (let k = last + 1; k < next.length; k++) {
        next[k] = Math.max(next[k] ?? 0, next[k - 1] ?? 0);
    }
    return next;
}

export const fromLimits = ([lo0, lo1, hi0, hi1]: Limits, of: ToneLimits['of']): ToneLimits => ({ darks: [lo0, lo1], brights: [hi0, hi1], of });

const smooth = (t: number) => t * t * (3 - 2 * t);

/** How much of a tone passes, for the drawing; what the picture is made of is the core's. */
export function passes([lo0, lo1, hi0, hi1]: Limits, tone: number): number {
    const share = (value: number) => Math.min(1, Math.max(0, value));
    const low = lo1 <= 0 ? 1 : lo1 - lo0 < 1e-6 ? Number(tone >= lo0) : smooth(share((tone - lo0) / (lo1 - lo0)));
    const high = hi0 >= 1 ? 1 : hi1 - hi0 < 1e-6 ? Number(tone <= hi1) : smooth(share((hi1 - tone) / (hi1 - hi0)));
    return low * high;
}
