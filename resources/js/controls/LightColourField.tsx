import type { Colour } from '../api/types';
import { hintOf } from '../ui/kelvin';
import type { ValueProps } from './hand';
import { NumberField } from './NumberField';
import { OneOf } from './OneOf';
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
                <OneOf
                    label={`${label} by`}
                    value={isKelvin ? 'kelvin' : 'swatch'}
                    choices={[
                        { value: 'kelvin', label: 'kelvin' },
                        { value: 'swatch', label: 'swatch' },
                    ]}
                    onSet={(way) => hand.set(way === 'kelvin' ? { kelvin: 3200 } : { swatch: '#ffb46b' })}
                />
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
