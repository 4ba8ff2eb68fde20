import type { Changes, Strip } from '../api/types';
import { changed } from './strips';

/** A strip on the desk: the group that it is in, and of a group how many strips are folded away in it. */
export type OnDesk = { strip: Strip; group: string | null; folded: number };

/** The strips of the desk, back to front. A group's strips lie below it, unless it is folded and none of them is chosen. */
export function onDesk(strips: Strip[], pending: Changes, foldedGroups: string[], chosen: string | null, group: string | null = null): OnDesk[] {
    return strips.flatMap((own): OnDesk[] => {
        const strip = changed(own, pending[own.id]);
        const inner = own.strips ?? [];
        const isFolded = inner.length > 0 && foldedGroups.includes(own.id) && !holds(inner, chosen);
        return [{ strip, group, folded: isFolded ? inner.length : 0 }, ...(isFolded ? [] : onDesk(inner, pending, foldedGroups, chosen, own.id))];
    });
}

function holds(strips: Strip[], id: string | null): boolean {
    return id !== null && strips.some((strip) => strip.id === id || holds(strip.strips ?? [], id));
}

/**
 * By how many places of the whole order a strip moves when it is carried to a slot among those that are shown.
 *
 * @param order all strips, back to front, folded ones too
 * @param shown those on the desk
 * @param slot the strip that it comes to stand before, of those shown; one more than the last is the end
 */
export function placesTo(order: string[], shown: string[], strip: string, slot: number): number {
    const from = order.indexOf(strip);
    const before = shown[slot];
    const to = before === undefined ? order.length : order.indexOf(before);
    return to > from ? to - 1 - from : to - from;
}
