import { useQuery } from '@tanstack/react-query';
import { useRests } from '../../session/resting';
import { useState } from 'react';
import { api } from '../../api/client';
import type { Changes, FoundBearing, Point, Scene, StripChange, Values } from '../../api/types';
import { mapped } from '../../session/ground';
import { allowed } from '../../session/ranges';
import { everyStrip, numberOf, pointOf } from '../../session/strips';
import { fits, pivots, useWork } from '../../session/store';
import { inReach, toView } from '../../session/camera';
import { startDrag, startDragOf, type Held } from './drag';
import { figure } from '../../ui/words';
import { Grip, Line, Tag, turnOf } from './parts';
import { noHold, snapped, type Guides } from './snap';
import type { StripHandleProps } from './types';

/** Degrees to either side of the knob that the arc of turning is drawn over, and from one of its ticks to the next. */
const ARC = 45;

const TICK = 15;

/**
 * The plate's own outline as it is cut out. The quarters at its corners scale it about the pivot, or stretch it in perspective
 * one by one; the knob on the arc turns it about the pivot; inside it moves, with the other chosen plates, and the scene's edges
 * and middle hold it until it is pulled off.
 */
export function PlateHandles(props: StripHandleProps) {
    const { scene, strip, lens, gestures } = props;
    const fitting = useWork(fits);
    const pivoting = useWork(pivots);
    const also = useWork((state) => state.also);
    const step = useWork((state) => state.step);
    const rings = useOutline(scene, strip.id);
    const [guides, setGuides] = useState<Guides>({ x: null, y: null });
    const picture = scene.pictures[String(strip.values.picture)];
    if (!picture) {
        return null;
    }
    const place = pointOf(strip.values, 'place');
    const pivot = pointOf(strip.values, 'pivot');
    const scale = numberOf(strip.values, 'scale', 1);
    const turn = (numberOf(strip.values, 'turn') * Math.PI) / 180;
    const flip = strip.values.mirrored === true ? -1 : 1;
    const toScene = ([px, py]: Point): Point => {
        const [x, y] = [(px - pivot[0]) * scale * flip, (py - pivot[1]) * scale];
        return [place[0] + Math.cos(turn) * x + Math.sin(turn) * y, place[1] - Math.sin(turn) * x + Math.cos(turn) * y];
    };
    const toPicture = ([sx, sy]: Point): Point => {
        const [dx, dy] = [sx - place[0], sy - place[1]];
        return [pivot[0] + ((Math.cos(turn) * dx - Math.sin(turn) * dy) / scale) * flip, pivot[1] + (Math.sin(turn) * dx + Math.cos(turn) * dy) / scale];
    };
    const { width, height } = picture;
    const own: Point[] = [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
    ];
    const fit = Array.isArray(strip.values.fit) ? (strip.values.fit as Point[]) : null;
    const bends = fitting || fit !== null;
    // round what is there of it; in perspective the picture's own corners are what is dragged
    const corners = (bends ? (fit ?? own) : boxOf(rings, own)).map(toScene);
    const centre: Point = [corners.reduce((sum, [x]) => sum + x, 0) / 4, corners.reduce((sum, [, y]) => sum + y, 0) / 4];
    const highest = Math.max(...corners.map((corner) => -((corner[0] - place[0]) * Math.sin(turn)) - (corner[1] - place[1]) * Math.cos(turn)));
    const radius = Math.max(highest + 26 / lens.zoom, 64 / lens.zoom);
    /** A place on the arc of turning, so many degrees counterclockwise from upright. */
    const onArc = (degrees: number, more = 0): Point => {
        const way = (degrees * Math.PI) / 180;
        return [place[0] - Math.sin(way) * (radius + more / lens.zoom), place[1] - Math.cos(way) * (radius + more / lens.zoom)];
    };
    const degrees = numberOf(strip.values, 'turn');
    const knob = onArc(degrees);
    const turner = inReach(lens, knob);
    const distance = (point: Point) => Math.max(1e-6, Math.hypot(point[0] - place[0], point[1] - place[1]));
    const angle = (point: Point) => (-Math.atan2(point[1] - place[1], point[0] - place[0]) * 180) / Math.PI;
    const outlineOf = (point: Point): Point => (fit === null || !strip.maps ? toScene(point) : movedFoot(mapped(strip.maps.toScene, point)));
    const drag = (label: string, values: (at: Point, from: Point, held: Held) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from, held): StripChange => ({ values: values(at, from, held) }));

    const together = everyStrip(scene.strips).filter((other) => other.family === 'plate' && (other.id === strip.id || also.includes(other.id)));
    const onMove = (event: React.PointerEvent<Element>) => {
        const hold = noHold();
        startDragOf(
            event,
            lens,
            together.map((other) => other.id),
            gestures,
            together.length > 1 ? 'Move the plates' : 'Move the plate',
            (at, from, held): Changes => {
                const free: Point = [Math.round(at[0] - from[0]), Math.round(at[1] - from[1])];
                const { by, guides: next } = snapped(corners, free, scene, lens, hold);
                setGuides(next);
                // with shift it goes back and forth in space: its feet go along, and it grows as it comes nearer
                if (held.shift && strip.stance === 'stands') {
                    setGuides({ x: null, y: null });
                    return { [strip.id]: { walk: free } };
                }
                return Object.fromEntries(together.map((other) => [other.id, { values: { place: [pointOf(other.values, 'place')[0] + by[0], pointOf(other.values, 'place')[1] + by[1]] } }]));
            },
            () => setGuides({ x: null, y: null }),
        );
    };
    const written = everyStrip(scene.strips).find((other) => other.id === strip.id);
    const [wasX, wasY] = written ? pointOf(written.values, 'place') : place;
    // feet that are being marked stand where the hand is; others go along with the plate
    const marked = Array.isArray(strip.values.feet) && strip.values.feet !== written?.values.feet ? (strip.values.feet as Point[]).map(toScene) : null;
    const movedFoot = ([x, y]: Point): Point => [x + place[0] - wasX, y + place[1] - wasY];
    const toOwn = (point: Point) => (strip.maps ? mapped(strip.maps.toPlate, [point[0] - place[0] + wasX, point[1] - place[1] + wasY]) : toPicture(point));

    const matching = step === 'Match' && fit === null && <MatchHandles {...props} toScene={toScene} toPicture={toPicture} />;
    if (strip.locked) {
        // what is marked on it can be, it stays where it is
        return matching;
    }
    return (
        <>
            <polygon points={corners.map((corner) => toView(lens, corner).join(',')).join(' ')} fill="transparent" style={{ cursor: 'move' }} data-handle="Plate" onPointerDown={onMove} />
            {bends || !rings ? (
                <Line lens={lens} points={[...corners, corners[0] ?? [0, 0]]} dashed={!bends} />
            ) : (
                rings.map((ring, index) => <Line key={index} lens={lens} points={[...ring, ring[0] ?? [0, 0]].map(outlineOf)} />)
            )}
            {turner === knob && (
                <>
                    <Line lens={lens} points={Array.from({ length: 31 }, (_, k) => onArc(degrees + (k / 15 - 1) * ARC))} />
                    {Array.from({ length: 2 * (ARC / TICK) + 1 }, (_, k) => (Math.ceil((degrees - ARC) / TICK) + k) * TICK)
                        .filter((tick) => tick <= degrees + ARC)
                        .map((tick) => (
                            <Line key={tick} lens={lens} points={[onArc(tick, -3), onArc(tick, tick % 90 === 0 ? 9 : 4)]} />
                        ))}
                </>
            )}
            {guides.x !== null && <Line lens={lens} points={[[guides.x, 0], [guides.x, scene.height]]} colour="#93a5e6" />}
            {guides.y !== null && <Line lens={lens} points={[[0, guides.y], [scene.width, guides.y]]} colour="#93a5e6" />}
            {corners.map((corner, index) => (
                <Grip
                    key={index}
                    lens={lens}
                    at={corner}
                    label={`Corner ${index + 1}`}
                    title={bends ? undefined : `Corner ${index + 1}: scales; with shift it goes by itself, in perspective`}
                    shape="quarter"
                    turn={turnOf(corner, centre) - 45}
                    colour={bends ? '#93a5e6' : undefined}
                    onGrab={(event) =>
                        (bends || event.shiftKey
                            ? drag('Fit a corner', (at) => ({ fit: (fit ?? own).map((other, k): Point => (k === index ? roundPoint(toPicture(at)) : other)) }))
                            : drag('Scale the plate', (at, from) => ({ scale: allowed('plate', 'scale', (scale * distance(at)) / distance(from), strip.values) })))(event)
                    }
                />
            ))}
            <Grip
                lens={lens}
                at={turner}
                label="Turn"
                title={`Turn: ${figure(degrees, 0.1)}°; with shift in steps of 15°`}
                onGrab={drag('Turn the plate', (at, from, held) => {
                    const by = held.shift ? 15 : 0.1;
                    return { turn: wrap(Math.round((degrees + angle(at) - angle(from)) / by) * by) };
                })}
            />
            <Grip
                lens={lens}
                at={place}
                label="Pivot"
                title={pivoting ? 'Pivot: drag it' : 'Pivot: hold shift to move it; without, the plate moves'}
                shape="ring"
                colour={pivoting ? '#f2a950' : undefined}
                cursor={pivoting ? 'grab' : 'move'}
                onGrab={(event) => (pivoting || event.shiftKey ? drag('Pivot', (at) => ({ pivot: toPicture(at), place: at }))(event) : onMove(event))}
            />
            {strip.stance === 'stands' &&
                strip.standsOn?.map((foot, index) => (
                    <Grip
                        key={index}
                        lens={lens}
                        at={marked?.[index] ?? movedFoot(foot)}
                        label={strip.standsOn?.length === 1 ? 'Foot' : `Foot ${index + 1}`}
                        shape="half"
                        colour="#93a5e6"
                        onGrab={drag('Feet', (at) => ({ feet: (strip.standsOn ?? []).map((other, k) => roundPoint(toOwn(k === index ? at : movedFoot(other)))) }))}
                    />
                ))}
            {matching}
        </>
    );
}

/** The outline of a plate as it is written down; null until it is known. */
function useOutline(scene: Scene, id: string): Point[][] | null {
    const written = everyStrip(scene.strips).find((strip) => strip.id === id);
    const { picture, grow, soften, fillInside } = written?.values ?? {};
    const cut = JSON.stringify([picture, grow, soften, fillInside, written?.masks.filter((mask) => mask.on === 'plate')]);
    const isShown = useRests(scene);
    const query = useQuery({ queryKey: ['outline', scene.id, id, cut], queryFn: () => api.outline(scene.id, id), enabled: isShown && written !== undefined && !written.locked, staleTime: Infinity, placeholderData: (last) => last });
    return query.data && query.data.length > 0 ? query.data : null;
}

/** The corners of the rectangle that rings lie in, in pixels of their picture. */
function boxOf(rings: Point[][] | null, otherwise: Point[]): Point[] {
    const all = rings?.flat() ?? [];
    if (all.length === 0) {
        return otherwise;
    }
    const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x))];
    const [top, bottom] = [Math.min(...all.map(([, y]) => y)), Math.max(...all.map(([, y]) => y))];
    return [
        [left, top],
        [right, top],
        [right, bottom],
        [left, bottom],
    ];
}

/** The plate's horizon and its shadow line, shown while plates are matched. */
function MatchHandles({ strip, lens, gestures, toScene, toPicture }: StripHandleProps & { toScene: (point: Point) => Point; toPicture: (point: Point) => Point }) {
    const horizon = Array.isArray(strip.values.horizon) ? (strip.values.horizon as Point[]).map(toScene) : [];
    const bearing = strip.values.bearing as FoundBearing | null;
    const shadow = bearing?.by === 'shadow line' ? bearing : null;
    const drag = (label: string, values: (at: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (at): StripChange => ({ values: values(roundPoint(toPicture(at))) }));
    const points = shadow ? (['base', 'tip', 'top'] as const).flatMap((name) => (shadow[name] ? [{ name, at: toScene(shadow[name]) }] : [])) : [];
    const base = points.find((point) => point.name === 'base');
    const tip = points.find((point) => point.name === 'tip');
    // until the object's top is said, its handle waits over the foot, as high as the shadow is long
    const top = points.find((point) => point.name === 'top')?.at ?? (base && tip ? ([base.at[0], base.at[1] - Math.max(20 / lens.zoom, Math.abs(tip.at[0] - base.at[0]))] as Point) : null);
    return (
        <>
            {horizon.length === 2 && (
                <>
                    <Line lens={lens} points={horizon} colour="#93a5e6" />
                    {horizon.map((at, index) => (
                        <Grip
                            key={index}
                            lens={lens}
                            at={at}
                            label={`Horizon, end ${index + 1}`}
                            shape="bar"
                            turn={turnOf(horizon[0] ?? at, horizon[1] ?? at) + 90}
                            colour="#93a5e6"
                            onGrab={drag('Horizon', (next) => ({ horizon: (strip.values.horizon as Point[]).map((other, k): Point => (k === index ? next : other)) }))}
                        />
                    ))}
                </>
            )}
            {shadow && base && tip && top && (
                <>
                    <Line lens={lens} points={[base.at, tip.at]} colour="#f2a950" />
                    <Line lens={lens} points={[base.at, top]} colour="#f2a950" dashed />
                    <Grip lens={lens} at={top} label="Top of the object" shape={shadow.top ? 'round' : 'ring'} colour="#f2a950" onGrab={drag('Shadow line', (at) => ({ bearing: { ...shadow, top: at } }))} />
                    <Grip lens={lens} at={tip.at} label="Tip of the shadow" shape="half" turn={turnOf(base.at, tip.at) - 90} colour="#f2a950" onGrab={drag('Shadow line', (at) => ({ bearing: { ...shadow, tip: at } }))} />
                    <Grip lens={lens} at={base.at} label="Foot of the object" colour="#f2a950" onGrab={drag('Shadow line', (at) => ({ bearing: { ...shadow, base: at } }))} />
                    {!shadow.top && <Tag lens={lens} at={top} text="top?" />}
                </>
            )}
        </>
    );
}

function roundPoint([x, y]: Point): Point {
    return [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
}

function wrap(degrees: number): number {
    return Math.round((((((degrees + 180) % 360) + 360) % 360) - 180) * 100) / 100;
}
