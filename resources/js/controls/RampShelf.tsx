import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ChevronDown, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { api } from '../api/client';
import type { ColourStop, KeptRamp, Stop, ToneStop } from '../api/types';
import { colourAt, drawn } from '../session/stops';
import { sayError } from '../ui/notices';

const LONGEST_NAME = 60;

/** The ramps that are kept for every scene: one is taken with a press, the present one is kept under a name. */
export function RampShelf({ stops, onTake }: { stops: (ColourStop | ToneStop | Stop)[]; onTake: (kept: KeptRamp) => void }) {
    const [isOpen, setOpen] = useState(false);
    const [name, setName] = useState('');
    const client = useQueryClient();
    const { data } = useQuery({ queryKey: ['ramps'], queryFn: () => api.ramps(), enabled: isOpen, staleTime: Infinity });
    const change = (asked: Promise<{ ramps: KeptRamp[] }>) => asked.then((ramps) => client.setQueryData(['ramps'], ramps)).then(() => setName(''), sayError);
    return (
        <Popover.Root open={isOpen} onOpenChange={setOpen}>
            <Popover.Trigger title="Ramps that are kept for every scene" className="flex items-center gap-0.5 rounded-sm px-1 text-[12px] text-quiet hover:text-ink">
                Kept <ChevronDown size={11} aria-hidden />
            </Popover.Trigger>
            <Popover.Portal>
                <Popover.Content aria-label="Kept ramps" align="end" sideOffset={4} className="z-40 w-[240px] rounded-md border border-line bg-well p-1.5 shadow-xl">
                    <ul className="flex max-h-[40vh] flex-col overflow-y-auto">
                        {data?.ramps.map((ramp) => (
                            <li key={ramp.name} className="flex items-center gap-1">
                                <button
                                    className="flex min-w-0 flex-1 items-center gap-2 rounded-sm px-1 py-1 text-left hover:bg-raised"
                                    onClick={() => {
                                        onTake(ramp);
                                        setOpen(false);
                                    }}
                                >
                                    <RampBar colour={(share) => `rgb(${colourAt(ramp.stops, share).join(' ').replace(/ (\S+)$/, ' / $1')})`} className="h-4 w-16 shrink-0" />
                                    <span className="truncate">{ramp.name}</span>
                                </button>
                                {ramp.id !== null && (
                                    <button aria-label={`Take ${ramp.name} out of the shelf`} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={() => void change(api.takeOutRamp(ramp.id ?? ''))}>
                                        <X size={12} />
                                    </button>
                                )}
                            </li>
                        ))}
                    </ul>
                    <form
                        className="mt-1 flex items-center gap-1.5 border-t border-line pt-1.5"
                        onSubmit={(event) => {
                            event.preventDefault();
                            void change(api.keepRamp(name, stops));
                        }}
                    >
                        <input aria-label="Name of this ramp" placeholder="Name of this one" className="h-6 min-w-0 flex-1 rounded-sm bg-raised px-1.5" maxLength={LONGEST_NAME} value={name} onChange={(event) => setName(event.target.value)} />
                        <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised disabled:opacity-50" disabled={name.trim() === ''}>
                            Keep it
                        </button>
                    </form>
                </Popover.Content>
            </Popover.Portal>
        </Popover.Root>
    );
}

/** A ramp in little, over a chequered ground where it lets that through. */
export function RampBar({ colour, className }: { colour: (share: number) => string; className: string }) {
    return (
        <span className={`relative block overflow-hidden rounded-sm border border-line bg-[repeating-conic-gradient(#555_0_25%,#333_0_50%)] bg-[length:8px_8px] ${className}`} aria-hidden>
            <span className="absolute inset-0" style={{ background: drawn(colour) }} />
        </span>
    );
}
