import { Trash2 } from 'lucide-react';
import type { Scene, Source, Strip } from '../api/types';
import { Action } from '../controls/Action';
import { Section } from '../controls/Section';
import { ValueControl } from '../controls/ValueControl';
import { sourceKinds, stripKinds } from '../generated/catalogue';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { sourceName } from '../session/things';
import { useWork, work } from '../session/store';
import { valueHand } from './hands';
import { LevelField } from './LevelField';

/** A source: its colour and level, where it stands, and what hangs on it. */
export function SourceBench({ scene, source, gestures }: { scene: Scene; source: Source; gestures: Gestures }) {
    const pending = useWork((state) => state.pending);
    const name = sourceName(source.id);
    const kind = sourceKinds.find((other) => other.key === source.kind);
    const strips = everyStrip(scene.strips, pending);
    const hung = strips.filter((strip) => strip.source === source.id);
    const canHang = (strip: Strip) => stripKinds.find((other) => other.key === strip.kind)?.hangsOn.includes(source.kind) ?? false;
    const free = strips.filter((strip) => !strip.source && canHang(strip));
    return (
        <>
            <header className="flex items-center gap-1 border-b border-line px-3.5 py-2">
                <h2 className="min-w-0 flex-1 font-semibold">
                    <input
                        key={source.name}
                        aria-label="Name of the source"
                        className="w-full min-w-0 rounded-sm bg-transparent px-1 hover:bg-well focus:bg-well"
                        defaultValue={source.name}
                        maxLength={80}
                        onBlur={(event) => event.target.value.trim() !== '' && event.target.value.trim() !== source.name && void gestures.change(name, { name: event.target.value.trim() }, 'Rename')}
                        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                    />
                </h2>
                <Action label={source.muted ? 'Out' : 'Lit'} title="Mute the source: what hangs on it goes out with it" pressed={source.muted} onPress={() => void gestures.change(name, { muted: !source.muted }, source.muted ? 'Light the source' : 'Mute the source')} />
                <button aria-label="Delete the source" title="Delete; what hangs on it stays as it is" className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => void gestures.removeSource(source.id)}>
                    <Trash2 size={14} />
                </button>
            </header>
            <Section of={source.kind} title="Source" note={kind?.label.toLowerCase()}>
                <LevelField name={name} level={source.level} gestures={gestures} />
                {kind?.parameters.map((parameter) => (
                    <ValueControl key={parameter.name} scene={scene} strip={source} parameter={parameter} value={source.values[parameter.name] ?? null} gestures={gestures} hand={valueHand(name, parameter, gestures)} />
                ))}
            </Section>
            <Section of={source.kind} title="Hangs on it">
                {hung.length === 0 && <p className="text-quiet">Nothing yet.</p>}
                {hung.map((strip) => (
                    <div key={strip.id} className="flex items-center gap-2">
                        <button className="min-w-0 flex-1 truncate text-left hover:underline" onClick={() => work.choose(strip.id)}>
                            {strip.name}
                        </button>
                        <Action label="Let go" title="It stays as it is" onPress={() => void gestures.letGo(strip.id)} />
                    </div>
                ))}
                {free.map((strip) => (
                    <div key={strip.id} className="flex items-center gap-2 text-quiet">
                        <span className="min-w-0 flex-1 truncate">{strip.name}</span>
                        <Action label="Hang here" onPress={() => void gestures.change(strip.id, { source: source.id }, 'Hang on the source')} />
                    </div>
                ))}
                <div className="pt-1">
                    <Action label="What belongs to it" title="Pool, rims, the room: small pictures to tick" onPress={() => work.lookThrough(source.id)} />
                </div>
            </Section>
        </>
    );
}
