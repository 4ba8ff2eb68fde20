import type { Node, Point, Strip, StripChange } from '../api/types';
import { pointOf } from './strips';

/** Values that say where a strip is. */
const PLACES = ['origin', 'lamp', 'target', 'place', 'centre', 'middle'];

/** A strip a little further on: its places, its corners, and what is drawn of it that shines; null when nothing of it has a place. */
export function nudged(strip: Strip, [dx, dy]: Point): StripChange | null {
    const moved = ([x, y]: Point): Point => [x + dx, y + dy];
    const places = PLACES.filter((name) => Array.isArray(strip.values[name]) && !(name in strip.inForce)).map((name): [string, Point] => [name, moved(pointOf(strip.values, name))]);
    const corners = Array.isArray(strip.values.corners) ? [['corners', (strip.values.corners as Point[]).map(moved)] as const] : [];
    const lines = strip.shines ? strip.masks.filter((mask) => mask.on === 'emitter' && Array.isArray(mask.values.path)) : [];
    const masks = Object.fromEntries(lines.map((mask) => [mask.id, { values: { path: (mask.values.path as Node[]).map((node) => ({ ...node, at: moved(node.at) })) } }]));
    const values = Object.fromEntries([...places, ...corners]);
    return places.length + corners.length + lines.length === 0 ? null : { values, ...(lines.length > 0 ? { masks } : {}) };
}
