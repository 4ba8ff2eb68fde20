import { useState } from 'react';
import type { Point } from '../../api/types';
import { follow } from '../../ui/pointer';
import { drawnHorizon } from '../../session/floor';
import { withWall } from '../../session/walls';
import { STAGE } from '../../session/things';
import { useWork, work, type Marking } from '../../session/store';
import { Grip, Line } from '../handles/parts';
import { placing } from './place';
import type { LayerProps } from './types';
import { useEscape } from './useEscape';

/** How far above its foot a new wall reaches, of the scene's height. */
const NEW_HEIGHT = 0.5;

/** A line shorter than this is a click, scene px. */
const SHORTEST = 2;

/** How far above the contact row a new horizon lies, of the scene's height. */
const NEW_HORIZON = 0.3;

/** Marks the floor or a wall, or a line to mirror about: by one line, or by four corners, clicked or drawn as two edges. */
export function MarkLayer({ scene, lens, view, gestures, marking }: LayerProps & { marking: Marking }) {
    const [points, setPoints] = useState<Point[]>([]);
    const byCorners = marking === 'square' || marking === 'wall';

    useEscape(() => (work.mark(null), true));

    function write(values: Record<string, unknown>, label: string) {
        work.mark(null);
        void gestures.change(STAGE, { values: values as never }, label);
    }

    function finish(marked: Point[]) {
        const [from, to] = marked;
        if (!from || !to) {
            return;
        }
        const line: [Point, Point] = from[0] <= to[0] ? [from, to] : [to, from];
        switch (marking) {
            case 'floor': {
                const highest = Math.min(from[1], to[1]);
                const known = scene.stage.floor?.horizon ?? scene.stage.lines.horizon ?? drawnHorizon(scene);
                const horizon = known !== null && known < highest - 2 ? known : highest - scene.height * NEW_HORIZON;
                return write({ floor: { horizon: Math.round(horizon), contact: line } }, 'Mark the floor');
            }
            case 'square':
                return write({ floor: { corners: clockwise(marked) } }, 'Mark the floor by a square');
            case 'wall':
                return write({ walls: withWall(scene, { corners: clockwise(marked) }) }, 'Mark a wall');
            case 'mirror': {
                const { chosen } = useWork.getState();
                work.mark(null);
                return void (chosen && gestures.mirror(chosen, { line: [from, to] }));
            }
            case 'foot':
                return write({ walls: withWall(scene, { foot: line, height: Math.round(scene.height * NEW_HEIGHT) }) }, 'Mark a wall');
        }
    }

    function onPointerDown(event: React.PointerEvent<HTMLDivElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at: pressed, place } = placing(event, lens);
        const round = ([x, y]: Point): Point => [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
        const from = round(pressed);
        const before = byCorners ? points : [];
        let marked = byCorners ? [...before, from] : [];
        setPoints(marked);
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                const to = round(place(pointer));
                // an edge that is drawn gives two corners, a click one
                marked = [...before, from, ...(Math.hypot(to[0] - from[0], to[1] - from[1]) < SHORTEST ? [] : [to])].slice(0, 4);
                setPoints(marked);
            },
            end: () => {
                if (marked.length >= (byCorners ? 4 : 2)) {
                    finish(marked);
                } else if (!byCorners) {
                    setPoints([]);
                }
            },
            cancel: () => setPoints(before),
        });
    }

    return (
        <div className="absolute inset-0 cursor-crosshair touch-none" data-testid="marking" onPointerDown={onPointerDown}>
            <svg className="pointer-events-none absolute inset-0 h-full w-full" width={view.width} height={view.height}>
                <Line lens={lens} points={points} colour="#93a5e6" />
                {points.map((point, index) => (
                    <Grip key={index} lens={lens} at={point} label={`Corner ${index + 1}`} shape="quarter" turn={90 * index} onGrab={() => undefined} />
                ))}
            </svg>
        </div>
    );
}

/** Four corners in order: upper left, upper right, lower right, lower left, whichever was clicked first. */
function clockwise(corners: Point[]): Point[] {
    const [cx, cy] = [0, 1].map((axis) => corners.reduce((sum, corner) => sum + (corner[axis] ?? 0), 0) / corners.length) as Point;
    const turned = [...corners].sort((a, b) => Math.atan2(a[1] - cy, a[0] - cx) - Math.atan2(b[1] - cy, b[0] - cx));
    const first = turned.reduce((best, corner, index) => ((turned[best]?.[0] ?? 0) + (turned[best]?.[1] ?? 0) <= corner[0] + corner[1] ? best : index), 0);
    return [...turned.slice(first), ...turned.slice(0, first)];
}
