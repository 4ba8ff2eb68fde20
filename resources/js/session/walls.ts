import type { Scene, Wall } from '../api/types';
import { newKey } from './outbox';

/** The walls of a scene and another one that is seen straight on and fills the picture. */
export function withWallStraightOn(scene: Scene): Wall[] {
    return withWall(scene, {
        corners: [
            [0, 0],
            [scene.width, 0],
            [scene.width, scene.height],
            [0, scene.height],
        ],
    });
}

/** The walls of a scene and another one, under a name that is free. */
export function withWall(scene: Scene, part: Partial<Wall>): Wall[] {
    const walls = scene.stage.walls ?? [];
    const names = walls.map(({ name }) => name);
    const name = Array.from({ length: walls.length + 1 }, (_, k) => (k === 0 ? 'Wall' : `Wall ${k + 1}`)).find((free) => !names.includes(free)) ?? 'Wall';
    return [...walls, { id: newKey().slice(0, 12), name, ...part }];
}
