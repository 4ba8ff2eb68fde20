import { Cone, Droplet, Folder, Image } from 'lucide-react';
import type { Family } from '../api/types';

/** The kind of a strip is told by shape as well as by colour. */
export function FamilyIcon({ family, size = 13 }: { family: Family | string; size?: number }) {
    const Icon = { plate: Image, light: Cone, flat: Droplet, group: Folder }[family] ?? Image;
    return <Icon size={size} aria-hidden />;
}

export const accents: Record<string, string> = {
    plate: 'var(--color-air)',
    light: 'var(--color-warm)',
    flat: 'var(--color-cool)',
    group: 'var(--color-line)',
};
