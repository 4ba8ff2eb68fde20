import { Lamp, Plus, SquareDashed, Sun } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Scene } from '../api/types';
import { sourceKinds } from '../generated/catalogue';
import { hintOf } from '../ui/kelvin';
import { colourOf } from '../session/strips';
import { everySource, sourceName, STAGE } from '../session/things';
import { placingOf, useWork, work } from '../session/store';

const ICONS: Record<string, typeof Lamp> = { lamp: Lamp, sun: Sun };

/** The sources of the scene and its stage, to be chosen; new sources begin here. */
export function LightBar({ scene }: { scene: Scene }) {
    const chosen = useWork((state) => state.chosen);
    const pending = useWork((state) => state.pending);
    const placing = useWork(placingOf);
    return (
        <div role="group" aria-label="Sources and stage" className="flex flex-wrap items-center gap-[3px] border-b border-line px-3 py-1.5">
            {everySource(scene, pending).map((source) => {
                const Icon = ICONS[source.kind] ?? Lamp;
                return (
                    <Chip key={source.id} label={source.name} pressed={chosen === sourceName(source.id)} onPress={() => work.choose(sourceName(source.id))}>
                        <Icon size={13} style={{ color: source.muted ? undefined : hintOf(colourOf(source)) }} aria-hidden />
                        <span className={`max-w-[90px] truncate ${source.muted ? 'line-through' : ''}`}>{source.name}</span>
                    </Chip>
                );
            })}
            {sourceKinds.map((kind) => {
                const isOn = placing?.of === 'source' && placing.kind === kind.key;
                return (
                    <Chip key={kind.key} label={`Place a ${kind.label.toLowerCase()}`} title={kind.hint} pressed={isOn} onPress={() => work.place(isOn ? null : { of: 'source', kind: kind.key, line: null, above: null })}>
                        <Plus size={12} aria-hidden />
                        {kind.label}
                    </Chip>
                );
            })}
            <Chip label="Stage" title="Floor, walls, camera and ambient" pressed={chosen === STAGE} onPress={() => work.choose(STAGE)}>
                <SquareDashed size={13} aria-hidden />
                Stage
            </Chip>
        </div>
    );
}

function Chip({ label, title, pressed, onPress, children }: { label: string; title?: string; pressed: boolean; onPress: () => void; children: ReactNode }) {
    return (
        <button aria-label={label} aria-pressed={pressed} title={title ?? label} className={`flex h-6 items-center gap-[3px] rounded-sm border px-[5px] text-[12px] ${pressed ? 'border-ink bg-raised text-ink' : 'border-line text-quiet hover:text-ink'}`} onClick={onPress}>
            {children}
        </button>
    );
}
