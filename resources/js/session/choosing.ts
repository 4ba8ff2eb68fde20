import type { Ground, Point } from '../api/types';
import { set, useWork } from './slice';
import { arrange } from './arranging';
import type { BrushSettings, Drawing, Marking, Paints, Picking, PickSettings, Placing, Scoped, Tool } from './state';

const ON: Record<Ground, Paints> = { scene: 'falloff', plate: 'rough cut', emitter: 'what shines' };

/** What is chosen, and what the pointer does with it. */
export const choosing = {
    choose: (strip: string | null, mask: string | null = null) =>
        set(({ maskAlone, tint, chosen, also, fitting, sphere, drawing, justPlaced }) => ({
            chosen: strip,
            mask,
            maskAlone: maskAlone === mask ? maskAlone : null,
            placing: null,
            picking: null,
            justPlaced: strip === justPlaced ? justPlaced : null,
            ...(strip === chosen ? { also, tint, fitting, sphere, drawing } : { also: [], tint: null, fitting: false, sphere: null, drawing: null, marking: null, consequence: null, paints: null, pivoting: false, modesOpen: false, stretch: 0 }),
        })),
    /** Adds a strip to the chosen ones, or takes it out of them. */
    toggleAlso: (strip: string) => set(({ also }) => ({ also: also.includes(strip) ? also.filter((other) => other !== strip) : [...also, strip] })),
    takeTool: (tool: Tool) => set({ tool, drawing: null, placing: null, marking: null, picking: null }),
    /** The next press on the picture picks the colour of a light, or no longer. */
    pickColour: (picking: Picking) => set({ picking, placing: null, marking: null, drawing: null, tool: 'move' }),
    /** A scope is opened, changed, or put away. */
    scope: (scope: Scoped) => set({ scope }),
    scopeOf: (scopeOfStrip: boolean) => set({ scopeOfStrip }),
    /** The stretch of hues that is worked on. */
    chooseStretch: (stretch: number) => set({ stretch }),
    /** The next press on the picture places something new; null gives it up. */
    place: (placing: Placing) => set(placing === null ? { placing } : { placing, tool: 'move', drawing: null, sphere: null, marking: null }),
    /** Marks something of the stage on the picture, or gives it up. */
    mark: (marking: Marking) => set({ marking, tool: 'move', placing: null, drawing: null }),
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
    draw: (drawing: Drawing) => set(drawing === null ? { drawing } : { drawing, tool: 'move', sphere: null }),
    /** Turns a lit sphere over a plate, or puts it away. */
    turnSphere: (sphere: string | null) => set(sphere === null ? { sphere } : { sphere, tool: 'move', drawing: null }),
    /** Drags corners in perspective, or no longer. */
    fit: (fitting: boolean) => set({ fitting, tool: 'move' }),
    /** Moves a plate's pivot, or the plate again. */
    pivot: (pivoting: boolean) => set({ pivoting, tool: 'move' }),
    /** The desk takes the focus, at a strip; null when it has. */
    focus: (toFocus: string | null) => set({ toFocus }),
    /** Something new is there, by this hand. */
    placed: (justPlaced: string | null) => set({ justPlaced }),
};
