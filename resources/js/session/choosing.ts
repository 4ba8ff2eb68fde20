import type { Ground, Point } from '../api/types';
import { set, useWork } from './slice';
import { arrange } from './arranging';
import { afterChoosing, MOVES, type Drawing, type Marking, type Picking, type Placing, type Pointer, type Tool } from './pointer';
import type { BrushSettings, Paints, PickSettings, Scoped } from './state';

const ON: Record<Ground, Paints> = { scene: 'falloff', plate: 'rough cut', emitter: 'what shines' };

/** The pointer is given something to do; null ends that, and nothing else that it may do by now. */
const points = (does: Pointer['does'], next: Pointer | null) => set(({ pointer }) => ({ pointer: next ?? (pointer.does === does ? MOVES : pointer) }));

/** What is chosen, and what the pointer does with it. */
export const choosing = {
    choose: (strip: string | null, mask: string | null = null) =>
        set(({ maskAlone, tint, chosen, also, pointer, justPlaced }) => ({
            chosen: strip,
            mask,
            maskAlone: maskAlone === mask ? maskAlone : null,
            pointer: afterChoosing(pointer, strip === chosen),
            justPlaced: strip === justPlaced ? justPlaced : null,
            ...(strip === chosen ? { also, tint } : { also: [], tint: null, consequence: null, paints: null, modesOpen: false, stretch: 0 }),
        })),
    /** Adds a strip to the chosen ones, or takes it out of them. */
    toggleAlso: (strip: string) => set(({ also }) => ({ also: also.includes(strip) ? also.filter((other) => other !== strip) : [...also, strip] })),
    takeTool: (tool: Tool) => set({ pointer: { does: 'tool', tool } }),
    /** The next press on the picture picks the colour of a light, or no longer. */
    pickColour: (picking: Picking | null) => points('pick', picking && { does: 'pick', picking }),
    /** A scope is opened, changed, or put away. */
    scope: (scope: Scoped) => set({ scope }),
    scopeOf: (scopeOfStrip: boolean) => set({ scopeOfStrip }),
    /** The stretch of hues that is worked on. */
    chooseStretch: (stretch: number) => set({ stretch }),
    /** The next press on the picture places something new; null gives it up. */
    place: (placing: Placing | null) => points('place', placing && { does: 'place', placing }),
    /** Marks something of the stage on the picture, or gives it up. */
    mark: (marking: Marking | null) => points('mark', marking && { does: 'mark', marking }),
    /** Looks through what belongs to a source, or puts that away. */
    lookThrough: (consequence: string | null) => set({ consequence }),
    brush: (change: Partial<BrushSettings>) => arrange({ brush: { ...useWork.getState().brush, ...change } }),
    /** The next outline keeps to edges, or goes straight. */
    keepToEdges: (alongEdges: boolean) => set({ alongEdges }),
    /** The line on both sides of which strokes are painted. */
    lay: (axis: [Point, Point] | null) => set({ axis }),
    pick: (change: Partial<PickSettings>) => arrange({ pick: { ...useWork.getState().pick, ...change } }),
    /** Whether the next outline or pick takes away. */
    takesAway: (takesAway: boolean) => set({ takesAway }),
    /** Says what of the chosen strip the next stroke belongs to; no mask of its has the say any more. */
    paints: (paints: Paints) => set({ paints, mask: null }),
    /** Says what of a strip the next stroke, outline or pick belongs to. */
    workOn: (ground: Ground) => set({ paints: ON[ground] }),
    /** Begins to draw a line on the chosen plate, or gives it up. */
    draw: (drawing: Drawing | null) => points('draw', drawing && { does: 'draw', drawing }),
    /** Turns a lit sphere over a plate, or puts it away. */
    turnSphere: (plate: string | null) => points('sphere', plate === null ? null : { does: 'sphere', plate }),
    /** Drags corners in perspective, or no longer. */
    fit: (fits: boolean) => points('fit', fits ? { does: 'fit' } : null),
    /** Moves a plate's pivot, or the plate again. */
    pivot: (pivots: boolean) => points('pivot', pivots ? { does: 'pivot' } : null),
    /** The desk takes the focus, at a strip; null when it has. */
    focus: (toFocus: string | null) => set({ toFocus }),
    /** Something new is there, by this hand. */
    placed: (justPlaced: string | null) => set({ justPlaced }),
};
