import { Brush, ChartNoAxesColumn, CircleDot, CloudFog, Cone, Contrast, Droplet, Eclipse, Film, Flashlight, Folder, Footprints, Frame, Grid2x2, Image, LampCeiling, Lightbulb, Moon, PersonStanding, SlidersHorizontal, Spline, Sun, Waves, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Family } from '../api/types';

const ofFamilies: Record<string, LucideIcon> = { plate: Image, light: Cone, shadow: Contrast, flat: Droplet, air: CloudFog, grade: SlidersHorizontal, group: Folder };

/** Kinds that have a shape of their own within their family. */
const ofKinds: Record<string, LucideIcon> = { 'spot-onto': CircleDot, rim: Eclipse, wash: Waves, paint: Brush, torch: Flashlight, glow: Lightbulb, halo: PersonStanding, line: Spline, sun: Sun, beam: LampCeiling, pattern: Grid2x2, leak: Film, wall: Frame, contact: Footprints, base: Moon, levels: ChartNoAxesColumn, monochrome: Contrast };

/** The kind of a strip is told by shape as well as by colour. */
export function KindIcon({ kind, family, size = 13 }: { kind: string; family: Family | string; size?: number }) {
    const Icon = ofKinds[kind] ?? ofFamilies[family] ?? Image;
    return <Icon size={size} aria-hidden />;
}

export const accents: Record<string, string> = {
    plate: 'var(--color-air)',
    light: 'var(--color-warm)',
    shadow: 'var(--color-cool)',
    flat: 'var(--color-cool)',
    air: 'var(--color-air)',
    grade: 'var(--color-cool)',
    group: 'var(--color-line)',
};

/** What a kind of mask looks like: grey where it lets through. */
const LOOKS: Record<string, ReactNode> = {
    outline: <path d="M3 10.5 C2 5 8 1.5 13 4 S 24 1 25 6 S 20 14 14 11.5 S 4 15 3 10.5 Z" fill="none" stroke="#e8e8e8" strokeWidth={1.6} />,
    'painted cut': (
        <>
            <path d="M4 9 q-1-6 5-5.500 q5 .5 4 5 q-1 5-5.500 4 q-3-.5-3.500-3.500z" fill="#e8e8e8" />
            <path d="M17 4 q5-2 7 1.500 q2 4-2 6 q-5 2-6-2 q-.6-4 1-5.500z" fill="#7d7d7d" />
        </>
    ),
    'colour area': <path d="M3 4 l4-2 3 2.500 4-3 3 3 5-2 -1 4 4 3 -4 1.500 1 3 -5-1.500 -3 2 -3-3 -5 2 0-4 -3-1.500z" fill="#e8e8e8" />,
    strokes: <path d="M3 12 C9 11 9 4 14 4.500 S 20 11 25 3.500" fill="none" stroke="#e8e8e8" strokeWidth={3} strokeLinecap="round" />,
    brightness: (
        <>
            <circle cx={14} cy={7.500} r={5} fill="#e8e8e8" />
            <path d="M14 2.500 a5 5 0 0 1 0 10z" fill="#6a6a6a" />
        </>
    ),
    texture: (
        <g fill="#e8e8e8">
            {[3, 8, 13, 18, 23].flatMap((x, at) => [4, 9].map((y) => <circle key={`${x} ${y}`} cx={x + (y > 5 ? 2 : 0)} cy={y + (at % 2)} r={1.5} />))}
        </g>
    ),
};

/** The look of a kind of mask, in little: a fading one fades, the others are drawn. */
export function MaskIcon({ kind, isOff, small = false }: { kind: string; isOff: boolean; small?: boolean }) {
    const fades = { linear: 'linear-gradient(90deg, #1e1e1e, #e8e8e8)', radial: 'radial-gradient(#e8e8e8, #1e1e1e)' }[kind];
    return (
        <span className={`inline-flex shrink-0 items-center justify-center overflow-hidden rounded-sm border border-line bg-well ${small ? 'h-3 w-5' : 'h-4 w-7'} ${isOff ? 'opacity-40' : ''}`} style={{ background: fades }} aria-hidden>
            {!fades && (
                <svg viewBox="0 0 28 15" className="h-full w-full">
                    {LOOKS[kind]}
                </svg>
            )}
        </span>
    );
}
