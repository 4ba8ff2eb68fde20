import { create } from 'zustand';
import type { Changes, Outlines, Point, StripChange } from '../api/types';
import { joined } from './strips';

export type Tool = 'move' | 'pan';

export const course = ['Match', 'Light', 'Shade', 'Shape', 'Air', 'Finish'] as const;

export type Step = (typeof course)[number];

/** Where the view stands: scene pixels at its middle and CSS pixels to a scene pixel; null shows the whole scene. */
export type Camera = { centre: Point; zoom: number } | null;

type Work = {
    chosen: string | null;
    /** The mask whose handles are shown, instead of the strip's own. */
    mask: string | null;
    tool: Tool;
    step: Step;
    camera: Camera;
    /** What the hand is changing right now, by strip: shown as drafts, written when it lets go. */
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
    tool: 'move',
    step: 'Light',
    camera: null,
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

export const useWork = create<Work>(() => fresh);

export const work = {
    reset: () => useWork.setState(fresh),
    choose: (strip: string | null, mask: string | null = null) => useWork.setState(({ maskAlone }) => ({ chosen: strip, mask, maskAlone: maskAlone === mask ? maskAlone : null })),
    /** Shows a change without writing it. */
    live: (strip: string, change: StripChange, at: number = performance.now()) =>
        useWork.setState(({ pending }) => ({ pending: { ...pending, [strip]: joined(pending[strip], change) }, moving: true, movedAt: at })),
    /** The hand has let go; what is pending stays until it is written. */
    rest: () => useWork.setState({ moving: false }),
    /** Takes pending changes away: they are written, or were not meant. */
    drop: (strip: string) =>
        useWork.setState(({ pending, outlines }) => {
            const rest = { ...pending };
            const lines = { ...outlines };
            delete rest[strip];
            delete lines[strip];
            return { pending: rest, outlines: lines, moving: false };
        }),
    toggleSolo: (strip: string) =>
        useWork.setState(({ solo }) => ({ solo: solo.includes(strip) ? solo.filter((other) => other !== strip) : [...solo, strip] })),
};
