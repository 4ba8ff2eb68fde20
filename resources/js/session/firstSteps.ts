import { useEffect, useState } from 'react';
import type { Scene } from '../api/types';
import { useWork, work, type Step } from './store';
import { everyStrip, isLight } from './strips';

/** What somebody who is new does one after the other, each by the step of the course that it belongs to. */
export const firstSteps: { key: string; step: Step; words: string }[] = [
    { key: 'choose', step: 'Match', words: 'Press on something in the picture: its strip is chosen, and its values stand at the left' },
    { key: 'bearing', step: 'Match', words: 'Find where the light of a plate comes from: Estimate, under Direction' },
    { key: 'light', step: 'Light', words: 'Add a light with + at the end of the desk, and drag its handles on the picture' },
    { key: 'fade', step: 'Light', words: 'Fade the light by the fader on its card: rather too bright first, then down' },
    { key: 'shape', step: 'Shape', words: 'Let a strip stop somewhere: Linear or Paint, under Falloff' },
    { key: 'export', step: 'Finish', words: 'Hold B to see it before, then Export at the top right' },
];

type Counts = Record<string, number | string>;

/** What tells whether a first step was done, as it is in a scene. */
function counted(scene: Scene, chosen: string | null, exportOpen: boolean): Counts {
    const all = everyStrip(scene.strips);
    const lights = all.filter(isLight);
    return {
        choose: chosen === null ? 0 : 1,
        bearing: all.filter((strip) => strip.values.bearing).length,
        light: lights.length,
        // which lights there are says nothing of how they are faded
        fade: lights.length === 0 ? '' : lights.map((strip) => strip.level).join(' '),
        shape: all.reduce((sum, strip) => sum + strip.masks.filter((mask) => mask.on === 'scene').length, 0),
        export: exportOpen ? 1 : 0,
    };
}

/** The first step that was not done yet by whoever works here; null when all were, or when they were put away. */
export function nextOf(done: string[]): (typeof firstSteps)[number] | null {
    return firstSteps.find(({ key }) => !done.includes(key)) ?? null;
}

/** Sees what was done since the scene was opened, and remembers it for good. */
export function useFirstSteps(scene: Scene): void {
    const chosen = useWork((state) => state.chosen);
    const exportOpen = useWork((state) => state.exportOpen);
    const done = useWork((state) => state.firstDone);
    const now = counted(scene, chosen, exportOpen);
    const [begun, setBegun] = useState(now);
    const lights = now.light ?? 0;
    // a fade is one of lights that were there before
    if (begun.light !== lights) {
        setBegun({ ...begun, light: lights, fade: now.fade ?? '' });
    }
    const fresh = firstSteps.filter(({ key }) => !done.includes(key) && (key === 'fade' ? begun.light === lights && begun.fade !== now.fade && now.fade !== '' : key === 'light' ? Number(now.light) > Number(begun.light) : Number(now[key]) > Number(key === 'choose' || key === 'export' ? 0 : begun[key])));
    const keys = fresh.map(({ key }) => key).join(' ');
    useEffect(() => {
        if (keys !== '') {
            work.firstDone(keys.split(' '));
        }
    }, [keys]);
}
