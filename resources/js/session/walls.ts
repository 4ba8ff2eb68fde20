import type { Scene, Wall } from '../api/types';
import { newKey } from './outbox';

/** The walls of a scene and another one, under a name that is free. */
export function withWall(scene: Scene, part: Partial<Wall>): Wall[] {
    const walls = scene.stage.walls ?? [];
    const names = walls.map(({ name }) => name);
    const name = Array.from({ length: walls.length + 1 }, (_, k) => (k === 0 ? 'Wall' : `Wall ${k + 1}`)).find((free) => !names.includes(free)) ?? 'Wall';
    return [...walls, { id: newKey().slice(0, 12), name, ...part }];
}
