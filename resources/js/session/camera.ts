import type { Point } from '../api/types';
import { clamp } from './strips';
import type { Camera } from './store';

/** A rectangle of the scene, scene pixels. */
export type Rect = { x: number; y: number; width: number; height: number };

export type Size = { width: number; height: number };

const MARGIN = 14;

const LEAST_ZOOM = 0.02;

const MOST_ZOOM = 16;

/** Pictures at rest have at most this many pixels, however dense the screen is. */
const MOST_PIXELS = 1_500_000;

/** A grip whose middle is further from the border of the view than this can be taken. */
const IN_REACH = 12;

/** How scene pixels fall on the view: CSS pixel = origin + scene pixel x zoom; and how large that is, where it is known. */
export type Lens = { zoom: number; origin: Point; view?: Size };

export function lensOf(camera: Camera, scene: Size, view: Size): Lens {
    const zoom = camera?.zoom ?? Math.min((view.width - 2 * MARGIN) / scene.width, (view.height - 2 * MARGIN) / scene.height);
    const [x, y] = camera?.centre ?? [scene.width / 2, scene.height / 2];
    return { zoom, origin: [Math.round(view.width / 2 - x * zoom), Math.round(view.height / 2 - y * zoom)], view };
}

/** The place of the view's that is nearest to a point and can be grabbed; the point itself where that can. */
export function inReach(lens: Lens, point: Point): Point {
    const { width, height } = lens.view ?? { width: Infinity, height: Infinity };
    const [x, y] = toView(lens, point);
    const near: Point = [clamp(x, Math.min(IN_REACH, width / 2), Math.max(width - IN_REACH, width / 2)), clamp(y, Math.min(IN_REACH, height / 2), Math.max(height - IN_REACH, height / 2))];
    return lens.view && (near[0] !== x || near[1] !== y) ? toScene(lens, near) : point;
}

export function toView(lens: Lens, [x, y]: Point): Point {
    return [lens.origin[0] + x * lens.zoom, lens.origin[1] + y * lens.zoom];
}

export function toScene(lens: Lens, [x, y]: Point): Point {
    return [(x - lens.origin[0]) / lens.zoom, (y - lens.origin[1]) / lens.zoom];
}

/** The part of the scene that the view shows, in whole scene pixels. */
export function windowOf(lens: Lens, scene: Size, view: Size): Rect {
    const [left, top] = toScene(lens, [0, 0]);
    const [right, bottom] = toScene(lens, [view.width, view.height]);
    const x = Math.floor(clamp(left, 0, scene.width));
    const y = Math.floor(clamp(top, 0, scene.height));
    return { x, y, width: Math.ceil(clamp(right, 0, scene.width)) - x, height: Math.ceil(clamp(bottom, 0, scene.height)) - y };
}

/** Picture pixels to a scene pixel: those of the screen, within what is worth it. */
export function restScale(lens: Lens, window: Rect, density: number): number {
    const full = lens.zoom * density;
    return Math.min(full, Math.max(lens.zoom, Math.sqrt(MOST_PIXELS / Math.max(1, window.width * window.height))), 16);
}

export function zoomedAt(lens: Lens, view: Size, at: Point, factor: number): Camera {
    const zoom = clamp(lens.zoom * factor, LEAST_ZOOM, MOST_ZOOM);
    const [x, y] = toScene(lens, at);
    return { zoom, centre: [x + (view.width / 2 - at[0]) / zoom, y + (view.height / 2 - at[1]) / zoom] };
}

export function panned(lens: Lens, view: Size, dx: number, dy: number): Camera {
    const [x, y] = toScene(lens, [view.width / 2 - dx, view.height / 2 - dy]);
    return { zoom: lens.zoom, centre: [x, y] };
}

/** What is looked at: its middle, and its shorter side in scene pixels. */
export function lookedAt(camera: Camera, scene: { width: number; height: number }): { centre: Point; span: number } {
    const whole = Math.min(scene.width, scene.height);
    return camera ? { centre: camera.centre, span: Math.min(whole, 500 / camera.zoom) } : { centre: [scene.width / 2, scene.height / 2], span: whole };
}

/** The box in the scene of a picture that lies there by three by three numbers. */
export function boxOf(toScene: number[], picture: Size): Rect {
    const corners = [[0, 0], [picture.width, 0], [picture.width, picture.height], [0, picture.height]].map(([x = 0, y = 0]) => {
        const at = (row: number) => (toScene[3 * row] ?? 0) * x + (toScene[3 * row + 1] ?? 0) * y + (toScene[3 * row + 2] ?? 0);
        return [at(0) / at(2), at(1) / at(2)];
    });
    const [xs, ys] = [corners.map(([x = 0]) => x), corners.map(([, y = 0]) => y)];
    return { x: Math.min(...xs), y: Math.min(...ys), width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) };
}

/** Where the view stands to show a rectangle of the scene, with a little around it. */
export function standingOn(box: Rect, view: Size): NonNullable<Camera> {
    const zoom = clamp(0.86 * Math.min(view.width / Math.max(1, box.width), view.height / Math.max(1, box.height)), LEAST_ZOOM, MOST_ZOOM);
    return { zoom, centre: [box.x + box.width / 2, box.y + box.height / 2] };
}
