import { useEffect, useMemo, useRef, useState } from 'react';
import type { Changes, Scene } from '../api/types';
import { follow } from '../ui/pointer';
import { restScale, windowOf, type Lens, type Size } from '../session/camera';
import { everyStrip } from '../session/strips';
import { useWork, work, type Compared } from '../session/store';
import { paint } from './paint';
import { PictureLoop, type Shown } from './pictureLoop';

/** By how much the keys move the edge, as a share of the view. */
const STEP = 0.02;

/** What the picture is compared with, at the left of an edge that is dragged over it, or moved by keys. */
export function Beside({ scene, lens, view, comparing }: { scene: Scene; lens: Lens; view: Size; comparing: NonNullable<Compared> }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const edge = useWork((state) => state.edge);
    const shown = useOther(scene, lens, view, comparing);
    useEffect(() => paint(canvas.current, shown, null, lens, view), [shown, lens, view]);
    const left = Math.round(edge * view.width);
    return (
        <>
            <canvas ref={canvas} data-testid="compared" className="pointer-events-none absolute inset-0 h-full w-full bg-surround" style={{ clipPath: `inset(0 ${view.width - left}px 0 0)` }} />
            <Name at="left-2" text={nameOf(scene, comparing)} />
            <Name at="right-2" text="As it is" />
            <div
                role="slider"
                tabIndex={0}
                aria-label="Edge between what is compared"
                aria-valuemin={0}
                aria-valuemax={100}
                aria-valuenow={Math.round(100 * edge)}
                aria-valuetext={`${Math.round(100 * edge)} % ${nameOf(scene, comparing)}`}
                className="absolute top-0 bottom-0 z-10 flex w-6 -translate-x-1/2 cursor-ew-resize touch-none justify-center"
                style={{ left }}
                onPointerDown={(event) => {
                    event.preventDefault();
                    event.stopPropagation();
                    event.currentTarget.focus({ preventScroll: true });
                    const [from, start] = [event.clientX, edge];
                    follow(event.currentTarget, event.pointerId, {
                        move: ({ clientX }) => work.slide(start + (clientX - from) / view.width),
                        end: () => undefined,
                        cancel: () => work.slide(start),
                    });
                }}
                onKeyDown={(event) => {
                    const by = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
                    const to = { Home: 0, End: 1 }[event.key];
                    if (by !== undefined || to !== undefined) {
                        event.preventDefault();
                        event.stopPropagation();
                        work.slide(to ?? edge + (by ?? 0) * (event.shiftKey ? 5 : 1));
                    }
                }}
            >
                <span className="h-full w-px bg-white/90 shadow-[0_0_0_1px_rgba(0,0,0,0.5)]" />
                <span className="absolute top-1/2 h-9 w-2 -translate-y-1/2 rounded-full border border-black/50 bg-white/90" aria-hidden />
            </div>
        </>
    );
}

function Name({ at, text }: { at: string; text: string }) {
    return <p className={`pointer-events-none absolute top-2 ${at} max-w-[45%] truncate rounded-sm bg-well/80 px-2 text-quiet`}>{text}</p>;
}

export function nameOf(scene: Scene, comparing: NonNullable<Compared>): string {
    if ('before' in comparing) {
        return 'Before it was lit';
    }
    if ('without' in comparing) {
        return `Without ${everyStrip(scene.strips).find((strip) => strip.id === comparing.without)?.name ?? 'it'}`;
    }
    return scene.snapshots.find((snapshot) => snapshot.id === comparing.snapshot)?.name ?? 'A snapshot that is gone';
}

/** The newest picture of what is compared with, at rest. */
function useOther(scene: Scene, lens: Lens, view: Size, comparing: NonNullable<Compared>): Shown | null {
    const [shown, setShown] = useState<Shown | null>(null);
    const loop = useRef<PictureLoop | null>(null);
    useEffect(() => {
        loop.current = new PictureLoop(
            scene.id,
            (next) => next.bands === null && setShown(next),
            () => setShown(null),
        );
        return () => loop.current?.stop();
    }, [scene.id]);
    const looked = useMemo(() => windowOf(lens, scene, view), [lens, scene, view]);
    const key = JSON.stringify(comparing);
    useEffect(() => {
        const to = JSON.parse(key) as NonNullable<Compared>;
        const changes: Changes = 'without' in to ? { [to.without]: { muted: true } } : {};
        loop.current?.want({
            window: looked,
            scale: restScale(lens, looked, globalThis.devicePixelRatio || 1),
            draftScale: lens.zoom / 2,
            changes,
            below: null,
            solo: [],
            before: 'before' in to,
            snapshot: 'snapshot' in to ? to.snapshot : null,
            mask: null,
            over: false,
            tint: null,
            form: null,
            as: 'colours',
            alone: null,
            moving: false,
            since: performance.now(),
        });
    }, [scene.revision, key, lens, looked]);
    return shown;
}
