import type { Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { stopsOf } from '../../session/stops';
import { clamp, numberOf, pointOf } from '../../session/strips';
import { startDrag } from './drag';
import type { MaskHandleProps } from './types';
import { grey } from './LinearHandles';
import { Grip, Line } from './parts';
import { RampGrips } from './RampGrips';

/** Centre, both radii (the first one turns) and the inner radius of a radial mask. */
export function RadialHandles({ strip, mask, lens, gestures }: MaskHandleProps) {
    const centre = pointOf(mask.values, 'centre');
    const radius = numberOf(mask.values, 'radius', 1);
    const second = numberOf(mask.values, 'secondRadius', 1);
    const inner = numberOf(mask.values, 'inner');
    const stops = stopsOf(mask.values.stops);
    const turn = (numberOf(mask.values, 'turn') * Math.PI) / 180;
    const at = (u: number, v: number): Point => [centre[0] + u * Math.cos(turn) + v * Math.sin(turn), centre[1] - u * Math.sin(turn) + v * Math.cos(turn)];
    const ellipse = (share: number): Point[] => Array.from({ length: 65 }, (_, k) => at(radius * share * Math.cos((k * Math.PI) / 32), second * share * Math.sin((k * Math.PI) / 32)));
    const distance = (point: Point) => Math.hypot(point[0] - centre[0], point[1] - centre[1]);
    const drag = (label: string, values: (at: Point) => Values) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (point): StripChange => ({ masks: { [mask.id]: { values: values(point) } } }));

    return (
        <>
            <Line lens={lens} points={ellipse(1)} />
            {inner > 0 && inner < radius && <Line lens={lens} points={ellipse(inner / radius)} dashed />}
            {inner < radius && (
                <RampGrips
                    lens={lens}
                    from={at(inner, 0)}
                    to={at(radius, 0)}
                    stops={stops}
                    strength={(stop) => stop.value}
                    colour={(stop) => grey(stop.value)}
                    drag={(label, next) => drag(label, (point) => ({ stops: next(point) }))}
                    onSet={(next, label) => void gestures.change(strip.id, { masks: { [mask.id]: { values: { stops: next } } } }, label)}
                />
            )}
            <Grip lens={lens} at={at(-inner, 0)} label="Inner radius" shape="bar" turn={-numberOf(mask.values, 'turn')} onGrab={drag('Inner radius', (point) => ({ inner: Math.round(clamp(distance(point), 0, radius)) }))} />
            <Grip
                lens={lens}
                at={at(0, second)}
                label="Second radius"
                shape="bar"
                turn={90 - numberOf(mask.values, 'turn')}
                onGrab={drag('Second radius', (point) => ({ secondRadius: allowed(mask.kind, 'secondRadius', Math.round(distance(point)), mask.values) }))}
            />
            <Grip
                lens={lens}
                at={at(radius, 0)}
                label="Radius"
                shape="bar"
                turn={-numberOf(mask.values, 'turn')}
                onGrab={drag('Radius', (point) => {
                    const next = allowed(mask.kind, 'radius', Math.round(distance(point)), mask.values);
                    const angle = (-Math.atan2(point[1] - centre[1], point[0] - centre[0]) * 180) / Math.PI;
                    // a circle stays a circle
                    return { radius: next, turn: Math.round(angle * 10) / 10, ...(second === radius ? { secondRadius: next } : {}) };
                })}
            />
            <Grip lens={lens} at={centre} label="Centre" shape="ring" onGrab={drag('Centre', (point) => ({ centre: point }))} />
        </>
    );
}
