import type { Stop, Value } from '../api/types';
import { clamp } from './strips';

export function stopsOf(value: Value | undefined): Stop[] {
    return Array.isArray(value) && typeof value[0] === 'object' ? (value as Stop[]) : [];
}

/** Moves one stop, or the midpoint after it, and leaves the order as it is. */
export function withStop<T extends { offset: number }>(stops: T[], at: number, part: Partial<T>): T[] {
    const least = stops[at - 1]?.offset ?? 0;
    const most = stops[at + 1]?.offset ?? 1;
    return stops.map((stop, index) => (index === at ? { ...stop, ...part, offset: clamp(part.offset ?? stop.offset, least, most) } : stop));
}

/** One more stop in the middle of the widest gap, or after the only one: `share` is between its neighbours', the rest as before it. */
export function withOneMore<T extends { offset: number; midpoint?: number }>(stops: T[], share: keyof T): T[] {
    const gaps = stops.slice(0, -1).map((stop, at) => (stops[at + 1]?.offset ?? 1) - stop.offset);
    const at = gaps.length === 0 ? 0 : gaps.indexOf(Math.max(...gaps));
    const [before, after] = [stops[at], stops[at + 1]];
    if (!before) {
        return stops;
    }
    const offset = after ? (before.offset + after.offset) / 2 : Math.min(1, before.offset + 0.5);
    const between = after ? (Number(before[share]) + Number(after[share])) / 2 : before[share];
    return [...stops.slice(0, at + 1), { ...before, offset, [share]: between, midpoint: 0.5 }, ...stops.slice(at + 1)];
}

/** What every stop of a ramp has; midpoint and smoothness are those of the stretch after it. */
export type Placed = { offset: number; midpoint?: number; smooth?: boolean };

/** The same course from the other end: each stretch is half done where it was. */
export function reversed<T extends Placed>(stops: T[]): T[] {
    return stops
        .map((stop, at) => {
            const before = stops[at - 1];
            return eased({ ...stop, offset: 1 - stop.offset, midpoint: 1 - (before?.midpoint ?? 0.5) }, before?.smooth ?? false);
        })
        .reverse();
}

/** There and back again: the whole course up to the middle, and mirrored behind it. */
export function mirrored<T extends Placed>(stops: T[]): T[] {
    const there = stops.map((stop) => ({ ...stop, offset: stop.offset / 2 }));
    const back = reversed(stops).map((stop) => ({ ...stop, offset: 0.5 + stop.offset / 2 }));
    const meets = there[there.length - 1]?.offset === back[0]?.offset;
    return [...(meets ? there.slice(0, -1) : there), ...back];
}

export function isSmooth(stops: Placed[]): boolean {
    return stops.slice(0, -1).some((stop) => stop.smooth);
}

/** Every stretch eased at its ends, or straight. */
export function smoothed<T extends Placed>(stops: T[], smooth: boolean): T[] {
    return stops.map((stop, at) => eased(stop, smooth && at < stops.length - 1));
}

function eased<T extends Placed>(stop: T, smooth: boolean): T {
    const other = { ...stop, smooth };
    if (!smooth) {
        delete (other as Placed).smooth;
    }
    return other;
}

/** The stops around a share of the way, and how far over to the later one it is, as the core has it (W3C CSS Images 4, color transition hint). */
export function courseAt<T extends Placed>(stops: T[], share: number, smooth = false): { before: T | undefined; after: T | undefined; way: number } {
    const next = stops.findIndex((stop) => stop.offset > share);
    const [before, after] = next < 0 ? [stops[stops.length - 1], undefined] : [stops[next - 1], stops[next]];
    if (!before || !after) {
        return { before: before ?? after, after: undefined, way: 0 };
    }
    const way = ((share - before.offset) / (after.offset - before.offset)) ** (Math.log(0.5) / Math.log(before.midpoint ?? 0.5));
    return { before, after, way: smooth || before.smooth ? way * way * (3 - 2 * way) : way };
}

/** What a mask lets through at a share of its way, as its drawing shows it. */
export function valueAt(stops: Stop[], share: number, smooth = false): number {
    const { before, after, way } = courseAt(stops, share, smooth);
    return before ? before.value + way * ((after ?? before).value - before.value) : 1;
}

/** Red, green, blue 0..255 and opacity of a ramp at a share of its way, mixed premultiplied. */
export function colourAt(stops: { offset: number; colour: string; opacity?: number; midpoint: number; smooth?: boolean }[], share: number): [number, number, number, number] {
    const { before, after, way } = courseAt(stops, share);
    if (!before) {
        return [0, 0, 0, 0];
    }
    const [from, to] = [before, after ?? before].map((stop) => [...rgb(stop.colour), stop.opacity ?? 1] as [number, number, number, number]);
    const mix = (at: 0 | 1 | 2) => (from?.[at] ?? 0) * (from?.[3] ?? 1) * (1 - way) + (to?.[at] ?? 0) * (to?.[3] ?? 1) * way;
    const opacity = (from?.[3] ?? 1) * (1 - way) + (to?.[3] ?? 1) * way;
    return opacity > 0 ? [mix(0) / opacity, mix(1) / opacity, mix(2) / opacity, opacity] : [from?.[0] ?? 0, from?.[1] ?? 0, from?.[2] ?? 0, 0];
}

function rgb(colour: string): [number, number, number] {
    const bits = parseInt(colour.slice(1), 16);
    return [(bits >> 16) & 255, (bits >> 8) & 255, bits & 255];
}

/** Places at which a ramp is drawn. */
const DRAWN = 24;

/** A ramp as CSS draws it. */
export function drawn(colour: (share: number) => string): string {
    return `linear-gradient(90deg, ${Array.from({ length: DRAWN + 1 }, (_, k) => `${colour(k / DRAWN)} ${(100 * k) / DRAWN}%`).join(', ')})`;
}

/** One more stop at a share of the way, with what the ramp has there. */
export function withStopAt<T extends Placed>(stops: T[], share: number): T[] {
    const { before, after, way } = courseAt(stops, share);
    const at = stops.findIndex((stop) => stop.offset > share);
    if (!before) {
        return stops;
    }
    const stop: T = { ...before, offset: share, midpoint: 0.5 };
    for (const name of ['value', 'opacity'] as (keyof T)[]) {
        if (typeof before[name] === 'number') {
            stop[name] = (Number(before[name]) + way * (Number((after ?? before)[name]) - Number(before[name]))) as T[keyof T];
        }
    }
    if ('colour' in before) {
        const [red, green, blue] = colourAt(stops as never, share).map(Math.round);
        (stop as unknown as { colour: string }).colour = `#${[red, green, blue].map((byte) => (byte ?? 0).toString(16).padStart(2, '0')).join('')}`;
    }
    return at < 0 ? [...stops, stop] : [...stops.slice(0, at), stop, ...stops.slice(at)];
}
