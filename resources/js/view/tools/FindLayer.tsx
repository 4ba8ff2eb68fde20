import { useState } from 'react';
import type { Point } from '../../api/types';
import { toView } from '../../session/camera';
import { groundOf } from '../../session/ground';
import { work } from '../../session/store';
import { follow } from '../../ui/pointer';
import { placing } from './place';
import type { StripLayerProps } from './types';

/** A drag that is shorter than this, CSS pixels, is a click. */
const CLICK = 5;

/** Finds the subject of a plate: a click on it, or a box dragged round it; what was found is a painted cut, which strokes improve. */
export function FindLayer({ strip, lens, view, gestures }: StripLayerProps) {
    const [box, setBox] = useState<[Point, Point] | null>(null);
    const [isBusy, setBusy] = useState(false);

    async function find(from: Point, to: Point) {
        const ground = groundOf(strip, 'plate');
        const isClick = Math.hypot(to[0] - from[0], to[1] - from[1]) * lens.zoom < CLICK;
        const corners = (isClick ? [from] : [from, to, [from[0], to[1]], [to[0], from[1]]] as Point[]).map((corner) => ground.fromScene(corner));
        const [xs, ys] = [corners.map(([x]) => round(x)), corners.map(([, y]) => round(y))];
        setBusy(true);
        await gestures.cutSubject(strip.id, isClick ? [xs[0] ?? 0, ys[0] ?? 0] : [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]);
        setBusy(false);
        setBox(null);
        // it goes on with strokes
        work.takeTool('paint');
    }

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0 || isBusy) {
            return;
        }
        event.preventDefault();
        const { at, place } = placing(event, lens);
        let to = at;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                to = place(pointer);
                setBox([at, to]);
            },
            cancel: () => setBox(null),
            end: () => void find(at, to),
        });
    }

    const [from, to] = (box ?? []).map((corner) => toView(lens, corner));
    return (
        <svg data-testid="find" className={`absolute inset-0 h-full w-full ${isBusy ? 'cursor-progress' : 'cursor-crosshair'}`} width={view.width} height={view.height} onPointerDown={onPointerDown}>
            {from && to && (
                <rect x={Math.min(from[0], to[0])} y={Math.min(from[1], to[1])} width={Math.abs(to[0] - from[0])} height={Math.abs(to[1] - from[1])} fill="#f4f4f4" fillOpacity={isBusy ? 0.12 : 0.05} stroke="#f4f4f4" strokeWidth={1.25} strokeDasharray="5 4" />
            )}
        </svg>
    );
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}
