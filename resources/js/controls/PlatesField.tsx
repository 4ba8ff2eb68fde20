import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { everyStrip } from '../session/strips';
import type { Scene } from '../api/types';
import type { ValueProps } from './hand';
import { Row } from './Row';

export function PlatesField({ parameter, value, hand, scene }: ValueProps) {
    return <PlatesChoice label={parameter.label} named={Array.isArray(value) ? (value as string[]) : []} scene={scene} onSet={hand.set} />;
}

/** Which plates of the scene are meant, ticked one by one; those that are gone are still named. */
export function PlatesChoice({ label, named, scene, onSet }: { label: string; named: string[]; scene: Scene; onSet: (plates: string[]) => void }) {
    const plates = everyStrip(scene.strips).filter((strip) => strip.family === 'plate');
    const gone = named.filter((id) => !plates.some((plate) => plate.id === id)).map((id) => ({ id, name: 'a plate that is gone' }));
    const all = [...plates, ...gone];
    const words = all.filter(({ id }) => named.includes(id)).map(({ name }) => name).join(', ') || 'no plate';
    return (
        <Row label={label}>
            <Popover.Root>
                <Popover.Trigger aria-label={`${label}: ${words}`} title={words} className="flex min-w-0 flex-1 items-center justify-between gap-1 rounded-sm border border-line bg-well px-1.5 py-0.5 text-left hover:bg-raised">
                    <span className="truncate">{words}</span>
                    <ChevronDown size={12} className="shrink-0 text-quiet" aria-hidden />
                </Popover.Trigger>
                <Popover.Portal>
                    <Popover.Content aria-label={label} align="end" sideOffset={4} className="z-40 max-h-[50vh] min-w-[180px] overflow-y-auto rounded-md border border-line bg-well p-1 shadow-xl">
                        {all.map(({ id, name }) => (
                            <label key={id} className="flex items-center gap-2 rounded-sm px-2 py-1 hover:bg-raised">
                                <input type="checkbox" checked={named.includes(id)} className="h-3.5 w-3.5 accent-[#ececec]" onChange={(event) => onSet(event.target.checked ? [...named, id] : named.filter((other) => other !== id))} />
                                <span className="truncate">{name}</span>
                            </label>
                        ))}
                    </Popover.Content>
                </Popover.Portal>
            </Popover.Root>
        </Row>
    );
}
