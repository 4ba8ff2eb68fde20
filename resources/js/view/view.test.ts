import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { lensOf, panned, restScale, toScene, toView, windowOf, zoomedAt } from './camera';
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
    return { window: { x: 0, y: 0, width: 8, height: 4 }, scale: 1, draftScale: 0.5, changes: {}, below: null, solo: [], before: false, mask: null, tint: null, moving: true, since: 0, ...more };
}

/** A server whose answers come when we say so. */
function slowServer() {
    const answers: { number: number; draft: boolean; answer: () => void }[] = [];
    vi.spyOn(api, 'picture').mockImplementation(
        (_, looked) =>
            new Promise((resolve) =>
                answers.push({
                    number: looked.number,
                    draft: looked.draft,
                    answer: () => resolve({ head: { columns: 1, rows: 1, clipped: 0, outlines: {} }, pixels: new Uint8ClampedArray(4) }),
                }),
            ),
    );
    vi.stubGlobal('ImageData', class { constructor(readonly data: unknown, readonly width: number, readonly height: number) {} });
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
