import type { SceneCard } from '../api/types';

export const ORDERS = { touched: 'Last touched', made: 'Newest', title: 'By name', size: 'Largest', strips: 'Most strips' } as const;

export type Order = keyof typeof ORDERS;

const by: Record<Order, (one: SceneCard, other: SceneCard) => number> = {
    touched: (one, other) => other.touched.localeCompare(one.touched),
    made: (one, other) => other.made.localeCompare(one.made),
    title: (one, other) => one.title.localeCompare(other.title, undefined, { numeric: true, sensitivity: 'base' }),
    size: (one, other) => other.width * other.height - one.width * one.height,
    strips: (one, other) => other.strips - one.strips,
};

export type Folder = { name: string; scenes: SceneCard[] };

/**
 * What the wall shows: folders first, then scenes that lie in none; in a folder what lies in it. A search goes through all
 * of them, every word anywhere in title or folder.
 */
export function arranged(all: SceneCard[], order: Order, search: string, folder: string | null): { folders: Folder[]; scenes: SceneCard[] } {
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const sorted = [...all].sort((one, other) => by[order](one, other) || by.touched(one, other));
    if (words.length > 0) {
        return { folders: [], scenes: sorted.filter((scene) => words.every((word) => `${scene.title} ${scene.folder ?? ''}`.toLowerCase().includes(word))) };
    }
    if (folder !== null) {
        return { folders: [], scenes: sorted.filter((scene) => scene.folder === folder) };
    }
    const folders = new Map<string, SceneCard[]>();
    for (const scene of sorted) {
        if (scene.folder !== null) {
            folders.set(scene.folder, [...(folders.get(scene.folder) ?? []), scene]);
        }
    }
    return { folders: [...folders].map(([name, scenes]) => ({ name, scenes })), scenes: sorted.filter((scene) => scene.folder === null) };
}

/** A name that no folder has yet. */
export function freeName(wanted: string, folders: string[]): string {
    for (let count = 1; ; count++) {
        const name = count === 1 ? wanted : `${wanted} ${count}`;
        if (!folders.includes(name)) {
            return name;
        }
    }
}
