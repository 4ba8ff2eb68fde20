import { useEffect, useRef, useState } from 'react';
import { api } from '../../api/client';
import type { Node, Point } from '../../api/types';
import { useWork } from '../../session/store';
import { follow } from '../../ui/pointer';
import { toView } from '../../session/camera';
import { groundOf } from '../../session/ground';
import { OutlineHandles, pathOf } from '../handles/OutlineHandles';
import { placing } from './place';
import { groundFor, isOfLines, joinOf } from './target';
import type { StripLayerProps } from './types';

/** How near the first point a click closes the outline, CSS pixels. */
const CLOSES = 11;

const STRAIGHT = 4;

/** Draws an outline: click for corners, drag for curves, close on the first point or with enter. */
export function OutlineLayer({ scene, strip, lens, view, gestures }: StripLayerProps) {
    const [nodes, setNodes] = useState<Node[]>([]);
    /** The nodes before each click, to go back to. */
    const [earlier, setEarlier] = useState<Node[][]>([]);
    const [hover, setHover] = useState<Point | null>(null);
    const takesAway = useWork((state) => state.takesAway);
    const chosenMask = useWork((state) => state.mask);
    const on = groundFor(strip, useWork((state) => state.paints));
    // a line that shines may end anywhere; an outline comes back to where it began
    const isLine = on === 'emitter' && isOfLines(strip);
    const open = strip.masks.find((mask) => mask.id === chosenMask && mask.kind === 'outline');

    const alongEdges = useWork((state) => state.alongEdges) && on === 'plate';
    /** The way along the edges from the last node to a place, in the scene. */
    const [way, setWay] = useState<Point[]>([]);
    const asking = useRef<{ busy: boolean; next: Point | null }>({ busy: false, next: null });
    /** The nodes as they are at this moment, and the clicks whose way is still looked for: the next one waits for them. */
    const latest = useRef<Node[]>([]);
    const clicks = useRef<Promise<void>>(Promise.resolve());

    function put(next: Node[]) {
        latest.current = next;
        setNodes(next);
    }

    /** Looks for the way to where the pointer is; while one is looked for, only the newest place counts. */
    async function look(from: Point, to: Point): Promise<Point[]> {
        const ground = groundOf(strip, 'plate');
        const { path } = await api.edge(scene.id, strip.id, ground.fromScene(from), ground.fromScene(to));
        return path.map((point) => ground.toScene(point));
    }

    function follows(to: Point) {
        const last = nodes[nodes.length - 1];
        if (!alongEdges || !last) {
            return;
        }
        if (asking.current.busy) {
            asking.current.next = to;
            return;
        }
        asking.current.busy = true;
        look(last.at, to)
            .then(setWay, () => setWay([]))
            .finally(() => {
                asking.current.busy = false;
                const next = asking.current.next;
                asking.current.next = null;
                if (next) {
                    follows(next);
                }
            });
    }

    /** Goes along the edges to a place that was clicked, or back to the first one; not when the outline was taken back meanwhile. */
    async function goAlong(at: Point): Promise<void> {
        const now = latest.current;
        const [first, last] = [now[0], now[now.length - 1]];
        if (!first || !last) {
            return;
        }
        const closes = now.length > 1 && isNear(first.at, at);
        const to = closes ? first.at : at;
        const found = await look(last.at, to).catch(() => []);
        if (latest.current !== now) {
            return;
        }
        setWay([]);
        const all = [...now, ...found.slice(1, -1).map((at): Node => ({ at }))];
        if (closes) {
            close(all);
        } else {
            setEarlier((before) => [...before, now]);
            put([...all, { at: to }]);
        }
    }

    function isNear(one: Point, other: Point): boolean {
        return Math.hypot(other[0] - one[0], other[1] - one[1]) * lens.zoom < CLOSES;
    }

    function drop() {
        put([]);
        setEarlier([]);
        setWay([]);
    }

    function close(closed: Node[]) {
        drop();
        if (closed.length < 2) {
            return;
        }
        const ground = groundOf(strip, on);
        const path = closed.map(({ at, in: before, out: after }): Node => {
            const place = ground.fromScene(at);
            const from = (way: Point | undefined): Point | undefined => {
                if (!way) {
                    return undefined;
                }
                const end = ground.fromScene([at[0] + way[0], at[1] + way[1]]);
                return [round(end[0] - place[0]), round(end[1] - place[1])];
            };
            const node: Node = { at: [round(place[0]), round(place[1])] };
            const [arriving, leaving] = [from(before), from(after)];
            return { ...node, ...(arriving ? { in: arriving } : {}), ...(leaving ? { out: leaving } : {}) };
        });
        void gestures.addMask(strip.id, 'outline', [0, 0], 1, { on, join: joinOf(strip, on, takesAway), values: { path } });
    }

    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            if (nodes.length === 0 || (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox')) {
                return;
            }
            if (event.key === 'Enter') {
                close(nodes);
            } else if (event.key === 'Escape') {
                drop();
            } else if (event.key === 'Backspace' || event.key === 'Delete') {
                put(earlier[earlier.length - 1] ?? []);
                setEarlier(earlier.slice(0, -1));
                setWay([]);
            } else {
                return;
            }
            event.preventDefault();
            event.stopPropagation();
        };
        window.addEventListener('keydown', onKey, true);
        return () => window.removeEventListener('keydown', onKey, true);
    });

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at, place } = placing(event, lens);
        if (alongEdges && latest.current.length > 0) {
            clicks.current = clicks.current.then(() => goAlong(at));
            return;
        }
        const [first] = nodes;
        const last = nodes[nodes.length - 1];
        const ends = nodes.length > 1 && ((isLine && last && isNear(last.at, at)) || (first && isNear(first.at, at)));
        if (ends) {
            close(nodes);
            return;
        }
        setEarlier([...earlier, nodes]);
        const start: Point = [event.clientX, event.clientY];
        put([...nodes, { at }]);
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                if (Math.hypot(pointer.clientX - start[0], pointer.clientY - start[1]) < STRAIGHT) {
                    return;
                }
                const [x, y] = place(pointer);
                const out: Point = [x - at[0], y - at[1]];
                put([...nodes, { at, out, in: [-out[0], -out[1]] }]);
            },
            end: () => undefined,
            cancel: () => {
                put(nodes);
                setEarlier(earlier);
            },
        });
    }

    const isDrawing = nodes.length > 0;
    const drawn: Node[] = way.length > 1 ? [...nodes, ...way.slice(1).map((at) => ({ at }))] : hover ? [...nodes, { at: hover }] : nodes;
    return (
        <svg
            data-testid="outline"
            className="absolute inset-0 h-full w-full cursor-crosshair"
            width={view.width}
            height={view.height}
            onPointerDown={onPointerDown}
            onPointerMove={(event) => {
                const { at } = placing(event, lens);
                setHover(isDrawing ? at : null);
                follows(at);
            }}
        >
            {!isDrawing && open && <OutlineHandles scene={scene} strip={strip} mask={open} outlines={{}} lens={lens} gestures={gestures} />}
            {isDrawing && (
                <g pointerEvents="none" fill="none">
                    <path d={pathOf(drawn, (point) => toView(lens, point), false)} stroke="#161616" strokeOpacity={0.55} strokeWidth={3} />
                    <path d={pathOf(drawn, (point) => toView(lens, point), false)} stroke="#f4f4f4" strokeWidth={1.25} />
                    {nodes.filter((node, index) => index === 0 || !alongEdges || node === nodes[nodes.length - 1]).map(({ at, out }, index) => {
                        const [x, y] = toView(lens, at);
                        const ends = out ? [toView(lens, [at[0] + out[0], at[1] + out[1]]), toView(lens, [at[0] - out[0], at[1] - out[1]])] : [];
                        return (
                            <g key={index}>
                                {ends.map(([u, v], end) => (
                                    <line key={end} x1={x} y1={y} x2={u} y2={v} stroke="#f4f4f4" strokeWidth={1} />
                                ))}
                                <circle cx={x} cy={y} r={index === 0 ? 6 : 3.5} fill={index === 0 ? '#f2a950' : '#f4f4f4'} stroke="#161616" strokeWidth={1.5} />
                            </g>
                        );
                    })}
                </g>
            )}
        </svg>
    );
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}
