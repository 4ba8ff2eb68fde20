import { useEffect, useRef, useState } from 'react';
import type { Point } from '../../api/types';
import { follow } from '../../ui/pointer';
import { lookedAt, toView } from '../../session/camera';
import { useWork, work, type Placing } from '../../session/store';
import { Line } from '../handles/parts';
import { placing as pointed } from './place';
import type { LayerProps } from './types';

/** A shorter line than this, in CSS pixels, was meant as a press. */
const SHORTEST = 6;

/** Something new is placed: a source by a press, a light by one line from where it stands to where it aims; Enter places it by itself. */
export function PlaceLayer({ scene, lens, view, gestures, placing }: LayerProps & { placing: Placing }) {
    const [line, setLine] = useState<[Point, Point] | null>(null);
    const box = useRef<HTMLDivElement>(null);
    const { centre, span } = lookedAt(useWork((state) => state.camera), scene);

    function place(at: Point, drawn?: [Point, Point]) {
        work.place(null);
        void (placing.of === 'source' ? gestures.placeSource(placing.kind, at) : gestures.addStrip(placing.kind, at, span, placing.above, drawn));
    }

    useEffect(() => {
        box.current?.focus({ preventScroll: true });
    }, []);

    function onPointerDown(event: React.PointerEvent<HTMLDivElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at: from, place: at } = pointed(event, lens);
        let to = from;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                to = at(pointer);
                setLine(placing.line ? [from, to] : null);
            },
            end: () => {
                const [[x, y], [u, v]] = [toView(lens, from), toView(lens, to)];
                place(from, placing.line && Math.hypot(u - x, v - y) > SHORTEST ? [from, to] : undefined);
            },
            cancel: () => work.place(null),
        });
    }

    return (
        <div
            ref={box}
            tabIndex={0}
            role="application"
            aria-label={placing.line ? `Place: drag ${placing.line}; Enter places it in the middle` : 'Place: press where it is seen; Enter places it in the middle'}
            data-testid="placing"
            className="absolute inset-0 cursor-crosshair touch-none outline-none"
            onPointerDown={onPointerDown}
            onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                    event.preventDefault();
                    event.stopPropagation();
                    place(centre);
                } else if (event.key === 'Escape') {
                    event.stopPropagation();
                    work.place(null);
                }
            }}
        >
            {line && (
                <svg className="absolute inset-0 h-full w-full" width={view.width} height={view.height}>
                    <Line lens={lens} points={line} colour="#f2a950" />
                </svg>
            )}
        </div>
    );
}

