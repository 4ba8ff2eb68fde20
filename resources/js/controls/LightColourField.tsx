import { Image, Pipette } from 'lucide-react';
import { useState } from 'react';
import { api } from '../api/client';
import type { Colour, Scene } from '../api/types';
import { conversions, gels } from '../generated/catalogue';
import { sayError } from '../ui/notices';
import { hintOf } from '../ui/kelvin';
import { figure } from '../ui/words';
import { everyStrip } from '../session/strips';
import { pickingOf, useWork, work } from '../session/store';
import { sourceName } from '../session/things';
import { Action } from './Action';
import { ChoiceField } from './ChoiceField';
import { through, type Hand, type ValueProps } from './hand';
import { NumberField } from './NumberField';
import { OneOf } from './OneOf';
import { coloursOf, keepColour, recentColours } from './palette';
import { Row } from './Row';
import { ToggleField } from './ToggleField';

/** A hand for one number of a colour, the rest of which stays. */
function part(hand: Hand<Colour>, value: Colour, change: (number: number | null) => Partial<Colour>): Hand<number | null> {
    return through(hand, (number) => ({ ...value, ...change(number) }) as Colour);
}

/** The colour of a light: by temperature with gels over it, or by swatch; found in the picture, or taken from what is at hand. */
export function LightColourField({ parameter, value, hand, scene, strip }: ValueProps<Colour>) {
    const { label } = parameter;
    const [open, setOpen] = useState(false);
    const picking = useWork(pickingOf);
    // sources are named apart from strips
    const thing = scene.sources.some((source) => source.id === strip.id && !everyStrip(scene.strips).some((other) => other.id === strip.id)) ? sourceName(strip.id) : strip.id;
    const isPicking = picking !== null && 'thing' in picking && picking.thing === thing && picking.parameter === parameter.name;
    const seen = strip.colours?.[parameter.name];
    const rest = () => Object.fromEntries(Object.entries(value).filter(([name]) => !['kelvin', 'swatch', 'shift'].includes(name))) as Partial<Colour>;
    const take = (swatch: string) => {
        keepColour(swatch);
        hand.set({ swatch });
    };
    const average = (plate?: string) => void api.colour(scene.id, plate ? { plate } : {}).then(({ swatch }) => take(swatch), sayError);
    const isPlain = Object.keys(rest()).length === 0 && !('shift' in value && value.shift);
    return (
        <>
            <Row label={label}>
                {value.swatch !== undefined ? (
                    <input
                        type="color"
                        aria-label={`${label}: swatch`}
                        className="h-6 w-6 shrink-0 rounded-sm border border-line bg-well p-0.5"
                        value={value.swatch}
                        onChange={(event) => {
                            keepColour(event.target.value);
                            hand.nudge({ ...rest(), swatch: event.target.value } as Colour);
                        }}
                    />
                ) : (
                    <span className="h-6 w-6 shrink-0 rounded-sm border border-line" style={{ background: seen?.swatch ?? hintOf(value) }} aria-hidden />
                )}
                <OneOf
                    label={`${label} by`}
                    value={value.swatch === undefined ? 'kelvin' : 'swatch'}
                    choices={[
                        { value: 'kelvin', label: 'kelvin' },
                        { value: 'swatch', label: 'swatch' },
                    ]}
                    onSet={(way) => hand.set({ ...rest(), ...(way === 'kelvin' ? { kelvin: 3200 } : { swatch: seen?.swatch ?? '#ffb46b' }) } as Colour)}
                />
                <button
                    aria-label={`${label}: pick from the picture`}
                    aria-pressed={isPicking}
                    title="Pick from the picture: the mean of a patch"
                    className={`rounded-sm p-1 ${isPicking ? 'bg-ink text-well' : 'text-quiet hover:text-ink'}`}
                    onClick={() => work.pickColour(isPicking ? null : { thing, parameter: parameter.name })}
                >
                    <Pipette size={14} aria-hidden />
                </button>
            </Row>
            {value.kelvin !== undefined && (
                <NumberField label="Temperature" value={value.kelvin} unit="K" least={1000} most={25000} step={50} hand={part(hand, value, (kelvin) => ({ kelvin: kelvin ?? 6500 }))} />
            )}
            <Row label="Over it">
                <Action label={isPlain ? 'Gels and tint' : 'Gels and tint, in use'} title="Gels over it, its own saturation and tint, colours at hand" pressed={open} onPress={() => setOpen(!open)} />
                <button aria-label={`${label}: average of the scene`} title="The mean colour of the whole picture" className="ml-auto rounded-sm p-1 text-quiet hover:text-ink" onClick={() => average()}>
                    <Image size={14} aria-hidden />
                </button>
            </Row>
            {open && <More label={label} value={value} hand={hand} scene={scene} take={take} average={average} loss={seen?.loss ?? 0} atEnd={seen?.atEnd ?? false} />}
        </>
    );
}

/** What lies over a light's colour, and colours that are at hand. */
function More({ label, value, hand, scene, take, average, loss, atEnd }: { label: string; value: Colour; hand: Hand<Colour>; scene: Scene; take: (swatch: string) => void; average: (plate: string) => void; loss: number; atEnd: boolean }) {
    const shift = value.kelvin !== undefined ? (value.shift ?? 0) : 0;
    const named = Object.entries(conversions).find(([, mireds]) => mireds === shift)?.[0] ?? '';
    const set = (change: Partial<Colour>) => hand.set({ ...value, ...change } as Colour);
    const plates = everyStrip(scene.strips).filter((other) => other.family === 'plate');
    return (
        <div className="my-1 flex flex-col gap-0.5 border-l border-line pl-2">
            {value.kelvin !== undefined && (
                <>
                    <ChoiceField
                        label="Conversion gel"
                        value={named}
                        choices={[{ value: '', label: shift === 0 ? 'none' : `${shift} mired` }, ...Object.entries(conversions).map(([name, mireds]) => ({ value: name, label: `${name}, ${mireds > 0 ? '+' : '−'}${Math.abs(mireds)}` }))]}
                        onSet={(name) => set({ shift: conversions[name] ?? 0 } as Partial<Colour>)}
                    />
                    {atEnd && <p className="text-[12px] text-alarm">The gel reaches the end of what there is: 1000 to 25000 K.</p>}
                </>
            )}
            <ChoiceField
                label="Colour gel"
                value={value.gel ?? ''}
                choices={[{ value: '', label: 'none' }, ...gels.map((gel) => ({ value: gel.name, label: `${gel.name}, ${Math.round(gel.transmission * 100)} %` }))]}
                onSet={(gel) => {
                    const plain = Object.fromEntries(Object.entries(value).filter(([name]) => name !== 'gel'));
                    hand.set({ ...plain, ...(gel === '' ? {} : { gel }) } as Colour);
                }}
            />
            {value.gel !== undefined && <ToggleField label={`Takes its loss, ${figure(loss, 0.05, true)} stops`} value={value.loses ?? false} onSet={(loses) => set({ loses })} />}
            <NumberField label="Saturation" value={value.saturation ?? 100} unit="%" least={0} most={200} step={1} rest={100} hand={part(hand, value, (saturation) => ({ saturation: saturation ?? 100 }))} />
            <Row label="Tint">
                <input type="color" aria-label={`${label}: tint`} className="h-6 w-8 rounded-sm border border-line bg-well p-0.5" value={value.tint ?? '#ffffff'} onChange={(event) => hand.nudge({ ...value, tint: event.target.value, tinted: value.tinted || 50 } as Colour)} />
            </Row>
            {value.tint !== undefined && <NumberField label="Tinted by" value={value.tinted ?? 0} unit="%" least={0} most={100} step={1} rest={0} hand={part(hand, value, (tinted) => ({ tinted: tinted ?? 0 }))} />}
            <ChoiceField
                label="Average of"
                value=""
                choices={[{ value: '', label: '…' }, ...plates.map((plate) => ({ value: plate.id, label: plate.name }))]}
                onSet={(of) => of !== '' && average(of)}
            />
            <Row label="At hand">
                <span className="flex flex-wrap gap-1">
                    {[...new Set([...coloursOf(scene), ...recentColours()])].map((swatch) => (
                        <button key={swatch} aria-label={`Take ${swatch}`} title={swatch} className="h-5 w-5 rounded-sm border border-line" style={{ background: swatch }} onClick={() => take(swatch)} />
                    ))}
                </span>
            </Row>
        </div>
    );
}
