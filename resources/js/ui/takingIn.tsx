import { create } from 'zustand';
import { letGo, takeIn } from '../api/intake';
import { useLasting } from './lasting';
import { megabytes } from './words';

type Coming = { name: string; share: number; waits: string | null; cancel: () => void };

const useComing = create<{ files: Map<File, Coming> }>(() => ({ files: new Map() }));

/** Nothing is shown of what is there within this time. */
const QUIET_MS = 400;

function put(file: File, coming: Coming | null): void {
    useComing.setState(({ files }) => {
        const next = new Map(files);
        if (coming) {
            next.set(file, coming);
        } else {
            next.delete(file);
        }
        return { files: next };
    });
}

/**
 * Takes a file in, says how far it is, and hands its name to what is made of it; null when it was cancelled. The rest of
 * the screen goes on meanwhile.
 */
export async function withFile<T>(file: File, make: (intake: string) => Promise<T>): Promise<T | null> {
    const abort = new AbortController();
    const coming: Coming = { name: file.name, share: 0, waits: null, cancel: () => abort.abort() };
    put(file, coming);
    try {
        const intake = await takeIn(file, (share, waits) => put(file, { ...coming, share, waits }), abort.signal);
        return await make(intake);
    } catch (error) {
        if (abort.signal.aborted) {
            return null;
        }
        throw error;
    } finally {
        put(file, null);
        letGo(file);
    }
}

/** Whether a file would be lost with the page. */
export function isTakingIn(): boolean {
    return useComing.getState().files.size > 0;
}

/** The files that are being taken in, each with how far it is and a way out. */
export function TakingIn() {
    const files = useComing((state) => state.files);
    const isLong = useLasting(files.size > 0, QUIET_MS);
    if (!isLong) {
        return null;
    }
    return (
        <ul aria-label="Being taken in" className="fixed right-4 bottom-4 z-50 flex w-[300px] flex-col gap-2">
            {[...files].map(([file, { name, share, waits, cancel }], at) => (
                <li key={at} className="flex items-center gap-3 rounded-md border border-line bg-well py-2 pr-2 pl-4 shadow-lg">
                    <div className="min-w-0 flex-1">
                        <p className="truncate" title={name}>
                            Taking in {name}
                        </p>
                        <progress className="mt-1 block h-1 w-full appearance-none overflow-hidden rounded-full bg-raised [&::-webkit-progress-bar]:bg-raised [&::-webkit-progress-value]:bg-warm" max={1} value={share} aria-label={`Taking in ${name}`} />
                        <p className="mt-1 truncate text-quiet" role={waits ? 'alert' : undefined}>
                            {waits ?? (share < 0.5 ? `${Math.round(200 * share)} % has come` : `${Math.round(200 * share - 100)} % decoded`)} · {megabytes(file.size)}
                        </p>
                    </div>
                    <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" aria-label={`Cancel ${name}`} onClick={cancel}>
                        Cancel
                    </button>
                </li>
            ))}
        </ul>
    );
}
