import { createElement, type FunctionComponent } from 'react';
import { HuesField } from './HuesField';
import { BearingField } from './BearingField';
import { BendsField } from './BendsField';
import { ChoiceControl } from './ChoiceField';
import { ColourRampControl } from './ColourRampField';
import { CornersField } from './CornersField';
import { CurveField } from './CurveField';
import { CutsField } from './CutsField';
import { FeetField } from './FeetField';
import { FlatColourField } from './FlatColourField';
import type { ValueProps } from './hand';
import { LightColourField } from './LightColourField';
import { LineField } from './LineField';
import { NumberControl } from './NumberField';
import { PictureField } from './PictureField';
import { PlateChoice } from './PlateChoice';
import { PlatesField } from './PlatesField';
import { PointField } from './PointField';
import { ShellsField } from './ShellsField';
import { ShiftsField } from './ShiftsField';
import { StanceField } from './StanceField';
import { StopsControl } from './StopsField';
import { StripChoice } from './StripChoice';
import { SurfaceField } from './SurfaceField';
import { ToggleControl } from './ToggleField';
import { Told } from './Told';
import { ToneRampField } from './ToneRampField';

/** The control of each type of value; a type that is set on the picture only needs no line. */
const ofTypes: Record<string, FunctionComponent<ValueProps>> = {
    number: NumberControl,
    choice: ChoiceControl,
    switch: ToggleControl,
    point: PointField as FunctionComponent<ValueProps>,
    'light colour': LightColourField as FunctionComponent<ValueProps>,
    'flat colour': FlatColourField,
    'mask stops': StopsControl,
    'tone ramp': ToneRampField,
    'colour ramp': ColourRampControl,
    shells: ShellsField,
    curve: CurveField,
    shifts: ShiftsField,
    bands: HuesField,
    picture: PictureField,
    plate: PlateChoice,
    strip: StripChoice,
    plates: PlatesField,
    bends: BendsField,
    corners: CornersField,
    line: LineField,
    bearing: BearingField,
    surface: SurfaceField,
    stance: StanceField,
    feet: FeetField,
    cuts: CutsField,
};

/** The control of a value as the core describes it; what it does in light is told while pointer or focus rest on it. */
export function ValueControl(props: ValueProps) {
    const { type, says } = props.parameter;
    const control = ofTypes[type];
    return control ? <Told says={says}>{createElement(control, props)}</Told> : null;
}
