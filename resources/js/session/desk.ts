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

/** A place in the order: a strip, and the group that holds it. */
export type Place = { id: string; group: string | null };

/** All strips, back to front, with the groups that hold them. */
export function placesOf(strips: Strip[], group: string | null = null): Place[] {
    return strips.flatMap((strip) => [{ id: strip.id, group }, ...placesOf(strip.strips ?? [], strip.id)]);
}

/**
 * The order after a strip was carried so many places on, with all that it holds; it comes into the group of what then stands to
 * its right. Null when nothing changes.
 */
export function carried(places: Place[], strip: string, by: number): { order: string[]; into: string | null } | null {
    const from = places.findIndex(({ id }) => id === strip);
    const within = [strip];
    places.forEach(({ id, group }) => group !== null && within.includes(group) && within.push(id));
    const rest = places.filter(({ id }) => !within.includes(id));
    const own = places.slice(0, Math.max(0, from)).filter(({ id }) => !within.includes(id)).length;
    // places that it takes up itself are none that it goes on
    const at = Math.min(rest.length, Math.max(0, own + (by > 0 ? Math.max(0, by - within.length + 1) : by)));
    const before = rest[at];
    const into = before?.group ?? null;
    const order = [...rest.slice(0, at).map(({ id }) => id), ...within, ...rest.slice(at).map(({ id }) => id)];
    return from < 0 || (order.every((id, k) => id === places[k]?.id) && into === places[from]?.group) ? null : { order, into };
}

/** The slot of the desk to which a key carries a strip: past its neighbour, and past what it holds itself. */
export function slotBeside(shown: OnDesk[], strip: string, way: number): number {
    const at = shown.findIndex((one) => one.strip.id === strip);
    const within = [strip];
    let end = at + 1;
    while (shown[end]?.group != null && within.includes(shown[end]?.group ?? '')) {
        within.push(shown[end]?.strip.id ?? '');
        end++;
    }
    return way > 0 ? Math.min(shown.length, end + 1) : Math.max(0, at - 1);
}
