import type { Floor, Point, Scene } from '../api/types';
import { mapped } from './ground';
import { everyStrip } from './strips';

/** How low a contact row lies where nothing stands, of the scene's height. */
const LOW = 0.85;

/** The horizon that was drawn on a plate, of several on the lowest, in the middle of the scene. */
export function drawnHorizon(scene: Scene): number | null {
    const ground = everyStrip(scene.strips).find((strip) => strip.family === 'plate' && Array.isArray(strip.values.horizon));
    const drawn = ground?.values.horizon as [Point, Point] | null | undefined;
    if (!ground?.maps || !drawn) {
        return null;
    }
    const { toScene } = ground.maps;
    const [a, b] = [mapped(toScene, drawn[0]), mapped(toScene, drawn[1])];
    return Math.abs(b[0] - a[0]) < 1 ? a[1] : a[1] + ((b[1] - a[1]) * (scene.width / 2 - a[0])) / (b[0] - a[0]);
}

/** A floor up to a horizon: its contact row lies where what is lowest stands; what reaches the lower border stands nowhere. */
export function byHorizon(scene: Scene, horizon: number): Floor {
    const feet = everyStrip(scene.strips).slice(1).flatMap((strip) => (strip.standsOn ?? []).map(([, y]) => y)).filter((y) => y > horizon + 2 && y < scene.height - 2);
    const row = Math.round(feet.length > 0 ? Math.max(...feet) : Math.max(horizon + 2, LOW * scene.height));
    return {
        horizon: Math.round(horizon),
        contact: [
            [0, row],
            [scene.width, row],
        ],
    };
}
