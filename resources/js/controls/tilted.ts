import type { Point } from '../api/types';

/** Colours in space, seen aslant: tones run to the right, from blue up to yellow, and from green toward the viewer to red. */
export const [WIDE, HIGH] = [256, 128];

const [LEFT, MIDDLE, LONG] = [24, 62, 208];

/** How far Oklab's axes are seen: a to the right and down, b upward. */
const [ASIDE, DOWN] = [0.62, 0.42];
const COLOURED = 300;

/** How far a peg is pulled at most, px of its plane. */
const REACH = 50;

/** Where red lies about a plane's middle, radians; what shifts go by lies as Oklab has it, green and blue at thirds from it. */
const RED = (25 * Math.PI) / 180;

/** Where a colour is seen. */
export function seen(lightness: number, a: number, b: number): Point {
    return [LEFT + LONG * lightness + ASIDE * COLOURED * a, MIDDLE + DOWN * COLOURED * a - COLOURED * b];
}

/** Where the pegs of the three ranges stand on the line of greys: at the tones that are theirs most. */
export const FOOT: Record<'darks' | 'mids' | 'lights', Point> = { darks: seen(0.2, 0, 0), mids: seen(0.52, 0, 0), lights: seen(0.84, 0, 0) };

const onPlane = ([x, y]: Point): Point => [x * Math.cos(RED) - y * Math.sin(RED), x * Math.sin(RED) + y * Math.cos(RED)];

/** Where a place of a foot's plane is seen; 1 is as far as it goes, the first axis runs to red. */
export function toward([x, y]: Point, place: Point): Point {
    const [a, b] = onPlane(place);
    return [x + REACH * ASIDE * a, y + REACH * (DOWN * a - b)];
}

/** The place of a foot's plane that is seen somewhere. */
export function away([x, y]: Point, [u, v]: Point): Point {
    const a = (u - x) / (REACH * ASIDE);
    const b = DOWN * a - (v - y) / REACH;
    return [a * Math.cos(RED) + b * Math.sin(RED), b * Math.cos(RED) - a * Math.sin(RED)];
}

/** The corners of a foot's plane, as it is seen. */
export function planeAt([x, y]: Point): Point[] {
    return ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as Point[]).map(([a, b]) => [x + REACH * ASIDE * a, y + REACH * (DOWN * a - b)]);
}
