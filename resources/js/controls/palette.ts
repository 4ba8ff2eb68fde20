import type { Scene } from '../api/types';
import { everyStrip } from '../session/strips';

const KEPT = 'aumbrel colours';

const MOST = 8;

/** The swatches that were taken last, the latest first. */
export function recentColours(): string[] {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '[]');
        return Array.isArray(kept) ? kept.filter((colour): colour is string => typeof colour === 'string' && /^#[0-9a-f]{6}$/.test(colour)).slice(0, MOST) : [];
    } catch {
        return [];
    }
}

export function keepColour(swatch: string): void {
    try {
        localStorage.setItem(KEPT, JSON.stringify([swatch, ...recentColours().filter((other) => other !== swatch)].slice(0, MOST)));
    } catch {
        // without storage there are no recent ones
    }
}

/** The colours of the lights and sources of a scene, each once. */
export function coloursOf(scene: Scene): string[] {
    const all = [...everyStrip(scene.strips), ...scene.sources].flatMap(({ colours }) => Object.values(colours ?? {}).map(({ swatch }) => swatch));
    return [...new Set(all)].slice(0, MOST);
}
