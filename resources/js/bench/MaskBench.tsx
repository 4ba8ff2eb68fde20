import { Trash2 } from 'lucide-react';
import type { Ground, Mask, MaskChange, Scene, Strip, Value } from '../api/types';
import { MaskIcon } from '../controls/icons';
import { joins, maskKinds, stripKinds } from '../generated/catalogue';
import type { Gestures } from '../session/gestures';
import { isShown } from '../session/strips';
import { useWork, work, type Tool } from '../session/store';
import { Action } from '../controls/Action';
import { ChoiceField } from '../controls/ChoiceField';
import { Section } from '../controls/Section';
import { ToggleField } from '../controls/ToggleField';
import { Told } from '../controls/Told';
import { ValueControl } from '../controls/ValueControl';
import { SmallPicture } from '../ui/SmallPicture';
import type { Small } from '../ui/smallPictures';
import { thingHand } from './hands';
import { MaskSoftness, tinting } from './MaskSoftness';
import { MasksTaken, UsedOn } from './MasksTaken';
import { useMaskPictures } from './useMaskPictures';

/** Kinds that come about by a tool on the view. */
const DRAWN = ['outline', 'strokes', 'painted cut', 'colour area'];

const DRAWN_BY: { tool: Tool; label: string; hint: string; grounds: Ground[] }[] = [
    { tool: 'outline', label: 'Outline', hint: 'Click for corners, drag for curves (O)', grounds: ['scene', 'plate', 'emitter'] },
    { tool: 'paint', label: 'Paint', hint: 'Paint strokes on the view (P)', grounds: ['scene', 'plate', 'emitter'] },
    { tool: 'pick', label: 'Colour area', hint: 'Click an area of the same colour (I)', grounds: ['plate', 'emitter'] },
];

const TITLES: Record<Ground, string> = { scene: 'Falloff', plate: 'Cut-out', emitter: 'What shines' };

/** Values of masks that are its softness. */
const SOFTNESS = ['feather', 'grow'];

const NONE: Record<Ground, string> = { scene: 'everywhere', plate: 'the whole picture', emitter: 'nothing yet' };

/** The next outline, stroke or pick belongs to the masks of a strip. */
function begin(strip: Strip, on: Ground, tool: Tool) {
    work.choose(strip.id);
    work.takeTool(tool);
    work.workOn(on);
}

/** The masks of a strip on one ground, one of them open with its values: those on its plate cut it out, those in the scene are its falloff, those on its emitter shine. */
export function MaskBench({ scene, strip, on, gestures }: { scene: Scene; strip: Strip; on: Ground; gestures: Gestures }) {
    const masks = strip.masks.filter((mask) => mask.on === on);
    const kinds = maskKinds.filter((kind) => kind.grounds.includes(on) && !DRAWN.includes(kind.key));
    const chosen = useWork((state) => state.mask);
    const pictures = useMaskPictures(scene, strip);
    // where lines shine, lines are what is drawn
    const lines = on === 'emitter' && stripKinds.find((kind) => kind.key === strip.kind)?.shines === 'lines';
    function add(kind: string) {
        const camera = useWork.getState().camera;
        const centre = camera?.centre ?? [scene.width / 2, scene.height / 2];
        void gestures.addMask(strip.id, kind, [centre[0], centre[1]], Math.min(scene.width, scene.height, camera ? 500 / camera.zoom : Infinity));
    }
    return (
        <Section of={strip.kind} title={TITLES[on]} open={strip.family !== 'plate' || on === 'plate'} note={masks.length === 0 ? NONE[on] : undefined}>
            {masks.map((mask, at) => (
                <MaskItem key={mask.id} scene={scene} strip={strip} mask={mask} isFirst={at === 0} isOpen={mask.id === chosen} picture={pictures.get(mask.id)} gestures={gestures} />
            ))}
            <div className="flex flex-wrap items-center gap-1.5 pt-0.5">
                {on !== 'plate' && <span className="mr-1 text-quiet">{on === 'scene' ? 'Add' : 'Draw it with'}</span>}
                {kinds.map((kind) => (
                    <button key={kind.key} className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" onClick={() => add(kind.key)}>
                        {kind.label}
                    </button>
                ))}
                {DRAWN_BY.filter(({ tool, grounds }) => grounds.includes(on) && (!lines || tool === 'outline')).map(({ tool, label, hint }) => (
                    <button key={tool} title={hint} className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" onClick={() => begin(strip, on, tool)}>
                        {label}
                    </button>
                ))}
            </div>
            {on === 'scene' && <MasksTaken scene={scene} strip={strip} hasFalloff={masks.length > 0} gestures={gestures} />}
        </Section>
    );
}

type ItemProps = { scene: Scene; strip: Strip; mask: Mask; isFirst: boolean; isOpen: boolean; /** what it looks like */ picture: Small | undefined; gestures: Gestures };

function MaskItem({ scene, strip, mask, isFirst, isOpen, picture, gestures }: ItemProps) {
    const kind = maskKinds.find((other) => other.key === mask.kind);
    const becomes = maskKinds.find((other) => other.key === kind?.becomes);
    const isAlone = useWork((state) => state.maskAlone === mask.id);
    const change = (part: MaskChange, label: string) => void gestures.change(strip.id, { masks: { [mask.id]: part } }, label);
    // the first one stands alone: it holds back what it does not let through
    const holdsRest = mask.join === 'intersect' || (isFirst && mask.join === 'add');
    const lets = mask.lets ?? [0, 100];
    const turned: [number, number] = [100 - lets[1], 100 - lets[0]];
    const hand = (name: string, label: string) => {
        const own = thingHand<Value>(strip.id, gestures, label, (value) => ({ masks: { [mask.id]: { values: { [name]: value } } } }));
        return SOFTNESS.includes(name) ? tinting(mask.id, own) : own;
    };
    return (
        <div className={`rounded-md ${isOpen ? 'bg-raised/60 px-2 pt-1 pb-2' : ''}`}>
            <div className="flex items-center gap-2">
                <button
                    className="flex flex-1 items-center gap-2 rounded-sm py-1 text-left"
                    aria-expanded={isOpen}
                    onClick={() => work.choose(strip.id, isOpen ? null : mask.id)}
                >
                    {picture ? (
                        <span className={`h-5 w-7 shrink-0 overflow-hidden rounded-sm border border-line bg-well ${mask.off ? 'opacity-40' : ''}`}>
                            <SmallPicture picture={picture} />
                        </span>
                    ) : (
                        <MaskIcon kind={mask.kind} isOff={mask.off} />
                    )}
                    <span>{kind?.label ?? mask.kind}</span>
                    <span className="text-quiet">
                        {isFirst && mask.join !== 'take away' ? '' : mask.join}
                        {mask.inverted ? ' inverted' : ''}
                    </span>
                </button>
                <Letter
                    letter="S"
                    label="See the mask alone"
                    isOn={isAlone}
                    onPress={() => {
                        work.choose(strip.id, mask.id);
                        work.viewMask(isAlone ? null : mask.id);
                    }}
                />
                <Letter letter="M" label={mask.off ? 'Mask left out; take it in' : 'Leave the mask out for a look'} isOn={mask.off} onPress={() => change({ off: !mask.off }, mask.off ? 'Mask on' : 'Mask off')} />
                <button aria-label="Delete the mask" className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => void gestures.removeMask(strip.id, mask.id)}>
                    <Trash2 size={14} />
                </button>
            </div>
            {mask.problem && !mask.off && <p className="pb-1 text-[12px] text-alarm">{mask.problem}</p>}
            {isOpen && (
                <div className="mt-1 flex flex-col gap-1">
                    <UsedOn scene={scene} strip={strip} mask={mask} gestures={gestures} />
                    {becomes && <Action label={`Make it ${becomes.label.toLowerCase()}`} title="Where it is, with the same ramp" onPress={() => void gestures.exchangeMask(strip.id, mask.id)} />}
                    {mask.kind === 'strokes' && <Filled on={mask.on} onFill={(start) => change({ values: { start, strokes: [] } }, start === 'shown' ? 'Fill the mask' : 'Empty the mask')} onOutline={() => begin(strip, mask.on, 'outline')} />}
                    {Array.isArray(mask.values.strokes) && <p className="text-quiet">{mask.values.strokes.length === 1 ? '1 stroke' : `${mask.values.strokes.length} strokes`}; go on with Paint.</p>}
                    <Told says="How it goes together with the masks before it: only where both let through, where either does, or taken away">
                        <ChoiceField label="Joins by" value={mask.join} choices={joins.map((join) => ({ value: join, label: join }))} onSet={(join) => change({ join, ...(mask.lets && !isFirst && (join === 'intersect') !== holdsRest ? { lets: turned } : {}) }, 'Join of the mask')} />
                    </Told>
                    <Told says="Lets through what it held back, and the other way round">
                        <ToggleField label="Inverted" value={mask.inverted} onSet={(inverted) => change({ inverted }, 'Invert the mask')} />
                    </Told>
                    {kind?.parameters
                        .filter((parameter) => isShown(parameter, mask.values))
                        .map((parameter) => (
                            <ValueControl
                                key={parameter.name}
                                scene={scene}
                                strip={strip}
                                parameter={parameter}
                                value={mask.values[parameter.name] ?? null}
                                gestures={gestures}
                                hand={hand(parameter.name, parameter.label)}
                            />
                        ))}
                    {mask.on === 'scene' && <MaskSoftness strip={strip} mask={mask} holdsRest={holdsRest} gestures={gestures} />}
                </div>
            )}
        </div>
    );
}

/** A painted mask whole or empty again, or filled inside an outline. */
function Filled({ on, onFill, onOutline }: { on: Ground; onFill: (start: 'shown' | 'hidden') => void; onOutline: () => void }) {
    return on === 'emitter' ? null : (
        <div className="flex flex-wrap items-center gap-1.5">
            <span className="w-[100px] text-quiet">Fill it</span>
            <Action label="Whole" title="Lets through everywhere: its strokes go" onPress={() => onFill('shown')} />
            <Action label="Not at all" title="Holds back everywhere: its strokes go" onPress={() => onFill('hidden')} />
            <Action label="In an outline" title="Draw an outline: what lies inside is let through too" onPress={onOutline} />
        </div>
    );
}

/** Solo and mute of a mask, as on the desk. */
function Letter({ letter, label, isOn, onPress }: { letter: string; label: string; isOn: boolean; onPress: () => void }) {
    return (
        <button aria-label={label} aria-pressed={isOn} title={label} className={`h-6 w-6 shrink-0 rounded-sm text-[11px] font-semibold ${isOn ? 'bg-ink text-well' : 'bg-well text-quiet hover:text-ink'}`} onClick={onPress}>
            {letter}
        </button>
    );
}
