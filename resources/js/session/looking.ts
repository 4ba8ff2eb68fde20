import type { Outlines, StageLines, Values } from '../api/types';
import { keep, type Arrangement } from './arrangement';
import { set, useWork } from './slice';
import type { Camera, Seeing, Step, Work } from './state';

/** The lines that a draft brings. */
type Drafted = { outlines?: Record<string, Outlines>; inForce?: Record<string, Values>; stage?: StageLines | null };

/** How the scene is looked at, and what the last picture said. */
export const looking = {
    /** Where the view stands; null shows the whole scene. */
    stand: (camera: Camera) => set({ camera }),
    /** The view is being moved: drafts are wanted. */
    moveView: (camera: Camera, at: number) => set({ camera, moving: true, movedAt: at }),
    toggleSolo: (strip: string) => set(({ solo }) => ({ solo: solo.includes(strip) ? solo.filter((other) => other !== strip) : [...solo, strip] })),
    /** Before anything was lit, or without handles, while a key is held. */
    hold: (what: 'before' | 'clean', isHeld: boolean) => set({ [what]: isHeld }),
    letGoOfKeys: () => set({ before: false, clean: false }),
    /** Shows a mask alone in grey, or nothing of that. */
    viewMask: (maskAlone: string | null) => set({ maskAlone }),
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
};

/** Divides the room, and remembers it. */
function arrange(change: Partial<Arrangement>): void {
    set(change);
    const { deskOpen, folded, compassOpen } = useWork.getState();
    keep({ deskOpen, folded, compassOpen });
}

/** What is open beside the view. */
export const panels = {
    keys: (keysOpen: boolean) => set({ keysOpen }),
    exporting: (exportOpen: boolean) => set({ exportOpen }),
    readings: (readingsOpen: boolean) => set({ readingsOpen }),
    modes: (modesOpen: boolean) => set({ modesOpen }),
    compass: (compassOpen: boolean) => arrange({ compassOpen }),
    desk: (deskOpen: boolean) => arrange({ deskOpen }),
    /** All room for the picture, or bench and desk too. */
    fold: (folded: boolean) => arrange({ folded }),
};
