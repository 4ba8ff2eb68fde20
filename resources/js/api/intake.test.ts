import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { letGo, takeIn } from './intake';

const PART = 4;

/** A server that takes parts, and breaks off where it is told to. */
function server({ breaksAt = -1, forgets = false, lines = ['{"progress":0.5}\n{"prog', 'ress":0.75}\n{"done":true}\n'] }: { breaksAt?: number; forgets?: boolean; lines?: string[] } = {}) {
    const state = { took: 0, asked: [] as string[], breaksAt, forgets };
    const reply = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });
    vi.stubGlobal('fetch', async (path: string, options: RequestInit) => {
        state.asked.push(`${options.method} ${path}`);
        options.signal?.throwIfAborted();
        if (options.method === 'DELETE') {
            return new Response(null, { status: 204 });
        }
        if (path.endsWith('/read')) {
            const bytes = new ReadableStream({
                start(controller) {
                    lines.forEach((line) => controller.enqueue(new TextEncoder().encode(line)));
                    controller.close();
                },
            });
            return new Response(bytes);
        }
        if (options.method === 'GET' && state.forgets) {
            state.forgets = false;
            state.took = 0;
            return reply({ message: 'gone' }, 404);
        }
        if (options.method === 'PUT') {
            if (state.took === state.breaksAt) {
                state.breaksAt = -1;
                throw new TypeError('failed to fetch');
            }
            expect(path).toContain(`from=${state.took}`);
            state.took += (options.body as Blob).size;
            return reply({ took: state.took });
        }
        return reply({ id: 'a1', took: state.took, part: PART });
    });
    return state;
}

const file = () => new File(['0123456789'], 'marsh.png');

beforeEach(() => {
    vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 200 });
    vi.stubGlobal('window', globalThis);
    vi.stubGlobal('document', { cookie: '' });
});

afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

test('a file goes part by part, and says how far it is', async () => {
    const state = server();
    const shares: number[] = [];
    const brought = file();
    expect(await takeIn(brought, (share) => shares.push(share), new AbortController().signal)).toBe('a1');
    expect(state.asked).toEqual(['POST /api/intakes', 'PUT /api/intakes/a1?from=0', 'PUT /api/intakes/a1?from=4', 'PUT /api/intakes/a1?from=8', 'POST /api/intakes/a1/read']);
    expect(shares).toEqual([0.2, 0.4, 0.5, 0.75, 0.875]);
    letGo(brought);
    expect(state.asked.at(-1)).toBe('DELETE /api/intakes/a1');
});

test('when the line breaks it waits, says so, and goes on where it was', async () => {
    const state = server({ breaksAt: 4 });
    const waits: (string | null)[] = [];
    await takeIn(file(), (_, why) => waits.push(why), new AbortController().signal);
    expect(waits).toContain('The server does not answer.');
    expect(state.asked.filter((one) => one.startsWith('PUT'))).toEqual(['PUT /api/intakes/a1?from=0', 'PUT /api/intakes/a1?from=4', 'PUT /api/intakes/a1?from=4', 'PUT /api/intakes/a1?from=8']);
    expect(state.asked.filter((one) => one === 'POST /api/intakes')).toHaveLength(1);
});

test('what the server has forgotten goes from the beginning', async () => {
    const state = server({ breaksAt: 8, forgets: true });
    await takeIn(file(), () => undefined, new AbortController().signal);
    expect(state.asked.filter((one) => one === 'POST /api/intakes')).toHaveLength(2);
    expect(state.took).toBe(10);
});

test('an answer that ends early is asked for again, a problem is told', async () => {
    server({ lines: ['{"problem":"marsh.png is cut off.","status":422}\n'] });
    await expect(takeIn(file(), () => undefined, new AbortController().signal)).rejects.toThrow('marsh.png is cut off.');
    const state = server({ lines: ['{"progress":0.1}\n'] });
    const abort = new AbortController();
    const waiting = takeIn(file(), (_, why) => why && state.asked.filter((one) => one.endsWith('/read')).length > 1 && abort.abort(), abort.signal);
    await expect(waiting).rejects.toThrow();
    expect(state.asked.filter((one) => one.endsWith('/read'))).toHaveLength(2);
});

test('it can be cancelled on its way', async () => {
    server();
    const abort = new AbortController();
    await expect(takeIn(file(), () => abort.abort(), abort.signal)).rejects.toThrow();
});
