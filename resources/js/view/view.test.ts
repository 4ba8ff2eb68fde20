import { afterEach, expect, test, vi } from 'vitest';
import { api, FrameReader } from '../api/client';
import { inReach, lensOf, panned, restScale, toScene, toView, windowOf, zoomedAt } from '../session/camera';
import { PictureLoop, type Shown, type Wanted } from './pictureLoop';

const scene = { width: 1600, height: 1000 };
const view = { width: 940, height: 520 };

test('the whole scene fits with a margin, and the window is the scene', () => {
    const lens = lensOf(null, scene, view);
    expect(lens.zoom).toBeCloseTo(492 / 1000);
    expect(windowOf(lens, scene, view)).toEqual({ x: 0, y: 0, width: 1600, height: 1000 });
});

test('zooming keeps the place under the pointer', () => {
    const lens = lensOf(null, scene, view);
    const at: [number, number] = [300, 200];
    const before = toScene(lens, at);
    const after = toScene(lensOf(zoomedAt(lens, view, at, 3), scene, view), at);
    expect(Math.hypot(after[0] - before[0], after[1] - before[1])).toBeLessThan(1);
});

test('panning moves the picture with the hand', () => {
    const lens = lensOf({ centre: [800, 500], zoom: 1 }, scene, view);
    const next = lensOf(panned(lens, view, 30, -20), scene, view);
    expect(toView(next, [800, 500])).toEqual([500, 240]);
    expect(windowOf(next, scene, view)).toEqual({ x: 300, y: 260, width: 940, height: 520 });
});

test('dense screens get their pixels as far as it is worth it', () => {
    const lens = lensOf({ centre: [800, 500], zoom: 1 }, scene, view);
    const window = windowOf(lens, scene, view);
    expect(restScale(lens, window, 1)).toBe(1);
    expect(restScale(lens, window, 2) ** 2 * window.width * window.height).toBeLessThanOrEqual(1_500_001);
});

afterEach(() => vi.restoreAllMocks());

function wanted(more: Partial<Wanted> = {}): Wanted {
    return { window: { x: 0, y: 0, width: 8, height: 4 }, scale: 1, draftScale: 0.5, changes: {}, below: null, solo: [], before: false, snapshot: null, mask: null, over: false, tint: null, form: null, as: 'colours', alone: null, moving: true, since: 0, ...more };
}

/** A server whose answers come when we say so. */
function slowServer() {
    const answers: { number: number; draft: boolean; signal: AbortSignal; answer: () => void; band: (firstRow: number, done?: boolean) => void }[] = [];
    vi.spyOn(api, 'picture').mockImplementation(
        (_, looked, signal, onFrame) =>
            new Promise((resolve) =>
                answers.push({
                    number: looked.number,
                    draft: looked.draft,
                    signal,
                    answer: () => {
                        onFrame({ head: { columns: 1, rows: 1, of: 1, done: true, clipped: 0, outlines: {} }, pixels: new Uint8ClampedArray(4) });
                        resolve(true);
                    },
                    band: (firstRow: number, done = false) => onFrame(done ? { head: { done, progress: 1 }, pixels: new Uint8ClampedArray(0) } : { head: { columns: 1, rows: 2, firstRow, of: 4, done, progress: 0.5 }, pixels: new Uint8ClampedArray(8).fill(firstRow + 1) }),
                }),
            ),
    );
    vi.stubGlobal(
        'ImageData',
        class {
            readonly data: Uint8ClampedArray;
            constructor(first: Uint8ClampedArray | number, readonly width: number, readonly height = 0) {
                this.data = typeof first === 'number' ? new Uint8ClampedArray(first * width * 4) : first;
            }
        },
    );
    return answers;
}

const moment = () => new Promise((done) => setTimeout(done));

test('two drafts are on their way at most, and the newest wish follows them', async () => {
    const answers = slowServer();
    const shown: Shown[] = [];
    const loop = new PictureLoop('x', (next) => shown.push(next), () => undefined);
    [1, 2, 3, 4, 5].forEach((since) => loop.want(wanted({ since })));
    expect(answers).toHaveLength(2);
    answers[0]?.answer();
    await moment();
    expect(answers).toHaveLength(3);
    answers[1]?.answer();
    answers[2]?.answer();
    await moment();
    expect(shown.map((next) => next.since)).toEqual([1, 2, 5]);
});

test('an older picture never comes after a newer one', async () => {
    const answers = slowServer();
    const shown: Shown[] = [];
    const loop = new PictureLoop('x', (next) => shown.push(next), () => undefined);
    loop.want(wanted({ since: 1 }));
    loop.want(wanted({ moving: false, since: 2 }));
    answers[1]?.answer();
    await moment();
    answers[0]?.answer();
    await moment();
    expect(shown.map((next) => next.since)).toEqual([2]);
});

test('a grip that would lie outside the view can still be grabbed at its border', () => {
    const lens = lensOf({ centre: [100, 50], zoom: 2 }, { width: 200, height: 100 }, { width: 300, height: 200 });
    expect(inReach(lens, [100, 50])).toEqual([100, 50]);
    expect(toView(lens, inReach(lens, [100, -80]))).toEqual([150, 12]);
    expect(toView(lens, inReach(lens, [500, 500]))).toEqual([288, 188]);
    // where nobody knows how large the view is everything stays
    expect(inReach({ zoom: 2, origin: [0, 0] }, [-5, 900])).toEqual([-5, 900]);
});

test('drafts get smaller when they are slow, but not for the first one of a size, which makes what the others use', async () => {
    const answers = slowServer();
    const loop = new PictureLoop('x', () => undefined, () => undefined);
    const clock = vi.spyOn(performance, 'now').mockReturnValue(0);
    let now = 0;
    const draft = async (took: number) => {
        loop.want(wanted());
        clock.mockReturnValue((now += took));
        answers[answers.length - 1]?.answer();
        await moment();
        return vi.mocked(api.picture).mock.lastCall?.[1].scale;
    };
    expect([await draft(900), await draft(30), await draft(900), await draft(30), await draft(90), await draft(90)]).toEqual([0.5, 0.5, 0.5, 0.5, 0.5, 0.5]);
    expect([await draft(900), await draft(90), await draft(30)]).toEqual([0.36, 0.36, 0.36]);
    expect([await draft(90), await draft(90), await draft(900), await draft(10)]).toEqual([0.36, 0.36, 0.26, 0.26]);
    for (let k = 0; k < 11; k++) {
        await draft(10);
    }
    expect(await draft(10)).toBe(0.36);
});

test('a failure is told and does not stop what follows', async () => {
    slowServer();
    vi.spyOn(api, 'picture').mockRejectedValueOnce(new Error('gone'));
    const failed: unknown[] = [];
    const loop = new PictureLoop('x', () => undefined, (error) => failed.push(error));
    loop.want(wanted());
    await moment();
    loop.want(wanted());
    await moment();
    expect(failed).toHaveLength(1);
    expect(api.picture).toHaveBeenCalledTimes(2);
});

test('a long picture is shown band by band, and ended when something newer is wanted', async () => {
    const answers = slowServer();
    const shown: Shown[] = [];
    const progress: (number | null)[] = [];
    const loop = new PictureLoop('x', (next) => shown.push(next), () => undefined, (share) => progress.push(share));
    const clock = vi.spyOn(performance, 'now').mockReturnValue(0);
    loop.want(wanted({ moving: false, since: 1 }));
    // half a picture that is there soon would only flicker
    answers[0]?.band(2);
    expect(shown).toEqual([]);
    clock.mockReturnValue(700);
    answers[0]?.band(0);
    expect(shown.map((next) => next.bands)).toEqual([[[2, 2], [0, 2]]]);
    expect(Array.from(shown[0]?.image.data ?? [])).toEqual([1, 1, 1, 1, 1, 1, 1, 1, 3, 3, 3, 3, 3, 3, 3, 3]);
    answers[0]?.band(0, true);
    answers[0]?.answer();
    await moment();
    expect(shown[1]?.bands).toBeNull();
    expect(progress).toEqual([null, 0.5, null]);
    loop.want(wanted({ moving: false, since: 2 }));
    loop.want(wanted({ since: 3 }));
    expect(answers.map(({ signal }) => signal.aborted)).toEqual([false, true, false]);
});

test('frames are put together however the bytes come', () => {
    const frame = (head: object, pixels: number[]) => {
        const text = new TextEncoder().encode(JSON.stringify(head));
        const bytes = new Uint8Array(4 + text.length + pixels.length);
        new DataView(bytes.buffer).setUint32(0, text.length, true);
        bytes.set(text, 4);
        bytes.set(pixels, 4 + text.length);
        return bytes;
    };
    const all = [frame({ progress: 0.1 }, []), frame({ columns: 1, rows: 2 }, [1, 2, 3, 4, 5, 6, 7, 8]), frame({ columns: 1, rows: 1, strips: ['a', 'b'] }, [9, 9, 9, 9, 8, 8, 8, 8])].flatMap((part) => Array.from(part));
    for (const size of [1, 3, 17, all.length]) {
        const reader = new FrameReader<{ columns?: number; rows?: number; progress?: number; strips?: string[] }>();
        const found = [];
        for (let at = 0; at < all.length; at += size) {
            found.push(...reader.take(Uint8Array.from(all.slice(at, at + size))));
        }
        expect(found.map(({ pixels }) => Array.from(pixels))).toEqual([[], [1, 2, 3, 4, 5, 6, 7, 8], [9, 9, 9, 9, 8, 8, 8, 8]]);
    }
});

test('a picture is late when nothing comes for a while, and not any more when one has come', async () => {
    vi.useFakeTimers();
    const answers = slowServer();
    const told: boolean[] = [];
    const loop = new PictureLoop('x', () => undefined, () => undefined, () => undefined, (isLate) => told.push(isLate));
    loop.want(wanted());
    loop.want(wanted());
    vi.advanceTimersByTime(399);
    expect(told).toEqual([]);
    vi.advanceTimersByTime(2);
    expect(told).toEqual([true]);
    answers[0]?.answer();
    expect(told).toEqual([true, false]);
    answers[1]?.answer();
    await vi.advanceTimersByTimeAsync(0);
    // the next one in time: nobody is told
    loop.want(wanted());
    vi.advanceTimersByTime(100);
    answers[2]?.answer();
    vi.advanceTimersByTime(1000);
    expect(told).toEqual([true, false]);
    vi.useRealTimers();
});
