import type { Changes, StripChange } from '../api/types';
import { set } from './slice';
import type { Work } from './state';
import { allStacked, joined } from './strips';
import { isPart } from './things';

const together = (hand: Changes, unwritten: Work['unwritten']) => ({ hand, unwritten, pending: allStacked([...unwritten.map(({ changes }) => changes), hand]) });

function without<T>(all: Record<string, T>, names: string[]): Record<string, T> {
    return Object.fromEntries(Object.entries(all).filter(([name]) => !names.includes(name)));
}

/** The hand rests when it has changed nothing for this long. */
const RESTS_MS = 900;

let resting: number | undefined;

/** The hand is at work; new readings wait until it rests. */
function works(): { rested: boolean } {
    globalThis.clearTimeout(resting);
    resting = globalThis.setTimeout(() => set({ rested: true }), RESTS_MS) as unknown as number;
    return { rested: false };
}

/** What the hand is changing, and what of it waits to be written. */
export const hand = {
    /** Shows a change without writing it. */
    live: (strip: string, change: StripChange, at: number = performance.now()) =>
        set(({ hand, unwritten, justPlaced }) => ({ ...together({ ...hand, [strip]: joined(hand[strip], change) }, unwritten), moving: true, movedAt: at, ...works(), ...(strip === justPlaced ? { justPlaced: null } : {}) })),
    /** The hand has let go; what is pending stays until it is written. */
    rest: () => set({ moving: false }),
    /** Takes away what the hand is changing: it was not meant. */
    drop: (strip: string) => set(({ hand, unwritten, outlines }) => ({ ...together(without(hand, [strip]), unwritten), outlines: isPart(strip) ? {} : without(outlines, [strip]), inForce: {}, stageLines: null, moving: false, noticed: {} })),
    /** The hand has let go: what it changed becomes a gesture that is to be written. */
    letGo: (key: string, changes: Changes) => set(({ hand, unwritten }) => ({ ...together(without(hand, Object.keys(changes)), [...unwritten, { key, changes }]), moving: false })),
    /** A gesture is written, or cannot be. */
    settle: (key: string) =>
        set(({ hand, unwritten, outlines }) => {
            const left = unwritten.filter((gesture) => gesture.key !== key);
            const settled = Object.keys(unwritten.find((gesture) => gesture.key === key)?.changes ?? {});
            return { ...together(hand, left), outlines: settled.some(isPart) ? {} : without(outlines, settled), inForce: {}, stageLines: null, noticed: {} };
        }),
    /** Strokes that are painted and not seen in the picture yet. */
    trail: (trail: Work['trail']) => set({ trail }),
};
