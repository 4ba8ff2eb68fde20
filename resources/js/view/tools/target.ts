import type { Ground, Mask, Strip } from '../../api/types';

/** What a tool works on: a mask that is there, or a new one. */
export type Target = { mask: Mask | null; kind: string; on: Ground };

/**
 * On what a stroke lands: the chosen mask if it takes strokes, else the strip's own one, else a new one. A plate that has
 * strokes and no painted cut, like the upper two of a trio, is painted on those.
 */
export function paintTarget(strip: Strip, chosen: string | null, followsEdges: boolean): Target {
    const takes = (mask: Mask) => mask.kind === 'strokes' || mask.kind === 'painted cut';
    const open = strip.masks.find((mask) => mask.id === chosen && takes(mask));
    if (open) {
        return { mask: open, kind: open.kind, on: open.on };
    }
    const last = (kind: string) => strip.masks.findLast((mask) => mask.kind === kind);
    const strokes = last('strokes');
    if (strokes && !last('painted cut')) {
        return { mask: strokes, kind: 'strokes', on: strokes.on };
    }
    const on: Ground = strip.family === 'plate' && followsEdges ? 'plate' : 'scene';
    const kind = on === 'plate' ? 'painted cut' : 'strokes';
    return { mask: strip.masks.findLast((mask) => mask.kind === kind && mask.on === on) ?? null, kind, on };
}

/** How a new cut joins the ones that are there: it adds to them, unless it takes away. */
export function joinOf(strip: Strip, on: Ground, takesAway: boolean): string {
    if (takesAway) {
        return 'take away';
    }
    return strip.masks.some((mask) => mask.on === on) ? 'add' : 'intersect';
}

/** The target in words, so that it is certain what is worked on. */
export function inWords(strip: Strip, target: Target): string {
    const what = target.kind === 'painted cut' ? 'cut-out' : target.on === 'plate' ? 'strokes of the cut-out' : 'strokes of the falloff';
    return `${target.mask ? '' : 'new '}${what} of ${strip.name}`;
}
