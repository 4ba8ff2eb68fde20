import type { Point, Turn } from '../api/types';

/** Where a bearing stands on the dial: the middle is the camera, the rim the picture plane, beyond it is behind. */
export function onDial(azimuth: number, elevation: number, radius: number, furthest: number): Point {
    const away = Math.min(furthest, ((90 - elevation) / 90) * radius);
    const angle = (azimuth * Math.PI) / 180;
    return [away * Math.cos(angle), -away * Math.sin(angle)];
}

export function fromDial([x, y]: Point, radius: number): Turn {
    return { azimuth: (Math.atan2(-y, x) * 180) / Math.PI, elevation: Math.max(-90, 90 - (Math.hypot(x, y) / radius) * 90) };
}

/** A direction that the hand asks for, within what there is. */
export function turnTo(azimuth: number, elevation: number): Turn {
    const wrapped = ((azimuth % 360) + 360) % 360;
    return { azimuth: round(wrapped > 180 ? wrapped - 360 : wrapped), elevation: round(Math.min(90, Math.max(-90, elevation))) };
}

/** Places along the shorter way between two bearings on the dome, for drawing an arc. */
export function arcBetween(a: Turn, b: Turn, steps = 24): Turn[] {
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

function vector({ azimuth, elevation }: Turn): [number, number, number] {
    const [a, e] = [(azimuth * Math.PI) / 180, (elevation * Math.PI) / 180];
    return [Math.cos(e) * Math.cos(a), Math.cos(e) * Math.sin(a), Math.sin(e)];
}

function round(degrees: number): number {
    return Math.round(degrees * 10) / 10;
}
