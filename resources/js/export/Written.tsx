import { useQueryClient } from '@tanstack/react-query';
import { Progress } from 'radix-ui';
import { api } from '../api/client';
import type { Export } from '../api/types';
import { sayError } from '../ui/notices';
import { megabytes } from '../ui/words';

/** Whether there is more to come of some exports. */
export const isUnderWay = (entry: Export) => entry.state === 'waiting' || entry.state === 'running';

const OPENED = ['png', 'jpeg', 'webp', 'avif'];

/** An export: how far it is, or its file to be opened, saved or thrown away. */
export function Written({ scene, entry, pixels, of }: { scene: string; entry: Export; /** of the whole picture, for the share that is clipped */ pixels?: number; /** the list that it stands in */ of: readonly unknown[] }) {
    const queries = useQueryClient();
    const file = `/api/scenes/${scene}/exports/${entry.id}/file`;
    async function end() {
        await api.cancelExport(scene, entry.id).catch(sayError);
        await queries.invalidateQueries({ queryKey: of });
    }
    const isSeen = OPENED.includes(entry.format) && entry.writes !== 'layers' && entry.writes !== 'passes';
    return (
        <li className="flex min-h-8 items-center gap-3 rounded-sm bg-well px-3 py-1.5">
            <span className="min-w-0 flex-1 truncate" title={entry.name}>
                {entry.name}
            </span>
            {isUnderWay(entry) && (
                <>
                    <Progress.Root value={entry.progress * 100} aria-label={`Progress of ${entry.name}`} className="h-1.5 w-[80px] overflow-hidden rounded-full bg-raised">
                        <Progress.Indicator className="h-full bg-warm" style={{ width: `${entry.progress * 100}%` }} />
                    </Progress.Root>
                    <span className="w-[88px] font-mono text-[12px] text-quiet">{entry.state === 'waiting' ? 'waiting' : `${Math.round(entry.progress * 100)} %${left(entry)}`}</span>
                    <button className="rounded-sm border border-line px-2 hover:bg-raised" onClick={() => void end()}>
                        Cancel
                    </button>
                </>
            )}
            {entry.state === 'done' && !entry.isThere && <span className="text-alarm">Its file is gone: export it again.</span>}
            {entry.state === 'done' && entry.isThere && (
                <>
                    {pixels !== undefined && entry.clipped !== null && entry.clipped > 0 && <span className="text-quiet">{((entry.clipped / pixels) * 100).toFixed(1)} % clipped</span>}
                    <span className="font-mono text-[12px] text-quiet">{megabytes(entry.bytes ?? 0)}</span>
                    {isSeen && (
                        <a className="rounded-sm border border-line px-2 hover:bg-raised" href={`${file}?open=1`} target="_blank" rel="noopener">
                            Open
                        </a>
                    )}
                    <a className="rounded-sm border border-line px-2 hover:bg-raised" href={file} download={entry.name}>
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
            {!isUnderWay(entry) && (
                <button aria-label={`Throw ${entry.name} away`} title="Throw away" className="rounded-sm px-1 text-quiet hover:text-ink" onClick={() => void end()}>
                    ×
                </button>
            )}
        </li>
    );
}

/** The time left, once enough is done to tell. */
function left(entry: Export): string {
    const seconds = (Date.now() - Date.parse(entry.asked)) / 1000;
    return entry.progress > 0.1 && seconds > 4 ? `, ${Math.ceil((seconds / entry.progress) * (1 - entry.progress))} s` : '';
}
