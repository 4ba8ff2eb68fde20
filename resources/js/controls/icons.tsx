import { Brush, CircleDot, Cone, Droplet, Eclipse, Film, Flashlight, Folder, Grid2x2, Image, LampCeiling, Lightbulb, Moon, PersonStanding, Spline, Sun, Waves, type LucideIcon } from 'lucide-react';
import type { Family } from '../api/types';

const ofFamilies: Record<string, LucideIcon> = { plate: Image, light: Cone, flat: Droplet, grade: Moon, group: Folder };

/** Kinds that have a shape of their own within their family. */
const ofKinds: Record<string, LucideIcon> = { 'spot-onto': CircleDot, rim: Eclipse, wash: Waves, paint: Brush, torch: Flashlight, glow: Lightbulb, halo: PersonStanding, line: Spline, sun: Sun, beam: LampCeiling, pattern: Grid2x2, leak: Film };

/** The kind of a strip is told by shape as well as by colour. */
export function KindIcon({ kind, family, size = 13 }: { kind: string; family: Family | string; size?: number }) {
    const Icon = ofKinds[kind] ?? ofFamilies[family] ?? Image;
    return <Icon size={size} aria-hidden />;
}

export const accents: Record<string, string> = {
    plate: 'var(--color-air)',
    light: 'var(--color-warm)',
    flat: 'var(--color-cool)',
    grade: 'var(--color-cool)',
    group: 'var(--color-line)',
};

/** The look of a kind of mask, in little. */
export function maskHint(kind: string): string {
    return { linear: 'linear-gradient(90deg, #222, #eee)', radial: 'radial-gradient(#eee, #222)', strokes: 'linear-gradient(135deg, #222 38%, #eee 38%, #eee 62%, #222 62%)' }[kind] ?? 'radial-gradient(#eee 45%, #222 52%)';
}
