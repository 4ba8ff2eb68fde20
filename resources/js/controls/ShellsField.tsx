import { Plus, X } from 'lucide-react';
import type { ColourStop, Shell } from '../api/types';
import { levelRange, modes } from '../generated/catalogue';
import { ChoiceField } from './ChoiceField';
import { ColourRampField } from './ColourRampField';
import { through, type Hand, type ValueProps } from './hand';
import { NumberField } from './NumberField';
import { Row } from './Row';

const WORDS: Record<Shell['part'], string> = { core: 'Core', body: 'Body', fog: 'Fog', halo: 'Halo' };

const COLOURS = ["the glow's", 'its own', 'a ramp'];

/** The layers of a glow from the inside out: each one's radius and level; the open one shows its colour, ramp and mode too. */
export function ShellsField({ parameter, value, hand, scene }: ValueProps) {
    const shells = Array.isArray(value) ? (value as Shell[]) : [];
    const set = hand as Hand<Shell[]>;
    const widest = Math.max(8, ...shells.filter((shell) => shell.part !== 'core').map((shell) => shell.radius));
    return (
        <div className="flex flex-col gap-1">
            {shells.map((shell, at) => (
                <ShellItem key={at} shell={shell} words={wordsOf(shells, at)} last={shells.length === 1} shortSide={Math.min(scene.width, scene.height)} hand={partOf(shells, at, set)} onRemove={() => set.set(shells.filter((_, other) => other !== at))} />
            ))}
            <button
                className="flex items-center gap-1 self-start rounded-sm border border-line px-2 py-0.5 hover:bg-raised disabled:opacity-50"
                disabled={shells.length >= parameter.most}
                onClick={() => set.set([...shells, { part: 'halo', radius: Math.round(widest * 2), level: Math.max(levelRange.least, (shells[shells.length - 1]?.level ?? 0) - 0.5), pale: 0 }])}
            >
                <Plus size={12} aria-hidden /> Halo
            </button>
        </div>
    );
}

function ShellItem({ shell, words, last, shortSide, hand, onRemove }: { shell: Shell; words: string; last: boolean; shortSide: number; hand: <K extends keyof Shell>(name: K) => Hand<Shell[K]>; onRemove: () => void }) {
    const number = (name: 'radius' | 'level' | 'pale') => through<number, number | null>(hand(name), (next) => next ?? 0);
    const coloured = shell.ramp ? COLOURS[2] : shell.colour ? COLOURS[1] : COLOURS[0];
    function paint(how: string) {
        const start: ColourStop[] = [
            { offset: 0, colour: '#ffffff', opacity: 1, midpoint: 0.5 },
            { offset: 1, colour: '#ff7a3c', opacity: 1, midpoint: 0.5 },
        ];
        hand('colour').set(how === COLOURS[1] ? { swatch: '#ffb46b' } : undefined);
        hand('ramp').set(how === COLOURS[2] ? start : undefined);
    }
    return (
        <div className="relative">
            <details className="rounded-sm border-l-2 border-warm/60 pl-2">
                <summary className="flex cursor-default list-none items-center gap-2 pr-6">
                    <span className="w-[62px] shrink-0">{words}</span>
                    <span className="font-mono text-[12px] text-quiet">{shell.part === 'core' ? `−${shell.radius} px` : `${shell.radius} px`}</span>
                    <span className="ml-auto font-mono text-[12px] text-quiet">{shell.level > 0 ? '+' : ''}{shell.level} stops</span>
                </summary>
                <NumberField label={shell.part === 'core' ? 'Smaller by' : 'Radius'} value={shell.radius} unit="px" least={0} most={4000} step={0.5} shortSide={shortSide} hand={number('radius')} />
                <NumberField label="Level" value={shell.level} unit="stops" signed least={levelRange.least} most={levelRange.most} step={0.1} rest={0} hand={number('level')} />
                <NumberField label="Pale" value={shell.pale} unit="%" least={0} most={100} step={1} rest={0} hand={number('pale')} />
                <ChoiceField label="Colour" value={coloured ?? ''} choices={COLOURS.map((choice) => ({ value: choice, label: choice }))} onSet={paint} />
                {shell.colour && (
                    <Row label="Its colour">
                        <input type="color" aria-label={`Colour of ${words.toLowerCase()}`} className="h-6 w-8 rounded-sm border border-line bg-well p-0.5" value={shell.colour.swatch ?? '#ffb46b'} onChange={(event) => hand('colour').nudge({ swatch: event.target.value })} />
                    </Row>
                )}
                {shell.ramp && <ColourRampField label="Ramp" stops={shell.ramp} hand={hand('ramp') as Hand<ColourStop[]>} />}
                <ChoiceField label="Mode" value={shell.mode ?? ''} choices={[{ value: '', label: "the glow's" }, ...modes.map((mode) => ({ value: mode, label: mode }))]} onSet={(mode) => hand('mode').set(mode === '' ? undefined : mode)} />
            </details>
            <button
                aria-label={`Take out ${words.toLowerCase()}`}
                title={`Take out ${words.toLowerCase()}`}
                className="absolute top-0 right-0 rounded-sm p-1 text-quiet hover:text-ink disabled:opacity-40"
                disabled={last}
                onClick={onRemove}
            >
                <X size={12} />
            </button>
        </div>
    );
}

/** Halos are counted, so that each has a name. */
function wordsOf(shells: Shell[], at: number): string {
    const part = shells[at]?.part ?? 'halo';
    const same = shells.filter((shell) => shell.part === part);
    return same.length > 1 ? `${WORDS[part]} ${shells.slice(0, at + 1).filter((shell) => shell.part === part).length}` : WORDS[part];
}

/** One part of one shell; several are set one after the other within one gesture. */
function partOf(shells: Shell[], at: number, hand: Hand<Shell[]>) {
    let latest = shells;
    return <K extends keyof Shell>(name: K): Hand<Shell[K]> => {
        const next = (value: Shell[K]) => {
            latest = latest.map((shell, other) => (other === at ? { ...shell, [name]: value } : shell));
            return latest;
        };
        return through(hand, next);
    };
}
