import type { Changes, Colour, Mask, Parameter, Point, Strip, StripChange, Stroke, Value, Values } from '../api/types';

/** A strip with changes that are not written down yet; merged as the server merges them. */
export function changed(strip: Strip, change: StripChange | undefined): Strip {
    if (!change) {
        return strip;
    }
    // what a turn makes of the values is the core's to say
    const { values, masks, confinedTo, source, complements, tones, keptOff, ...plain } = change;
    delete plain.turn;
    delete plain.walk;
    delete plain.pull;
    return {
        ...strip,
        ...plain,
        confinedTo: confinedTo === undefined ? strip.confinedTo : (confinedTo ?? undefined),
        complements: complements === undefined ? strip.complements : (complements ?? undefined),
        source: source === undefined ? strip.source : (source ?? undefined),
        keptOff: keptOff === undefined ? strip.keptOff : (keptOff ?? undefined),
        tones: tones === undefined ? strip.tones : (tones ?? undefined),
        // until the core says how it stands there
        values: { ...strip.values, ...values, ...(change.walk ? { place: plus(pointOf(strip.values, 'place'), change.walk) } : {}) },
        masks: strip.masks.map((mask): Mask => {
            const part = masks?.[mask.id];
            if (!part) {
                return mask;
            }
            const { strokes: added, values, ...plainPart } = part;
            const strokes: Values = added ? { strokes: withStrokes(mask.values.strokes, added) } : {};
            return { ...mask, ...plainPart, values: { ...mask.values, ...values, ...strokes } };
        }),
    };
}

function plus([x, y]: Point, [dx, dy]: Point): Point {
    return [x + dx, y + dy];
}

/** Strokes with more behind them, but for those that are there already: written down, and still pending for a moment. */
function withStrokes(value: Values[string] | undefined, added: Stroke[]): Stroke[] {
    const strokes = Array.isArray(value) ? (value as Stroke[]) : [];
    const last = strokes.slice(-added.length).map((stroke) => JSON.stringify(stroke.points));
    return [...strokes, ...added.filter((stroke) => !last.includes(JSON.stringify(stroke.points)))];
}

/** Two states of one gesture, the later one on top: a stroke that has grown takes the place of what it was. */
export function joined(first: StripChange | undefined, second: StripChange): StripChange {
    if (!first) {
        return second;
    }
    const masks = { ...first.masks };
    for (const [id, part] of Object.entries(second.masks ?? {})) {
        masks[id] = { ...masks[id], ...part, values: { ...masks[id]?.values, ...part.values } };
    }
    return {
        ...first,
        ...second,
        ...(first.values || second.values ? { values: { ...first.values, ...second.values } } : {}),
        ...(first.masks || second.masks ? { masks } : {}),
    };
}

/** Two gestures, one after the other: the strokes of both stay. */
export function stacked(first: StripChange | undefined, second: StripChange): StripChange {
    const both = joined(first, second);
    for (const [id, part] of Object.entries(both.masks ?? {})) {
        const strokes = [...(first?.masks?.[id]?.strokes ?? []), ...(second.masks?.[id]?.strokes ?? [])];
        if (strokes.length > 0) {
            both.masks = { ...both.masks, [id]: { ...part, strokes } };
        }
    }
    return both;
}

/** The changes of several gestures, the latest last, by strip. */
export function allStacked(gestures: Changes[]): Changes {
    const all: Changes = {};
    for (const changes of gestures) {
        for (const [strip, change] of Object.entries(changes)) {
            all[strip] = stacked(all[strip], change);
        }
    }
    return all;
}

/** Every strip with what groups hold, back to front, with its pending changes. */
export function everyStrip(strips: Strip[], pending: Changes = {}): Strip[] {
    return strips.flatMap((strip) => [changed(strip, pending[strip.id]), ...everyStrip(strip.strips ?? [], pending)]);
}

export function isLight(strip: Strip): boolean {
    return strip.level !== undefined;
}

function isColour(value: Value | undefined): value is Colour {
    return value !== null && typeof value === 'object' && ('kelvin' in value || 'swatch' in value);
}

/** A light's colour, or a flat one: its source's where it hangs on one. */
export function colourOf(strip: Pick<Strip, 'values'> & { inForce?: Values }): Colour | null {
    const colour = strip.inForce?.colour ?? strip.values.colour;
    return isColour(colour) ? colour : typeof colour === 'string' ? { swatch: colour } : null;
}

export function pointOf(values: Values, name: string): Point {
    const value = values[name];
    return Array.isArray(value) && typeof value[0] === 'number' && typeof value[1] === 'number' ? [value[0], value[1]] : [0, 0];
}

export function numberOf(values: Values, name: string, otherwise = 0): number {
    const value = values[name];
    return typeof value === 'number' ? value : otherwise;
}

/** Whether a value has a meaning beside the others. */
export function isShown(parameter: Parameter, values: Values): boolean {
    return Object.entries(parameter.shownWhen).every(([other, choices]) => (choices.length === 0 ? values[other] != null : choices.includes(String(values[other] ?? ''))));
}

export function clamp(value: number, least: number, most: number): number {
    return Math.min(most, Math.max(least, value));
}

/** The plate that is meant when a strip is chosen: itself, or the one that it lights or is confined to; null without one. */
export function plateOf(strip: Strip | undefined): string | null {
    const of = strip?.values.of;
    return !strip ? null : strip.family === 'plate' ? strip.id : typeof of === 'string' ? of : (strip.confinedTo ?? null);
}
