import type { Point, Shift } from '../api/types';

/** Where red, green and blue lie about the middle of the plane, radians, counterclockwise from the right. */
const AXES = [0, (2 * Math.PI) / 3, (4 * Math.PI) / 3] as const;

const tidy = (value: number) => Math.round(Math.min(100, Math.max(-100, value)) * 10) / 10;

/** Where a shift lies on the plane, 1 at its border, up is above 0; its root, so that small ones can be told apart. What red, green and blue have in common does not show. */
export function placeOf(shift: Shift): Point {
    const [x, y] = vectorOf(shift);
    const root = Math.sqrt(Math.hypot(x, y));
    return root === 0 ? [0, 0] : [x / root, y / root];
}

/** What a shift is toward, 1 for the most. */
function vectorOf(shift: Shift): Point {
    const sum = (along: (angle: number) => number) => (2 / 3) * shift.reduce((all, value, at) => all + (value / 100) * along(AXES[at]!), 0);
    return [sum(Math.cos), sum(Math.sin)];
}

/** The shift at a place of the plane, with what it has in common kept. */
export function shiftAt([x, y]: Point, before: Shift): Shift {
    const common = (before[0] + before[1] + before[2]) / 3;
    const length = Math.hypot(x, y);
    const [u, v] = length > 1 ? [x / length, y / length] : [x * length, y * length];
    return AXES.map((angle) => tidy(common + 100 * (u * Math.cos(angle) + v * Math.sin(angle)))) as Shift;
}

const NAMES = ['red', 'orange', 'yellow', 'yellow-green', 'green', 'blue-green', 'cyan', 'azure', 'blue', 'violet', 'magenta', 'rose'];

/** A shift in words: toward which colour, and how far. */
export function inWords(shift: Shift): string {
    const [x, y] = vectorOf(shift);
    const far = Math.round(100 * Math.hypot(x, y));
    const turn = ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360;
    return far === 0 ? 'as it is' : `${far} toward ${NAMES[Math.round(turn / 30) % 12]}`;
}
