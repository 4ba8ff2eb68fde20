import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ChevronDown, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useRef, useState, type ReactNode } from 'react';
import { api } from '../api/client';
import { Action } from '../controls/Action';
import { picturesTaken, pressures, tips } from '../generated/catalogue';
import { useWork, work, type BrushSettings } from '../session/store';
import { sayError } from '../ui/notices';
import { withFile } from '../ui/takingIn';

/** The size of a brush for specks, of the shorter side of the picture. */
const SPECK = 0.015;

/** What of the brush is seldom changed: its tip, how the hand is steadied, and where strokes stay. */
export function BrushMore({ isLamp, isOnScene, isSymmetric }: { /** the strip's own brush has another mark */ isLamp: boolean; /** strokes lie in the scene, so that they can go by its plates */ isOnScene: boolean; /** strokes can be painted on both sides of a line */ isSymmetric: boolean }) {
    const brush = useWork((state) => state.brush);
    const hasMore = (!isLamp && brush.tip !== 'brush') || brush.dapples > 0 || brush.steady > 0 || (isOnScene && brush.alike > 0) || (isSymmetric && brush.symmetric) || brush.pressure !== 'nothing';
    return (
        <Popover.Root>
            <Popover.Trigger aria-label="More of the brush" title={hasMore ? 'Tip, pen and hand: something is set there' : 'Tip, pen and hand'} className="flex shrink-0 items-center gap-1 rounded-sm px-1.5 text-quiet hover:text-ink">
                More {hasMore && <span className="h-1.5 w-1.5 rounded-full bg-warm" aria-hidden />}
                <ChevronDown size={12} aria-hidden />
            </Popover.Trigger>
            <Popover.Portal>
                <Popover.Content aria-label="More of the brush" align="end" side="top" sideOffset={6} className="z-40 flex w-[300px] flex-col gap-1.5 rounded-md border border-line bg-well p-3 shadow-xl">
                    {!isLamp && <TipChoice brush={brush} />}
                    <Share label="Dapples" title="Breaks a stroke into patches that stay where they are" name="dapples" value={brush.dapples} />
                    <Share label="Steady" title="Steadies the hand: the brush comes after it" name="steady" value={brush.steady} />
                    {isOnScene && <Share label="On what is alike" title="Stays on what looks like the place where the stroke begins, in the plates as they are" name="alike" value={brush.alike} />}
                    <Line label="Pen on">
                        <select
                            aria-label="Pen on"
                            className="h-6 min-w-0 flex-1 rounded-sm bg-raised px-1"
                            value={brush.simulated ? `speed ${brush.pressure}` : brush.pressure}
                            onChange={(event) => work.brush({ simulated: event.target.value.startsWith('speed '), pressure: event.target.value.replace('speed ', '') })}
                        >
                            {pressures.map((pressure) => (
                                <option key={pressure} value={pressure}>
                                    {pressure}
                                </option>
                            ))}
                            {pressures.slice(1).map((pressure) => (
                                <option key={`speed ${pressure}`} value={`speed ${pressure}`}>
                                    {pressure}, by speed
                                </option>
                            ))}
                        </select>
                    </Line>
                    <div className="flex flex-wrap gap-1.5 pt-1">
                        {isSymmetric && <Action label="On both sides of a line" title="Every stroke on the other side too; the line is dragged by its ends" pressed={brush.symmetric} onPress={() => work.brush({ symmetric: !brush.symmetric })} />}
                        {isSymmetric && brush.symmetric && <Action label="Upright" title="The line upright through the middle of the picture again" onPress={() => work.lay(null)} />}
                        <Action
                            label="For specks"
                            title="Small, hard and full"
                            onPress={() => work.brush({ size: Math.max(2, Math.round(SPECK * useWork.getState().span)), hardness: 100, opacity: 100, flow: 100, tip: 'brush', grid: '', dapples: 0, alike: 0, steady: 0, pressure: 'nothing', simulated: false })}
                        />
                    </div>
                    <p className="text-[12px] text-quiet">With Shift a stroke is straight. Dragged with the right button the brush grows to the right and shrinks to the left.</p>
                </Popover.Content>
            </Popover.Portal>
        </Popover.Root>
    );
}

function Line({ label, title, children }: { label: string; title?: string; children: ReactNode }) {
    return (
        <label className="flex items-center gap-2 text-quiet" title={title}>
            <span className="w-[104px] shrink-0">{label}</span>
            {children}
        </label>
    );
}

function Share({ label, title, name, value }: { label: string; title: string; name: 'dapples' | 'steady' | 'alike'; value: number }) {
    return (
        <Line label={label} title={title}>
            <input type="range" aria-label={label} className="min-w-0 flex-1 accent-[#ececec]" min={0} max={100} value={value} onChange={(event) => work.brush({ [name]: event.target.valueAsNumber } as Partial<BrushSettings>)} />
            <span className="w-10 text-right font-mono text-[12px]">{value} %</span>
        </Line>
    );
}

/** The tips of the shelf, and those that were made of pictures. */
function TipChoice({ brush }: { brush: BrushSettings }) {
    const input = useRef<HTMLInputElement>(null);
    const [isBusy, setBusy] = useState(false);
    const client = useQueryClient();
    const { data } = useQuery({ queryKey: ['tips'], queryFn: () => api.tips(), staleTime: Infinity });
    const kept = data?.tips ?? [];
    const mine = kept.find((tip) => tip.grid === brush.grid);
    async function bring(file: File) {
        setBusy(true);
        try {
            const answer = await withFile(file, (intake) => api.keepTip(intake));
            const last = answer?.tips[answer.tips.length - 1];
            if (answer && last) {
                client.setQueryData(['tips'], answer);
                work.brush({ tip: PICTURE, grid: last.grid });
            }
        } catch (error) {
            sayError(error);
        } finally {
            setBusy(false);
        }
    }
    return (
        <div className="flex items-center gap-2 text-quiet">
            <span className="w-[104px] shrink-0">Tip</span>
            <select
                aria-label="Tip"
                className="h-6 min-w-0 flex-1 rounded-sm bg-raised px-1 text-ink"
                value={brush.tip === PICTURE ? (mine?.id ?? '') : brush.tip}
                onChange={(event) => {
                    const tip = kept.find(({ id }) => id === event.target.value);
                    work.brush(tip ? { tip: PICTURE, grid: tip.grid } : { tip: event.target.value, grid: '' });
                }}
            >
                {tips.map((tip) => (
                    <option key={tip} value={tip}>
                        {tip === 'brush' ? 'round' : tip}
                    </option>
                ))}
                {kept.map((tip) => (
                    <option key={tip.id} value={tip.id}>
                        {tip.name}
                    </option>
                ))}
                {brush.tip === PICTURE && !mine && <option value="">a tip that was taken out</option>}
            </select>
            {mine && (
                <button aria-label={`Take ${mine.name} out of the shelf`} className="rounded-sm p-1 hover:text-ink" onClick={() => void api.takeOutTip(mine.id).then((answer) => client.setQueryData(['tips'], answer), sayError)}>
                    <X size={12} />
                </button>
            )}
            <button className="shrink-0 rounded-sm border border-line px-1.5 text-[12px] text-ink hover:bg-raised disabled:opacity-50" disabled={isBusy} title="Its brightness becomes a tip, for every scene" onClick={() => input.current?.click()}>
                A picture…
            </button>
            <input
                ref={input}
                type="file"
                accept={picturesTaken}
                aria-label="Picture for the tip"
                className="hidden"
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    event.target.value = '';
                    if (file) {
                        void bring(file);
                    }
                }}
            />
        </div>
    );
}

/** What the core calls a tip that is made of a picture. */
const PICTURE = 'a picture';
