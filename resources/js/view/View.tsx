import { usePinch } from '@use-gesture/react';
import { useEffect, useLayoutEffect, useMemo, useRef, useState, type DragEvent, type PointerEvent, type WheelEvent } from 'react';
import { api } from '../api/client';
import type { Point, Scene } from '../api/types';
import { Menu, type Item } from '../ui/Menu';
import { follow, letGoOfPointers } from '../ui/pointer';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { nudged } from '../session/nudge';
import { sourceName, sourceOf } from '../session/things';
import { drawingOf, toolOf, useWork, work, type Seeing, type Pointer } from '../session/store';
import { lensOf, panned, toScene, toView as toViewPlace, zoomedAt, type Size } from '../session/camera';
import { Scope } from '../scope/Scope';
import { Handles } from './handles/Handles';
import { ToolLayer } from './tools/ToolLayer';
import { Beside } from './Beside';
import { Overview } from './Overview';
import { usePicture } from './usePicture';

/** The wheel has stopped when nothing came for this long. */
const WHEEL_RESTS_MS = 160;

/** How much of the view the keys pan by. */
const PANS = 0.2;

/** A press that moves less than this, CSS pixels, is none of a drag. */
const STILL = 4;

/** Where a press means what is under it: not on a grip, nor on anything else that can be pressed. */
const NO_SUBJECT = '[role="button"], button, a, input, select';

/** The picture, and over it the handles of the chosen strip. */
export function View({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const box = useRef<HTMLDivElement>(null);
    const canvas = useRef<HTMLCanvasElement>(null);
    const view = useSize(box);
    const camera = useWork((state) => state.camera);
    const tool = useWork(toolOf);
    const clean = useWork((state) => state.clean);
    const dark = useWork((state) => state.darkSurround);
    const drawing = useWork(drawingOf);
    const comparing = useWork((state) => state.comparing);
    const flipTo = useWork((state) => (state.flipped ? state.flipTo : null));
    const [spaceHeld, setSpaceHeld] = useState(false);
    const [over, setOver] = useState(false);
    const lens = useMemo(() => lensOf(camera, scene, view), [camera, scene, view]);
    const { shown, isLate, progress, problem, again } = usePicture(canvas, scene, lens, view);
    const hovered = useRef(false);
    const wheel = useRef(0);
    const pinchedFrom = useRef<{ lens: typeof lens; at: Point } | null>(null);
    const pressed = useRef<Point | null>(null);
    const [menuAt, setMenuAt] = useState<{ at: Point; plates: string[] }>({ at: [0, 0], plates: [] });
    const pans = tool === 'pan' || spaceHeld;

    useEffect(() => work.sized(view), [view]);

    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const inField = event.target instanceof HTMLElement && /^(input|textarea|select)$/i.test(event.target.tagName);
            if (event.code === 'Space' && hovered.current && !inField) {
                event.preventDefault();
                setSpaceHeld(event.type === 'keydown');
            }
        };
        window.addEventListener('keydown', onKey, true);
        window.addEventListener('keyup', onKey, true);
        return () => {
            window.removeEventListener('keydown', onKey, true);
            window.removeEventListener('keyup', onKey, true);
        };
    }, []);

    function onWheel(event: WheelEvent) {
        const at = inView(event, box.current);
        work.moveView(zoomedAt(lens, view, at, Math.exp(-event.deltaY * 0.0016)), event.timeStamp);
        window.clearTimeout(wheel.current);
        wheel.current = window.setTimeout(() => work.rest(), WHEEL_RESTS_MS);
    }

    // two fingers zoom and move the picture, whatever the tool
    usePinch(
        ({ first, last, origin, movement: [factor], event }) => {
            const at = inView({ clientX: origin[0], clientY: origin[1] }, box.current);
            if (first) {
                letGoOfPointers();
                pressed.current = null;
                pinchedFrom.current = { lens, at };
            }
            const from = pinchedFrom.current;
            if (from) {
                const moved = panned(from.lens, view, at[0] - from.at[0], at[1] - from.at[1]);
                work.moveView(zoomedAt(lensOf(moved, scene, view), view, at, factor), event.timeStamp);
            }
            if (last) {
                pinchedFrom.current = null;
                work.rest();
            }
        },
        { target: box, pointer: { touch: true }, scaleBounds: { min: 0.01, max: 100 }, eventOptions: { passive: false } },
    );

    /** What is under a press: the foremost plate that is not locked; beneath, the one behind the chosen one; also, another one to it. */
    async function choose(at: Point, beneath: boolean, also: boolean) {
        const plates = (await api.platesAt(scene.id, at).catch(() => [])).filter((id) => !everyStrip(scene.strips).find((strip) => strip.id === id)?.locked);
        const { chosen } = useWork.getState();
        const next = beneath ? plates[(plates.indexOf(chosen ?? '') + 1) % plates.length] : plates[0];
        if (next === undefined) {
            return;
        }
        if (also && chosen !== null && next !== chosen) {
            work.toggleAlso(next);
        } else if (next !== chosen) {
            work.choose(next);
        }
    }

    function onPress(event: PointerEvent) {
        const from = pressed.current;
        pressed.current = null;
        const to = inView(event, box.current);
        const isPress = from !== null && Math.hypot(to[0] - from[0], to[1] - from[1]) < STILL;
        if (isPress && isFree(useWork.getState().pointer) && !spaceHeld) {
            void choose(toScene(lens, to), event.altKey, event.shiftKey);
        }
    }

    function onPan(event: PointerEvent) {
        const isOnPicture = event.button === 0 && !(event.target as Element).closest(NO_SUBJECT);
        pressed.current = isOnPicture ? inView(event, box.current) : null;
        // who works on the picture is not typing any more: single letters are keys again
        if (document.activeElement instanceof HTMLInputElement || document.activeElement instanceof HTMLSelectElement) {
            box.current?.focus({ preventScroll: true });
        }
        if (!pans && event.button !== 1) {
            return;
        }
        event.preventDefault();
        const start: Point = [event.clientX, event.clientY];
        follow(event.currentTarget, event.pointerId, {
            move: ({ clientX, clientY, timeStamp }) =>
                work.moveView(panned(lens, view, clientX - start[0], clientY - start[1]), timeStamp),
            end: () => work.rest(),
            cancel: () => {
                work.stand(camera);
                work.rest();
            },
        });
    }

    async function onDrop(event: DragEvent) {
        event.preventDefault();
        setOver(false);
        const at = toScene(lens, inView(event, box.current));
        await gestures.addPlates(Array.from(event.dataTransfer.files), at);
    }

    function onKeyDown(event: React.KeyboardEvent) {
        const step = event.shiftKey ? 10 : 1;
        const by: Record<string, Point> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
        const delta = by[event.key];
        if (delta && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            const [dx, dy] = [Math.sign(delta[0]) * view.width * PANS, Math.sign(delta[1]) * view.height * PANS];
            work.stand(panned(lens, view, -dx, -dy));
            return;
        }
        const { chosen, pending } = useWork.getState();
        const source = sourceOf(scene, chosen, pending);
        if (delta && source?.seenAt && event.target === event.currentTarget) {
            event.preventDefault();
            gestures.nudge(sourceName(source.id), { at: [source.seenAt[0] + delta[0], source.seenAt[1] + delta[1]] }, 'Nudge');
            return;
        }
        const strip = everyStrip(scene.strips, pending).find((other) => other.id === chosen);
        if (!delta || !strip || event.target !== event.currentTarget) {
            return;
        }
        event.preventDefault();
        const change = nudged(strip, delta);
        if (change) {
            gestures.nudge(strip.id, change, 'Nudge');
        }
    }

    const named = (id: string) => everyStrip(scene.strips).find((strip) => strip.id === id)?.name ?? '';
    const menu: Item[][] = [
        menuAt.plates.map((id) => ({ label: `Choose ${named(id)}`, run: () => work.choose(id) })),
        [
            { label: 'Show the whole scene', keys: 'F', run: () => work.stand(null) },
            { label: 'Zoom in here', keys: 'Z', run: () => work.stand(zoomedAt(lens, view, toViewPlace(lens, menuAt.at), 2)) },
            { label: 'Zoom out', keys: 'X', run: () => work.stand(zoomedAt(lens, view, toViewPlace(lens, menuAt.at), 0.5)) },
        ],
        [
            { label: dark ? 'Grey surround' : 'Dark surround', run: () => work.surround(!dark) },
            { label: 'Second window, clean', run: () => void window.open(`/scenes/${scene.id}?clean`, `aumbrel ${scene.id}`) },
        ],
        [{ label: 'Bring in a picture…', run: () => void document.querySelector<HTMLInputElement>('[data-brings-plate]')?.click() }],
    ];
    function onMenu(event: { clientX: number; clientY: number }) {
        const at = toScene(lens, inView(event, box.current));
        setMenuAt({ at, plates: [] });
        void api.platesAt(scene.id, at).then(
            (plates) => setMenuAt({ at, plates }),
            () => undefined,
        );
    }

    return (
        <Menu label="Menu of the view" groups={menu} isOff={tool === 'paint' || tool === 'outline'} onOpen={onMenu}>
            <div
                ref={box}
                data-view
                tabIndex={0}
                role="application"
                aria-label="View: the picture with the handles of the chosen strip; arrow keys nudge it"
                className={`room-view relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden select-none ${dark ? 'bg-[#121212]' : 'bg-surround'} ${pans ? 'cursor-grab' : ''} ${over ? 'outline-2 -outline-offset-2 outline-warm' : ''}`}
                onWheel={onWheel}
                onPointerDownCapture={onPan}
                onPointerUp={onPress}
                onPointerEnter={() => (hovered.current = true)}
                onPointerLeave={() => {
                    hovered.current = false;
                    setSpaceHeld(false);
                }}
                onKeyDown={onKeyDown}
                onDragOver={(event) => {
                    event.preventDefault();
                    setOver(true);
                }}
                onDragLeave={() => setOver(false)}
                onDrop={onDrop}
            >
                {shown === null && <Kept scene={scene} lens={lens} />}
                <canvas ref={canvas} className="absolute inset-0 h-full w-full" data-testid="picture" />
                {comparing !== null && flipTo === null && <Beside scene={scene} lens={lens} view={view} comparing={comparing} />}
                {!clean && comparing === null && (tool === 'move' || tool === 'pan') && drawing === null && <Handles scene={scene} lens={lens} view={view} gestures={gestures} passive={pans} />}
                {!clean && comparing === null && !pans && <ToolLayer scene={scene} lens={lens} view={view} gestures={gestures} />}
                <Scope scene={scene} lens={lens} size={view} />
                {!clean && <Overview scene={scene} lens={lens} view={view} />}
                {flipTo !== null && <Flipped name={scene.snapshots.find((snapshot) => snapshot.id === flipTo)?.name} />}
                <Seen factor={shown?.head.factors?.[0] ?? 1} clipped={shown?.head.clipped ?? 0} />
                {(isLate || progress !== null) && problem === null && (
                    <p role="status" className="pointer-events-none absolute bottom-2 left-2 rounded-sm bg-well/80 px-2 text-quiet">
                        Rendering{progress === null ? '…' : `, ${Math.floor(progress * 100)} %`}
                    </p>
                )}
                {problem && (
                    <div role="alert" className="absolute inset-x-0 top-4 mx-auto flex w-fit max-w-[80%] items-center gap-3 rounded-md border border-line bg-well px-4 py-2">
                        <span className="text-alarm">{problem.words}</span>
                        <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" onClick={again}>
                            Render again
                        </button>
                    </div>
                )}
            </div>
        </Menu>
    );
}

/** The snapshot that is seen while its key is held. */
function Flipped({ name }: { name: string | undefined }) {
    return (
        <p role="status" className="pointer-events-none absolute top-2 left-2 rounded-sm bg-well/80 px-2 text-ink">
            {name}
        </p>
    );
}

/** The scene as it last looked, until its true picture is there. */
function Kept({ scene, lens }: { scene: Scene; lens: ReturnType<typeof lensOf> }) {
    const [isThere, setIsThere] = useState(true);
    return !isThere ? null : (
        <img
            src={`/api/scenes/${scene.id}/thumbnail?kept=1`}
            alt=""
            draggable={false}
            data-testid="kept"
            className="pointer-events-none absolute max-w-none"
            style={{ left: lens.origin[0], top: lens.origin[1], width: scene.width * lens.zoom, height: scene.height * lens.zoom }}
            onError={() => setIsThere(false)}
        />
    );
}

/** In what way the picture is seen, when that is not as it is. */
function Seen({ factor, clipped }: { factor: number; clipped: number }) {
    const seeing = useWork((state) => state.seeing);
    const words: Record<Seeing, string | null> = {
        colours: null,
        values: 'Values: the picture in greys',
        clipping: clipped === 1 ? 'Clipping: 1 pixel' : `Clipping: ${clipped.toLocaleString('en')} pixels`,
        form: 'Its form, in one grey under its own light',
        passing: 'The tones at which this strip acts are white',
        alone: `What this strip adds or takes away${factor > 1 ? `, brightened ${factor.toFixed(1)} times` : ''}`,
        'alone in greys': `How much this strip adds or takes away${factor > 1 ? `, brightened ${factor.toFixed(1)} times` : ''}`,
    };
    return words[seeing] === null ? null : (
        <p role="status" className="pointer-events-none absolute top-2 right-2 rounded-sm bg-well/80 px-2 text-quiet">
            {words[seeing]}
        </p>
    );
}

function inView(event: { clientX: number; clientY: number }, box: HTMLElement | null): Point {
    const bounds = box?.getBoundingClientRect();
    return [event.clientX - (bounds?.left ?? 0), event.clientY - (bounds?.top ?? 0)];
}

function useSize(box: React.RefObject<HTMLElement | null>): Size {
    const [size, setSize] = useState<Size>({ width: 0, height: 0 });
    useLayoutEffect(() => {
        const element = box.current;
        if (!element) {
            return;
        }
        const observer = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
        observer.observe(element);
        return () => observer.disconnect();
    }, [box]);
    return size;
}

/** Whether a press on the picture chooses what lies there. */
function isFree(pointer: Pointer): boolean {
    switch (pointer.does) {
        case 'tool':
            return pointer.tool === 'move';
        case 'fit':
        case 'pivot':
            return true;
        case 'pick':
        case 'place':
        case 'mark':
        case 'draw':
        case 'sphere':
            return false;
    }
}
