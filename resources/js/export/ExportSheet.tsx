import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog, Progress } from 'radix-ui';
import { useState } from 'react';
import { api } from '../api/client';
import type { Export, Scene } from '../api/types';
import { exportFormats } from '../generated/catalogue';
import { sayError } from '../ui/notices';
import { megabytes } from '../ui/words';
import { focusBack } from '../ui/focus';
import { useWork, work } from '../session/store';

const keyOf = ({ format, bits }: { format: string; bits: number }) => `${format}${bits}`;

/** Writes the scene out at full size, and lists what was written. */
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
                    className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[520px] max-w-[96vw] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-panel p-5">
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
    const [chosen, setChosen] = useState('png8');
    const format = exportFormats.find((entry) => keyOf(entry) === chosen);
    const [quality, setQuality] = useState(92);
    const list = useQuery({
        queryKey: ['exports', scene.id],
        queryFn: () => api.exports(scene.id),
        refetchInterval: (query) => (query.state.data?.some((entry) => entry.state === 'waiting' || entry.state === 'running') ? 400 : false),
    });
    async function start() {
        if (format) {
            await api.orderExport(scene.id, { format: format.format, bits: format.bits, quality }).catch(sayError);
            await queries.invalidateQueries({ queryKey: ['exports', scene.id] });
        }
    }
    return (
        <>
            <p className="mt-1 text-quiet">
                The whole scene at full size, <span className="font-mono text-[12px]">{scene.width} × {scene.height} px</span>.
            </p>
            <fieldset className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1.5">
                <legend className="sr-only">Format</legend>
                {exportFormats.map((entry) => (
                    <label key={keyOf(entry)} className="flex items-center gap-1.5">
                        <input type="radio" name="format" className="accent-[#ececec]" checked={chosen === keyOf(entry)} onChange={() => setChosen(keyOf(entry))} />
                        {entry.label}
                    </label>
                ))}
                {format?.isLossy && (
                    <label className="flex items-center gap-1.5 text-quiet">
                        Quality
                        <input
                            type="number"
                            min={1}
                            max={100}
                            value={quality}
                            className="h-6 w-14 rounded-sm bg-well px-2 font-mono text-[12px] text-ink"
                            onChange={(event) => setQuality(Math.min(100, Math.max(1, Number(event.target.value) || 1)))}
                        />
                        %
                    </label>
                )}
            </fieldset>
            {format && !format.keepsAlpha && <p className="mt-1.5 text-quiet">What is clear is laid on black: this format has no transparency.</p>}
            {format?.format === 'webp' && <p className="mt-1.5 text-quiet">At 100 % nothing is lost.</p>}
            <div className="mt-3 flex items-center gap-3">
                <button className="rounded-md bg-ink px-3 py-1 font-semibold text-well hover:bg-white" onClick={() => void start()}>
                    Write the file
                </button>
                <a className="rounded-md border border-line px-3 py-1 hover:bg-raised" href={`/api/scenes/${scene.id}/file`} download>
                    Scene file
                </a>
                <a className="rounded-md border border-line px-3 py-1 hover:bg-raised" href={`/api/scenes/${scene.id}/packed`} download title="The scene file with its pictures, as a ZIP">
                    Packed scene
                </a>
            </div>
            <ul aria-label="Files" className="mt-4 flex max-h-[240px] flex-col gap-1.5 overflow-y-auto">
                {list.data?.map((entry) => <Entry key={entry.id} scene={scene} entry={entry} />)}
                {list.data?.length === 0 && <li className="text-quiet">Nothing was written yet.</li>}
                {list.isError && <li className="text-alarm">{list.error.message}</li>}
            </ul>
        </>
    );
}

function Entry({ scene, entry }: { scene: Scene; entry: Export }) {
    const queries = useQueryClient();
    const isUnderWay = entry.state === 'waiting' || entry.state === 'running';
    async function cancel() {
        await api.cancelExport(scene.id, entry.id).catch(sayError);
        await queries.invalidateQueries({ queryKey: ['exports', scene.id] });
    }
    return (
        <li className="flex min-h-8 items-center gap-3 rounded-sm bg-well px-3 py-1.5">
            <span className="min-w-0 flex-1 truncate">{entry.name}</span>
            {isUnderWay && (
                <>
                    <Progress.Root value={entry.progress * 100} aria-label={`Progress of ${entry.name}`} className="h-1.5 w-[120px] overflow-hidden rounded-full bg-raised">
                        <Progress.Indicator className="h-full bg-warm" style={{ width: `${entry.progress * 100}%` }} />
                    </Progress.Root>
                    <span className="w-[96px] font-mono text-[12px] text-quiet">{entry.state === 'waiting' ? 'waiting' : `${Math.round(entry.progress * 100)} %${left(entry)}`}</span>
                    <button className="rounded-sm border border-line px-2 hover:bg-raised" onClick={() => void cancel()}>
                        Cancel
                    </button>
                </>
            )}
            {entry.state === 'done' && (
                <>
                    {entry.clipped !== null && entry.clipped > 0 && <span className="text-quiet">{((entry.clipped / (scene.width * scene.height)) * 100).toFixed(1)} % clipped</span>}
                    <span className="font-mono text-[12px] text-quiet">{megabytes(entry.bytes ?? 0)}</span>
                    <a className="rounded-sm border border-line px-2 hover:bg-raised" href={`/api/scenes/${scene.id}/exports/${entry.id}/file`} download={entry.name}>
                        Save
                    </a>
                </>
            )}
            {entry.state === 'cancelled' && <span className="text-quiet">cancelled</span>}
            {entry.state === 'failed' && (
                <span className="max-w-[260px] truncate text-alarm" title={entry.problem ?? ''}>
                    {entry.problem}
                </span>
            )}
        </li>
    );
}

/** The time left, once enough is done to tell. */
function left(entry: Export): string {
    const seconds = (Date.now() - Date.parse(entry.asked)) / 1000;
    return entry.progress > 0.1 && seconds > 4 ? `, ${Math.ceil((seconds / entry.progress) * (1 - entry.progress))} s` : '';
}
