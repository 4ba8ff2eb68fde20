import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import * as client from '../api/client';
import type { Scene, Strip } from '../api/types';
import { Outbox, useWaiting, type Entry } from './outbox';

const strip = (id: string, revision: number) => ({ id, revision, masks: [], values: {} }) as unknown as Strip;

const scene = (revision: number, strips: Record<string, number>, orderRevision = 1) =>
    ({ id: 'x', revision, orderRevision, stageRevision: 1, sources: [], strips: Object.entries(strips).map(([id, at]) => strip(id, at)) }) as unknown as Scene;

/** What a browser keeps. */
class Shelf implements Storage {
    [name: string]: unknown;
    private readonly kept = new Map<string, string>();
    full = false;
    get length() {
        return this.kept.size;
    }
    key = (at: number) => [...this.kept.keys()][at] ?? null;
    getItem = (key: string) => this.kept.get(key) ?? null;
    removeItem = (key: string) => void this.kept.delete(key);
    clear = () => this.kept.clear();
    setItem = (key: string, text: string) => {
        if (this.full) {
            throw new DOMException('full', 'QuotaExceededError');
        }
        this.kept.set(key, text);
    };
}

type Sent = { path: string; body: Record<string, unknown>; key?: string };

let sent: Sent[];
let server: (asked: Sent) => Scene;
let known: Scene;
let refused: string[];

beforeEach(() => {
    vi.useFakeTimers();
    [sent, refused, known] = [[], [], scene(5, { a: 3, b: 5 })];
    server = () => known;
    vi.spyOn(client, 'ask').mockImplementation(async (_, path, body, more) => {
        if (path === 'health') {
            server({ path, body: {} });
            return new Response('{}');
        }
        const asked = { path, body: body as Record<string, unknown>, key: more?.headers?.['Idempotency-Key'] };
        sent.push(structuredClone(asked));
        return new Response(JSON.stringify(server(asked)));
    });
});

afterEach(() => {
    vi.restoreAllMocks();
    vi.useRealTimers();
});

function outbox(shelf: Storage | null = new Shelf(), tab = 'here') {
    const adopted: string[] = [];
    const box = new Outbox(
        'x',
        {
            known: () => known,
            written: (next) => (known = next),
            refused: async (error) => void refused.push((error as Error).message),
            adopted: (entry) => adopted.push(entry.label),
        },
        tab,
        shelf,
    );
    const fade = (id: string, revision: number, level: number): Entry =>
        box.entry({ label: `Fade ${level}`, path: 'gestures/change-strip', body: { strip: id, level }, goesBy: 'strip', seen: { strips: { [id]: revision } }, changes: { [id]: { level } } });
    return { box, fade, adopted, shelf };
}

const unreachable = () => {
    throw new client.Refused(0, 'The server does not answer.');
};

test('gestures are written in order, each on the state that the one before it left', async () => {
    const { box, fade, shelf } = outbox();
    let revision = 5;
    server = () => scene(++revision, { a: revision, b: 5 });
    const all = [1, 2, 3].map((level) => box.put(fade('a', 3, level)));
    expect(await Promise.all(all)).toEqual([true, true, true]);
    expect(sent.map(({ body }) => [body.strip, body.revision, body.level])).toEqual([['a', 3, 1], ['a', 6, 2], ['a', 7, 3]]);
    expect(new Set(sent.map(({ key }) => key)).size).toBe(3);
    expect(shelf?.length).toBe(0);
});

test('a strip that somebody else has changed is not written over by a gesture that did not see it', async () => {
    const { box, fade } = outbox();
    server = () => scene(7, { a: 6, b: 7 });
    await Promise.all([box.put(fade('a', 3, 1)), box.put(fade('b', 5, 2))]);
    expect(sent[1]?.body.revision).toBe(5);
});

test('while the server is gone gestures wait, are said, and are sent again in order under the same names', async () => {
    const { box, fade, shelf } = outbox();
    server = unreachable;
    const one = box.put(fade('a', 3, 1));
    const two = box.put(fade('a', 3, 2));
    await vi.advanceTimersByTimeAsync(3000);
    expect(useWaiting.getState()).toMatchObject({ labels: ['Fade 1', 'Fade 2'], reason: 'The server does not answer.', atRisk: false });
    expect(shelf?.length).toBe(2);
    server = () => scene(known.revision + 1, { a: known.revision + 1, b: 5 });
    await vi.advanceTimersByTimeAsync(5000);
    expect(await Promise.all([one, two])).toEqual([true, true]);
    expect(sent.slice(-2).map(({ body, key }) => [body.level, body.revision, key === sent[0]?.key])).toEqual([[1, 3, true], [2, 6, false]]);
    expect(useWaiting.getState()).toMatchObject({ labels: [], reason: null });
    expect(shelf?.length).toBe(0);
});

test('a full disk keeps the gesture too, and what the server refuses is let go with its sentence', async () => {
    const { box, fade, shelf } = outbox();
    server = () => {
        throw new client.Refused(507, 'The disk seems to be full.');
    };
    const one = box.put(fade('a', 3, 1));
    await vi.advanceTimersByTimeAsync(1000);
    expect(useWaiting.getState().reason).toBe('The disk seems to be full.');
    server = ({ path }) => {
        if (path === 'health') {
            return known;
        }
        throw new client.Refused(409, 'Changed in another window.');
    };
    await vi.advanceTimersByTimeAsync(5000);
    expect(await one).toBe(false);
    expect(refused).toEqual(['Changed in another window.']);
    expect(shelf?.length).toBe(0);
});

test('a fault of the server itself does not hold up everything behind it for ever', async () => {
    const { box, fade } = outbox();
    server = ({ path, body }) => {
        if (path !== 'health' && body.level === 1) {
            throw new client.Refused(500, 'A fault.');
        }
        return scene(6, { a: 6, b: 5 });
    };
    const both = [box.put(fade('a', 3, 1)), box.put(fade('a', 3, 2))];
    await vi.advanceTimersByTimeAsync(30000);
    expect(await Promise.all(both)).toEqual([false, true]);
    expect(refused).toEqual(['A fault.']);
});

test('what was left unwritten is taken over: by the same window at once, by another one when it is orphaned', async () => {
    const shelf = new Shelf();
    const first = outbox(shelf);
    first.box.keep(first.fade('a', 3, 1));
    const later = outbox(shelf, 'another');
    later.box.adopt();
    expect(later.adopted).toEqual([]);
    const again = outbox(shelf);
    again.box.adopt();
    expect(again.adopted).toEqual(['Fade 1']);
    // its own gesture that keys still add to is not taken for one that was left
    again.box.keep(again.fade('b', 5, 2));
    await vi.advanceTimersByTimeAsync(10000);
    again.box.adopt();
    expect(again.adopted).toEqual(['Fade 1']);
    later.box.adopt();
    expect(later.adopted).toEqual(['Fade 2']);
    await vi.advanceTimersByTimeAsync(10);
    expect(sent.map(({ body }) => body.level)).toEqual([1, 2]);
});

test('the last gesture can be taken back before it was ever sent', async () => {
    const { box, fade, shelf } = outbox();
    server = unreachable;
    const one = box.put(fade('a', 3, 1));
    const two = box.put(fade('a', 3, 2));
    await vi.advanceTimersByTimeAsync(100);
    expect(box.takeBack()?.label).toBe('Fade 2');
    expect(await two).toBe(false);
    // the first one may have been written
    expect(box.takeBack()).toBeNull();
    expect(shelf?.length).toBe(1);
    server = () => scene(6, { a: 6, b: 5 });
    await vi.advanceTimersByTimeAsync(5000);
    expect(await one).toBe(true);
});

test('where the browser keeps nothing, it is known that something would be lost', async () => {
    const shelf = new Shelf();
    shelf.full = true;
    const { box, fade } = outbox(shelf);
    server = unreachable;
    void box.put(fade('a', 3, 1));
    await vi.advanceTimersByTimeAsync(10);
    expect(useWaiting.getState().atRisk).toBe(true);
});

test('order and history go by what was seen of them, and by what one has done oneself', async () => {
    const { box } = outbox();
    server = ({ path }) => (path.endsWith('order') ? scene(6, { a: 3, b: 5 }, 6) : scene(7, { a: 3, b: 5 }, 7));
    const order = (revision: number) => box.put(box.entry({ label: 'Reorder', path: 'gestures/reorder', goesBy: 'order', seen: { strips: {}, order: revision } }));
    await Promise.all([order(1), order(1), box.put(box.entry({ label: 'Undo', path: 'undo', goesBy: 'scene', seen: { strips: {}, scene: 5 } }))]);
    expect(sent.map(({ body }) => body.revision)).toEqual([1, 6, 6]);
});

test('an answer that breaks off after its headers is asked for again under the same name, and nothing behind it is lost', async () => {
    let broken = true;
    vi.spyOn(client, 'ask').mockImplementation(async (_, path, body, more) => {
        if (path === 'health') {
            return new Response('{}');
        }
        sent.push({ path, body: body as Record<string, unknown>, key: more?.headers?.['Idempotency-Key'] });
        if (broken) {
            broken = false;
            return new Response('');
        }
        return new Response(JSON.stringify(known));
    });
    const { box, fade } = outbox();
    const first = box.put(fade('a', 3, 1));
    const second = box.put(fade('b', 5, 2));
    await vi.advanceTimersByTimeAsync(20_000);
    expect(await first).toBe(true);
    expect(await second).toBe(true);
    expect(sent.map(({ body }) => body.level)).toEqual([1, 1, 2]);
    expect(sent[1]?.key).toBe(sent[0]?.key);
    expect(refused).toEqual([]);
});
