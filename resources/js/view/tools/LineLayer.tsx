import { useState } from 'react';
import type { Point } from '../../api/types';
import { work, type Drawing } from '../../session/store';
import { follow } from '../../ui/pointer';
import { groundOf } from '../../session/ground';
import { Line } from '../handles/parts';
import { placing } from './place';
import type { StripLayerProps } from './types';

/** Shorter than this (CSS pixels) it was a slip, not a line. */
const SHORTEST = 6;

/** Draws one line on the chosen plate: its horizon, or a shadow from foot to tip. */
export function LineLayer({ strip, drawing, lens, view, gestures }: StripLayerProps & { drawing: Drawing }) {
    const [line, setLine] = useState<[Point, Point] | null>(null);

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at: from, place } = placing(event, lens);
        let to = from;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                to = place(pointer);
                setLine([from, to]);
            },
            end: () => {
                setLine(null);
                if (Math.hypot(to[0] - from[0], to[1] - from[1]) * lens.zoom < SHORTEST) {
                    return;
                }
                work.draw(null);
                const ground = groundOf(strip, 'plate');
                const [a, b] = [round(ground.fromScene(from)), round(ground.fromScene(to))];
                void gestures.change(
                    strip.id,
                    { values: drawing === 'horizon' ? { horizon: [a, b] } : { bearing: { by: 'shadow line', base: a, tip: b } } },
                    drawing === 'horizon' ? 'Draw the horizon' : 'Draw a shadow line',
                );
            },
            cancel: () => setLine(null),
        });
    }

    return (
        <svg data-testid="line" className="absolute inset-0 h-full w-full cursor-crosshair" width={view.width} height={view.height} onPointerDown={onPointerDown}>
            {line && <Line lens={lens} points={line} colour={drawing === 'horizon' ? '#93a5e6' : '#f2a950'} />}
        </svg>
    );
}

function round([x, y]: Point): Point {
    return [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
}
