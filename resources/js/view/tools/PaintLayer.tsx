import { useEffect, useRef, useState } from 'react';
import type { Ground, Mask, Point, Strip, Stroke, Values } from '../../api/types';
import { mirroredStroke, Pen, play, Steadied, withPoint } from '../../pen/pen';
import { stripKinds } from '../../generated/catalogue';
import { useWork, work, type BrushSettings } from '../../session/store';
import { say } from '../../ui/notices';
import { follow } from '../../ui/pointer';
import { toScene, toView, type Lens } from '../../session/camera';
import { groundOf } from '../../session/ground';
import { clamp } from '../../session/strips';
import { Grip, Line } from '../handles/parts';
import { inWords, letsAllIn, paintTarget, startsAs } from './target';
import type { StripLayerProps } from './types';

declare global {
    interface Window {
        /** Plays the recorded stroke of the simulated pen on the view. */
        aumbrelPen?: (left: number, top: number, width: number) => void;
    }
}

/** A drag of so many CSS pixels makes the brush e times as large. */
const DOUBLED = 110;

/** Stamps lie a quarter of the radius apart, in percent. */
const SPACING = 25;

/** So long a hand must not move for the brush to stand still. */
const STILL_MS = 50;

/** Patches hold still from stroke to stroke. */
const SEED = 1;

/** Paints strokes into the chosen strip's masks: the trail is seen at once, what the core makes of it as soon as it is there. */
export function PaintLayer({ scene, strip, isPair, flips, lens, view, gestures }: StripLayerProps & { /** another strip falls where this one does not */ isPair: boolean; /** it is that other one that is painted on */ flips: boolean }) {
    const brush = useWork((state) => state.brush);
    const chosenMask = useWork((state) => state.mask);
    const trail = useWork((state) => state.trail);
    const canvas = useRef<HTMLCanvasElement>(null);
    const [cursor, setCursor] = useState<Point | null>(null);
    const target = paintTarget(strip, chosenMask, useWork((state) => state.paints));
    /** Where the last stroke went: until there is one, where it would go is said at the pointer. */
    const [painted, setPainted] = useState('');
    const isCut = target.kind === 'painted cut';
    const laid = useWork((state) => state.axis);
    const axis: [Point, Point] = laid ?? [[scene.width / 2, 0], [scene.width / 2, scene.height]];
    const line = isPair && !isCut ? lineMasks(strip) : null;
    const where = isPair && !isCut ? `the line of ${strip.name}` : inWords(strip, target);
    const isNeedless = !isPair && brush.letsIn && letsAllIn(target);

    useEffect(() => {
        // a cut begins with the subject, a glow with what shines; of a new falloff nothing is held back yet, which is what the first stroke is for
        if (target.mask === null && !isPair) {
            work.brush({ letsIn: isCut || startsAs(target) === 'hidden' });
        }
        // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each target, not whenever the brush changes
    }, [where]);

    useEffect(() => {
        drawTrail(canvas.current, trail, lens);
    }, [trail, lens, view]);

    useEffect(() => {
        const element = canvas.current;
        window.aumbrelPen = (left, top, width) => element && play(element, left, top, width);
        return () => {
            delete window.aumbrelPen;
        };
    }, []);

    /** To the right: larger; to the left: smaller. */
    function resize(event: React.PointerEvent<HTMLCanvasElement>) {
        event.preventDefault();
        const x = event.clientX;
        const { size } = brush;
        followQuietly(event, {
            move: (pointer) => {
                const larger = Math.exp((pointer.clientX - x) / DOUBLED);
                work.brush({ size: Math.round(clamp(size * larger, 1, 4000)) });
            },
            cancel: () => work.brush({ size }),
            end: () => undefined,
        });
    }

    function onPointerDown(event: React.PointerEvent<HTMLCanvasElement>) {
        if (event.button === 2) {
            resize(event);
            return;
        }
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const bounds = event.currentTarget.getBoundingClientRect();
        const pen = new Pen(brush.simulated);
        const begun = event.timeStamp;
        const hand = new Steadied(isCut ? 0 : brush.steady / 100);
        let latest: PointerEvent = event.nativeEvent;
        // what is erased with the other mouse button's key: alt swaps for one stroke
        const letsIn = (brush.letsIn !== event.altKey) !== flips;
        if (letsIn && !isPair && letsAllIn(target)) {
            say('Nothing is held back here yet, so there is nothing to let in. Hold back first, or begin with nothing.');
            return;
        }
        setPainted(where.replace(/^new /, ''));
        let points: Stroke['points'] = [];
        const earlier = useWork.getState().trail;
        const stroke = (): Stroke => ({
            size: brush.size,
            hardness: isCut ? 100 : brush.hardness,
            opacity: isCut ? 100 : brush.opacity,
            flow: isCut ? 100 : brush.flow,
            spacing: SPACING,
            letsIn,
            pressure: isCut ? 'nothing' : brush.pressure,
            points,
            ...(isCut ? {} : markOf(strip, brush, target.on === 'scene' && !isPair)),
        });
        const isSymmetric = brush.symmetric && !isCut && !isPair;
        const strokes = (): Stroke[] => (isSymmetric ? [stroke(), mirroredStroke(stroke(), axis)] : [stroke()]);
        const onOwnGround = () => strokes().map((each) => onGround(strip, target.on, each));
        const add = (moment: PointerEvent, time: number, isLast = false) => {
            const [left, top] = toScene(lens, [moment.clientX - bounds.left, moment.clientY - bounds.top]);
            const [x, y] = isLast ? [left, top] : hand.after(left, top, time);
            const pressure = pen.pressureOf({ x: moment.clientX, y: moment.clientY, time, pressure: moment.pressure, isPen: moment.pointerType === 'pen' });
            // with shift from where it began to where the hand is
            points = withPoint(moment.shiftKey ? points.slice(0, 1) : points, x, y, pressure, time - begun);
        };
        const take = (pointer: PointerEvent) => {
            latest = pointer;
            for (const moment of pointer.getCoalescedEvents?.().length ? pointer.getCoalescedEvents() : [pointer]) {
                add(moment, moment.timeStamp);
            }
            show(pointer);
        };
        const show = (pointer: PointerEvent) => {
            work.trail([...earlier, ...strokes()]);
            if (line) {
                work.live(strip.id, { masks: Object.fromEntries(line.map((mask) => [mask.id, { strokes: [stroke()] }])) }, pointer.timeStamp);
            } else if (!isCut && target.mask && !isPair) {
                work.live(strip.id, { masks: { [target.mask.id]: { strokes: onOwnGround() } } }, pointer.timeStamp);
            }
        };
        take(event.nativeEvent);
        // a hand that stands still goes on painting where strokes build up, and what is steadied comes after it
        const still = brush.flow < 100 || brush.steady > 0 ? window.setInterval(() => {
            if (performance.now() - latest.timeStamp > STILL_MS) {
                add(latest, performance.now());
                show(latest);
            }
        }, STILL_MS) : undefined;
        followQuietly(event, {
            move: (pointer) => {
                take(pointer);
                setCursor([pointer.clientX - bounds.left, pointer.clientY - bounds.top]);
            },
            cancel: () => {
                window.clearInterval(still);
                work.trail(earlier);
                work.drop(strip.id);
            },
            end: () => {
                window.clearInterval(still);
                if (brush.steady > 0) {
                    add(latest, Math.max(latest.timeStamp, begun), true);
                }
                const painted = onOwnGround();
                const label = isCut ? (letsIn ? 'Paint the subject' : 'Paint the background') : letsIn ? 'Let in' : 'Hold back';
                if (line) {
                    work.live(strip.id, { masks: Object.fromEntries(line.map((mask) => [mask.id, { strokes: [stroke()] }])) });
                    void gestures.commit(strip.id, 'Paint the line');
                } else if (isPair && !isCut) {
                    void gestures.paintLine(strip.id, stroke());
                } else if (target.mask) {
                    work.live(strip.id, { masks: { [target.mask.id]: { strokes: painted } } });
                    void gestures.commit(strip.id, label);
                } else {
                    const start: Values = isCut ? {} : { start: startsAs(target) };
                    void gestures.addMask(strip.id, target.kind, [0, 0], 1, { on: target.on, values: { ...start, strokes: painted } });
                }
            },
        });
    }

    const isSaidThere = cursor !== null && (isNeedless || painted !== where);

    return (
        <>
            <canvas
                ref={canvas}
                data-testid="paint"
                width={view.width}
                height={view.height}
                className="absolute inset-0 h-full w-full cursor-none"
                onPointerDown={onPointerDown}
                onPointerMove={(event) => {
                    // while it is made larger or smaller the brush stays where it is
                    if (event.buttons === 2) {
                        return;
                    }
                    const bounds = event.currentTarget.getBoundingClientRect();
                    setCursor([event.clientX - bounds.left, event.clientY - bounds.top]);
                }}
                onPointerLeave={() => setCursor(null)}
                onContextMenu={(event) => event.preventDefault()}
            />
            {brush.symmetric && !isCut && !isPair && <Axis axis={axis} lens={lens} />}
            <p
                className={`pointer-events-none absolute rounded-sm bg-well/80 px-2 whitespace-nowrap text-quiet ${isSaidThere ? '' : 'top-2 left-1/2 -translate-x-1/2'}`}
                style={isSaidThere ? besideCursor(cursor, view) : undefined}
                data-testid="target"
            >
                {isNeedless ? `Nothing is held back yet on the ${where.replace(/^new /, '')}` : `Paints on ${where}`}
            </p>
            {cursor && (
                <svg className="pointer-events-none absolute inset-0 h-full w-full">
                    <circle cx={cursor[0]} cy={cursor[1]} r={Math.max(2, (brush.size / 2) * lens.zoom)} fill="none" stroke="#161616" strokeWidth={2.5} strokeOpacity={0.6} />
                    <circle cx={cursor[0]} cy={cursor[1]} r={Math.max(2, (brush.size / 2) * lens.zoom)} fill="none" stroke={brush.letsIn ? '#f2a950' : '#93a5e6'} strokeWidth={1.25} />
                    {!isCut && brush.hardness > 0 && brush.hardness < 100 && <circle cx={cursor[0]} cy={cursor[1]} r={(brush.size / 2) * lens.zoom * (brush.hardness / 100)} fill="none" stroke="#f4f4f4" strokeOpacity={0.5} strokeDasharray="3 3" />}
                </svg>
            )}
        </>
    );
}

/** The line on both sides of which strokes are painted; its ends are dragged. */
function Axis({ axis, lens }: { axis: [Point, Point]; lens: Lens }) {
    const drag = (end: 0 | 1) => (event: React.PointerEvent<SVGGElement>) => {
        event.preventDefault();
        event.stopPropagation();
        const { left, top } = (event.currentTarget.closest('svg') ?? event.currentTarget).getBoundingClientRect();
        followQuietly(event, {
            move: (pointer) => {
                const at = toScene(lens, [pointer.clientX - left, pointer.clientY - top]);
                work.lay(end === 0 ? [at, axis[1]] : [axis[0], at]);
            },
            cancel: () => work.lay(axis),
            end: () => undefined,
        });
    };
    return (
        <svg className="pointer-events-none absolute inset-0 h-full w-full">
            <Line lens={lens} points={axis} dashed />
            <g className="pointer-events-auto">
                <Grip lens={lens} at={axis[0]} label="Line of symmetry, one end" onGrab={drag(0)} />
                <Grip lens={lens} at={axis[1]} label="Line of symmetry, other end" onGrab={drag(1)} />
            </g>
        </svg>
    );
}

/** Beside the pointer, on the side where there is more room. */
function besideCursor([x, y]: Point, view: { width: number; height: number }): React.CSSProperties {
    return { ...(x < view.width / 2 ? { left: x + 18 } : { right: view.width - x + 18 }), top: Math.min(view.height - 30, y + 14) };
}

/** What the brush leaves beside a plain mark: a lamp's pool for a torch, an irregular tip, patches where it is dappled; and where it stays. */
function markOf(strip: Strip, { stretch, dapples, tip, grid, alike }: BrushSettings, isOnScene: boolean): Partial<Stroke> {
    const own = stripKinds.find((kind) => kind.key === strip.kind)?.tip;
    const irregular = tip === 'brush' ? {} : { tip, seed: SEED, ...(grid === '' ? {} : { grid }) };
    return { ...(own && own !== 'brush' ? { tip: own, stretch } : irregular), ...(dapples > 0 ? { dapples, seed: SEED } : {}), ...(isOnScene && alike > 0 ? { alike } : {}) };
}

/** The two masks of strokes over the line of a pair: one adds, one leaves only what is held; null before the first stroke. */
function lineMasks(strip: Strip): Mask[] | null {
    const of = (join: string, start: string) => strip.masks.findLast((mask) => mask.kind === 'strokes' && mask.on === 'scene' && mask.join === join && mask.values.start === start);
    const [adds, holds] = [of('add', 'hidden'), of('intersect', 'shown')];
    return adds && holds ? [adds, holds] : null;
}

/** Follows the pointer; one that is only played has nothing to capture. */
function followQuietly(event: React.PointerEvent<Element>, hand: Parameters<typeof follow>[2]): () => void {
    return follow(event.currentTarget, event.nativeEvent.isTrusted ? event.pointerId : null, hand);
}

/** A stroke in the coordinates of what it is painted on. */
function onGround(strip: Strip, on: Ground, stroke: Stroke): Stroke {
    if (on !== 'plate') {
        return stroke;
    }
    const ground = groundOf(strip, on);
    const first = stroke.points[0] ?? [0, 0, 1, 0];
    return {
        ...stroke,
        size: Math.max(0.5, Math.round((stroke.size / ground.scale([first[0], first[1]])) * 10) / 10),
        points: stroke.points.map(([x, y, pressure, time]) => {
            const [u, v] = ground.fromScene([x, y]);
            return [Math.round(u * 10) / 10, Math.round(v * 10) / 10, pressure, time];
        }),
    };
}

/** A short-lived trail, so that the hand sees where it was; the picture follows. */
function drawTrail(canvas: HTMLCanvasElement | null, trail: Stroke[], lens: Lens): void {
    const context = canvas?.getContext('2d');
    if (!canvas || !context) {
        return;
    }
    context.clearRect(0, 0, canvas.width, canvas.height);
    context.lineCap = 'round';
    context.lineJoin = 'round';
    for (const stroke of trail) {
        context.strokeStyle = stroke.letsIn ? 'rgba(242, 169, 80, 0.45)' : 'rgba(147, 165, 230, 0.45)';
        context.lineWidth = Math.max(2, stroke.size * lens.zoom);
        context.beginPath();
        stroke.points.forEach(([x, y], at) => {
            const [u, v] = toView(lens, [x, y]);
            if (at === 0) {
                context.moveTo(u, v);
                context.lineTo(u + 0.01, v);
            } else {
                context.lineTo(u, v);
            }
        });
        context.stroke();
    }
}
