import type { Ground, Mask, Strip } from '../../api/types';
import { stripKinds } from '../../generated/catalogue';
import type { Paints } from '../../session/store';

/** What a tool works on: a mask that is there, or a new one. */
export type Target = { mask: Mask | null; kind: string; on: Ground };

/** What of a strip can be painted, what suits it first. */
export function paintable(strip: Strip): Paints[] {
    if (strip.family === 'plate') {
        return ['rough cut', 'exact mask', 'falloff'];
    }
    // where lines shine, strokes are falloff
    return strip.shines !== undefined && !isOfLines(strip) ? ['what shines', 'falloff'] : ['falloff'];
}

/**
 * What of a strip the next stroke belongs to: what was asked for, else what suits it. A plate that has strokes and no
 * rough cut, like the upper two of a trio, is painted on those.
 */
export function paintsOf(strip: Strip, asked: Paints | null): Paints {
    const all = paintable(strip);
    if (asked !== null && all.includes(asked)) {
        return asked;
    }
    const strokes = strip.masks.findLast((mask) => mask.kind === 'strokes');
    if (strip.family === 'plate' && strokes && !strip.masks.some((mask) => mask.kind === 'painted cut')) {
        return strokes.on === 'plate' ? 'exact mask' : 'falloff';
    }
    return all[0] ?? 'falloff';
}

const ON: Record<Paints, Ground> = { 'rough cut': 'plate', 'exact mask': 'plate', 'what shines': 'emitter', falloff: 'scene' };

/** On what a stroke lands: the chosen mask if it takes strokes, else the strip's own one, else a new one. */
export function paintTarget(strip: Strip, chosen: string | null, asked: Paints | null): Target {
    const open = strip.masks.find((mask) => mask.id === chosen && (mask.kind === 'strokes' || mask.kind === 'painted cut'));
    if (open) {
        return { mask: open, kind: open.kind, on: open.on };
    }
    const paints = paintsOf(strip, asked);
    const kind = paints === 'rough cut' ? 'painted cut' : 'strokes';
    const on = ON[paints];
    return { mask: strip.masks.findLast((mask) => mask.kind === kind && mask.on === on) ?? null, kind, on };
}

/** What is painted on a target. */
export function paintsOn({ kind, on }: Target): Paints {
    return kind === 'painted cut' ? 'rough cut' : on === 'plate' ? 'exact mask' : on === 'emitter' ? 'what shines' : 'falloff';
}

/** How a new mask of strokes starts: nothing shines before it is painted, elsewhere nothing changes but where a stroke is. */
export function startsAs({ on }: Target): 'hidden' | 'shown' {
    return on === 'emitter' ? 'hidden' : 'shown';
}

/** Whether nothing is held back on a target yet, so that there is nothing to let in. */
export function letsAllIn(target: Target): boolean {
    const { mask, kind } = target;
    if (kind === 'painted cut' || (mask === null && startsAs(target) === 'hidden')) {
        return false;
    }
    // once there are strokes, some hold back: before that none could let in
    return mask === null || (mask.values.start !== 'hidden' && !(Array.isArray(mask.values.strokes) && mask.values.strokes.length > 0));
}

/** What an outline or a pick belongs to: a plate's cut-out, what of a light shines, or the falloff. */
export function groundFor(strip: Strip, asked: Paints | null): Ground {
    return asked === 'falloff' ? 'scene' : strip.family === 'plate' ? 'plate' : strip.shines ? 'emitter' : 'scene';
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
    return `${target.mask || target.on === 'emitter' ? '' : 'new '}${paintsOn(target)} of ${strip.name}`;
}
