import { Copy, Lock, LockOpen, Trash2 } from 'lucide-react';
import type { Parameter, Scene, Strip, Value } from '../api/types';
import { linearModes, modes, stripKinds } from '../generated/catalogue';
import { Action } from '../controls/Action';
import { percentScale } from '../controls/Fader';
import { firstSteps, nextOf } from '../session/firstSteps';
import type { Gestures } from '../session/gestures';
import { everyStrip, isLight, isShown } from '../session/strips';
import { everySource, isPart, sourceOf, valuesInForce } from '../session/things';
import { useWork, work, type Step } from '../session/store';
import { ChoiceField } from '../controls/ChoiceField';
import { NumberField } from '../controls/NumberField';
import { PlatesChoice } from '../controls/PlatesField';
import { Section } from '../controls/Section';
import { Told } from '../controls/Told';
import { ValueControl } from '../controls/ValueControl';
import type { Hand } from '../controls/hand';
import { MaskBench } from './MaskBench';
import { tinting } from './MaskSoftness';
import { Row } from '../controls/Row';
import { thingHand, valueHand } from './hands';
import { HowAlike } from './HowAlike';
import { LevelField } from './LevelField';
import { Likeness } from './Likeness';
import { ModeSheet } from './ModeSheet';
import { NormalsGuessed, OwnLight } from './OwnLight';
import { BaseActions, DirectionActions, EdgeActions, PlacingActions } from './PlateBench';
import { SourceBench } from './SourceBench';
import { StageBench } from './StageBench';
import { TonesBench } from './TonesBench';

const TITLES: Record<string, string> = { light: 'Light', shadow: 'Shadow', placing: 'Placing', reach: 'Reach', cut: 'Cut', base: 'Base', edge: 'Clean the edge', direction: 'Direction', shells: 'Shells', surroundings: 'Around it', source: 'From its source', along: 'Along it', smoke: 'Smoke', dust: 'Dust', softness: 'Softness', tone: 'Tones', ends: 'Ends', brightness: 'Brightness alone', channels: 'Single channels', body: 'Body', 'own light': 'Own light' };

/** Sections that are folded until they are wanted; among them what is dragged on the picture. */
const FOLDED = ['placing', 'reach', 'base', 'edge', 'cut', 'surroundings', 'source', 'along', 'smoke', 'dust', 'softness', 'tone', 'ends', 'brightness', 'channels', 'body', 'own light'];

/** A plate's sections in the order of the work; those of other kinds come as the core names them. */
const ORDER = ['direction', 'own light', 'placing', 'base', 'edge', 'body'];

const ADVICE: Record<Step, string> = {
    Match: 'Drop a picture on the view: it becomes a plate. Cut it out with Paint or Outline, find its bearing, and look at the compass.',
    Light: 'Add a light with + at the right end of the desk. Rather a bit too bright, then fade it down.',
    Shade: 'Choose what stands there and cast its shadows, or add one with + and drag it from the feet.',
    Shape: 'Choose a strip and give it a mask: a gradient decides where it stops.',
    Air: 'A spot mixed as airlight shows its beam in the air.',
    Finish: 'Hold B for before. Export at the top right.',
};

/** The chosen strip's values; without one, what the step of the course is for. */
export function Bench({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const chosen = useWork((state) => state.chosen);
    const pending = useWork((state) => state.pending);
    const step = useWork((state) => state.step);
    const strip = everyStrip(scene.strips, pending).find((other) => other.id === chosen);
    const source = sourceOf(scene, chosen, pending);
    return (
        <aside aria-label="Bench" className="min-h-0 flex-1 overflow-x-hidden overflow-y-auto">
            {source ? (
                <SourceBench key={source.id} scene={scene} source={source} gestures={gestures} />
            ) : chosen !== null && isPart(chosen) ? (
                <StageBench scene={scene} gestures={gestures} />
            ) : strip ? (
                <StripBench key={strip.id} scene={scene} strip={strip} gestures={gestures} />
            ) : (
                <div className="p-4">
                    <h2 className="mb-1 font-semibold">{step}</h2>
                    <p className="text-quiet">{ADVICE[step]}</p>
                    <p className="mt-3 text-quiet">Press on something in the picture, or choose a strip on the desk, to see its values here.</p>
                    <FirstSteps />
                </div>
            )}
        </aside>
    );
}

/** What somebody who is new does next, until each was done once. */
function FirstSteps() {
    const done = useWork((state) => state.firstDone);
    const next = nextOf(done);
    return next === null ? null : (
        <section aria-label="First steps" className="mt-4 border-t border-line pt-3">
            <h3 className="font-semibold">First steps</h3>
            <ol className="mt-1 flex flex-col gap-1">
                {firstSteps.map(({ key, words }) => (
                    <li key={key} className={`flex gap-2 ${key === next.key ? 'text-ink' : 'text-quiet'}`}>
                        <span aria-hidden className={`mt-[5px] h-2 w-2 shrink-0 rounded-full border ${done.includes(key) ? 'border-quiet bg-quiet' : key === next.key ? 'border-warm bg-warm' : 'border-line'}`} />
                        <span>
                            {words}
                            {done.includes(key) && <span className="sr-only"> (done)</span>}
                        </span>
                    </li>
                ))}
            </ol>
            <div className="mt-2">
                <Action label="Put away" title="They are not shown again" onPress={() => work.firstDone(firstSteps.map(({ key }) => key))} />
            </div>
        </section>
    );
}

/** A hand on a value; while a cut-out's edge is worked on, what is cut away lies under a tint. */
function handOf(strip: Strip, parameter: Parameter, gestures: Gestures): Hand<Value> {
    const hand = valueHand(strip.id, parameter, gestures);
    const cut = parameter.section === 'edge' ? strip.masks.find((mask) => mask.on === 'plate') : undefined;
    return cut ? tinting(cut.id, hand) : hand;
}

function StripBench({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const kind = stripKinds.find((other) => other.key === strip.kind);
    const shown = kind?.parameters.filter((parameter) => isShown(parameter, strip.values)) ?? [];
    const sections = [...new Set(shown.map((parameter) => parameter.section))].sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b));
    const isPlate = strip.family === 'plate';
    const light = isLight(strip);
    const pending = useWork((state) => state.pending);
    const drafted = useWork((state) => state.inForce);
    const source = everySource(scene).find((other) => other.id === strip.source);
    const values = valuesInForce(strip, pending, drafted);
    return (
        <>
            <header className="flex items-center gap-1 border-b border-line px-3.5 py-2">
                <h2 className="min-w-0 flex-1 truncate font-semibold" title={strip.name}>
                    {strip.name}
                </h2>
                <button
                    aria-label={strip.locked ? 'Unlock the strip' : 'Lock the strip'}
                    aria-pressed={strip.locked ?? false}
                    title={strip.locked ? 'Locked: a press on the picture neither chooses nor moves it. Unlock' : 'Lock: a press on the picture neither chooses nor moves it'}
                    className={`rounded-sm p-1.5 hover:text-ink ${strip.locked ? 'text-ink' : 'text-quiet'}`}
                    onClick={() => void gestures.change(strip.id, { locked: !strip.locked }, strip.locked ? 'Unlock' : 'Lock')}
                >
                    {strip.locked ? <Lock size={14} /> : <LockOpen size={14} />}
                </button>
                <button aria-label="Duplicate the strip" title="Duplicate (D)" className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => void gestures.duplicate(strip.id)}>
                    <Copy size={14} />
                </button>
                <button aria-label="Delete the strip" title="Delete (Delete)" className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => void gestures.remove(strip.id)}>
                    <Trash2 size={14} />
                </button>
            </header>
            {sections.map((section, at) => (
                <Section key={section} of={strip.kind} title={TITLES[section] ?? section} open={(at === 0 && !isPlate) || !FOLDED.includes(section)} note={at === 0 && section !== strip.kind && !isPlate ? kind?.label.toLowerCase() : undefined}>
                    {at === 0 && light && <LevelField name={strip.id} level={strip.level ?? 0} gestures={gestures} />}
                    {at === 0 && strip.atLimit && <p className="text-[12px] text-alarm">With {source?.name}’s level it is at the end of what a level can be.</p>}
                    {at === 0 && kind?.likens && <HowAlike scene={scene} strip={strip} />}
                    {at === 0 && kind && kind.hangsOn.length > 0 && <HangsOn scene={scene} strip={strip} kinds={kind.hangsOn} gestures={gestures} />}
                    {shown
                        .filter((parameter) => parameter.section === section)
                        .map((parameter) =>
                            source && parameter.name in strip.inForce ? (
                                <Row key={parameter.name} label={parameter.label}>
                                    <span className="text-quiet">from {source.name}</span>
                                </Row>
                            ) : (
                            <ValueControl key={parameter.name} scene={scene} strip={strip} parameter={parameter} value={values[parameter.name] ?? null} gestures={gestures} hand={handOf(strip, parameter, gestures)} />
                            ),
                        )}
                    {isPlate && section === 'direction' && <DirectionActions scene={scene} strip={strip} gestures={gestures} />}
                    {isPlate && section === 'own light' && <OwnLight scene={scene} strip={strip} gestures={gestures} />}
                    {isPlate && section === 'body' && typeof strip.values.normals === 'string' && strip.values.normalsUp === 'as it seems' && <NormalsGuessed scene={scene} strip={strip} />}
                    {isPlate && section === 'placing' && <PlacingActions />}
                    {isPlate && section === 'base' && <BaseActions strip={strip} gestures={gestures} />}
                    {isPlate && section === 'edge' && <EdgeActions scene={scene} strip={strip} />}
                </Section>
            ))}
            {isPlate && <MaskBench scene={scene} strip={strip} on="plate" gestures={gestures} />}
            {strip.shines && <MaskBench scene={scene} strip={strip} on="emitter" gestures={gestures} />}
            {strip.complements ? <OtherSide scene={scene} strip={strip} gestures={gestures} /> : <MaskBench scene={scene} strip={strip} on="scene" gestures={gestures} />}
            <TonesBench scene={scene} strip={strip} gestures={gestures} />
            <Mix scene={scene} strip={strip} gestures={gestures} />
            {strip.family !== 'group' && <Likeness scene={scene} strip={strip} gestures={gestures} />}
        </>
    );
}

/** One of a split pair falls where the other one does not: their line is changed on either. */
function OtherSide({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const holder = everyStrip(scene.strips).find((other) => other.id === strip.complements);
    return (
        <Section of={strip.kind} title="Falloff" note={holder ? `where ${holder.name} does not fall` : undefined}>
            <div className="flex flex-wrap gap-1.5">
                {holder && <Action label={`The line of ${holder.name}`} title="Its masks with their values" onPress={() => work.choose(holder.id, holder.masks[0]?.id ?? null)} />}
                <Action label="On its own" title="What the line leaves to it becomes its own masks" onPress={() => void gestures.change(strip.id, { complements: null }, 'On its own')} />
            </div>
        </Section>
    );
}

/** The source that says where a light comes from and what colour it has. */
function HangsOn({ scene, strip, kinds, gestures }: { scene: Scene; strip: Strip; kinds: string[]; gestures: Gestures }) {
    const sources = everySource(scene).filter((source) => kinds.includes(source.kind));
    return sources.length === 0 ? null : (
        <Told says="The lamp or sun that says where it comes from and which colour it has">
            <ChoiceField
                label="Hangs on"
                value={strip.source ?? ''}
                choices={[{ value: '', label: 'nothing' }, ...sources.map((source) => ({ value: source.id, label: source.name }))]}
                onSet={(source) => void (source === '' ? gestures.letGo(strip.id) : gestures.change(strip.id, { source }, 'Hang on the source'))}
            />
        </Told>
    );
}

/** The plates that a strip stays off. */
function Off({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const off = strip.keptOff ?? { plates: [], grow: 0, feather: 0 };
    const hand = (name: 'grow' | 'feather') => thingHand<number | null>(strip.id, gestures, 'Keep off', (value) => ({ keptOff: { ...off, [name]: value ?? 0 } }));
    return (
        <>
            <Told says="The plates that it stays off: behind a subject, off a face">
                <PlatesChoice label="Kept off" named={off.plates} scene={scene} onSet={(plates) => void gestures.change(strip.id, { keptOff: plates.length === 0 ? null : { ...off, plates } }, 'Keep off')} />
            </Told>
            {off.plates.length > 0 && (
                <>
                    <Told says="How far it stays away from the outline of those plates; below 0 it comes in over their edge">
                        <NumberField label="Away" value={off.grow} unit="px" least={-2000} most={2000} step={1} rest={0} hand={hand('grow')} />
                    </Told>
                    <Told says="How softly it comes back beside them">
                        <NumberField label="Softness" value={off.feather} unit="px" least={0} most={1000} step={1} rest={0} hand={hand('feather')} />
                    </Told>
                </>
            )}
        </>
    );
}

function Mix({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const plates = everyStrip(scene.strips).filter((other) => other.family === 'plate' && other.id !== strip.id);
    const isCapped = isLight(strip) && !linearModes.includes(strip.mode) && (strip.level ?? 0) > 0;
    return (
        <Section of={strip.kind} title="Mix">
            {strip.amount !== undefined && (
                <Told says="How much of it is mixed in">
                    <NumberField
                        label="Amount"
                        value={strip.amount}
                        unit="%"
                        least={0}
                        most={100}
                        step={percentScale.fine}
                        rest={100}
                        hand={thingHand<number | null>(strip.id, gestures, 'Fade', (amount) => ({ amount: amount ?? 100 }))}
                    />
                </Told>
            )}
            {strip.family === 'group' && (
                <Told says="Open: its lights fall on what lies below too. Closed: only on what it holds, and the whole is mixed like a plate">
                    <ChoiceField
                        label="Group is"
                        value={strip.closed ? 'closed' : 'open'}
                        choices={[
                            { value: 'open', label: 'open' },
                            { value: 'closed', label: 'closed' },
                        ]}
                        onSet={(is) => void gestures.change(strip.id, { closed: is === 'closed' }, is === 'closed' ? 'Close the group' : 'Open the group')}
                    />
                </Told>
            )}
            {strip.family === 'group' && (
                <Told says="Held: what it yields is worked out once and kept, so that a heavy group stays quick; touching anything in it lets go">
                    <ChoiceField
                        label="Yields"
                        value={strip.held ? 'held' : 'live'}
                        choices={[
                            { value: 'live', label: 'as it goes' },
                            { value: 'held', label: 'held' },
                        ]}
                        onSet={(is) => void gestures.change(strip.id, { held: is === 'held' }, is === 'held' ? 'Hold what it yields' : 'Let go of what it yields')}
                    />
                </Told>
            )}
            {(strip.family !== 'group' || strip.closed) && (
                <>
                    <Told says="How it is mixed with what lies beneath: as light, or as tones are laid over each other">
                        <ChoiceField label="Mode" value={strip.mode} choices={modes.map((mode) => ({ value: mode, label: mode }))} onSet={(mode) => void gestures.change(strip.id, { mode }, 'Mode')}>
                            <ModeSheet scene={scene} strip={strip} gestures={gestures} />
                        </ChoiceField>
                    </Told>
                </>
            )}
            {isLight(strip) && (
                <Told says="How sharply the light's own shape goes from bright to dark">
                    <NumberField label="Contrast" value={strip.contrast ?? 0} unit="%" signed least={-100} most={100} step={1} rest={0} hand={thingHand<number | null>(strip.id, gestures, 'Contrast', (contrast) => ({ contrast: contrast ?? 0 }))} />
                </Told>
            )}
            {isCapped && <p className="text-quiet">In {strip.mode} a level above 0 fills what is soft; where the light is full nothing more comes.</p>}
            <Told says="The plate inside whose outline it acts">
                <ChoiceField
                    label="Confined to"
                    value={strip.confinedTo ?? ''}
                    choices={[{ value: '', label: 'the whole picture' }, ...plates.map((plate) => ({ value: plate.id, label: plate.name }))]}
                    onSet={(plate) => void gestures.change(strip.id, { confinedTo: plate === '' ? null : plate }, 'Confine')}
                />
            </Told>
            {strip.confinedTo && (strip.family === 'grade' || strip.family === 'air') && (
                <div className="pt-0.5">
                    <Action label="Make it part of the plate" title="Held with the plate in a closed group: whatever lies above takes the plate as it is then" onPress={() => void gestures.partOfPlate(strip.id)} />
                </div>
            )}
            <Off scene={scene} strip={strip} gestures={gestures} />
        </Section>
    );
}
