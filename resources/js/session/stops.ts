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

/** The same course from the other end. */
export function reversed<T extends { offset: number; midpoint?: number }>(stops: T[]): T[] {
    return stops.map((stop, at) => ({ ...stop, offset: 1 - stop.offset, midpoint: 1 - (stops[at - 1]?.midpoint ?? 0.5) })).reverse();
}

/** What a mask lets through at a share of its way, as its drawing shows it (W3C CSS Images 4, color transition hint). */
export function valueAt(stops: Stop[], share: number): number {
    const after = stops.findIndex((stop) => stop.offset > share);
    const [before, next] = after < 0 ? [stops[stops.length - 1], undefined] : [stops[after - 1], stops[after]];
    if (!before || !next) {
        return (before ?? next)?.value ?? 1;
    }
    const way = ((share - before.offset) / (next.offset - before.offset)) ** (Math.log(0.5) / Math.log(before.midpoint));
    return before.value + way * (next.value - before.value);
}
