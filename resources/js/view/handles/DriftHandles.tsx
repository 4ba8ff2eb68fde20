import type { Point, StripChange } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf } from '../../session/strips';
import { startDrag } from './drag';
import { FrameHandles } from './FrameHandles';
import { Grip, Line } from './parts';
import type { StripHandleProps } from './types';

/** How large wafts of smoke are and which way they are drawn, about the middle of the scene; of a picture its frame. */
export function DriftHandles(props: StripHandleProps) {
    const { scene, strip, lens, gestures } = props;
    const { values } = strip;
    if (values.made === 'of a picture') {
        return <FrameHandles {...props} />;
    }
    const middle: Point = [scene.width / 2, scene.height / 2];
    const [size, stretch] = [numberOf(values, 'smokeSize', 1), numberOf(values, 'stretch', 1)];
    const drift = (numberOf(values, 'drift') * Math.PI) / 180;
    const at = (along: number, across: number): Point => [middle[0] + along * Math.cos(drift) + across * Math.sin(drift), middle[1] - along * Math.sin(drift) + across * Math.cos(drift)];
    const [half, wide] = [(size * stretch) / 2, size / 2];
    const oval = Array.from({ length: 49 }, (_, k): Point => at(half * Math.cos((k * Math.PI) / 24), wide * Math.sin((k * Math.PI) / 24)));
    const way = ([x, y]: Point): { along: number; turn: number } => ({ along: Math.hypot(x - middle[0], y - middle[1]), turn: Math.round((Math.atan2(middle[1] - y, x - middle[0]) * 1800) / Math.PI) / 10 });
    const drag = (label: string, change: (at: Point) => StripChange) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, change);
    return (
        <>
            <Line lens={lens} points={oval} dashed />
            <Line lens={lens} points={[at(-half, 0), at(half, 0)]} />
            <Grip
                lens={lens}
                at={at(half, 0)}
                label="Drift and stretch"
                shape="half"
                onGrab={drag('Drift', (place) => {
                    const { along, turn } = way(place);
                    return { values: { drift: turn, stretch: allowed(strip.kind, 'stretch', Math.round((20 * along) / size) / 10, values) } };
                })}
            />
            <Grip lens={lens} at={at(0, wide)} label="Size" shape="ring" onGrab={drag('Size', (place) => ({ values: { smokeSize: allowed(strip.kind, 'smokeSize', Math.round(2 * way(place).along), values) } }))} />
        </>
    );
}
