import { useId, type ReactNode } from 'react';
import type { ValueProps } from './hand';
import { Row } from './Row';

/** One of several; what stands beside it belongs to it. */
export function ChoiceField({ label, value, choices, onSet, children }: { label: string; value: string; choices: { value: string; label: string }[]; onSet: (value: string) => void; children?: ReactNode }) {
    const id = useId();
    return (
        <Row label={label} id={id}>
            <select id={id} value={value} className="h-6 max-w-[156px] min-w-0 rounded-sm bg-well px-1.5" onChange={(event) => onSet(event.target.value)}>
                {choices.map((choice) => (
                    <option key={choice.value} value={choice.value}>
                        {choice.label}
                    </option>
                ))}
            </select>
            {children}
        </Row>
    );
}

export function ChoiceControl({ parameter, value, hand }: ValueProps) {
    return <ChoiceField label={parameter.label} value={String(value)} choices={parameter.choices.map((choice) => ({ value: choice, label: choice }))} onSet={hand.set} />;
}
