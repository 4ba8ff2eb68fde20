import type { Point } from '../api/types';
import { figure } from '../ui/words';
import { Forget } from './Action';
import type { ValueProps } from './hand';
import { Row } from './Row';
import { understood, useTyping } from './typing';

/** How far from the scene's corner a place may lie, in px. */
const FAR = 1e6;

export function PointField({ parameter, value, hand }: ValueProps<Point | null>) {
    const { label } = parameter;
    if (value === null) {
        return (
            <Row label={label}>
                <span className="text-quiet">{parameter.whenEmpty}</span>
            </Row>
        );
    }
    const axis = (at: 0 | 1, name: string) => {
        const joined = (next: number | null): Point => (at === 0 ? [next ?? 0, value[1]] : [value[0], next ?? 0]);
        return <PlainNumber name={`${label}, ${name}`} value={value[at]} onSet={(next) => hand.set(joined(next))} onNudge={(next) => hand.nudge(joined(next))} />;
    };
    return (
        <Row label={label}>
            {axis(0, 'from the left')}
            {axis(1, 'from the top')}
            <span className="text-[12px] text-quiet">px</span>
            {parameter.optional && <Forget label={`${label}: ${parameter.whenEmpty}`} onPress={() => hand.set(null)} />}
        </Row>
    );
}

function PlainNumber({ name, value, onSet, onNudge }: { name: string; value: number; onSet: (value: number) => void; onNudge: (value: number) => void }) {
    const typing = useTyping(
        (text) => {
            const next = understood(text, name, { unit: 'px', least: -FAR, most: FAR });
            if (next !== null && next !== value) {
                onSet(next);
            }
        },
        (steps) => onNudge(value + steps),
    );
    return <input aria-label={name} className="h-6 w-[60px] rounded-sm bg-well px-2 font-mono text-[12px]" value={typing.text ?? figure(value, 1)} {...typing.props} />;
}
