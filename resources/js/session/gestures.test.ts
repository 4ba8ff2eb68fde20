import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import * as client from '../api/client';
import type { Scene, Strip } from '../api/types';
import { Gestures } from './gestures';
import { useWaiting } from './outbox';
import { useWork, work } from './store';
import { everyStrip } from './strips';

/*
 * The hand, the outbox and what is shown, together: a small server that keeps a scene as the real one does.
 */

type Asked = { method: string; path: string; body: Record<string, unknown> };

let asked: Asked[];
let server: Scene;
let isReachable: boolean;
let gestures: Gestures;
let queries: QueryClient;

const strip = (id: string, more: Partial<Strip> = {}): Strip =>
    ({ id, kind: 'spot', family: 'light', name: id, mode: 'airlight', level: 0, muted: false, values: { beam: 20 }, masks: [], revision: 1, outlines: {}, inForce: {}, atLimit: false, ...more }) as Strip;

function answer({ path, body }: Asked): unknown {
    const at = body.strip;
    const found = server.strips.find((one) => one.id === at);
    if (path.endsWith('/change-strip') && found) {
        if (body.revision !== found.revision) {
            throw new client.Refused(409, `"${found.name}" was changed in another window.`);
        }
        const revision = server.revision + 1;
        const { level, values, name } = body as Partial<Strip>;
        const next = { ...found, ...(level === undefined ? {} : { level }), ...(name ? { name } : {}), values: { ...found.values, ...values }, revision };
        server = { ...server, revision, strips: server.strips.map((one) => (one.id === at ? next : one)) };
    } else if (path.endsWith('/duplicate')) {
        const revision = server.revision + 1;
        server = { ...server, revision, orderRevision: revision, strips: [...server.strips, strip('copy', { revision })] };
    } else if (path.endsWith('/remove-strip')) {
        server = { ...server, revision: server.revision + 1, strips: server.strips.filter((one) => one.id !== at) };
    } else if (path.endsWith('/revision')) {
        return { revision: server.revision };
    } else if (path.endsWith('/undo')) {
        server = { ...server, revision: server.revision + 1 };
    }
    return server;
}

beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('window', globalThis);
    vi.stubGlobal('BroadcastChannel', undefined);
    asked = [];
    isReachable = true;
    server = { id: 'x', title: 'X', revision: 1, orderRevision: 1, stageRevision: 1, sources: [], strips: [strip('a'), strip('b')], undo: null, redo: null } as unknown as Scene;
    vi.spyOn(client, 'ask').mockImplementation(async (method, path, body) => {
        if (!isReachable) {
            throw new client.Refused(0, 'The server does not answer.');
        }
        const one = { method, path, body: structuredClone((body ?? {}) as Record<string, unknown>) };
        asked.push(one);
        return new Response(JSON.stringify(answer(one)));
    });
    vi.spyOn(client.api, 'scene').mockImplementation(async () => server);
    vi.spyOn(client.api, 'revision').mockImplementation(async () => server.revision);
    queries = new QueryClient();
    queries.setQueryData(['scene', 'x'], server);
    work.reset({ id: 's', width: 320, height: 200 });
    gestures = new Gestures(queries, 'x');
});

afterEach(() => {
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
    vi.useRealTimers();
});

const shown = () => everyStrip(queries.getQueryData<Scene>(['scene', 'x'])!.strips, useWork.getState().pending);

const level = (id: string) => shown().find((one) => one.id === id)?.level;

const tick = (ms = 20) => vi.advanceTimersByTimeAsync(ms);

test('what the hand does is shown at once, and stays shown while it is written', async () => {
    work.live('a', { level: 1 });
    expect([level('a'), useWork.getState().moving]).toEqual([1, true]);
    work.live('a', { level: 2 });
    void gestures.commit('a', 'Fade');
    expect([level('a'), useWork.getState().moving, useWork.getState().hand]).toEqual([2, false, {}]);
    await tick();
    expect(asked).toEqual([{ method: 'POST', path: 'scenes/x/gestures/change-strip', body: { strip: 'a', label: 'Fade', level: 2, revision: 1 } }]);
    expect([level('a'), useWork.getState().unwritten]).toEqual([2, []]);
});

test('quick hands: a second gesture before the first one is written goes by what the first one leaves', async () => {
    void gestures.change('a', { level: 1 });
    void gestures.change('a', { values: { beam: 30 } });
    void gestures.change('b', { level: 3 });
    await tick();
    expect(asked.map(({ body }) => body.revision)).toEqual([1, 2, 1]);
    expect(server.strips[0]).toMatchObject({ level: 1, values: { beam: 30 } });
});

test('keys that come close together are one gesture', async () => {
    gestures.nudge('a', { level: 0.25 }, 'Fade');
    await tick(200);
    gestures.nudge('a', { level: 0.5 }, 'Fade');
    await tick(200);
    expect(asked).toHaveLength(0);
    expect(level('a')).toBe(0.5);
    await tick(500);
    expect(asked.map(({ body }) => body.level)).toEqual([0.5]);
    // undo writes first what still waits for keys
    gestures.nudge('a', { level: 0.75 }, 'Fade');
    void gestures.undo();
    await tick();
    expect(asked.slice(1).map(({ path }) => path)).toEqual(['scenes/x/gestures/change-strip', 'scenes/x/undo']);
});

test('while the server is gone everything stays shown and is counted; then it is written in order', async () => {
    isReachable = false;
    void gestures.change('a', { level: 1 }, 'One');
    void gestures.change('b', { level: 2 }, 'Two');
    void gestures.change('a', { values: { beam: 40 } }, 'Three');
    await tick(2000);
    expect(useWaiting.getState().labels).toEqual(['One', 'Two', 'Three']);
    expect([level('a'), level('b'), shown()[0]?.values.beam]).toEqual([1, 2, 40]);
    isReachable = true;
    await tick(6000);
    expect(server.strips.map((one) => [one.level, one.values.beam])).toEqual([[1, 40], [2, 20]]);
    expect([useWaiting.getState().labels, useWork.getState().unwritten, level('a')]).toEqual([[], [], 1]);
});

test('what somebody else has changed is not written over; the newer state is shown', async () => {
    server = { ...server, revision: 9, strips: [strip('a', { level: -3, revision: 9 }), strip('b')] };
    void gestures.change('a', { level: 1 });
    await tick();
    expect([level('a'), server.strips[0]?.level, useWork.getState().pending]).toEqual([-3, -3, {}]);
    // and the hand can go on from there
    void gestures.change('a', { level: 1 });
    await tick();
    expect(server.strips[0]?.level).toBe(1);
});

test('edits of other windows are taken over when the hand rests, and not before', async () => {
    server = { ...server, revision: 5, strips: [strip('a', { level: 4, revision: 5 }), strip('b')] };
    work.live('b', { level: 1 });
    await gestures.catchUp();
    expect(level('a')).toBe(0);
    work.drop('b');
    await gestures.catchUp();
    expect(level('a')).toBe(4);
    // an older answer never covers a newer state
    queries.setQueryData(['scene', 'x'], { ...server, revision: 8, title: 'Newer' });
    await gestures.catchUp();
    expect(queries.getQueryData<Scene>(['scene', 'x'])?.title).toBe('Newer');
});

test('the strip that a gesture brings is chosen; one that is gone is not', async () => {
    void gestures.duplicate('a');
    await tick();
    expect(useWork.getState().chosen).toBe('copy');
    work.choose('b');
    void gestures.remove('b');
    await tick();
    expect([useWork.getState().chosen, shown().map((one) => one.id)]).toEqual(['a', ['a', 'copy']]);
});

test('escape takes back what the hand is doing, and nothing is written', async () => {
    work.live('a', { level: 5 });
    work.drop('a');
    await gestures.commit('a');
    expect([level('a'), asked]).toEqual([0, []]);
});

test('ctrl Z takes back a gesture that was never sent, without asking anybody', async () => {
    isReachable = false;
    void gestures.change('a', { level: 1 }, 'One');
    void gestures.change('b', { level: 2 }, 'Two');
    await tick(100);
    await gestures.undo();
    expect([level('a'), level('b'), useWaiting.getState().labels]).toEqual([1, 0, ['One']]);
});
