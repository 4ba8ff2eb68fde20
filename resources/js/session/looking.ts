import type { Outlines, StageLines, Values } from '../api/types';
import { arrange } from './arranging';
import { lensOf, standingOn, zoomedAt, type Rect } from './camera';
import { set, useWork } from './slice';
import type { Camera, Compared, Seeing, Step, Work } from './state';

/** The lines that a draft brings. */
type Drafted = { outlines?: Record<string, Outlines>; inForce?: Record<string, Values>; stage?: StageLines | null };

/** How the scene is looked at, and what the last picture said. */
export const looking = {
    /** Where the view stands; null shows the whole scene. */
    stand: (camera: Camera) => set({ camera }),
    /** The view shows a rectangle of the scene. */
    standOn: (box: Rect, scene: { width: number; height: number }) => set(({ view }) => ({ camera: standingOn({ ...box, width: Math.min(box.width, scene.width), height: Math.min(box.height, scene.height) }, view) })),
    /** The view is being moved: drafts are wanted. */
    moveView: (camera: Camera, at: number) => set({ camera, moving: true, movedAt: at }),
    /** The view is this large. */
    sized: (view: Work['view']) => set({ view }),
    /** Closer or further, about the middle of the view. */
    zoom: (factor: number, scene: { width: number; height: number }) =>
        set(({ camera, view }) => ({ camera: zoomedAt(lensOf(camera, scene, view), view, [view.width / 2, view.height / 2], factor) })),
    toggleSolo: (strip: string) => set(({ solo }) => ({ solo: solo.includes(strip) ? solo.filter((other) => other !== strip) : [...solo, strip] })),
    /** Before anything was lit, or without handles, while a key is held. */
    hold: (what: 'before' | 'clean' | 'flipped', isHeld: boolean) => set({ [what]: isHeld }),
    letGoOfKeys: () => set({ before: false, clean: false, flipped: false }),
    /** Compares the picture with something by a sliding edge, or no longer. */
    compare: (comparing: Compared) => set(comparing !== null && 'snapshot' in comparing ? { comparing, flipTo: comparing.snapshot } : { comparing }),
    /** Where the edge stands, as a share of the view. */
    slide: (edge: number) => set({ edge: Math.min(1, Math.max(0, edge)) }),
    /** The snapshot that is flipped to. */
    flipTo: (flipTo: string | null) => set({ flipTo }),
    /** Shows a mask alone in grey, or nothing of that. */
    viewMask: (maskAlone: string | null) => set({ maskAlone }),
    /** Lays what a mask holds back under a tint while its softness is worked on, or no longer. */
    tintMask: (maskTinted: string | null) => set({ maskTinted }),
    /** How the picture is seen; asked for once more, it is seen as it is. */
    see: (seeing: Seeing) => set((state) => ({ seeing: state.seeing === seeing ? 'colours' : seeing })),
    /** Judges a plate's cut-out under a tint, or no longer. */
    judge: (tint: string | null) => set({ tint }),
    /** A draft has come: what it says of lines and compass. One that comes after the hand has let go says nothing any more. */
    drafted: (lines: Drafted, noticed: Work['noticed']) =>
        set(({ moving, outlines, inForce, stageLines }) =>
            moving ? { outlines: { ...outlines, ...lines.outlines }, inForce: { ...inForce, ...lines.inForce }, stageLines: lines.stage ?? stageLines, noticed } : {},
        ),
    /** A picture at rest has come; what is written down is told with the scene itself. */
    settled: (revision: number, noticed: Work['noticed']) =>
        set(({ moving, pending }) => ({ shownRevision: revision, trail: [], ...(moving ? {} : { noticed: Object.keys(pending).length > 0 ? noticed : {} }) })),
    /** The picture that is shown is that of a later revision too. */
    sameAs: (revision: number) => set({ shownRevision: revision }),
    step: (step: Step) => set({ step }),
    /** Tells what a value does in light, or nothing any more. */
    tell: (told: string | null) => set({ told }),
    /** These readings were said while the hand rested. */
    say: (said: string[]) => set({ said }),
};

/** What is open beside the view. */
export const panels = {
    keys: (keysOpen: boolean) => set({ keysOpen }),
    exporting: (exportOpen: boolean) => set({ exportOpen }),
    comparing: (compareOpen: boolean) => set({ compareOpen }),
    rigs: (rigsOpen: boolean) => set({ rigsOpen }),
    readings: (readingsOpen: boolean) => set({ readingsOpen }),
    modes: (modesOpen: boolean) => set({ modesOpen }),
    compass: (compassOpen: boolean) => arrange({ compassOpen }),
    desk: (deskOpen: boolean) => arrange({ deskOpen }),
    /** A dark surround for the picture, or the grey one. */
    surround: (darkSurround: boolean) => arrange({ darkSurround }),
    /** Folds the strips of a group away on the desk, or shows them. */
    foldGroup: (group: string, away: boolean) => arrange({ foldedGroups: [...useWork.getState().foldedGroups.filter((other) => other !== group), ...(away ? [group] : [])] }),
    /** Opens or folds a part of the bench, for every strip of its kind. */
    section: (name: string, isOpen: boolean) => arrange({ sections: { ...useWork.getState().sections, [name]: isOpen } }),
    /** First steps were done, or put away. */
    firstDone: (keys: string[]) => arrange({ firstDone: [...new Set([...useWork.getState().firstDone, ...keys])] }),
    /** Whether single letters are keys. */
    letters: (letters: boolean) => arrange({ letters }),
    /** Whether a new strip looks like the last one of its kind. */
    likeLast: (likeLast: boolean) => arrange({ likeLast }),
    /** All room for the picture, or bench and desk too. */
    fold: (folded: boolean) => arrange({ folded }),
};
