import { api } from '../api/client';
import type { HueHill, HueStretch } from '../api/types';

/** The four limits of a stretch: none, all, all, none; degrees, going round. */
export type Hues = HueStretch['hues'];

/** The least shoulder of a stretch that is drawn by hand, degrees. */
const SHOULDER = 12;

const view = Math.random().toString(36).slice(2);

let number = 0;

/** The hues below a strip in what is looked at, for a hill; null when a newer question of this kind came before the answer. */
export const hueHill = (scene: string, strip: string, window: number[]): Promise<HueHill | null> => api.hues(scene, { strip, view: `${view} hill`, number: ++number, window });

/** The hues below a strip in a part of the picture, and the stretch about one of them: what a press asks, which no hill may overtake. */
export const huesAbout = (scene: string, strip: string, window: number[], about: number | null): Promise<HueHill | null> => api.hues(scene, { strip, view: `${view} press`, number: ++number, window, ...(about === null ? {} : { about: Math.round(about * 10) / 10 }) });

const round = (value: number) => Math.round(value * 10) / 10;

/** Limits with the first of them where degrees begin. */
function begun(hues: Hues): Hues {
    const turns = 360 * Math.floor(round(hues[0]) / 360);
    return hues.map((hue) => round(hue - turns)) as Hues;
}

/** One limit moved, or several, the way round; they push one another along, never cross, and never go further than once round. */
export function movedRound(hues: Hues, which: number[], by: number): Hues {
    const next = [...hues] as Hues;
    which.forEach((k) => (next[k] = hues[k]! + by));
    const [first, last] = [Math.min(...which), Math.max(...which)];
    for (let k = first - 1; k >= 0; k--) {
        next[k] = Math.min(next[k]!, next[k + 1]!);
    }
    for (let k = last + 1; k < 4; k++) {
        next[k] = Math.max(next[k]!, next[k - 1]!);
    }
    if (next[3] - next[0] > 360) {
        return hues;
    }
    return begun(next);
}

/** A stretch from one hue to another, the way round, with soft shoulders. */
export const drawn = (from: number, to: number): Hues => {
    const [low, high] = from <= to ? [from, to] : [to, from];
    return begun([low - SHOULDER, low, Math.min(high, low + 320), Math.min(high, low + 320) + SHOULDER]);
};

/** How much of a hue lies in a stretch, for the drawing; what the picture is made of is the core's. */
export function share([none, all, still, gone]: Hues, hue: number): number {
    const at = none + ((((hue - none) % 360) + 360) % 360);
    const falling = (way: number) => 0.5 + 0.5 * Math.cos(Math.PI * way);
    if (at < all) {
        return 1 - falling((at - none) / (all - none));
    }
    return at <= still ? 1 : at < gone ? falling((at - still) / (gone - still)) : 0;
}

export const isNothing = ({ turn = 0, chroma = 1, light = 0 }: HueStretch): boolean => turn === 0 && chroma === 1 && light === 0;

/**
 * The stretches after a hue was marked, and which of them it is: one that the hue lies in already, else the one that is worked on
 * where that changes nothing yet, else a new one.
 */
export function marked(stretches: HueStretch[], worked: number, hue: number, hues: Hues): { stretches: HueStretch[]; at: number } {
    const there = stretches.findIndex((stretch) => share(stretch.hues, hue) > 0.5);
    if (there >= 0) {
        return { stretches, at: there };
    }
    const own = stretches[worked];
    if (own && isNothing(own)) {
        return { stretches: stretches.map((other, at) => (at === worked ? { ...other, hues } : other)), at: worked };
    }
    return { stretches: [...stretches, { hues }], at: stretches.length };
}

/** The name of the hue in the middle of a stretch. */
export function hueName(names: string[], middles: number[], [, all, still]: Hues): string {
    const hue = (all + still) / 2;
    const away = middles.map((middle) => Math.abs(((((hue - middle) % 360) + 540) % 360) - 180));
    return names[away.indexOf(Math.min(...away))] ?? '';
}
