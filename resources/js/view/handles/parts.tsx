import type { PointerEvent } from 'react';
import type { Point } from '../../api/types';
import { inReach, toScene, toView, type Lens } from '../../session/camera';

/**
 * What a grip is for is told by its shape: a place is round, the middle of something a ring, a size a bar across the way it
 * is dragged, a corner a quarter of a disc, a half or a side a half-moon; a diamond is where a light has half or a tenth left.
 */
type Shape = 'round' | 'ring' | 'bar' | 'quarter' | 'half' | 'diamond';

/** Something to grab: small to look at, at least 24 px to hit, with a dark rim so that it stands out on any picture. */
export function Grip(props: { lens: Lens; at: Point; label: string; title?: string; shape?: Shape; /** degrees clockwise */ turn?: number; colour?: string; cursor?: string; onGrab: (event: PointerEvent<SVGGElement>) => void; onDouble?: () => void }) {
    // what lies outside of the view waits at its border
    const near = inReach(props.lens, props.at);
    const [x, y] = toView(props.lens, near);
    const isAway = near !== props.at;
    const fill = props.colour ?? '#f4f4f4';
    const rim = { stroke: '#161616', strokeWidth: 1.5, fill };
    return (
        <g transform={`translate(${x} ${y})`} data-at={`${props.at[0]} ${props.at[1]}`} data-away={isAway || undefined} opacity={isAway ? 0.7 : undefined} role="button" tabIndex={-1} aria-label={props.label} data-handle={props.label} style={{ cursor: props.cursor ?? 'grab' }} className="group outline-none" onPointerDown={props.onGrab} onDoubleClick={props.onDouble}>
            <title>{props.title ?? props.label}</title>
            <circle r={13} fill="transparent" />
            {(props.shape ?? 'round') === 'round' && <circle r={5.5} {...rim} />}
            {props.shape === 'bar' && <rect x={-2.75} y={-7.5} width={5.5} height={15} rx={2} transform={`rotate(${props.turn ?? 0})`} {...rim} />}
            {props.shape === 'quarter' && <path d="M -2 -2 h 11 a 11 11 0 0 1 -11 11 z" transform={`rotate(${props.turn ?? 0})`} strokeLinejoin="round" {...rim} />}
            {props.shape === 'half' && <path d="M -7 0 h 14 a 7 7 0 0 1 -14 0 z" transform={`rotate(${props.turn ?? 0})`} strokeLinejoin="round" {...rim} />}
            {props.shape === 'diamond' && <rect x={-4} y={-4} width={8} height={8} transform="rotate(45)" {...rim} />}
            {props.shape === 'ring' && (
                <>
                    <circle r={7} fill="none" stroke="#161616" strokeWidth={4} />
                    <circle r={7} fill="transparent" stroke={fill} strokeWidth={2} />
                    <circle r={1.5} fill={fill} />
                </>
            )}
        </g>
    );
}

/** A line on the picture, light with a dark shadow. */
export function Line({ lens, points, dashed = false, colour = '#f4f4f4' }: { lens: Lens; points: Point[]; dashed?: boolean; colour?: string }) {
    const path = points.map((point) => toView(lens, point).map((value) => value.toFixed(1)).join(',')).join(' ');
    return (
        <g fill="none" strokeLinejoin="round" pointerEvents="none">
            <polyline points={path} stroke="#161616" strokeOpacity={0.55} strokeWidth={3} />
            <polyline points={path} stroke={colour} strokeWidth={1.25} strokeDasharray={dashed ? '5 4' : undefined} />
        </g>
    );
}

type GrabLineProps = { lens: Lens; points: Point[]; label: string; title?: string; onGrab: (event: PointerEvent<SVGPolylineElement>) => void; /** told where on the picture it was clicked twice */ onDouble?: (at: Point) => void };

/** A line that can be grabbed anywhere along it. */
export function GrabLine({ lens, points, label, title = label, onGrab, onDouble }: GrabLineProps) {
    const path = points.map((point) => toView(lens, point).join(',')).join(' ');
    return (
        <polyline points={path} fill="none" stroke="transparent" strokeWidth={16} style={{ cursor: 'move' }} data-handle={label} onPointerDown={onGrab}
            onDoubleClick={(event) => {
                const { left, top } = (event.currentTarget.closest('svg') ?? event.currentTarget).getBoundingClientRect();
                onDouble?.(toScene(lens, [event.clientX - left, event.clientY - top]));
            }}
        >
            <title>{title}</title>
        </polyline>
    );
}

/** Degrees clockwise on the screen from one place to another. */
export function turnOf([x, y]: Point, [u, v]: Point): number {
    return (Math.atan2(v - y, u - x) * 180) / Math.PI;
}

/** A word beside a handle. */
export function Tag({ lens, at, text, dy = -14 }: { lens: Lens; at: Point; text: string; dy?: number }) {
    const [x, y] = toView(lens, at);
    return (
        <text x={x} y={y + dy} textAnchor="middle" pointerEvents="none" className="font-mono text-[11px]" fill="#f4f4f4" stroke="#161616" strokeWidth={3} paintOrder="stroke">
            {text}
        </text>
    );
}
