import { ask, Refused } from './client';

type Came = { id: string; took: number; part: number };

type Line = { progress?: number; done?: boolean; problem?: string; status?: number };

/** Coming takes about as long as decoding: each is half of the way. */
const HALF = 0.5;

const AGAIN_MS = 1500;

/** Files whose sending broke off, so that it goes on where it was. */
const begun = new WeakMap<File, string>();

/**
 * Sends a file part by part and has it decoded. While the server cannot be reached it waits and goes on where it was.
 *
 * @param tell is told the share that is done, 0..1, and why it waits, if it does
 * @returns what names the file for the server
 */
export async function takeIn(file: File, tell: (share: number, waits: string | null) => void, signal: AbortSignal): Promise<string> {
    let share = 0;
    for (;;) {
        try {
            const came = await known(file, signal);
            await send(file, came, (sent) => tell((share = HALF * sent), null), signal);
            await read(came.id, (decoded) => tell((share = HALF + (1 - HALF) * decoded), null), signal);
            return came.id;
        } catch (error) {
            if (error instanceof Refused && error.status === 404) {
                // forgotten meanwhile: from the beginning
                begun.delete(file);
            } else if (!(error instanceof Refused) || (error.status !== 0 && error.status !== 419 && error.status < 500)) {
                throw error;
            }
            tell(share, error instanceof Refused && error.status > 0 ? error.message : 'The server does not answer.');
            await pause(signal);
        }
    }
}

/** Lets the server forget the file. */
export function letGo(file: File): void {
    const id = begun.get(file);
    begun.delete(file);
    if (id) {
        void ask('DELETE', `intakes/${id}`).catch(() => undefined);
    }
}

async function known(file: File, signal: AbortSignal): Promise<Came> {
    const id = begun.get(file);
    const came = (await (await (id ? ask('GET', `intakes/${id}`, undefined, { signal }) : ask('POST', 'intakes', { name: file.name, size: file.size }, { signal }))).json()) as Came;
    begun.set(file, came.id);
    return came;
}

async function send(file: File, { id, took, part }: Came, tell: (sent: number) => void, signal: AbortSignal): Promise<void> {
    while (took < file.size) {
        const reply = await ask('PUT', `intakes/${id}?from=${took}`, file.slice(took, took + part), { signal });
        took = ((await reply.json()) as { took: number }).took;
        tell(took / file.size);
    }
}

async function read(id: string, tell: (decoded: number) => void, signal: AbortSignal): Promise<void> {
    const reader = (await ask('POST', `intakes/${id}/read`, undefined, { signal })).body?.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    for (;;) {
        const next = await reader?.read().catch((error: unknown) => {
            throw signal.aborted ? error : new Refused(0, 'The server does not answer.');
        });
        text += next?.value ?? '';
        const lines = text.split('\n');
        text = lines.pop() ?? '';
        for (const line of lines.map((one) => JSON.parse(one) as Line)) {
            if (line.problem) {
                throw new Refused(line.status ?? 422, line.problem);
            }
            if (line.done) {
                return;
            }
            tell(line.progress ?? 0);
        }
        if (!next || next.done) {
            throw new Refused(0, 'The server does not answer.');
        }
    }
}

function pause(signal: AbortSignal): Promise<void> {
    return new Promise((resolve, reject) => {
        const timer = window.setTimeout(resolve, AGAIN_MS);
        signal.addEventListener('abort', () => {
            window.clearTimeout(timer);
            reject(new DOMException('', 'AbortError'));
        });
    });
}
