import { useState } from 'react';
import type { Bands } from '../api/types';
import { useWork, work } from '../session/store';
import { Action } from './Action';
import { through, type Hand, type ValueProps } from './hand';
import { NumberField } from './NumberField';

const PARTS = [
    { name: 'turn', label: 'Turned by', unit: '°', least: -90, most: 90, step: 1, rest: 0, times: 1 },
    { name: 'chroma', label: 'Richness', unit: '%', least: 0, most: 200, step: 1, rest: 100, times: 100 },
    { name: 'light', label: 'Lightness', unit: '%', least: -100, most: 100, step: 1, rest: 0, times: 1 },
] as const;

/** Families of hues in a row: the chosen one's turn, richness and lightness below. A press on the picture chooses the one that is there. */
export function BandsField({ parameter, value, hand, strip }: ValueProps) {
    const bands = (value ?? {}) as Bands;
    const set = hand as Hand<Bands>;
    const picking = useWork((state) => state.picking);
    const picked = useWork((state) => state.band);
    const [pressed, setPressed] = useState<string | null>(null);
    const isPicking = picking !== null && 'bands' in picking && picking.bands === strip.id;
    const names = parameter.choices;
    const chosen = picked !== null && names.includes(picked) ? picked : (pressed ?? names.find((name) => bands[name]) ?? names[1] ?? '');
    const own = bands[chosen] ?? {};
    return (
        <div className="flex flex-col gap-1">
            <div className="flex items-center gap-0.5" role="radiogroup" aria-label={parameter.label}>
                {names.map((name, at) => (
                    <button
                        key={name}
                        role="radio"
                        aria-checked={name === chosen}
                        aria-label={bands[name] ? `${name}, changed` : name}
                        title={name}
                        className={`relative flex h-7 min-w-0 flex-1 items-center justify-center rounded-sm border ${name === chosen ? 'border-ink' : 'border-transparent hover:border-line'}`}
                        onClick={() => {
                            work.chooseBand(null);
                            setPressed(name);
                        }}
                    >
                        <span aria-hidden className="h-4 w-4 rounded-full" style={{ background: `oklch(0.68 0.13 ${parameter.middles?.[at] ?? 0})` }} />
                        {bands[name] && <span aria-hidden className="absolute bottom-0.5 h-[3px] w-[3px] rounded-full bg-ink" />}
                    </button>
                ))}
            </div>
            <div className="flex min-h-6 items-center">
                <span className="flex-1 first-letter:uppercase">{chosen}</span>
                <Action label="Pick a hue" title="Press on the picture: the hues that are there" pressed={isPicking} onPress={() => work.pickColour(isPicking ? null : { bands: strip.id })} />
            </div>
            {PARTS.map(({ name, label, unit, least, most, step, rest, times }) => (
                <NumberField
                    key={name}
                    label={label}
                    value={(own[name] ?? rest / times) * times}
                    unit={unit}
                    signed={name !== 'chroma'}
                    least={least}
                    most={most}
                    step={step}
                    rest={rest}
                    hand={through<Bands, number | null>(set, (next) => withBand(bands, chosen, { ...own, [name]: (next ?? rest) / times }))}
                />
            ))}
        </div>
    );
}

/** The bands with one of them changed; one that changes nothing is left out. */
function withBand(bands: Bands, name: string, band: Bands[string]): Bands {
    const others = Object.fromEntries(Object.entries(bands).filter(([other]) => other !== name));
    const isNone = PARTS.every((part) => band[part.name] === undefined || band[part.name] === part.rest / part.times);
    return isNone ? others : { ...others, [name]: band };
}
