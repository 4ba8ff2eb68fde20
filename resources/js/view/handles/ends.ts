import type { Point } from '../../api/types';
import type { Lens, Size } from '../../session/camera';
import type { Held } from './drag';

/** With shift a line turns in steps of this. */
const STEP = Math.PI / 12;

/** CSS pixels within which the border of the picture takes hold of an end; alt lets it go by. */
const NEAR = 7;

/** Where an end of a line goes: with shift it turns about the other end in steps, else the border of the picture takes hold of it. */
export function endAt(fixed: Point, point: Point, held: Held, scene: Size, lens: Lens): Point {
    if (held.shift) {
        const angle = Math.round(Math.atan2(point[1] - fixed[1], point[0] - fixed[0]) / STEP) * STEP;
        const length = Math.hypot(point[0] - fixed[0], point[1] - fixed[1]);
        return [fixed[0] + length * Math.cos(angle), fixed[1] + length * Math.sin(angle)];
    }
    const near = (value: number, length: number) => (held.alt ? value : ([0, length].find((border) => Math.abs(border - value) * lens.zoom < NEAR) ?? value));
    return [near(point[0], scene.width), near(point[1], scene.height)];
}
