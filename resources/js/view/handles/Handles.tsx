import { createElement, type FunctionComponent } from 'react';
import type { Scene, Strip } from '../../api/types';
import type { Gestures } from '../../session/gestures';
import { everyStrip } from '../../session/strips';
import { STAGE, valuesInForce } from '../../session/things';
import { useWork } from '../../session/store';
import type { Lens, Size } from '../../session/camera';
import { LinearHandles } from './LinearHandles';
import { ColourAreaHandles } from './ColourAreaHandles';
import { DriftHandles } from './DriftHandles';
import { FrameHandles, TextureHandles } from './FrameHandles';
import { GlowHandles } from './GlowHandles';
import { HaloHandles } from './HaloHandles';
import { KeyHandles, ReliefHandles } from './KeyHandles';
import { LineHandles } from './LineHandles';
import { OutlineHandles } from './OutlineHandles';
import { PatternHandles } from './PatternHandles';
import { PlateHandles } from './PlateHandles';
import { RadialHandles } from './RadialHandles';
import { RampHandles } from './RampHandles';
import { RegionHandles } from './RegionHandles';
import { RimHandles } from './RimHandles';
import { ShadowHandles } from './ShadowHandles';
import { SourceMarks } from './SourceMarks';
import { SpotHandles } from './SpotHandles';
import { SpotOntoHandles } from './SpotOntoHandles';
import { StageHandles } from './StageHandles';
import { SunHandles } from './SunHandles';
import type { MaskHandleProps, StripHandleProps } from './types';

/** The handles of each kind of strip and of mask; a kind without any needs no line. */
const ofStrips: Record<string, FunctionComponent<StripHandleProps>> = { spot: SpotHandles, 'spot-onto': SpotOntoHandles, rim: RimHandles, 'key light': KeyHandles, skylight: KeyHandles, relief: ReliefHandles, chamfer: KeyHandles, plate: PlateHandles, glow: GlowHandles, halo: HaloHandles, line: LineHandles, sun: SunHandles, beam: SpotHandles, pattern: PatternHandles, leak: FrameHandles, cast: ShadowHandles, wall: ShadowHandles, fill: RampHandles, wash: RampHandles, haze: RampHandles, smoke: DriftHandles, match: RegionHandles };

const ofMasks: Record<string, FunctionComponent<MaskHandleProps>> = { linear: LinearHandles, radial: RadialHandles, outline: OutlineHandles, 'colour area': ColourAreaHandles, texture: TextureHandles };

/** Whether a light without a direction of its own follows a body, by a bearing that is turned as a key light's is. */
function follows(strip: Strip): boolean {
    return strip.values.follows === true && 'azimuth' in strip.values && strip.confinedTo !== undefined;
}

export function Handles(props: { scene: Scene; lens: Lens; view: Size; gestures: Gestures; passive: boolean }) {
    const chosen = useWork((state) => state.chosen);
    const chosenMask = useWork((state) => state.mask);
    const pending = useWork((state) => state.pending);
    const drafted = useWork((state) => state.outlines);
    const inForce = useWork((state) => state.inForce);
    const { scene, lens, gestures } = props;
    const found = everyStrip(scene.strips, pending).find((other) => other.id === chosen);
    const strip = found && { ...found, values: valuesInForce(found, pending, inForce) };
    // one of a split pair shows the line that the other one has
    const holder = strip?.complements === undefined ? undefined : everyStrip(scene.strips, pending).find((other) => other.id === strip.complements);
    const mask = holder ? holder.masks.find((other) => ofMasks[other.kind]) : strip?.masks.find((other) => other.id === chosenMask);
    const shared = strip && { scene, strip, outlines: drafted[strip.id] ?? strip.outlines, lens, gestures };
    const [OfStrip, OfMask] = [strip && ofStrips[strip.kind], mask && ofMasks[mask.kind]];
    return (
        <svg className={`absolute inset-0 h-full w-full ${props.passive ? 'pointer-events-none' : ''}`} width={props.view.width} height={props.view.height}>
            {chosen === STAGE && <StageHandles scene={scene} lens={lens} gestures={gestures} />}
            {shared && (mask && OfMask ? createElement(OfMask, { ...shared, strip: holder ?? shared.strip, mask, key: mask.id }) : OfStrip && (!strip?.locked || strip.family === 'plate') && createElement(OfStrip, { ...shared, key: shared.strip.id }))}
            {shared && !mask && !strip?.locked && follows(shared.strip) && <KeyHandles {...shared} />}
            <SourceMarks scene={scene} lens={lens} gestures={gestures} />
        </svg>
    );
}
