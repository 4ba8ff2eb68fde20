import { useEffect } from 'react';
import type { Scene, Strip } from '../api/types';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { freeName } from '../compare/CompareSheet';
import { exportAgain } from '../export/last';
import { chosenPlate } from '../session/chosen';
import { sourceName, sourceOf } from '../session/things';
import { focusBack, watchFocus } from '../ui/focus';
import { say } from '../ui/notices';
import { boxOf } from '../session/camera';
import { course, useWork, work } from '../session/store';

export const keyList: [string, string][] = [
    ['1 – 6', 'Step of the course'],
    ['E, P, O, I', 'Move, paint, outline, pick'],
    ['- and =', 'Brush smaller, larger; with shift softer, harder'],
    ['R', 'Let in or hold back; alt swaps for one stroke'],
    ['Enter, Backspace, Escape while outlining', 'Close, take a point back, give up'],
    ['Space, dragging over the view', 'Pan'],
    ['Z, X', 'Zoom in, zoom out'],
    ['Ctrl or Cmd with arrows in the view', 'Pan'],
    ['F', 'Show the whole scene'],
    ['T', 'Show the chosen plate, or the plate that a light is on'],
    ['A press on the picture', 'Choose what is there; with alt what lies beneath, with shift another one to it'],
    ['Shift, dragging the ring', 'Move the pivot of a plate'],
    ['Shift with a click in what can be added', 'Add it, and stay there for another one'],
    ['S, M', 'Solo, mute the chosen strip'],
    ['Left, right on the desk', 'Choose a strip'],
    ['Space on the desk', 'Choose the strip that has the focus; of a group, fold its strips'],
    ['Shift with a click on the desk', 'Choose another plate too: they move together'],
    ['Alt with left, right', 'Carry the strip along the desk'],
    ['Up, down on the desk', 'Fade; with shift finer'],
    ['Enter on the desk', 'Rename'],
    ['Arrows in the view', 'Nudge by 1 px; with shift by 10'],
    ['B, held', 'Before'],
    ['C', 'Compare by a sliding edge; arrows move it, Escape ends it'],
    ['N, held', 'The snapshot that was pointed at last'],
    ['Shift with N', 'Keep the scene as it is now as a snapshot'],
    ['K, held', 'Clean look, without handles'],
    ['V', 'Value view, clipping, as it is'],
    ['L', 'What the chosen strip alone adds'],
    ['W', 'Fold bench and desk away, or show them'],
    ['D', 'Duplicate'],
    ['G', 'Hold the chosen strips together; take a group apart'],
    ['Delete', 'Delete the strip'],
    ['Ctrl or Cmd with Z, Y', 'Undo, redo; Z with shift redoes too'],
    ['Ctrl or Cmd with C, V', 'Copy the chosen strips; put them in, here or in another scene'],
    ['Ctrl or Cmd with V', 'Bring in a picture from the clipboard'],
    ['Q', 'Export as the last time'],
    ['Escape', 'Take back what is being dragged'],
    ['?', 'This sheet'],
];

const TOOL_OF = { e: 'move', p: 'paint', o: 'outline', i: 'pick' } as const;

const SIZE_STEP = 1.2;

const ZOOM_STEP = 1.5;

/** Smaller and larger; the same keys with shift make the brush softer and harder. */
function size(key: string): void {
    const { brush } = useWork.getState();
    if (key === '_' || key === '+') {
        work.brush({ hardness: Math.min(100, Math.max(0, brush.hardness + (key === '+' ? 10 : -10))) });
    } else {
        work.brush({ size: Math.round(Math.min(4000, Math.max(1, brush.size * (key === '=' ? SIZE_STEP : 1 / SIZE_STEP)))) });
    }
}

const HELD = { b: 'before', k: 'clean', n: 'flipped' } as const;

/** Opens the comparison, against how it was where nothing else was chosen, or ends it. */
export function toggleComparing(): void {
    const { compareOpen, comparing } = useWork.getState();
    const isOn = compareOpen || comparing !== null;
    work.comparing(!isOn);
    work.compare(isOn ? null : { before: true });
}

/** The keys that work everywhere on the work screen but in fields. */
export function useKeys(scene: Scene, gestures: Gestures): void {
    useEffect(() => {
        const onDown = (event: KeyboardEvent) => {
            if (isField(event.target)) {
                if (event.key === 'Enter' && event.target instanceof HTMLInputElement) {
                    // what was typed is done: the keys mean the picture again
                    window.setTimeout(focusBack);
                }
                return;
            }
            const key = event.key.toLowerCase();
            if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y')) {
                event.preventDefault();
                void (event.shiftKey || key === 'y' ? gestures.redo() : gestures.undo());
                return;
            }
            if ((event.ctrlKey || event.metaKey) && key === 'c' && !event.shiftKey && (window.getSelection()?.isCollapsed ?? true)) {
                const { chosen, also } = useWork.getState();
                if (everyStrip(scene.strips).some((strip) => strip.id === chosen)) {
                    event.preventDefault();
                    void gestures.copy([chosen ?? '', ...also]);
                }
                return;
            }
            if (event.ctrlKey || event.metaKey || event.altKey || (/^[a-z]$/.test(key) && !useWork.getState().letters)) {
                return;
            }
            const held = HELD[event.key.toLowerCase() as keyof typeof HELD];
            if (event.shiftKey && key === 'n') {
                event.preventDefault();
                const name = freeName(scene, 'Snapshot');
                void gestures.keepSnapshot(name).then((isKept) => isKept && say(`Kept as ${name}: C shows it beside others.`));
            } else if (held) {
                work.hold(held, true);
            } else if (press(event.key, scene, gestures)) {
                event.preventDefault();
            }
        };
        const onUp = (event: KeyboardEvent) => {
            const held = HELD[event.key.toLowerCase() as keyof typeof HELD];
            if (held) {
                work.hold(held, false);
            }
        };
        const onBlur = work.letGoOfKeys;
        const unwatch = watchFocus();
        window.addEventListener('keydown', onDown);
        window.addEventListener('keyup', onUp);
        window.addEventListener('blur', onBlur);
        return () => {
            unwatch();
            window.removeEventListener('keydown', onDown);
            window.removeEventListener('keyup', onUp);
            window.removeEventListener('blur', onBlur);
        };
    }, [scene, gestures]);
}

function press(key: string, scene: Scene, gestures: Gestures): boolean {
    const step = course[Number(key) - 1];
    if (step) {
        work.step(step);
        return true;
    }
    const { chosen, mask } = useWork.getState();
    const strip = everyStrip(scene.strips).find((other) => other.id === chosen);
    const source = sourceOf(scene, chosen);
    if (source && (key === 'Delete' || key === 'Backspace')) {
        void gestures.removeSource(source.id);
        return true;
    }
    if (source && key.toLowerCase() === 'm') {
        void gestures.change(sourceName(source.id), { muted: !source.muted }, source.muted ? 'Light the source' : 'Mute the source');
        return true;
    }
    if (strip && pressFor(key.toLowerCase(), strip, mask, gestures)) {
        return true;
    }
    switch (key.toLowerCase()) {
        case 'e':
        case 'p':
        case 'o':
        case 'i':
            work.takeTool(TOOL_OF[key.toLowerCase() as keyof typeof TOOL_OF]);
            return true;
        case '-':
        case '_':
        case '=':
        case '+':
            size(key);
            return true;
        case 'r': {
            const { brush } = useWork.getState();
            work.brush({ letsIn: !brush.letsIn });
            return true;
        }
        case 'v': {
            const { seeing } = useWork.getState();
            work.see(seeing === 'values' ? 'clipping' : seeing === 'clipping' ? 'colours' : 'values');
            return true;
        }
        case 'l':
            work.see('alone');
            return true;
        case 'w':
            work.fold(!useWork.getState().folded);
            return true;
        case 'f':
            work.stand(null);
            return true;
        case 't':
            return standOnPlate(scene);
        case 'c':
            toggleComparing();
            return true;
        case 'escape': {
            const { comparing } = useWork.getState();
            if (comparing !== null) {
                toggleComparing();
            }
            return comparing !== null;
        }
        case 'q':
            void exportAgain(scene.id);
            return true;
        case 'z':
        case 'x':
            work.zoom(key.toLowerCase() === 'z' ? ZOOM_STEP : 1 / ZOOM_STEP, scene);
            return true;
        case '?':
            work.keys(true);
            return true;
        default:
            return false;
    }
}

/** The view goes to the chosen plate. */
function standOnPlate(scene: Scene): boolean {
    const plate = everyStrip(scene.strips).find((strip) => strip.id === chosenPlate(scene));
    const picture = plate ? scene.pictures[plate.values.picture as string] : undefined;
    if (!plate?.maps || !picture) {
        return false;
    }
    work.standOn(boxOf(plate.maps.toScene, picture), scene);
    return true;
}

/** The keys that mean the chosen strip, or its mask whose handles are shown. */
function pressFor(key: string, strip: Strip, mask: string | null, gestures: Gestures): boolean {
    switch (key) {
        case 's':
            [strip.id, ...useWork.getState().also].forEach(work.toggleSolo);
            return true;
        case 'm':
            void gestures.changeAll([strip.id, ...useWork.getState().also], { muted: !strip.muted }, strip.muted ? 'Unmute' : 'Mute');
            return true;
        case 'd':
            void gestures.duplicate(strip.id);
            return true;
        case 'g': {
            // several are held together; a group by itself is taken apart
            const { also } = useWork.getState();
            void (strip.family === 'group' && also.length === 0 ? gestures.takeApart(strip.id) : gestures.holdTogether([strip.id, ...also]));
            return true;
        }
        case 'delete':
        case 'backspace':
            void (mask !== null ? gestures.removeMask(strip.id, mask) : gestures.remove(strip.id));
            return true;
        default:
            return false;
    }
}

function isField(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && (/^(textarea|select)$/i.test(target.tagName) || (target instanceof HTMLInputElement && !/^(checkbox|color|radio)$/.test(target.type)));
}
