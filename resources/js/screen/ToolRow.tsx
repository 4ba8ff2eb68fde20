import type { Ground, Scene, Strip } from '../api/types';
import { Action } from '../controls/Action';
import { OneOf } from '../controls/OneOf';
import { DeskButton } from '../desk/Edge';
import { stripKinds } from '../generated/catalogue';
import { Readings } from '../readings/Readings';
import { BrushMore } from './BrushMore';
import { groundFor, isOfLines, letsAllIn, paintable, paintsOn, paintTarget, type Target } from '../view/tools/target';
import type { Gestures } from '../session/gestures';
import { nextOf } from '../session/firstSteps';
import { everyStrip, plateOf } from '../session/strips';
import { toolOf, useWork, work, type Paints, type Seeing, type Tool, type Picking } from '../session/store';

const TOOLS: { tool: Tool; label: string; key: string }[] = [
    { tool: 'move', label: 'Move', key: 'E' },
    { tool: 'paint', label: 'Paint', key: 'P' },
    { tool: 'outline', label: 'Outline', key: 'O' },
    { tool: 'pick', label: 'Pick', key: 'I' },
    { tool: 'pan', label: 'Pan', key: 'space' },
];

const GROUNDS: Record<Ground, string> = { plate: 'cuts out', scene: 'falloff of', emitter: 'shines in' };

/** The row above the desk: what the pointer does, the few settings of that, and the readings. */
export function ToolRow({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const tool = useWork(toolOf);
    const chosen = useWork((state) => state.chosen);
    const camera = useWork((state) => state.camera);
    const all = everyStrip(scene.strips);
    const strip = all.find((other) => other.id === chosen);
    const isPair = strip !== undefined && (strip.complements !== undefined || all.some((other) => other.complements === strip.id));
    return (
        <div className="flex h-8 shrink-0 items-center gap-1 bg-panel px-3 max-[719px]:overflow-x-auto">
            <OneOf
                label="What the pointer does"
                look="plain"
                value={tool}
                choices={TOOLS.map((entry) => ({ value: entry.tool, label: entry.label, title: `${entry.label} (${entry.key})` }))}
                onSet={work.takeTool}
            />
            <div className="ml-3 flex min-w-0 flex-1 items-center gap-2.5 overflow-hidden whitespace-nowrap">
                <Settings strip={strip} isPair={isPair} gestures={gestures} />
            </div>
            <div className="flex shrink-0 items-center gap-2">
                <Readings scene={scene} gestures={gestures} />
                <See isChosen={strip !== undefined} hasForm={plateOf(strip) !== null} />
                {camera && <span data-testid="zoom" className="font-mono text-[12px] text-quiet">{Math.round(camera.zoom * 100)} %</span>}
                <button className="rounded-md px-2 text-quiet hover:text-ink" title="Show the whole scene (F)" onClick={() => work.stand(null)}>
                    Whole
                </button>
                <button
                    className="rounded-md px-2 text-quiet hover:text-ink"
                    title="A scene pixel on each pixel of the screen"
                    onClick={() => work.stand({ centre: useWork.getState().camera?.centre ?? [scene.width / 2, scene.height / 2], zoom: 1 / (window.devicePixelRatio || 1) })}
                >
                    1:1
                </button>
                <Fold />
                <DeskButton />
            </div>
        </div>
    );
}

/** All the room for the picture. */
function Fold() {
    const folded = useWork((state) => state.folded);
    return (
        <button aria-pressed={folded} className={`rounded-md px-2 ${folded ? 'bg-ink text-well' : 'text-quiet hover:text-ink'}`} title={folded ? 'Show bench and desk (W)' : 'Fold bench and desk away (W)'} onClick={() => work.fold(!folded)}>
            Fold
        </button>
    );
}

const SEEINGS: [Seeing, string][] = [
    ['colours', 'Colours'],
    ['values', 'Values'],
    ['clipping', 'Clipping'],
    ['alone', 'This strip alone'],
    ['alone in greys', 'This strip in greys'],
    ['passing', 'Tones that pass'],
    ['form', 'Form of the plate'],
];

/** Whether it shows something of the chosen strip. */
function ofChosen(seeing: Seeing): boolean {
    return seeing === 'passing' || seeing.startsWith('alone');
}

/** How the picture is seen. */
function See({ isChosen, hasForm }: { isChosen: boolean; hasForm: boolean }) {
    const seeing = useWork((state) => state.seeing);
    return (
        <label className="flex items-center gap-1.5 text-quiet" title="How the picture is seen (V: values, clipping; L: this strip alone)">
            See
            <select className={`h-5 w-[78px] rounded-sm bg-well px-1 ${seeing === 'colours' ? 'text-quiet' : 'text-ink'}`} value={seeing} onChange={(event) => event.target.value !== seeing && work.see(event.target.value as Seeing)}>
                {SEEINGS.map(([value, words]) => (
                    <option key={value} value={value} disabled={value === 'form' ? !hasForm : !isChosen && ofChosen(value)}>
                        {words}
                    </option>
                ))}
            </select>
        </label>
    );
}

function Settings({ strip, isPair, gestures }: { strip: Strip | undefined; isPair: boolean; gestures: Gestures }) {
    const pointer = useWork((state) => state.pointer);
    const pick = useWork((state) => state.pick);
    const told = useWork((state) => state.told);
    if (told !== null) {
        return <Hint text={told} />;
    }
    switch (pointer.does) {
        case 'pick':
            return (
                <>
                    <Small label="Patch" unit="px" value={pick.patch} least={1} most={101} onSet={(patch) => work.pick({ patch })} />
                    <Hint text={'curve' in pointer.picking ? 'Press on a tone and drag up or down. Escape ends it.' : `Press on the picture: ${pickedBy(pointer.picking)}. Escape gives up.`} />
                </>
            );
        case 'place':
            return <Hint text={pointer.placing.line ? `Drag ${pointer.placing.line}. Enter places it in the middle, Escape gives up.` : 'Press where it is seen. Enter places it in the middle, Escape gives up.'} />;
        case 'mark':
            return <Hint text={pointer.marking === 'square' || pointer.marking === 'wall' ? 'Click its four corners, or draw two edges that lie opposite. Escape gives up.' : 'Draw the line from one end to the other. Escape gives up.'} />;
        case 'draw':
            return <Hint text={pointer.drawing === 'horizon' ? 'Draw the horizon of this plate from one side to the other.' : 'Draw from the foot of an object to the tip of its shadow.'} />;
        case 'sphere':
            return <Hint text="Turn the sphere until it is lit as the subject is." />;
        case 'fit':
            return <Hint text="Drag each corner of the plate to where it belongs." />;
        case 'pivot':
            return <Hint text="Drag the ring about which the plate is scaled and turned." />;
        case 'tool':
            return <OfTool tool={pointer.tool} strip={strip} isPair={isPair} gestures={gestures} />;
    }
}

/** What the mean of a patch becomes. */
const pickedBy = (picking: Picking): string => ('hues' in picking ? 'the hues that belong to it are marked' : 'tones' in picking ? 'the strip acts on that tone' : 'the mean of the patch becomes the colour');

function OfTool({ tool, strip, isPair, gestures }: { tool: Tool; strip: Strip | undefined; isPair: boolean; gestures: Gestures }) {
    const next = nextOf(useWork((state) => state.firstDone));
    if (tool === 'move') {
        return <Hint text={next ? `Next: ${next.words}` : 'Drag the handles of the chosen strip. Arrow keys nudge it.'} />;
    }
    if (tool === 'pan') {
        return <Hint text="Drag the picture. The wheel zooms at the pointer." />;
    }
    if (!strip) {
        return <Hint text="Choose a strip on the desk first: its masks are what you work on." />;
    }
    switch (tool) {
        case 'find':
            return <Hint text={strip.family === 'plate' ? `Click the subject of ${strip.name}, or drag a box round it. Strokes improve what is found.` : 'Choose a plate on the desk: its subject is what is found.'} />;
        case 'paint':
            return <BrushSettings strip={strip} isPair={isPair} gestures={gestures} />;
        case 'outline':
            return <OutlineSettings strip={strip} />;
        case 'pick':
            return <PickSettings strip={strip} />;
    }
}

function Hint({ text }: { text: string }) {
    return (
        <span className="truncate text-quiet" role="status" title={text}>
            {text}
        </span>
    );
}

/** Everything is held back, to be let in by strokes. */
function beginWithNothing(strip: Strip, target: Target, gestures: Gestures): void {
    void (target.mask
        ? gestures.change(strip.id, { masks: { [target.mask.id]: { values: { start: 'hidden' } } } }, 'Begin with nothing')
        : gestures.addMask(strip.id, target.kind, [0, 0], 1, { on: target.on, values: { start: 'hidden', strokes: [] } }));
}

function BrushSettings({ strip, isPair, gestures }: { strip: Strip; /** it shares its line with another strip */ isPair: boolean; gestures: Gestures }) {
    const brush = useWork((state) => state.brush);
    const mask = useWork((state) => state.mask);
    const target = paintTarget(strip, mask, useWork((state) => state.paints));
    const choices = paintable(strip);
    const isCut = target.kind === 'painted cut';
    const isLamp = stripKinds.find((kind) => kind.key === strip.kind)?.tip === 'lamp';
    return (
        <>
 {choices.length > 1 && (
                <label className="flex shrink-0 items-center gap-1.5 text-quiet">
                    Paints
                    <select aria-label="What is painted" className="h-6 rounded-sm bg-well px-1 text-ink" value={paintsOn(target)} onChange={(event) => work.paints(event.target.value as Paints)}>
                        {choices.map((choice) => (
                            <option key={choice} value={choice}>
                                {choice}
                            </option>
                        ))}
                    </select>
                </label>
            )}
            <Either label="What the brush does" keys="R" value={brush.letsIn} onSet={(letsIn) => work.brush({ letsIn })} words={isCut ? ['Subject', 'Background'] : ['Let in', 'Hold back']} />
            {brush.letsIn && letsAllIn(target) && !isPair && (
                <Action label="Begin with nothing" title="Holds everything back, so that strokes let it in" onPress={() => beginWithNothing(strip, target, gestures)} />
            )}
            <Small label="Size" keys="- and =" unit="px" value={brush.size} least={1} most={4000} onSet={(size) => work.brush({ size })} />
            {isCut && <Action label="Find it" title="Click the subject, or drag a box round it: a first cut that strokes improve" onPress={() => work.takeTool('find')} />}
            {!isCut && (
                <>
                    {isLamp ? (
                        <Small label="Stretch" unit="×" value={brush.stretch} least={1} most={10} onSet={(stretch) => work.brush({ stretch })} />
                    ) : (
                        <Small label="Hardness" keys="shift with - and =" unit="%" value={brush.hardness} least={0} most={100} onSet={(hardness) => work.brush({ hardness })} />
                    )}
                    <Small label="Opacity" unit="%" value={brush.opacity} least={0} most={100} onSet={(opacity) => work.brush({ opacity })} />
                    <Small label="Flow" unit="%" value={brush.flow} least={0} most={100} onSet={(flow) => work.brush({ flow })} />
                    <BrushMore isLamp={isLamp} isOnScene={target.on === 'scene' && !isPair} isSymmetric={!isPair} />
                </>
            )}
        </>
    );
}

function OutlineSettings({ strip }: { strip: Strip }) {
    const on = groundFor(strip, useWork((state) => state.paints));
    const alongEdges = useWork((state) => state.alongEdges);
    const ends = on === 'emitter' && isOfLines(strip) ? 'end with Enter or on the last point' : 'close on the first point';
    return (
        <>
            <TakesAway />
            {on === 'plate' && <Action label="Along edges" title="Between two clicks it keeps to the edges of the plate's picture" pressed={alongEdges} onPress={() => work.keepToEdges(!alongEdges)} />}
            <Hint text={`Click for corners, drag for curves, ${ends}: ${GROUNDS[on]} ${strip.name}`} />
        </>
    );
}

function PickSettings({ strip }: { strip: Strip }) {
    const pick = useWork((state) => state.pick);
    const set = work.pick;
    return (
        <>
            <TakesAway />
            <Either label="Takes what is" value={pick.reach === 'touching'} onSet={(touching) => set({ reach: touching ? 'touching' : 'everywhere' })} words={['Touching', 'Everywhere']} />
            <Small label="Tolerance" unit="%" value={pick.tolerance} least={0.5} most={100} onSet={(tolerance) => set({ tolerance })} />
            <Small label="Patch" unit="px" value={pick.patch} least={1} most={101} onSet={(patch) => set({ patch })} />
            <Hint text={strip.family === 'plate' || strip.shines ? `Click an area: ${GROUNDS[groundFor(strip, null)]} ${strip.name}; with alt it is taken away` : 'Choose a plate: colour areas are picked on one.'} />
        </>
    );
}

function TakesAway() {
    const takesAway = useWork((state) => state.takesAway);
    return <Either label="How it joins" value={!takesAway} onSet={(adds) => work.takesAway(!adds)} words={['Add', 'Take away']} />;
}

function Either({ label, keys, value, words, onSet }: { label: string; keys?: string; value: boolean; words: [string, string]; onSet: (first: boolean) => void }) {
    return (
        <OneOf
            label={label}
            value={value ? 'first' : 'second'}
            choices={[
                { value: 'first', label: words[0], title: keys && `${words[0]} (${keys})` },
                { value: 'second', label: words[1], title: keys && `${words[1]} (${keys})` },
            ]}
            onSet={(chosen) => onSet(chosen === 'first')}
        />
    );
}

function Small({ label, keys, unit, value, least, most, onSet }: { label: string; keys?: string; unit: string; value: number; least: number; most: number; onSet: (value: number) => void }) {
    return (
        <label className="flex shrink-0 items-center gap-1 text-quiet" title={keys && `${label} (${keys})`}>
            {label}
            <span className="relative">
                <input
                    type="number"
                    className="h-5 w-[47px] [appearance:textfield] rounded-sm bg-well pr-4 pl-1.5 font-mono text-[12px] text-ink"
                    value={value}
                    min={least}
                    max={most}
                    onChange={(event) => Number.isFinite(event.target.valueAsNumber) && onSet(Math.min(most, Math.max(least, event.target.valueAsNumber)))}
                />
                <span className="pointer-events-none absolute top-px right-1 text-[11px]">{unit}</span>
            </span>
        </label>
    );
}
