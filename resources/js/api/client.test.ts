import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ask, Refused, upload } from './client';

type Asked = { url: string; method: string; headers: Record<string, string>; body: unknown };

let asked: Asked[];
let reply: () => Response | Promise<Response>;

beforeEach(() => {
    asked = [];
    reply = () => new Response('{}');
    vi.stubGlobal('document', { cookie: 'other=1; XSRF-TOKEN=abc%3D%3D; aumbrel=x' });
    vi.stubGlobal('window', { location: { reload: vi.fn() } });
    vi.stubGlobal('fetch', async (url: string, how: { method: string; headers: Record<string, string>; body?: unknown }) => {
        asked.push({ url, method: how.method, headers: how.headers, body: how.body });
        return reply();
    });
});

afterEach(() => vi.unstubAllGlobals());

const refused = async (asking: Promise<unknown>): Promise<Refused> => {
    const error = await asking.then(
        () => null,
        (error: unknown) => error,
    );
    expect(error).toBeInstanceOf(Refused);
    return error as Refused;
};

test('requests carry the token, what they are named, and JSON', async () => {
    await ask('PATCH', 'scenes/x/strips/a', { level: 1 }, { headers: { 'Idempotency-Key': 'key' } });
    expect(asked[0]).toEqual({
        url: '/api/scenes/x/strips/a',
        method: 'PATCH',
        headers: { Accept: 'application/json', 'X-XSRF-TOKEN': 'abc==', 'Content-Type': 'application/json', 'Idempotency-Key': 'key' },
        body: '{"level":1}',
    });
});

test('files travel as a form, without a type of our own, with those that lie beside them', async () => {
    const form = upload(new File(['abc'], 'marsh.json'), [new File(['d'], 'reeds.png'), new File(['e'], 'hut.jpg')]);
    expect((form.get('file') as File).name).toBe('marsh.json');
    expect(form.getAll('pictures[]').map((file) => (file as File).name)).toEqual(['reeds.png', 'hut.jpg']);
    await ask('POST', 'scenes', form);
    expect(asked[0]?.headers).not.toHaveProperty('Content-Type');
    expect(asked[0]?.body).toBe(form);
});

test('what the server would not do is told in its words, with the field', async () => {
    reply = () => new Response('{"message":"The field angle is 1.05 to 3 times the beam angle.","field":"values.field"}', { status: 422 });
    expect(await refused(api.scene('x'))).toMatchObject({ status: 422, message: 'The field angle is 1.05 to 3 times the beam angle.', field: 'values.field' });
    reply = () => new Response('<html>', { status: 502 });
    expect(await refused(api.scene('x'))).toMatchObject({ status: 502, message: 'The server failed (502). Try it again.', field: null });
});

test('a server that cannot be reached is told apart from one that refuses', async () => {
    reply = () => Promise.reject(new TypeError('Failed to fetch'));
    const error = await refused(api.health());
    expect(error.status).toBe(0);
    expect(error.message).toContain('is kept and written when it is back');
});

test('what was given up on purpose is no failure of the server', async () => {
    reply = () => Promise.reject(new DOMException('aborted', 'AbortError'));
    await expect(ask('GET', 'health')).rejects.toMatchObject({ name: 'AbortError' });
});

test('where the passphrase is asked for again, the page is loaded again', async () => {
    reply = () => new Response('{"message":"The passphrase is asked for again."}', { status: 401 });
    expect((await refused(api.scene('x'))).status).toBe(401);
    expect(window.location.reload).toHaveBeenCalledOnce();
});

/** Frames as the server writes them. */
function framed(...parts: { head: object; pixels?: number[] }[]): Uint8Array<ArrayBuffer> {
    const all = parts.flatMap(({ head, pixels = [] }) => {
        const text = new TextEncoder().encode(JSON.stringify(head));
        const length = new Uint8Array(4);
        new DataView(length.buffer).setUint32(0, text.length, true);
        return [...length, ...text, ...pixels];
    });
    return new Uint8Array(all);
}

test('the contributions of strips come in one frame, behind any that tell of progress', async () => {
    reply = () => new Response(framed({ head: { done: false, progress: 0 } }, { head: { columns: 1, rows: 1, strips: ['a', 'b'] }, pixels: [1, 2, 3, 4, 5, 6, 7, 8] }, { head: { done: true } }), { headers: { 'X-Pieces': 'yes' } });
    const found = await api.contributions('x');
    expect(found?.head.strips).toEqual(['a', 'b']);
    expect(Array.from(found?.pixels ?? [])).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    reply = () => new Response(null, { status: 204 });
    expect(await api.contributions('x')).toBeNull();
    reply = () => new Response(framed({ head: { done: true, problem: 'A picture is missing.' } }));
    expect((await refused(api.contributions('x'))).message).toBe('A picture is missing.');
});

test('a picture that breaks off on the way is a server that cannot be reached', async () => {
    reply = () =>
        new Response(
            new ReadableStream({
                start(to) {
                    to.enqueue(framed({ head: { columns: 1, rows: 1, firstRow: 0, of: 2, done: false }, pixels: [1, 2, 3, 4] }));
                },
                pull(to) {
                    to.error(new TypeError('network error'));
                },
            }),
            { headers: { 'X-Pieces': 'yes' } },
        );
    const heads: unknown[] = [];
    const looked = { view: 'v', number: 1, draft: false, window: [0, 0, 1, 2] as [number, number, number, number], scale: 1, changes: {}, below: null, solo: [], before: false, snapshot: null, mask: null, over: false, tint: null, form: null, as: 'colours' as const, alone: null };
    const error = await refused(api.picture('x', looked, new AbortController().signal, ({ head }) => heads.push(head)));
    expect(error.status).toBe(0);
    expect(heads.length).toBeLessThanOrEqual(1);
});

test('an answer that breaks off, or cannot be read, counts as none', async () => {
    reply = () => new Response('');
    expect(await refused(api.scene('x'))).toMatchObject({ status: 0 });
    reply = () => new Response('{"id":"x","strips":[{"id"');
    expect(await refused(api.scene('x'))).toMatchObject({ status: 0 });
    // a head whose pixels have not all come, in one piece and in several
    const half = new Uint8Array([31, 0, 0, 0, ...new TextEncoder().encode('{"columns":4,"rows":4,"done":1}'), 1, 2, 3]);
    reply = () => new Response(half);
    expect(await refused(api.picture('x', {} as never, new AbortController().signal, () => undefined))).toMatchObject({ status: 0 });
    reply = () => new Response(half, { headers: { 'X-Pieces': '1' } });
    expect(await refused(api.picture('x', {} as never, new AbortController().signal, () => undefined))).toMatchObject({ status: 0 });
});
