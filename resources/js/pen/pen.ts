import type { Stroke } from '../api/types';

/** A pointer's moment, as far as a brush minds. */
type Moment = { x: number; y: number; time: number; pressure: number; isPen: boolean };

/** CSS pixels a millisecond at which a simulated pen hardly presses any more. */
const FAST = 2.4;

const LIGHTEST = 0.15;

/** How much of the last pressure stays: a hand does not change it at once. */
const INERTIA = 0.7;

/**
 * What a pen says, or what stands in for one: a device's own pressure where it has any; else, when wanted, pressure from
 * speed: slow strokes press, quick ones brush.
 */
export class Pen {
    private last: Moment | null = null;

    private pressure = 0.5;

    constructor(private readonly simulated: boolean) {}

    pressureOf(now: Moment): number {
        if (now.isPen && !this.simulated) {
            return now.pressure;
        }
        if (!this.simulated) {
            return 1;
        }
        const wanted = this.last && now.time > this.last.time ? 1 - Math.hypot(now.x - this.last.x, now.y - this.last.y) / (now.time - this.last.time) / FAST : this.pressure;
        this.pressure = INERTIA * this.pressure + (1 - INERTIA) * Math.min(1, Math.max(LIGHTEST, wanted));
        this.last = now;
        return Math.round(this.pressure * 1000) / 1000;
    }
}

/** How long a fully steadied brush takes to come after the hand, ms. */
const SLOWEST_MS = 260;

/** A hand that trembles, steadied: the brush comes after it, the slower the steadier. */
export class Steadied {
    private at: [number, number] | null = null;

    private time = 0;

    /** @param share 0..1 */
    constructor(private readonly share: number) {}

    /** Where the brush is when the hand is there. */
    after(x: number, y: number, time: number): [number, number] {
        const passed = time - this.time;
        this.time = time;
        if (!this.at || this.share <= 0) {
            return (this.at = [x, y]);
        }
        const way = 1 - Math.exp(-passed / (this.share * SLOWEST_MS));
        return (this.at = [this.at[0] + way * (x - this.at[0]), this.at[1] + way * (y - this.at[1])]);
    }
}

/** A stroke on the other side of a line. */
export function mirroredStroke(stroke: Stroke, [[x0, y0], [x1, y1]]: [[number, number], [number, number]]): Stroke {
    const [dx, dy] = [x1 - x0, y1 - y0];
    const square = Math.max(1e-9, dx * dx + dy * dy);
    return {
        ...stroke,
        points: stroke.points.map(([x, y, pressure, time]) => {
            const along = ((x - x0) * dx + (y - y0) * dy) / square;
            return [round(2 * (x0 + along * dx) - x), round(2 * (y0 + along * dy) - y), pressure, time];
        }),
    };
}

/** Points closer together than this (scene pixels) are one, unless the brush stands still. */
const APART = 0.75;

const STILL_MS = 50;

/** Adds a point to a stroke's: moves are kept when they lead somewhere, and standing still every 50 ms. */
export function withPoint(points: Stroke['points'], x: number, y: number, pressure: number, time: number): Stroke['points'] {
    const last = points[points.length - 1];
    const point: Stroke['points'][number] = [round(x), round(y), pressure, Math.round(time)];
    if (!last) {
        return [point];
    }
    if (Math.hypot(last[0] - x, last[1] - y) < APART) {
        return time - last[3] >= STILL_MS ? [...points, [last[0], last[1], pressure, Math.round(time)]] : points;
    }
    return [...points, point];
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}

/** A recorded stroke: x and y as shares of its width, pressure, ms. */
export const recorded: [number, number, number, number][] = [
    [0, 0.2, 0.2, 0], [0.08, 0.14, 0.35, 24], [0.17, 0.1, 0.5, 48], [0.27, 0.09, 0.62, 72], [0.38, 0.12, 0.72, 96], [0.49, 0.19, 0.8, 120],
    [0.59, 0.28, 0.84, 144], [0.69, 0.35, 0.8, 168], [0.78, 0.38, 0.66, 192], [0.87, 0.36, 0.48, 216], [0.95, 0.3, 0.3, 240], [1, 0.24, 0.12, 264],
];

/** Plays the recorded stroke on an element as a pen would: for those without one, and for tests. */
export function play(element: Element, left: number, top: number, width: number): void {
    const send = (type: string, [x, y, pressure]: [number, number, number, number]) =>
        element.dispatchEvent(
            new PointerEvent(type, { bubbles: true, cancelable: true, pointerId: 1, pointerType: 'pen', isPrimary: true, button: 0, buttons: type === 'pointerup' ? 0 : 1, clientX: left + x * width, clientY: top + y * width, pressure: type === 'pointerup' ? 0 : pressure }),
        );
    const [first] = recorded;
    const last = recorded[recorded.length - 1];
    if (first && last) {
        send('pointerdown', first);
        recorded.slice(1).forEach((point) => send('pointermove', point));
        send('pointerup', last);
    }
}
