import type { Point, Strip, Values } from '../api/types';
import { numberOf, pointOf } from '../screen/strips';

/** A direction seen in the scene, as a plate's own picture has it: turned back and mirrored back. */
export function toPlateBearing(strip: Strip, azimuth: number, elevation: number): { azimuth: number; elevation: number } {
    const own = azimuth - numberOf(strip.values, 'turn');
    return { azimuth: round(wrap(strip.values.mirrored === true ? 180 - own : own)), elevation: round(Math.min(90, Math.max(-90, elevation))) };
}

/** A spot's values when its handle on the compass is dragged: its origin goes round the place that it is seen from. */
export function turnedSpot(strip: Strip, seenFrom: Point, azimuth: number, elevation: number): Values {
    const origin = pointOf(strip.values, 'origin');
    const target = pointOf(strip.values, 'target');
    const from = Math.hypot(origin[0] - seenFrom[0], origin[1] - seenFrom[1]) < 1 ? target : seenFrom;
    const length = Math.hypot(origin[0] - from[0], origin[1] - from[1]);
    const angle = (azimuth * Math.PI) / 180;
    return { origin: [round(from[0] + length * Math.cos(angle)), round(from[1] - length * Math.sin(angle))], elevation: round(elevation) };
}

/** Where a bearing stands on the dial: the middle is the camera, the rim the picture plane, beyond it is behind. */
export function onDial(azimuth: number, elevation: number, radius: number, furthest: number): Point {
    const away = Math.min(furthest, ((90 - elevation) / 90) * radius);
    const angle = (azimuth * Math.PI) / 180;
    return [away * Math.cos(angle), -away * Math.sin(angle)];
}

export function fromDial([x, y]: Point, radius: number): { azimuth: number; elevation: number } {
    return { azimuth: (Math.atan2(-y, x) * 180) / Math.PI, elevation: Math.max(-90, 90 - (Math.hypot(x, y) / radius) * 90) };
}

/** Places along the shorter way between two bearings on the dome, for drawing an arc. */
export function arcBetween(a: { azimuth: number; elevation: number }, b: { azimuth: number; elevation: number }, steps = 24): { azimuth: number; elevation: number }[] {
    const [u, v] = [vector(a), vector(b)];
    const angle = Math.acos(Math.min(1, Math.max(-1, u[0] * v[0] + u[1] * v[1] + u[2] * v[2])));
    if (angle < 1e-6) {
        return [a, b];
    }
    // straight opposite there is no shorter way: it goes over the camera's side
    const isOpposite = Math.PI - angle < 1e-3;
    return Array.from({ length: steps + 1 }, (_, k) => {
        const t = k / steps;
        const [p, q] = isOpposite ? [1 - t, t] : [Math.sin((1 - t) * angle) / Math.sin(angle), Math.sin(t * angle) / Math.sin(angle)];
        const [x, y, z] = [p * u[0] + q * v[0], p * u[1] + q * v[1], p * u[2] + q * v[2] + (isOpposite ? Math.sin(Math.PI * t) : 0)];
        return { azimuth: (Math.atan2(y, x) * 180) / Math.PI, elevation: (Math.atan2(z, Math.hypot(x, y)) * 180) / Math.PI };
    });
}

function vector({ azimuth, elevation }: { azimuth: number; elevation: number }): [number, number, number] {
    const [a, e] = [(azimuth * Math.PI) / 180, (elevation * Math.PI) / 180];
    return [Math.cos(e) * Math.cos(a), Math.cos(e) * Math.sin(a), Math.sin(e)];
}

function wrap(degrees: number): number {
    const wrapped = ((degrees % 360) + 360) % 360;
    return wrapped > 180 ? wrapped - 360 : wrapped;
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}
