import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type DragEvent, type PointerEvent, type WheelEvent } from 'react';
import { api, Refused } from '../api/client';
import type { Point, Scene } from '../api/types';
import { follow } from '../ui/pointer';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { nudged } from '../session/nudge';
import { AMBIENT, everySource, sourceName, sourceOf, STAGE } from '../session/things';
import { useWork, work, type Seeing } from '../session/store';
import { lensOf, panned, restScale, toScene, windowOf, zoomedAt, type Size } from '../session/camera';
import { Handles } from './handles/Handles';
import { ToolLayer } from './tools/ToolLayer';
import { PictureLoop, type Shown } from './pictureLoop';

/** The wheel has stopped when nothing came for this long. */
const WHEEL_RESTS_MS = 160;

/** A picture that failed is asked for again as soon as the server answers; it is looked for this often. */
const ASK_AGAIN_MS = 1500;

/** The picture, and over it the handles of the chosen strip. */
export function View({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const box = useRef<HTMLDivElement>(null);
    const canvas = useRef<HTMLCanvasElement>(null);
    const view = useSize(box);
    const camera = useWork((state) => state.camera);
    const tool = useWork((state) => state.tool);
    const clean = useWork((state) => state.clean);
    const drawing = useWork((state) => state.drawing);
    const [spaceHeld, setSpaceHeld] = useState(false);
    const [over, setOver] = useState(false);
    const lens = useMemo(() => lensOf(camera, scene, view), [camera, scene, view]);
    const { shown, coming, progress, problem, again } = usePicture(scene, lens, view);
    const hovered = useRef(false);
    const wheel = useRef(0);
    const pans = tool === 'pan' || spaceHeld;

    useLayoutEffect(() => paint(canvas.current, shown, coming, lens, view), [shown, coming, lens, view]);

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

    function onPan(event: PointerEvent) {
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
        });
    }

    async function onDrop(event: DragEvent) {
        event.preventDefault();
        setOver(false);
        const at = toScene(lens, inView(event, box.current));
        for (const file of Array.from(event.dataTransfer.files)) {
            await gestures.addPlate(file, at[0], at[1]);
        }
    }

    function onKeyDown(event: React.KeyboardEvent) {
        const step = event.shiftKey ? 10 : 1;
        const by: Record<string, Point> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
        const delta = by[event.key];
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

    return (
        <div
            ref={box}
            tabIndex={0}
            role="application"
            aria-label="View: the picture with the handles of the chosen strip; arrow keys nudge it"
            className={`relative min-h-0 min-w-0 flex-1 touch-none overflow-hidden bg-surround select-none ${pans ? 'cursor-grab' : ''} ${over ? 'outline-2 -outline-offset-2 outline-warm' : ''}`}
            onWheel={onWheel}
            onPointerDownCapture={onPan}
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
            <canvas ref={canvas} className="absolute inset-0 h-full w-full" data-testid="picture" />
            {!clean && (tool === 'move' || tool === 'pan') && drawing === null && <Handles scene={scene} lens={lens} view={view} gestures={gestures} passive={pans} />}
            {!clean && !pans && <ToolLayer scene={scene} lens={lens} view={view} gestures={gestures} />}
            <Seen factor={shown?.head.factor ?? 1} clipped={shown?.head.clipped ?? 0} />
            {progress !== null && (
                <p role="status" className="pointer-events-none absolute bottom-2 left-2 rounded-sm bg-well/80 px-2 text-quiet">
                    Rendering, {Math.floor(progress * 100)} %
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
    );
}

/** In what way the picture is seen, when that is not as it is. */
function Seen({ factor, clipped }: { factor: number; clipped: number }) {
    const seeing = useWork((state) => state.seeing);
    const words: Record<Seeing, string | null> = {
        colours: null,
        values: 'Values: the picture in greys',
        clipping: clipped === 1 ? 'Clipping: 1 pixel' : `Clipping: ${clipped.toLocaleString('en')} pixels`,
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

/** The newest picture of what is looked at. */
function usePicture(scene: Scene, lens: ReturnType<typeof lensOf>, view: Size) {
    const [shown, setShown] = useState<Shown | null>(null);
    /** A long picture of which some bands are there. */
    const [coming, setComing] = useState<Shown | null>(null);
    const [progress, setProgress] = useState<number | null>(null);
    const [problem, setProblem] = useState<{ words: string; passes: boolean } | null>(null);
    const [attempt, setAttempt] = useState(0);
    const pending = useWork((state) => state.pending);
    const moving = useWork((state) => state.moving);
    const solo = useWork((state) => state.solo);
    const before = useWork((state) => state.before);
    const mask = useWork((state) => state.maskAlone);
    const tint = useWork((state) => state.tint);
    const seeing = useWork((state) => state.seeing);
    const chosen = useWork((state) => state.chosen);
    const { as, alone } = seen(seeing, everyStrip(scene.strips).some((strip) => strip.id === chosen) ? chosen : null);
    const loop = useRef<PictureLoop | null>(null);
    /** What the last picture at rest was asked of, whether it has come, and the newest revision that looks like it. */
    const asked = useRef<string | null>(null);
    const hasCome = useRef(false);
    const revision = useRef(scene.revision);

    useEffect(() => {
        loop.current = new PictureLoop(
            scene.id,
            (next) => {
                setProblem(null);
                if (next.bands !== null) {
                    setComing(next);
                    return;
                }
                setComing(null);
                setShown(next);
                const { compass, readings, ...lines } = next.head;
                const noticed = compass && readings ? { compass, readings } : {};
                if (!next.draft) {
                    hasCome.current = true;
                    work.settled(revision.current, noticed);
                } else {
                    work.drafted(lines, noticed);
                }
            },
            (error) => {
                setComing(null);
                setProblem({ words: error instanceof Error ? error.message : 'The picture could not be rendered.', passes: error instanceof Refused && (error.status === 0 || error.status >= 500) });
            },
            setProgress,
        );
        return () => loop.current?.stop();
    }, [scene.id]);

    const looked = useMemo(() => windowOf(lens, scene, view), [lens, scene, view]);
    useEffect(() => {
        if (view.width === 0) {
            return;
        }
        const scale = restScale(lens, looked, globalThis.devicePixelRatio || 1);
        // writing a change down does not change the picture
        const content = moving ? null : JSON.stringify([everyStrip(scene.strips, pending).map((strip) => ({ ...strip, revision: 0, outlines: 0, inForce: 0 })), everySource(scene, pending), scene.stage, scene.ambient, pending[STAGE], pending[AMBIENT], scene.white, looked, scale, solo, before, mask, tint, as, alone, attempt]);
        if (content !== null && content === asked.current) {
            revision.current = scene.revision;
            if (hasCome.current) {
                work.sameAs(scene.revision);
            }
            return;
        }
        asked.current = content;
        hasCome.current = false;
        revision.current = scene.revision;
        loop.current?.want({
            window: looked,
            scale,
            draftScale: lens.zoom / 2,
            changes: pending,
            below: useWork.getState().chosen,
            solo,
            before,
            mask,
            tint,
            as,
            alone,
            moving,
            since: moving ? useWork.getState().movedAt : performance.now(),
        });
    }, [scene, lens, looked, view, pending, moving, solo, before, mask, tint, as, alone, attempt]);

    // once the server can be reached again the picture comes by itself
    useEffect(() => {
        if (!problem?.passes) {
            return;
        }
        const timer = window.setInterval(() => api.health().then(() => setAttempt((count) => count + 1), () => undefined), ASK_AGAIN_MS);
        return () => window.clearInterval(timer);
    }, [problem]);

    return { shown, coming, progress, problem, again: useCallback(() => setAttempt((count) => count + 1), []) };
}

/** What is asked for when the picture is seen in one way or another. */
function seen(seeing: Seeing, chosen: string | null): { as: 'colours' | 'values' | 'clipping'; alone: string | null } {
    switch (seeing) {
        case 'alone':
            return { as: 'colours', alone: chosen };
        case 'alone in greys':
            return { as: 'values', alone: chosen };
        default:
            return { as: seeing, alone: null };
    }
}

const held = new WeakMap<ImageData, { canvas: HTMLCanvasElement; bands: number; isWhole: boolean }>();

/** The pixels of a picture on a canvas of their own; of one that is coming, each band once. */
function canvasOf({ image, bands }: Shown): HTMLCanvasElement {
    let kept = held.get(image);
    if (!kept) {
        const canvas = document.createElement('canvas');
        canvas.width = image.width;
        canvas.height = image.height;
        kept = { canvas, bands: 0, isWhole: false };
        held.set(image, kept);
    }
    const context = kept.isWhole ? null : kept.canvas.getContext('2d');
    if (bands === null) {
        context?.putImageData(image, 0, 0);
        kept.isWhole = true;
    } else {
        bands.slice(kept.bands).forEach(([first, rows]) => context?.putImageData(image, 0, 0, 0, first, image.width, rows));
        kept.bands = bands.length;
    }
    return kept.canvas;
}

function paint(canvas: HTMLCanvasElement | null, shown: Shown | null, coming: Shown | null, lens: ReturnType<typeof lensOf>, view: Size): void {
    const context = canvas?.getContext('2d');
    if (!canvas || !context || view.width === 0) {
        return;
    }
    const density = globalThis.devicePixelRatio || 1;
    const width = Math.round(view.width * density);
    const height = Math.round(view.height * density);
    if (canvas.width !== width || canvas.height !== height) {
        canvas.width = width;
        canvas.height = height;
    }
    context.clearRect(0, 0, width, height);
    const lay = (picture: Shown) => {
        const { x, y, width: wide, height: high } = picture.window;
        context.imageSmoothingEnabled = picture.draft || lens.zoom * density < 2;
        context.drawImage(
            canvasOf(picture),
            (lens.origin[0] + x * lens.zoom) * density,
            (lens.origin[1] + y * lens.zoom) * density,
            Math.round(wide * lens.zoom * density),
            Math.round(high * lens.zoom * density),
        );
    };
    if (shown) {
        lay(shown);
    }
    if (coming) {
        // over what was there before: what has not come yet is clear
        lay(coming);
    } else if (shown) {
        performance.measure(shown.draft ? 'aumbrel draft' : 'aumbrel settled', { start: shown.since, end: performance.now() });
    }
}
