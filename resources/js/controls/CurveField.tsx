import { RotateCcw } from 'lucide-react';
import { useId, useRef } from 'react';
import type { Point } from '../api/types';
import { curveAt, isStraight, withPoint, withPointAt } from '../session/curves';
import { useToneCounts } from '../session/counted';
import { pickingOf, useWork, work } from '../session/store';
import { follow } from '../ui/pointer';
import { hillOf } from '../ui/hill';
import { Action } from './Action';
import type { Hand, ValueProps } from './hand';

/** The drawing: tones as they are above, what becomes of them below, threads from one to the other. */
const [WIDE, HIGH, ABOVE, BELOW] = [256, 84, 34, 70];

/** How near a press is to the end of a thread, px of the drawing. */
const NEAR = 9;

/** Tones and where they go: a thread from what a tone is to what it becomes. Either end is dragged; a press on the tones above hangs a new one. */
export function CurveField({ parameter, value, hand, scene, strip }: ValueProps) {
    const box = useRef<SVGSVGElement>(null);
    const id = useId();
    const points = (Array.isArray(value) ? value : []) as Point[];
    const set = hand as Hand<Point[]>;
    const counts = useToneCounts(scene, strip.id, 'below');
    const picking = useWork(pickingOf);
    const isPicking = picking !== null && 'curve' in picking && picking.curve === strip.id && picking.parameter === parameter.name;
    const place = (event: { clientX: number; clientY: number }): Point => {
        const bounds = box.current?.getBoundingClientRect();
        return [((event.clientX - (bounds?.left ?? 0)) / (bounds?.width ?? 1)) * WIDE, ((event.clientY - (bounds?.top ?? 0)) / (bounds?.height ?? 1)) * HIGH];
    };

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const [x, y] = place(event);
        const end = y < (ABOVE + BELOW) / 2 ? 0 : 1;
        const away = points.map((point) => Math.abs(point[end] * WIDE - x));
        const nearest = away.indexOf(Math.min(...away));
        const taken = away[nearest]! <= NEAR ? { points, at: nearest } : end === 0 && points.length < parameter.most ? withPoint(points, x / WIDE) : null;
        const from = taken?.points[taken.at];
        if (!taken || !from) {
            return;
        }
        // a new thread is drawn by its lower end
        const moves = taken.points === points ? end : 1;
        let hasMoved = false;
        if (taken.points !== points) {
            set.live(taken.points, event.timeStamp);
        }
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                hasMoved = true;
                const by = (place(pointer)[0] - x) / WIDE;
                set.live(withPointAt(taken.points, taken.at, moves === 0 ? [from[0] + by, from[1]] : [from[0], from[1] + by]), pointer.timeStamp);
            },
            end: () => (hasMoved || taken.points !== points ? set.commit() : set.drop()),
            cancel: set.drop,
        });
    }

    function onKeyDown(event: React.KeyboardEvent, at: number, end: 0 | 1) {
        const point = points[at];
        const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
        if (!point || (step === undefined && event.key !== 'Delete')) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        if (step === undefined) {
            takeOut(at);
            return;
        }
        const by = step * (event.shiftKey ? 0.05 : 0.01);
        set.nudge(withPointAt(points, at, end === 0 ? [point[0] + by, point[1]] : [point[0], point[1] + by]));
    }

    function takeOut(at: number) {
        if (points.length > 2) {
            set.set(points.filter((_, other) => other !== at));
        }
    }

    const words = parameter.label.toLowerCase();
    return (
        <div className="flex flex-col gap-0.5">
            <div className="flex min-h-6 items-center gap-1.5">
                <span className="flex-1 text-quiet">{parameter.label}</span>
                <Action label="Pick a tone" title="Press on a tone in the picture and drag up or down: it becomes brighter or darker" pressed={isPicking} onPress={() => work.pickColour(isPicking ? null : { curve: strip.id, parameter: parameter.name })} />
                {!isStraight(points) && (
                    <button aria-label={`Reset ${words}`} title="Every tone as it is" className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => set.set([[0, 0], [1, 1]])}>
                        <RotateCcw size={12} />
                    </button>
                )}
            </div>
            <svg ref={box} viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" className="h-[84px] w-full cursor-ew-resize touch-none rounded-sm bg-well" data-testid={`curve ${parameter.name}`} onPointerDown={onPointerDown}>
                <title>Tones above, what becomes of them below: drag the lower end of a thread; press above to hang a new one</title>
                <defs>
                    <linearGradient id={id}>
                        <stop offset={0} stopColor="#050505" />
                        <stop offset={1} stopColor="#fafafa" />
                    </linearGradient>
                </defs>
                <path d={hillOf(counts, WIDE, ABOVE - 8, ABOVE - 8)} fill="#8a8a8a" fillOpacity={0.55} />
                <rect x={0} y={ABOVE - 8} width={WIDE} height={7} fill={`url(#${id})`} />
                <rect x={0} y={BELOW + 1} width={WIDE} height={7} fill={`url(#${id})`} />
                {Array.from({ length: 25 }, (_, k) => (
                    <line key={k} x1={(k / 24) * WIDE} y1={ABOVE} x2={curveAt(points, k / 24) * WIDE} y2={BELOW} stroke="#777" strokeOpacity={0.5} strokeWidth={1} vectorEffect="non-scaling-stroke" pointerEvents="none" />
                ))}
                {points.map(([before, after], at) => (
                    <line key={at} x1={before * WIDE} y1={ABOVE} x2={after * WIDE} y2={BELOW} stroke="#f2a950" strokeWidth={1.5} vectorEffect="non-scaling-stroke" pointerEvents="none" />
                ))}
                {points.flatMap(([before, after], at) =>
                    ([[before, ABOVE, 'before'], [after, BELOW, 'after']] as const).map(([tone, y, when], end) => (
                        <ellipse
                            key={`${at} ${when}`}
                            cx={tone * WIDE}
                            cy={y}
                            rx={end === 0 ? 2.5 : 4}
                            ry={end === 0 ? 2.5 : 4}
                            fill={end === 0 ? '#c9c9c9' : '#f2a950'}
                            stroke="#1c1c1c"
                            strokeWidth={0.8}
                            tabIndex={0}
                            className="outline-none focus-visible:stroke-white"
                            role="slider"
                            aria-label={`${parameter.label}, thread ${at + 1} ${when}`}
                            aria-valuemin={0}
                            aria-valuemax={100}
                            aria-valuenow={Math.round(tone * 100)}
                            aria-valuetext={`${Math.round(tone * 100)} %`}
                            onKeyDown={(event) => onKeyDown(event, at, end === 0 ? 0 : 1)}
                            onDoubleClick={() => takeOut(at)}
                        />
                    )),
                )}
            </svg>
        </div>
    );
}
