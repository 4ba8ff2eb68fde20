import { create } from 'zustand';
import type { Changes, Noticed, Outlines, Point, StripChange, Stroke } from '../api/types';
import { allStacked, joined } from './strips';

export type Tool = 'move' | 'paint' | 'outline' | 'pick' | 'pan';

/** What the brush does; its size is scene pixels. */
export type BrushSettings = { size: number; hardness: number; opacity: number; flow: number; reveals: boolean; pressure: string; simulated: boolean; followsEdges: boolean };

/** What a click picks: tolerance in percent, the patch's width in picture pixels. */
export type PickSettings = { tolerance: number; reach: 'touching' | 'everywhere'; patch: number };

/** A line that is to be drawn on the chosen plate. */
export type Drawing = 'horizon' | 'shadow line' | null;

export const course = ['Match', 'Light', 'Shade', 'Shape', 'Air', 'Finish'] as const;

export type Step = (typeof course)[number];

/** Where the view stands: scene pixels at its middle and CSS pixels to a scene pixel; null shows the whole scene. */
export type Camera = { centre: Point; zoom: number } | null;

type Work = {
    chosen: string | null;
    /** The mask whose handles are shown, instead of the strip's own. */
    mask: string | null;
    /** Other chosen plates, which move with the chosen one. */
    also: string[];
    tool: Tool;
    brush: BrushSettings;
    pick: PickSettings;
    /** Whether the next outline or pick takes away. */
    takesAway: boolean;
    drawing: Drawing;
    /** The plate that a lit sphere is being turned over. */
    sphere: string | null;
    /** Whether corners are dragged in perspective. */
    fitting: boolean;
    /** The plate whose cut-out is judged under a tint. */
    tint: string | null;
    /** Strokes whose result is not seen yet, in scene pixels. */
    trail: Stroke[];
    /** What the core noticed in the last draft. */
    noticed: Partial<Noticed>;
    readingsOpen: boolean;
    compassOpen: boolean;
    step: Step;
    camera: Camera;
    /** What the hand is changing right now, by strip: shown as drafts, written when it lets go. */
    hand: Changes;
    /** Gestures that are done and not yet written, the latest last. */
    unwritten: { key: string; changes: Changes }[];
    /** Both of these together: what differs from the scene as it is written. */
    pending: Changes;
    /** Whether something is being dragged, so that drafts are wanted. */
    moving: boolean;
    /** When the gesture's last event came, by the page's clock. */
    movedAt: number;
    /** The core's lines of strips that are being changed, as the last draft brought them. */
    outlines: Record<string, Outlines>;
    /** The revision of the scene whose picture at rest is shown. */
    shownRevision: number;
    /** A mask that is seen alone, in grey. */
    maskAlone: string | null;
    solo: string[];
    before: boolean;
    clean: boolean;
    keysOpen: boolean;
    exportOpen: boolean;
};

const fresh: Work = {
    chosen: null,
    mask: null,
    also: [],
    tool: 'move',
    brush: { size: 60, hardness: 0, opacity: 100, flow: 100, reveals: true, pressure: 'nothing', simulated: false, followsEdges: true },
    pick: { tolerance: 12, reach: 'touching', patch: 7 },
    takesAway: false,
    drawing: null,
    sphere: null,
    fitting: false,
    tint: null,
    trail: [],
    noticed: {},
    readingsOpen: false,
    compassOpen: true,
    step: 'Light',
    camera: null,
    hand: {},
    unwritten: [],
    pending: {},
    moving: false,
    movedAt: 0,
    outlines: {},
    shownRevision: 0,
    maskAlone: null,
    solo: [],
    before: false,
    clean: false,
    keysOpen: false,
    exportOpen: false,
};

const together = (hand: Changes, unwritten: Work['unwritten']) => ({ hand, unwritten, pending: allStacked([...unwritten.map(({ changes }) => changes), hand]) });

function without<T>(all: Record<string, T>, names: string[]): Record<string, T> {
    return Object.fromEntries(Object.entries(all).filter(([name]) => !names.includes(name)));
}

export const useWork = create<Work>(() => fresh);

export const work = {
    reset: () => useWork.setState(fresh),
    choose: (strip: string | null, mask: string | null = null) =>
        useWork.setState(({ maskAlone, tint, chosen, also, fitting, sphere, drawing }) => ({
            chosen: strip,
            mask,
            maskAlone: maskAlone === mask ? maskAlone : null,
            ...(strip === chosen ? { also, tint, fitting, sphere, drawing } : { also: [], tint: null, fitting: false, sphere: null, drawing: null }),
        })),
    /** Adds a strip to the chosen ones, or takes it out of them. */
    toggleAlso: (strip: string) => useWork.setState(({ also }) => ({ also: also.includes(strip) ? also.filter((other) => other !== strip) : [...also, strip] })),
    brush: (change: Partial<BrushSettings>) => useWork.setState(({ brush }) => ({ brush: { ...brush, ...change } })),
    /** Shows a change without writing it. */
    live: (strip: string, change: StripChange, at: number = performance.now()) =>
        useWork.setState(({ hand, unwritten }) => ({ ...together({ ...hand, [strip]: joined(hand[strip], change) }, unwritten), moving: true, movedAt: at })),
    /** The hand has let go; what is pending stays until it is written. */
    rest: () => useWork.setState({ moving: false }),
    /** Takes away what the hand is changing: it was not meant. */
    drop: (strip: string) =>
        useWork.setState(({ hand, unwritten, outlines }) => ({ ...together(without(hand, [strip]), unwritten), outlines: without(outlines, [strip]), moving: false, noticed: {} })),
    /** The hand has let go: what it changed becomes a gesture that is to be written. */
    letGo: (key: string, changes: Changes) =>
        useWork.setState(({ hand, unwritten }) => ({ ...together(without(hand, Object.keys(changes)), [...unwritten, { key, changes }]), moving: false })),
    /** A gesture is written, or cannot be. */
    settle: (key: string) =>
        useWork.setState(({ hand, unwritten, outlines }) => {
            const left = unwritten.filter((gesture) => gesture.key !== key);
            const settled = Object.keys(unwritten.find((gesture) => gesture.key === key)?.changes ?? {});
            return { ...together(hand, left), outlines: without(outlines, settled), noticed: {} };
        }),
    toggleSolo: (strip: string) =>
        useWork.setState(({ solo }) => ({ solo: solo.includes(strip) ? solo.filter((other) => other !== strip) : [...solo, strip] })),
};
