import type { Ground, Mask, Strip } from '../../api/types';
import { stripKinds } from '../../generated/catalogue';

/** What a tool works on: a mask that is there, or a new one. */
export type Target = { mask: Mask | null; kind: string; on: Ground };

/**
 * On what a stroke lands: the chosen mask if it takes strokes, else the strip's own one, else a new one. A plate that has
 * strokes and no painted cut, like the upper two of a trio, is painted on those.
 */
export function paintTarget(strip: Strip, chosen: string | null, followsEdges: boolean, onFalloff = false): Target {
    const takes = (mask: Mask) => mask.kind === 'strokes' || mask.kind === 'painted cut';
    const open = strip.masks.find((mask) => mask.id === chosen && takes(mask));
    if (open) {
        return { mask: open, kind: open.kind, on: open.on };
    }
    if (strip.shines !== undefined) {
        // where lines shine, strokes are falloff
        const on = isOfLines(strip) ? 'scene' : groundFor(strip, onFalloff);
        return { mask: strip.masks.findLast((mask) => mask.kind === 'strokes' && mask.on === on) ?? null, kind: 'strokes', on };
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

/** What an outline or a pick belongs to: a plate's cut-out, what of a light shines, or the falloff. */
export function groundFor(strip: Strip, onFalloff: boolean): Ground {
    return strip.family === 'plate' ? 'plate' : strip.shines && !onFalloff ? 'emitter' : 'scene';
}

/** Whether it is lines that shine, and not what they enclose. */
export function isOfLines(strip: Strip): boolean {
    return stripKinds.find((kind) => kind.key === strip.kind)?.shines === 'lines';
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
    const what = target.on === 'emitter' ? 'what shines' : target.kind === 'painted cut' ? 'cut-out' : target.on === 'plate' ? 'strokes of the cut-out' : 'strokes of the falloff';
    return target.on === 'emitter' ? `${what} of ${strip.name}` : `${target.mask ? '' : 'new '}${what} of ${strip.name}`;
}
