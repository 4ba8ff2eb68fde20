import type { ColourStop, Stop, Value } from '../api/types';
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

/** A ramp of colours from the other end. */
export function reversedRamp(stops: ColourStop[]): ColourStop[] {
    return stops.map((stop, at) => ({ ...stop, offset: 1 - stop.offset, midpoint: 1 - (stops[at - 1]?.midpoint ?? 0.5) })).reverse();
}

/** The same course from the other end. */
export function reversed(stops: Stop[]): Stop[] {
    return stops
        .map((stop, at) => ({ offset: 1 - stop.offset, value: stop.value, midpoint: 1 - (stops[at - 1]?.midpoint ?? 0.5) }))
        .reverse();
}
