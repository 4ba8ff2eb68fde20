import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api } from '../api/client';
import type { PlaceValues, Point, Scene, ScopeCounts } from '../api/types';
import { OneOf } from '../controls/OneOf';
import { toScene, toView, type Lens, type Size } from '../session/camera';
import { useLookedAt, useRests } from '../session/resting';
import { useWork, work, type Scoped } from '../session/store';
import { everyStrip } from '../session/strips';
import { chroma, tones, waveform } from './draw';

const [WIDE, HIGH] = [224, 104];

const DRAWN = { tones, waveform, chroma };

const view = Math.random().toString(36).slice(2);

let number = 0;

/** The values under the pointer are asked for at most so often. */
const EVERY_MS = 90;

/** What the picture is made of: its tones, where they lie across, its colours; where it is brightest, and the values under the pointer. */
export function Scope({ scene, lens, size }: { scene: Scene; lens: Lens; size: Size }) {
    const scope = useWork((state) => state.scope);
    return scope === null ? null : <Panel scene={scene} lens={lens} size={size} scope={scope} />;
}

function Panel({ scene, lens, size, scope }: { scene: Scene; lens: Lens; size: Size; scope: Exclude<Scoped, null> }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    const box = useRef<HTMLDivElement>(null);
    const chosen = useWork((state) => state.chosen);
    const ofStrip = useWork((state) => state.scopeOfStrip);
    const strip = everyStrip(scene.strips).find((other) => other.id === chosen && other.family !== 'group');
    const counts = useCounts(scene, ofStrip && strip ? strip.id : null);
    const values = useValues(scene, lens, box);
    const onPlate = useOnPlate(scene, counts.found?.brightest ?? null, counts.window);

    useEffect(() => {
        const [element, found] = [canvas.current, counts.found];
        const context = element?.getContext('2d');
        if (!element || !context || !found) {
            return;
        }
        const dense = window.devicePixelRatio || 1;
        element.width = WIDE * dense;
        element.height = HIGH * dense;
        context.setTransform(dense, 0, 0, dense, 0, 0);
        context.clearRect(0, 0, WIDE, HIGH);
        DRAWN[scope](context, found, WIDE, HIGH);
    }, [counts.found, scope]);

    const percent = (share: number) => `${share > 0 && share < 0.001 ? '<0.1' : (100 * share).toFixed(1)} %`;
    const brightest = counts.found?.brightest ?? null;
    const [x, y, width, height] = counts.window;
    const mark = brightest && !ofStrip ? toView(lens, [x + brightest[0] * width, y + brightest[1] * height]) : null;
    return (
        <>
            {mark && mark[0] > 0 && mark[1] > 0 && mark[0] < size.width && mark[1] < size.height && (
                <svg className="pointer-events-none absolute inset-0 h-full w-full" data-testid="brightest">
                    <circle cx={mark[0]} cy={mark[1]} r={13} fill="none" stroke="#111" strokeWidth={3.5} />
                    <circle cx={mark[0]} cy={mark[1]} r={13} fill="none" stroke="#fff" strokeWidth={1.5} strokeDasharray="4 3" />
                </svg>
            )}
            <div ref={box} role="region" aria-label="Scope" className="absolute top-2 right-2 flex flex-col gap-1.5 rounded-md border border-line bg-panel/95 p-2 text-[12px]" onPointerDown={(event) => event.stopPropagation()}>
                <OneOf<Exclude<Scoped, null>>
                    label="Scope"
                    value={scope}
                    choices={[
                        { value: 'tones', label: 'Tones', title: 'How many pixels have each tone' },
                        { value: 'waveform', label: 'Waveform', title: 'The tones at each place across' },
                        { value: 'chroma', label: 'Chroma', title: 'Where the colours lie, greys in the middle' },
                    ]}
                    onSet={(next) => work.scope(next)}
                />
                <canvas ref={canvas} role="img" aria-label={`${scope === 'tones' ? 'Histogram' : scope === 'waveform' ? 'Waveform' : 'Plane of chroma'} of what is looked at`} style={{ width: WIDE, height: HIGH }} className="rounded-sm bg-well" data-testid="scope" />
                {strip && (
                    <OneOf<'all' | 'strip'>
                        label="Scope of"
                        value={ofStrip ? 'strip' : 'all'}
                        choices={[
                            { value: 'all', label: 'The picture' },
                            { value: 'strip', label: strip.name.length > 16 ? `${strip.name.slice(0, 15)}…` : strip.name, title: `${strip.name} by itself` },
                        ]}
                        onSet={(of) => work.scopeOf(of === 'strip')}
                    />
                )}
                {counts.found && (
                    <p>
                        <span className="text-quiet">Clips</span> <span className="font-mono">{percent(counts.found.clipped)}</span> <span className="ml-2 text-quiet">black</span> <span className="font-mono">{percent(counts.found.black)}</span>
                    </p>
                )}
                {brightest && !ofStrip && (
                    <p data-testid="brightest place">
                        <span className="text-quiet">Brightest</span> <span className="font-mono">{Math.round(100 * brightest[2])} %</span> <span className="text-quiet">{onPlate}</span>
                    </p>
                )}
                <Under values={values} />
            </div>
        </>
    );
}

/** The values under the pointer in plain numbers. */
function Under({ values }: { values: PlaceValues | null }) {
    const words = ([r, g, b, luma]: [number, number, number, number]) => `${[r, g, b].map((value) => String(Math.round(255 * value)).padStart(3, ' ')).join(' ')}  ${Math.round(100 * luma)} %`;
    return (
        <dl className="grid grid-cols-[52px_1fr] font-mono whitespace-pre" data-testid="values">
            {(['after', 'before'] as const).map((when) => (
                <div key={when} className="contents">
                    <dt className="font-sans text-quiet">{when === 'after' ? 'Here' : 'Unlit'}</dt>
                    <dd>{values?.[when] ? words(values[when]) : '–'}</dd>
                </div>
            ))}
        </dl>
    );
}

function useCounts(scene: Scene, strip: string | null): { found: ScopeCounts | null; window: [number, number, number, number] } {
    const rests = useRests(scene);
    const window = useLookedAt(scene);
    const query = useQuery({ queryKey: ['scopes', scene.id, scene.revision, strip, window], queryFn: async () => ({ found: await api.scopes(scene.id, { strip, view, number: ++number, window }), window }), enabled: rests && window[2] > 0, staleTime: Infinity, placeholderData: (last) => last });
    return query.data ?? { found: null, window };
}

function useValues(scene: Scene, lens: Lens, box: React.RefObject<HTMLDivElement | null>): PlaceValues | null {
    const [values, setValues] = useState<PlaceValues | null>(null);
    const patch = useWork((state) => state.pick.patch);
    useEffect(() => {
        const stage = box.current?.parentElement;
        let wait = 0;
        let next: Point | null = null;
        let isThere = true;
        const ask = () => {
            const at = next;
            next = null;
            wait = 0;
            // a drag has the processes to itself
            if (at && !useWork.getState().moving) {
                api.values(scene.id, { at, width: patch, view, number: ++number }).then(
                    (found) => isThere && found && setValues(found),
                    () => undefined,
                );
            }
        };
        const move = (event: PointerEvent) => {
            const bounds = stage?.getBoundingClientRect();
            next = toScene(lens, [event.clientX - (bounds?.left ?? 0), event.clientY - (bounds?.top ?? 0)]);
            wait ||= globalThis.setTimeout(ask, EVERY_MS) as unknown as number;
        };
        const leave = () => setValues(null);
        stage?.addEventListener('pointermove', move);
        stage?.addEventListener('pointerleave', leave);
        return () => {
            isThere = false;
            globalThis.clearTimeout(wait);
            stage?.removeEventListener('pointermove', move);
            stage?.removeEventListener('pointerleave', leave);
        };
    }, [scene.id, scene.revision, lens, patch, box]);
    return values;
}

/** On which plate the brightest place lies, and whether that is the chosen one. */
function useOnPlate(scene: Scene, brightest: [number, number, number] | null, [x, y, width, height]: [number, number, number, number]): string {
    const chosen = useWork((state) => state.chosen);
    const at: Point | null = brightest && [x + brightest[0] * width, y + brightest[1] * height];
    const query = useQuery({ queryKey: ['brightest', scene.id, scene.revision, at], queryFn: () => api.platesAt(scene.id, at ?? [0, 0]), enabled: at !== null, staleTime: Infinity });
    const plate = everyStrip(scene.strips).find((strip) => strip.id === query.data?.[0]);
    const subject = everyStrip(scene.strips).find((strip) => strip.id === chosen && strip.family === 'plate');
    if (!plate) {
        return '';
    }
    return subject && subject.id !== plate.id ? `on ${plate.name}, not on ${subject.name}` : `on ${plate.name}`;
}
