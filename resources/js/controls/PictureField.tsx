import { useRef } from 'react';
import type { ValueProps } from './hand';
import { picturesTaken } from '../generated/catalogue';
import { Row } from './Row';

/** The picture of a plate says its name; one that may be exchanged is chosen among those of the scene, or brought. */
export function PictureField({ parameter, value, scene, hand, gestures }: ValueProps) {
    const input = useRef<HTMLInputElement>(null);
    if (!parameter.optional) {
        return (
            <Row label={parameter.label}>
                <span className="truncate text-quiet" title={String(value)}>
                    {String(value)}
                </span>
            </Row>
        );
    }
    const names = Object.keys(scene.pictures);
    return (
        <Row label={parameter.label}>
            <select aria-label={parameter.label} className="h-6 min-w-0 flex-1 rounded-sm bg-well px-1" value={typeof value === 'string' ? value : ''} onChange={(event) => hand.set(event.target.value === '' ? null : event.target.value)}>
                <option value="">{parameter.whenEmpty}</option>
                {[...new Set([...names, ...(typeof value === 'string' ? [value] : [])])].map((name) => (
                    <option key={name} value={name}>
                        {name}
                    </option>
                ))}
            </select>
            <button className="shrink-0 rounded-sm border border-line px-1.5 text-[12px] hover:bg-raised" onClick={() => input.current?.click()}>
                Bring…
            </button>
            <input
                ref={input}
                type="file"
                accept={picturesTaken}
                aria-label={`Picture for ${parameter.label.toLowerCase()}`}
                className="hidden"
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    event.target.value = '';
                    if (file) {
                        void gestures.bring(file).then((name) => name !== null && hand.set(name));
                    }
                }}
            />
        </Row>
    );
}
