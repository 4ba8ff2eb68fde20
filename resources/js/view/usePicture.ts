import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { api, Refused } from '../api/client';
import type { Scene } from '../api/types';
import { restScale, windowOf, type Lens, type Size } from '../session/camera';
import { everyStrip, plateOf } from '../session/strips';
import { useWork, work, type Seeing } from '../session/store';
import { AMBIENT, everySource, STAGE } from '../session/things';
import { paint } from './paint';
import { PictureLoop, type Shown, type Wanted } from './pictureLoop';

/** A picture that failed is asked for again as soon as the server answers; it is looked for this often. */
const ASK_AGAIN_MS = 1500;

/** How the picture is looked at: all of a wish but what the hand is changing. */
type Way = Omit<Wanted, 'changes' | 'below' | 'moving' | 'since'>;

/** Keeps the newest picture of what is looked at on a canvas. */
export function usePicture(canvas: RefObject<HTMLCanvasElement | null>, scene: Scene, lens: Lens, view: Size) {
    const [shown, setShown] = useState<Shown | null>(null);
    /** A long picture of which some bands are there. */
    const [coming, setComing] = useState<Shown | null>(null);
    const [isLate, setLate] = useState(false);
    const [progress, setProgress] = useState<number | null>(null);
    const [problem, setProblem] = useState<{ words: string; passes: boolean } | null>(null);
    const [attempt, setAttempt] = useState(0);
    const pending = useWork((state) => state.pending);
    const moving = useWork((state) => state.moving);
    const solo = useWork((state) => state.solo);
    const before = useWork((state) => state.before);
    const snapshot = useWork((state) => (state.flipped ? state.flipTo : null));
    const maskTinted = useWork((state) => state.maskTinted);
    const mask = useWork((state) => state.maskTinted ?? state.maskAlone);
    const over = maskTinted !== null;
    const tint = useWork((state) => state.tint);
    const seeing = useWork((state) => state.seeing);
    const chosen = useWork((state) => state.chosen);
    const strip = everyStrip(scene.strips).find((other) => other.id === chosen);
    const { as, alone, form } = seen(seeing, strip?.id ?? null, plateOf(strip));
    const loop = useRef<PictureLoop | null>(null);
    /** What the last picture at rest was asked of, whether it has come, and the newest revision that looks like it. */
    const asked = useRef<string | null>(null);
    const hasCome = useRef(false);
    const revision = useRef(scene.revision);
    const looked = useMemo(() => windowOf(lens, scene, view), [lens, scene, view]);
    const way = useMemo<Way>(
        () => ({ window: looked, scale: restScale(lens, looked, globalThis.devicePixelRatio || 1), draftScale: lens.zoom / 2, solo, before, snapshot, mask, over, tint, form, as, alone }),
        [lens, looked, solo, before, snapshot, mask, over, tint, form, as, alone],
    );
    /** What is on the screen now: pictures are asked for and painted without waiting for it to be drawn anew. */
    const drawn = useRef({ way, lens, view });
    useLayoutEffect(() => {
        drawn.current = { way, lens, view };
    }, [way, lens, view]);
    useLayoutEffect(() => paint(canvas.current, shown, coming, lens, view), [canvas, shown, coming, lens, view]);

    useEffect(() => {
        loop.current = new PictureLoop(
            scene.id,
            (next) => {
                setProblem(null);
                if (next.bands !== null) {
                    setComing(next);
                    return;
                }
                paint(canvas.current, next, null, drawn.current.lens, drawn.current.view);
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
            setLate,
        );
        return () => loop.current?.stop();
    }, [canvas, scene.id]);

    /** What was asked for while the hand moved. */
    const followed = useRef<{ changes: Wanted['changes']; way: Way } | null>(null);
    useEffect(
        () =>
            useWork.subscribe((state, last) => {
                if (state.moving && state.pending !== last.pending) {
                    const { way } = drawn.current;
                    followed.current = { changes: state.pending, way };
                    loop.current?.want({ ...way, changes: state.pending, below: state.chosen, moving: true, since: state.movedAt });
                }
            }),
        [],
    );

    useEffect(() => {
        if (view.width === 0) {
            return;
        }
        // writing a change down does not change the picture
        const content = moving ? null : JSON.stringify([everyStrip(scene.strips, pending).map((strip) => ({ ...strip, revision: 0, outlines: 0, inForce: 0 })), everySource(scene, pending), scene.stage, scene.ambient, pending[STAGE], pending[AMBIENT], scene.white, way, attempt]);
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
        if (moving && followed.current?.changes === pending && followed.current.way === way) {
            return;
        }
        loop.current?.want({ ...way, changes: pending, below: useWork.getState().chosen, moving, since: moving ? useWork.getState().movedAt : performance.now() });
    }, [scene, view, pending, moving, way, attempt]);

    // once the server can be reached again the picture comes by itself
    useEffect(() => {
        if (!problem?.passes) {
            return;
        }
        const timer = window.setInterval(() => {
            if (!loop.current?.isAwaiting) {
                void api.health().then(() => setAttempt((count) => count + 1), () => undefined);
            }
        }, ASK_AGAIN_MS);
        return () => window.clearInterval(timer);
    }, [problem]);

    return { shown, coming, isLate, progress, problem, again: useCallback(() => setAttempt((count) => count + 1), []) };
}

/** What is asked for when the picture is seen in one way or another. */
function seen(seeing: Seeing, chosen: string | null, plate: string | null): { as: 'colours' | 'values' | 'clipping' | 'passing'; alone: string | null; form: string | null } {
    switch (seeing) {
        case 'passing':
            return { as: chosen === null ? 'colours' : 'passing', alone: chosen, form: null };
        case 'alone':
            return { as: 'colours', alone: chosen, form: null };
        case 'alone in greys':
            return { as: 'values', alone: chosen, form: null };
        case 'form':
            return { as: 'colours', alone: null, form: plate };
        default:
            return { as: seeing, alone: null, form: null };
    }
}
