import { RadioGroup } from 'radix-ui';
import type { Colour } from '../api/types';
import { hintOf } from '../ui/kelvin';
import type { ValueProps } from './hand';
import { NumberField } from './NumberField';
import { Row } from './Row';

/** The colour of a light: by temperature or by swatch. */
export function LightColourField({ parameter: { label }, value, hand }: ValueProps<Colour>) {
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
                <RadioGroup.Root
                    aria-label={`${label} by`}
                    orientation="horizontal"
                    className="flex overflow-hidden rounded-sm border border-line"
                    value={isKelvin ? 'kelvin' : 'swatch'}
                    onValueChange={(way) => hand.set(way === 'kelvin' ? { kelvin: 3200 } : { swatch: '#ffb46b' })}
                >
                    {(['kelvin', 'swatch'] as const).map((way) => (
                        <RadioGroup.Item key={way} value={way} className="px-2 text-[12px] text-quiet data-[state=checked]:bg-raised data-[state=checked]:text-ink">
                            {way}
                        </RadioGroup.Item>
                    ))}
                </RadioGroup.Root>
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
