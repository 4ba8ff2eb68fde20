import { ContextMenu } from 'radix-ui';
import type { ReactElement } from 'react';

/** One line of a menu: what it does, and the key that does it too. */
export type Item = { label: string; keys?: string; run: () => void; isOff?: boolean };

/** What can be done with something, at the pointer: by a right click, a long press, or the menu key. A line of its own parts the groups. */
export function Menu({ label, groups, isOff = false, onOpen, children }: { label: string; groups: Item[][]; /** while a press that lasts means something else */ isOff?: boolean; onOpen?: (event: { clientX: number; clientY: number }) => void; children: ReactElement }) {
    return (
        <ContextMenu.Root>
            <ContextMenu.Trigger asChild disabled={isOff} onContextMenu={isOff ? (event) => event.preventDefault() : onOpen}>
                {children}
            </ContextMenu.Trigger>
            <ContextMenu.Portal>
                <ContextMenu.Content aria-label={label} className="z-50 max-h-[var(--radix-context-menu-content-available-height)] min-w-[190px] overflow-y-auto rounded-md border border-line bg-well p-1 shadow-xl" onCloseAutoFocus={(event) => event.preventDefault()}>
                    {groups
                        .filter((items) => items.length > 0)
                        .map((items, at) => (
                            <div key={at} role="group" className={at > 0 ? 'mt-1 border-t border-line pt-1' : ''}>
                                {items.map((item) => (
                                    <ContextMenu.Item
                                        key={item.label}
                                        disabled={item.isOff}
                                        className="flex h-7 cursor-default items-center gap-6 rounded-sm px-2.5 outline-none select-none data-[disabled]:opacity-40 data-[highlighted]:bg-raised"
                                        onSelect={item.run}
                                    >
                                        <span className="flex-1 truncate">{item.label}</span>
                                        {item.keys && <span className="font-mono text-[11px] text-quiet">{item.keys}</span>}
                                    </ContextMenu.Item>
                                ))}
                            </div>
                        ))}
                </ContextMenu.Content>
            </ContextMenu.Portal>
        </ContextMenu.Root>
    );
}
