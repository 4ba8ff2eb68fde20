import { RotateCcw } from 'lucide-react';
import { useId } from 'react';
import { follow } from '../ui/pointer';
import { figure } from '../ui/words';
import { clamp } from '../session/strips';
import type { Hand, ValueProps } from './hand';
import { Range } from './Range';
import { Row } from './Row';
import { understood, useTyping } from './typing';

type NumberProps = {
    label: string;
    value: number | null;
    unit: string;
    least: number;
    most: number;
    step: number;
    signed?: boolean;
    whenEmpty?: string;
    rest?: number | null;
    /** for sizes: the picture's short side in px, of which the share is shown beside */
    shortSide?: number;
    hand: Hand<number | null>;
};

/** Units of which one feels how much it is, so that a slider helps. */
const FELT = ['%', 'stops', '°'];

/** A number: dragged by its name or a slider, typed with or without its unit, nudged by the arrow keys, and reset. */
export function NumberField(props: NumberProps) {
    const { label, value, unit, least, most, step, signed = false, whenEmpty = '', rest, hand } = props;
    const id = useId();
    const fit = (next: number) => clamp(Math.round(next / step) * step, least, most);
    const tidy = (next: number) => Math.round(next * 1e4) / 1e4;
    const typing = useTyping(
        (text) => {
            if (text.trim() === '' && whenEmpty !== '') {
                hand.set(null);
                return;
            }
            const next = understood(text, label, { unit, least, most, shortSide: props.shortSide });
            if (next !== null && tidy(next) !== value) {
                hand.set(tidy(next));
            }
        },
        (steps) => hand.nudge(tidy(clamp((value ?? rest ?? least) + steps * step, least, most))),
    );

    const resets = whenEmpty === '' ? typeof rest === 'number' && value !== rest : value !== null;

    return (
        <Row
            id={id}
            onReset={rest === undefined ? undefined : () => hand.set(rest)}
            label={
                <span className="cursor-ew-resize touch-none select-none" onPointerDown={(event) => scrub(event, value ?? rest ?? least, step, (next, at) => hand.live(tidy(fit(next)), at), hand)}>
                    {label}
                </span>
            }
        >
            <span className="flex h-6 shrink-0 items-center rounded-sm bg-well px-1.5">
                <input
                    id={id}
                    className="w-[44px] min-w-0 bg-transparent font-mono text-[12px] outline-none placeholder:font-sans placeholder:text-quiet"
                    style={value === null && typing.text === null ? { width: 104 } : undefined}
                    placeholder={whenEmpty}
                    value={typing.text ?? (value === null ? '' : figure(value, step, signed))}
                    {...typing.props}
                />
                {unit && value !== null && <span className="ml-1 text-[12px] text-quiet">{unit}</span>}
            </span>
            {props.shortSide !== undefined && value !== null && <span className="font-mono text-[11px] text-quiet">{((value / props.shortSide) * 100).toFixed(1)} %</span>}
            {FELT.includes(unit) && value !== null ? <Range label={label} value={value} least={least} most={most} step={step} hand={hand} /> : <span className="flex-1" />}
            {resets && (
                <button aria-label={whenEmpty === '' ? `Reset ${label.toLowerCase()}` : `${label}: ${whenEmpty}`} title={whenEmpty === '' ? `Back to ${figure(rest ?? 0, step, signed)} ${unit}` : whenEmpty} className="-mx-1 rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => hand.set(whenEmpty === '' ? (rest ?? 0) : null)}>
                    <RotateCcw size={12} />
                </button>
            )}
        </Row>
    );
}

function scrub(event: React.PointerEvent<HTMLElement>, from: number, step: number, live: (value: number, at: number) => void, { commit, drop }: Pick<Hand<number | null>, 'commit' | 'drop'>): void {
    if (event.button !== 0) {
        return;
    }
    const start = event.clientX;
    let hasMoved = false;
    follow(event.currentTarget, event.pointerId, {
        move: (pointer) => {
            hasMoved ||= Math.abs(pointer.clientX - start) > 2;
            if (hasMoved) {
                live(from + (pointer.clientX - start) * step * (pointer.shiftKey ? 0.2 : 1), pointer.timeStamp);
            }
        },
        end: () => hasMoved && commit(),
        cancel: () => hasMoved && drop(),
    });
}

export function NumberControl({ parameter, value, hand, scene }: ValueProps) {
    return (
        <NumberField
            label={parameter.label}
            value={typeof value === 'number' ? value : null}
            unit={parameter.unit}
            least={parameter.least}
            most={parameter.most}
            step={parameter.step}
            whenEmpty={parameter.optional ? parameter.whenEmpty : ''}
            rest={typeof parameter.default === 'number' || parameter.optional ? (parameter.default as number | null) : undefined}
            shortSide={parameter.unit === 'px' ? Math.min(scene.width, scene.height) : undefined}
            hand={hand as Hand<number | null>}
        />
    );
}
