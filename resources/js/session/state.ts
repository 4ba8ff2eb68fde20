import { plain, type Arrangement } from './arrangement';
import { MOVES, type Pointer } from './pointer';
import type { Changes, Noticed, Outlines, Point, StageLines, Stroke, Values } from '../api/types';

/** What the brush does; its size is scene pixels. */
export type BrushSettings = { size: number; hardness: number; opacity: number; flow: number; letsIn: boolean; pressure: string; simulated: boolean; /** of a lamp's mark: along the stroke to across */ stretch: number; /** percent */ dapples: number; /** what it leaves; of one made of a picture its greys and its name */ tip: string; grid: string; /** percent: how far the hand is steadied, and how strictly a stroke stays on what is alike */ steady: number; alike: number; /** every stroke is painted on both sides of a line */ symmetric: boolean };

/** What of a strip is painted: a cut that follows edges, a cut stroke by stroke, what of a light shines, or where it stops. */
export type Paints = 'rough cut' | 'exact mask' | 'what shines' | 'falloff';

/** What a click picks: tolerance in percent, the patch's width in picture pixels. */
export type PickSettings = { tolerance: number; reach: 'touching' | 'everywhere'; patch: number };

/** As it is, as greys, where it clips; or only what the chosen strip adds, in colour or in greys. */
export type Seeing = 'colours' | 'values' | 'clipping' | 'alone' | 'alone in greys' | 'passing' | 'form';

/** What a scope draws; null while there is none. */
export type Scoped = 'tones' | 'waveform' | 'chroma' | null;

/** The plates before they were lit, a snapshot, or the scene without a strip; null for nothing. */
export type Compared = { before: true } | { snapshot: string } | { without: string } | null;

export const course = ['Match', 'Light', 'Shade', 'Shape', 'Air', 'Finish'] as const;

export type Step = (typeof course)[number];

/** Where the view stands: scene pixels at its middle and CSS pixels to a scene pixel; null shows the whole scene. */
export type Camera = { centre: Point; zoom: number } | null;

/** All that this window knows beside the scene as it is written. */
export type Work = Arrangement & {
    /** The scene that is open. */
    scene: string | null;
    /** Its shorter side, px. */
    span: number;
    chosen: string | null;
    /** The mask whose handles are shown, instead of the strip's own. */
    mask: string | null;
    /** Other chosen plates, which move with the chosen one. */
    also: string[];
    /** What the pointer does over the picture. */
    pointer: Pointer;
    /** Whether the next outline or pick takes away. */
    takesAway: boolean;
    /** What of the chosen strip is painted, outlined or picked; null is what suits it. */
    paints: Paints | null;
    /** Which stretch of hues is worked on. */
    stretch: number;
    /** The source whose consequence is being looked through. */
    consequence: string | null;
    /** The plate whose cut-out is judged under a tint. */
    tint: string | null;
    /** Strokes whose result is not seen yet, in scene pixels. */
    trail: Stroke[];
    /** What the core noticed in the last draft. */
    noticed: Partial<Noticed>;
    /** What the value under the hand does in light. */
    told: string | null;
    readingsOpen: boolean;
    /** Whether the hand has rested for a moment, so that something new may be said. */
    rested: boolean;
    /** The readings that were said when it rested last, by their ids. */
    said: string[];
    step: Step;
    camera: Camera;
    /** How large the view is, CSS pixels. */
    view: { width: number; height: number };
    /** What the hand is changing right now, by strip: shown as drafts, written when it lets go. */
    hand: Changes;
    /** Gestures that are done and not yet written, the latest last. */
    unwritten: { key: string; changes: Changes }[];
    /** Both of these together: what differs from the scene as it is written. */
    pending: Changes;
    /** The strip whose card on the desk is to have the focus. */
    toFocus: string | null;
    /** What was just placed and has not been touched since: it is not read yet. */
    justPlaced: string | null;
    /** Whether something is being dragged, so that drafts are wanted. */
    moving: boolean;
    /** When the gesture's last event came, by the page's clock. */
    movedAt: number;
    /** The core's lines of strips that are being changed, as the last draft brought them. */
    outlines: Record<string, Outlines>;
    /** What sources give strips that are being changed, and the lines of the stage, as the last draft brought them. */
    inForce: Record<string, Values>;
    stageLines: StageLines | null;
    /** The revision of the scene whose picture at rest is shown. */
    shownRevision: number;
    /** The line on both sides of which strokes are painted; null for the upright middle of the picture. */
    axis: [Point, Point] | null;
    /** Whether an outline keeps to the edges of the plate between its clicks. */
    alongEdges: boolean;
    /** A mask that is seen alone, in grey. */
    maskAlone: string | null;
    /** The mask whose softness is being worked on: what it holds back lies under a tint. */
    maskTinted: string | null;
    /** How the picture is seen. */
    seeing: Seeing;
    /** Whether the modes of the chosen strip are looked at side by side. */
    modesOpen: boolean;
    solo: string[];
    before: boolean;
    clean: boolean;
    /** What the picture is compared with by a sliding edge. */
    comparing: Compared;
    /** Where the edge stands, as a share of the view from the left. */
    edge: number;
    /** The snapshot that is flipped to, and whether it is just now. */
    flipTo: string | null;
    flipped: boolean;
    compareOpen: boolean;
    rigsOpen: boolean;
    keysOpen: boolean;
    exportOpen: boolean;
    scope: Scoped;
    /** Whether it draws the chosen strip by itself. */
    scopeOfStrip: boolean;
};

export const fresh: Work = {
    ...plain,
    scene: null,
    span: 1000,
    chosen: null,
    mask: null,
    also: [],
    pointer: MOVES,
    takesAway: false,
    paints: null,
    stretch: 0,
    consequence: null,
    tint: null,
    trail: [],
    noticed: {},
    told: null,
    readingsOpen: false,
    rested: true,
    said: [],
    step: 'Light',
    camera: null,
    view: { width: 0, height: 0 },
    hand: {},
    unwritten: [],
    pending: {},
    toFocus: null,
    justPlaced: null,
    moving: false,
    movedAt: 0,
    outlines: {},
    inForce: {},
    stageLines: null,
    shownRevision: 0,
    axis: null,
    alongEdges: false,
    maskAlone: null,
    maskTinted: null,
    seeing: 'colours',
    modesOpen: false,
    solo: [],
    before: false,
    clean: false,
    comparing: null,
    edge: 0.5,
    flipTo: null,
    flipped: false,
    compareOpen: false,
    rigsOpen: false,
    keysOpen: false,
    exportOpen: false,
    scope: null,
    scopeOfStrip: false,
};
