import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api } from '../api/client';
import type { ExportOrder, Scene } from '../api/types';
import { sayError } from '../ui/notices';
import { focusBack } from '../ui/focus';
import { useWork, work } from '../session/store';
import { keepOrders, keptOrders, ourPresets } from './last';
import { OrderForm } from './OrderForm';
import { isUnderWay, Written } from './Written';

const LONGEST_NAME = 40;

/** Writes the scene out, and lists what was written. */
export function ExportSheet({ scene }: { scene: Scene }) {
    const open = useWork((state) => state.exportOpen);
    return (
        <Dialog.Root open={open} onOpenChange={work.exporting}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
                <Dialog.Content
                    aria-describedby={undefined}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        focusBack();
                    }}
                    className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[600px] max-w-[96vw] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-panel p-5">
                    <Dialog.Title className="font-semibold">Export</Dialog.Title>
                    <Body scene={scene} />
                    <Dialog.Close className="mt-4 rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function Body({ scene }: { scene: Scene }) {
    const queries = useQueryClient();
    const [orders, setOrders] = useState(keptOrders);
    const [order, setOrder] = useState<ExportOrder>(orders.last);
    const of = ['exports', scene.id];
    const list = useQuery({
        queryKey: of,
        queryFn: () => api.exports(scene.id),
        refetchInterval: (query) => (query.state.data?.some(isUnderWay) ? 400 : false),
    });
    const keep = (next: typeof orders) => {
        setOrders(next);
        keepOrders(next);
    };
    async function start() {
        keep({ ...orders, last: order });
        await api.orderExport(scene.id, order).catch(sayError);
        await queries.invalidateQueries({ queryKey: of });
    }
    return (
        <>
            <p className="mt-1 text-quiet">
                The whole scene, <span className="font-mono text-[12px]">{scene.width} × {scene.height} px</span>.
            </p>
            <Presets presets={orders.presets} order={order} onTake={setOrder} onKeep={(presets) => keep({ ...orders, presets })} />
            <OrderForm size={scene} order={order} onChange={setOrder} />
            <div className="mt-4 flex items-center gap-3">
                <button className="rounded-md bg-ink px-3 py-1 font-semibold text-well hover:bg-white" title="Q exports as the last time" onClick={() => void start()}>
                    Write the file
                </button>
                <a className="rounded-md border border-line px-3 py-1 hover:bg-raised" href={`/api/scenes/${scene.id}/file`} download>
                    Scene file
                </a>
                <a className="rounded-md border border-line px-3 py-1 hover:bg-raised" href={`/api/scenes/${scene.id}/packed`} download title="The scene file with its pictures, as a ZIP">
                    Packed scene
                </a>
            </div>
            <ul aria-label="Files" className="mt-4 flex max-h-[220px] flex-col gap-1.5 overflow-y-auto">
                {list.data?.map((entry) => <Written key={entry.id} scene={scene.id} entry={entry} of={of} pixels={entry.writes === 'picture' ? scene.width * scene.height : undefined} />)}
                {list.isPending && <li className="text-quiet">Loading what was written…</li>}
                {list.data?.length === 0 && <li className="text-quiet">Nothing was written yet.</li>}
                {list.isError && <li className="text-alarm">{list.error.message}</li>}
            </ul>
        </>
    );
}

type Preset = { name: string; order: ExportOrder };

/** Orders that are kept by name in this browser. */
function Presets({ presets, order, onTake, onKeep }: { presets: Preset[]; order: ExportOrder; onTake: (order: ExportOrder) => void; onKeep: (presets: Preset[]) => void }) {
    const [name, setName] = useState<string | null>(null);
    const is = (other: ExportOrder) => JSON.stringify(other) === JSON.stringify(order);
    return (
        <div className="mt-3 flex flex-wrap items-center gap-1.5">
            {[...ourPresets, ...presets].map((preset, at) => (
                <span key={preset.name} className={`flex items-center rounded-full border ${is(preset.order) ? 'border-warm' : 'border-line'}`}>
                    <button className="px-2.5 py-0.5 text-quiet hover:text-ink" onClick={() => onTake(preset.order)}>
                        {preset.name}
                    </button>
                    {at >= ourPresets.length && (
                        <button aria-label={`Forget ${preset.name}`} className="pr-2 text-quiet hover:text-ink" onClick={() => onKeep(presets.filter((other) => other !== preset))}>
                            ×
                        </button>
                    )}
                </span>
            ))}
            {name === null ? (
                <button className="px-1 text-[12px] text-quiet underline hover:text-ink" onClick={() => setName('')}>
                    Keep these settings
                </button>
            ) : (
                <form
                    className="flex gap-1.5"
                    onSubmit={(event) => {
                        event.preventDefault();
                        const wanted = name.trim();
                        if (wanted !== '') {
                            onKeep([...presets.filter((preset) => preset.name !== wanted), { name: wanted, order }]);
                        }
                        setName(null);
                    }}
                >
                    <input aria-label="Name of these settings" autoFocus maxLength={LONGEST_NAME} className="h-6 w-[140px] rounded-sm bg-well px-1.5" value={name} onChange={(event) => setName(event.target.value)} />
                    <button className="rounded-sm border border-line px-2 hover:bg-raised">Keep</button>
                </form>
            )}
        </div>
    );
}
