import { useId } from 'react';
import type { ValueProps } from './hand';
import { Row } from './Row';

export function ToggleField({ label, value, onSet }: { label: string; value: boolean; onSet: (value: boolean) => void }) {
    const id = useId();
    return (
        <Row label={label} id={id}>
            <input id={id} type="checkbox" checked={value} className="h-3.5 w-3.5 accent-[#ececec]" onChange={(event) => onSet(event.target.checked)} />
        </Row>
    );
}

export function ToggleControl({ parameter, value, hand }: ValueProps) {
    return <ToggleField label={parameter.label} value={value === true} onSet={hand.set} />;
}
