import { useEffect, useState } from 'react';
import type { Scene, Strip } from '../api/types';
import { useWork, work, type Step } from './store';
import { everyStrip, isLight } from './strips';

/** What somebody who is new does one after the other, each by the step of the course that it belongs to. */
export const firstSteps: { key: string; step: Step; words: string }[] = [
    { key: 'choose', step: 'Match', words: 'Press on something in the picture: its strip is chosen, and its values stand at the left' },
    { key: 'bearing', step: 'Match', words: 'Find where the light of a plate comes from: Estimate or Sphere, under Direction' },
    { key: 'light', step: 'Light', words: 'Add a light with + at the end of the desk, and drag its handles on the picture' },
    { key: 'fade', step: 'Light', words: 'Fade the light by the fader on its card: rather too bright first, then down' },
    { key: 'shape', step: 'Shape', words: 'Let a strip stop somewhere: Linear or Paint, under Falloff' },
    { key: 'export', step: 'Finish', words: 'Hold B to see it before, then Export at the top right' },
];

/** How much of each first step there is in a scene; a fade is counted by `faded`. */
function counted(scene: Scene, chosen: string | null, exportOpen: boolean): Record<string, number> {
    const all = everyStrip(scene.strips);
    return {
        choose: chosen === null ? 0 : 1,
        bearing: all.filter((strip) => strip.values.bearing).length,
        light: all.filter(isLight).length,
        shape: all.reduce((sum, strip) => sum + strip.masks.filter((mask) => mask.on === 'scene').length, 0),
        export: exportOpen ? 1 : 0,
    };
}

type Levels = Record<string, number | undefined>;

/** The level that each light had when it was seen first; the same object while there is no new one. */
export function seenLevels(seen: Levels, strips: Strip[]): Levels {
    const fresh = everyStrip(strips).filter((strip) => isLight(strip) && !(strip.id in seen));
    return fresh.length === 0 ? seen : { ...seen, ...Object.fromEntries(fresh.map(({ id, level }) => [id, level])) };
}

/** Whether a light stands elsewhere than when it was seen first: one that was just added is not faded yet. */
export function faded(seen: Levels, strips: Strip[]): boolean {
    return everyStrip(strips).some(({ id, level }) => id in seen && seen[id] !== level);
}

/** The step after the last one that was done by whoever works here, then what was left out; null when all were done, or put away. */
export function nextOf(done: string[]): (typeof firstSteps)[number] | null {
    const last = firstSteps.findLastIndex(({ key }) => done.includes(key));
    return firstSteps[last + 1] ?? firstSteps.find(({ key }) => !done.includes(key)) ?? null;
}

/** Sees what was done since the scene was opened, and remembers it for good. */
export function useFirstSteps(scene: Scene): void {
    const chosen = useWork((state) => state.chosen);
    const exportOpen = useWork((state) => state.exportOpen);
    const done = useWork((state) => state.firstDone);
    const now = counted(scene, chosen, exportOpen);
    // what was there when the scene was opened was not done here
    const [begun] = useState<Record<string, number>>({ ...now, choose: 0, export: 0 });
    const [seen, setSeen] = useState(() => seenLevels({}, scene.strips));
    const levels = seenLevels(seen, scene.strips);
    if (levels !== seen) {
        setSeen(levels);
    }
    const more = (key: string) => (now[key] ?? 0) > (begun[key] ?? 0);
    const fresh = firstSteps.filter(({ key }) => !done.includes(key) && (key === 'fade' ? faded(levels, scene.strips) : more(key)));
    const keys = fresh.map(({ key }) => key).join(' ');
    useEffect(() => {
        if (keys !== '') {
            work.firstDone(keys.split(' '));
        }
    }, [keys]);
}
