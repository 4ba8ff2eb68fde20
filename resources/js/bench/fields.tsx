import { RotateCcw } from 'lucide-react';
import { useId, useState, type InputHTMLAttributes, type ReactNode } from 'react';
import type { Colour, Parameter, Point, Value } from '../api/types';
import { hintOf } from '../ui/kelvin';
import { follow } from '../ui/pointer';
import { say } from '../ui/notices';
import { fitted, readNumber, type NumberRange } from '../ui/numbers';
import { figure } from '../ui/words';
import { clamp } from '../screen/strips';

/** How a field hands on what is done to it. */
export type Hand<T> = {
    /** while it is being dragged */
    live: (value: T, at?: number) => void;
    /** a key or a step; written when no more come */
    nudge: (value: T) => void;
    /** the drag has ended */
    commit: () => void;
    /** complete in itself */
    set: (value: T) => void;
};

/** A folding part of the bench. */
export function Section({ title, note, open = true, children }: { title: string; note?: string; open?: boolean; children: ReactNode }) {
    return (
        <details open={open} className="border-b border-line px-3.5 py-2.5">
            <summary className="cursor-default list-none rounded-sm font-semibold">
                {title} {note && <span className="ml-1 font-normal text-quiet">{note}</span>}
            </summary>
            <div className="mt-1.5 flex flex-col gap-1">{children}</div>
        </details>
    );
}

export function Row({ label, id, children, onReset }: { label: ReactNode; id?: string; children: ReactNode; onReset?: () => void }) {
    return (
        <div className="flex min-h-6 items-center">
            <label htmlFor={id} className="w-[100px] shrink-0 text-quiet" onDoubleClick={onReset}>
                {label}
            </label>
            <div className="flex min-w-0 flex-1 items-center gap-1.5">{children}</div>
        </div>
    );
}

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

/** A number: dragged by its name, typed with or without its unit, nudged by the arrow keys, reset by a double click. */
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

    return (
        <Row
            id={id}
            onReset={rest === undefined ? undefined : () => hand.set(rest)}
            label={
                <span className="cursor-ew-resize touch-none select-none" onPointerDown={(event) => scrub(event, value ?? rest ?? least, step, (next, at) => hand.live(tidy(fit(next)), at), hand.commit)}>
                    {label}
                </span>
            }
        >
            <span className="flex h-6 min-w-[84px] items-center rounded-sm bg-well px-2">
                <input
                    id={id}
                    className="w-[58px] min-w-0 bg-transparent font-mono text-[12px] outline-none placeholder:font-sans placeholder:text-quiet"
                    style={value === null && typing.text === null ? { width: 104 } : undefined}
                    placeholder={whenEmpty}
                    value={typing.text ?? (value === null ? '' : figure(value, step, signed))}
                    {...typing.props}
                />
                {unit && value !== null && <span className="ml-1 text-[12px] text-quiet">{unit}</span>}
            </span>
            {props.shortSide !== undefined && value !== null && <span className="font-mono text-[11px] text-quiet">{((value / props.shortSide) * 100).toFixed(1)} %</span>}
            {whenEmpty !== '' && value !== null && (
                <button aria-label={`${label}: ${whenEmpty}`} title={whenEmpty} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => hand.set(null)}>
                    <RotateCcw size={12} />
                </button>
            )}
        </Row>
    );
}

function scrub(event: React.PointerEvent<HTMLElement>, from: number, step: number, live: (value: number, at: number) => void, commit: () => void): void {
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
    });
}

export function PointField({ label, value, hand }: { label: string; value: Point; hand: Hand<Point> }) {
    const axis = (at: 0 | 1, name: string) => {
        const joined = (next: number | null): Point => (at === 0 ? [next ?? 0, value[1]] : [value[0], next ?? 0]);
        return <PlainNumber name={`${label}, ${name}`} value={value[at]} onSet={(next) => hand.set(joined(next))} onNudge={(next) => hand.nudge(joined(next))} />;
    };
    return (
        <Row label={label}>
            {axis(0, 'from the left')}
            {axis(1, 'from the top')}
            <span className="text-[12px] text-quiet">px</span>
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

/** How far from the scene's corner a place may lie, in px. */
const FAR = 1e6;

/** What somebody typed, within its range; what could not be read or had to be brought there is said. */
function understood(text: string, label: string, range: NumberRange): number | null {
    const typed = readNumber(text, range);
    if ('problem' in typed) {
        say(typed.problem);
        return null;
    }
    const { value, said } = fitted(typed.value, label, range);
    if (said !== null) {
        say(said);
    }
    return value;
}

/** What is being typed into a number, until it is finished or given up; the arrow keys step it, with shift by ten. */
function useTyping(onDone: (text: string) => void, onStep: (steps: number) => void) {
    const [text, setText] = useState<string | null>(null);
    const finish = () => {
        if (text !== null) {
            setText(null);
            onDone(text);
        }
    };
    const props: InputHTMLAttributes<HTMLInputElement> = {
        inputMode: 'decimal',
        autoComplete: 'off',
        onFocus: (event) => event.target.select(),
        onChange: (event) => setText(event.target.value),
        onBlur: finish,
        onKeyDown: (event) => {
            const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
            if (event.key === 'Enter') {
                finish();
            } else if (event.key === 'Escape') {
                setText(null);
            } else if (way !== undefined) {
                event.preventDefault();
                setText(null);
                onStep(way * (event.shiftKey ? 10 : 1));
            }
        },
    };
    return { text, props };
}

export function ChoiceField({ label, value, choices, onSet }: { label: string; value: string; choices: { value: string; label: string }[]; onSet: (value: string) => void }) {
    const id = useId();
    return (
        <Row label={label} id={id}>
            <select id={id} value={value} className="h-6 rounded-sm bg-well px-1.5" onChange={(event) => onSet(event.target.value)}>
                {choices.map((choice) => (
                    <option key={choice.value} value={choice.value}>
                        {choice.label}
                    </option>
                ))}
            </select>
        </Row>
    );
}

export function ToggleField({ label, value, onSet }: { label: string; value: boolean; onSet: (value: boolean) => void }) {
    const id = useId();
    return (
        <Row label={label} id={id}>
            <input id={id} type="checkbox" checked={value} className="h-3.5 w-3.5 accent-[#ececec]" onChange={(event) => onSet(event.target.checked)} />
        </Row>
    );
}

/** The colour of a light: by temperature or by swatch. */
export function LightColourField({ label, value, hand }: { label: string; value: Colour; hand: Hand<Colour> }) {
    const isKelvin = 'kelvin' in value;
    return (
        <>
            <Row label={label}>
                {'swatch' in value ? (
                    <input
                        type="color"
                        aria-label={`${label}: swatch`}
                        className="h-6 w-8 rounded-sm border border-line bg-well p-0.5"
                        value={value.swatch}
                        onChange={(event) => hand.nudge({ swatch: event.target.value })}
                    />
                ) : (
                    <span className="h-6 w-8 rounded-sm border border-line" style={{ background: hintOf(value) }} aria-hidden />
                )}
                <div role="radiogroup" aria-label={`${label} by`} className="flex overflow-hidden rounded-sm border border-line">
                    {(['kelvin', 'swatch'] as const).map((way) => (
                        <button
                            key={way}
                            role="radio"
                            aria-checked={isKelvin === (way === 'kelvin')}
                            className={`px-2 text-[12px] ${isKelvin === (way === 'kelvin') ? 'bg-raised' : 'text-quiet'}`}
                            onClick={() => isKelvin !== (way === 'kelvin') && hand.set(way === 'kelvin' ? { kelvin: 3200 } : { swatch: '#ffb46b' })}
                        >
                            {way}
                        </button>
                    ))}
                </div>
            </Row>
            {'kelvin' in value && (
                <NumberField
                    label="Temperature"
                    value={value.kelvin}
                    unit="K"
                    least={1000}
                    most={25000}
                    step={50}
                    hand={{
                        live: (kelvin, at) => hand.live({ kelvin: kelvin ?? 6500 }, at),
                        nudge: (kelvin) => hand.nudge({ kelvin: kelvin ?? 6500 }),
                        set: (kelvin) => hand.set({ kelvin: kelvin ?? 6500 }),
                        commit: hand.commit,
                    }}
                />
            )}
        </>
    );
}

/** The field for a value as the core describes it. */
export function ParameterField({ parameter, value, shortSide, hand }: { parameter: Parameter; value: Value; shortSide: number; hand: Hand<Value> }) {
    switch (parameter.type) {
        case 'number':
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
                    shortSide={parameter.unit === 'px' ? shortSide : undefined}
                    hand={hand}
                />
            );
        case 'choice':
            return <ChoiceField label={parameter.label} value={String(value)} choices={parameter.choices.map((choice) => ({ value: choice, label: choice }))} onSet={hand.set} />;
        case 'switch':
            return <ToggleField label={parameter.label} value={value === true} onSet={hand.set} />;
        case 'point':
            return <PointField label={parameter.label} value={value as Point} hand={hand as Hand<Point>} />;
        case 'light colour':
            return <LightColourField label={parameter.label} value={value as Colour} hand={hand as Hand<Colour>} />;
        case 'flat colour':
            return (
                <Row label={parameter.label}>
                    <input type="color" aria-label={parameter.label} className="h-6 w-8 rounded-sm border border-line bg-well p-0.5" value={String(value)} onChange={(event) => hand.nudge(event.target.value)} />
                    <span className="font-mono text-[12px] text-quiet">{String(value)}</span>
                </Row>
            );
        case 'picture':
            return (
                <Row label={parameter.label}>
                    <span className="truncate text-quiet" title={String(value)}>
                        {String(value)}
                    </span>
                </Row>
            );
        default:
            return null;
    }
}
