import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { Mask, Scene, Strip } from '../api/types';
import { Action } from '../controls/Action';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { work } from '../session/store';

/** The falloff of another strip as a copy, this one used on another strip too, and what a falloff leaves. */
export function MasksTaken({ scene, strip, hasFalloff, gestures }: { scene: Scene; strip: Strip; hasFalloff: boolean; gestures: Gestures }) {
    const others = everyStrip(scene.strips).filter((other) => other.id !== strip.id);
    const masked = others.filter((other) => other.complements || other.masks.some((mask) => mask.on === 'scene'));
    return (
        <div className="flex flex-wrap items-center gap-1.5">
            <Strips label="Take from" title="The falloff of another strip as a copy, in place of its own" strips={masked} onTaken={(other) => void gestures.takeMasks(strip.id, other)} />
            {hasFalloff && <Strips label="Use on" title="The same masks on another strip too, in place of its own: change them on one, and both change" strips={others} onTaken={(other) => void gestures.useMasksOn(strip.id, other)} />}
            {hasFalloff && <Action label="Complement" title="Acts exactly where it did not: what these masks leave" onPress={() => void gestures.takeMasks(strip.id, strip.id, true)} />}
        </div>
    );
}

function Strips({ label, title, strips, onTaken }: { label: string; title: string; strips: Strip[]; onTaken: (strip: string) => void }) {
    return strips.length === 0 ? null : (
        <DropdownMenu.Root>
            <DropdownMenu.Trigger title={title} className="flex items-center gap-1 rounded-sm border border-line px-2 py-0.5 hover:bg-raised">
                {label} <ChevronDown size={12} className="text-quiet" aria-hidden />
            </DropdownMenu.Trigger>
            <DropdownMenu.Portal>
                <DropdownMenu.Content aria-label={label} align="start" sideOffset={4} className="z-40 max-h-[50vh] min-w-[180px] overflow-y-auto rounded-md border border-line bg-well p-1 shadow-xl">
                    {strips.map(({ id, name }) => (
                        <DropdownMenu.Item key={id} className="cursor-default truncate rounded-sm px-2 py-1 outline-none select-none data-[highlighted]:bg-raised" onSelect={() => onTaken(id)}>
                            {name}
                        </DropdownMenu.Item>
                    ))}
                </DropdownMenu.Content>
            </DropdownMenu.Portal>
        </DropdownMenu.Root>
    );
}

/** On which other strips a mask is used, and how it comes to be on its own again. */
export function UsedOn({ scene, strip, mask, gestures }: { scene: Scene; strip: Strip; mask: Mask; gestures: Gestures }) {
    const shape = mask.uses ?? mask.id;
    const others = everyStrip(scene.strips).flatMap((other) => other.masks.filter(({ id, uses }) => id !== mask.id && (uses ?? id) === shape).map(({ id }) => ({ strip: other, mask: id })));
    return others.length === 0 ? null : (
        <p className="flex flex-wrap items-center gap-x-1.5 text-[12px] text-quiet">
            Used on
            {others.map((other) => (
                <button key={other.mask} className="rounded-sm text-ink underline decoration-line underline-offset-2 hover:decoration-ink" title="Its masks with their values" onClick={() => work.choose(other.strip.id, other.mask)}>
                    {other.strip.name}
                </button>
            ))}
            too
            {mask.uses && <Action label="On its own" title="A shape of its own, which changes with no other" onPress={() => void gestures.change(strip.id, { masks: { [mask.id]: { uses: null } } }, 'On its own')} />}
        </p>
    );
}
