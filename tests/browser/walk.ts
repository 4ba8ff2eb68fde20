import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { onScreen, pixelsOf, pulled, run, settled, shownAt, unfold, watch, written, type Rgb } from './help';

/*
 * A whole job walked by hand and counted: pointer, keys, typed values and strokes, nothing behind the interface's back. Counting
 * starts in the opened scene with its plates placed. Where AUMBREL_JOURNEYS names a folder, what it was like before and after is
 * kept there with the counts, for docs/journeys.md. Where AUMBREL_JOURNEYS_SCENES names one, jobs are walked on the plates as large
 * as they are, and the scenes, as they came in and finished, are kept there: those of the demo.
 */

const SCENES = process.env.AUMBREL_JOURNEYS_SCENES ?? '';

/** So much larger than their places are written are the scenes. */
const ZOOM = SCENES === '' ? 1 : 2;

export type Size = { width: number; height: number };

/**
 * @property ends when the job is done, in words of the job
 * @property reached as many as it takes where what is allowed cannot be had without taking control away
 * @property scenes what each is called, of a journey through several
 */
export type Journey = { number: number; name: string; allowed: number; reached?: number; ends: string; scenes?: string[] };

type Values = Record<string, unknown>;

type Mask = { id: string; kind: string; on: string; values: Values };

export type Strip = { id: string; name: string; kind: string; mode: string; level?: number; source?: string | null; complements?: string; confinedTo?: string; values: Values; inForce: Values; masks: Mask[]; strips?: Strip[] };

type Scene = { undo: string | null; redo: string | null; strips: Strip[]; sources: { id: string; name: string; values: Values }[]; compass: { arcs: { angle: number }[] } };

/** What looking is: zooming, fitting, before, values; it costs nothing. */
const LOOKING = 'zxfbkvlnwt';

/** Counts gestures in the page itself: presses, chords, choices, and values that were typed. */
async function counting(page: Page): Promise<() => Promise<number>> {
    await page.evaluate((looking) => {
        const state = { count: 0 };
        Object.assign(window, { gestures: state });
        const isTyped = (target: EventTarget | null) => target instanceof HTMLInputElement && !/^(checkbox|radio|range|color|file)$/.test(target.type);
        const isSelect = (target: EventTarget | null) => target instanceof HTMLSelectElement;
        window.addEventListener('pointerdown', ({ target }) => !isTyped(target) && !isSelect(target) && state.count++, true);
        window.addEventListener('drop', () => state.count++, true);
        window.addEventListener('change', ({ target }) => (isTyped(target) || isSelect(target) || (target as HTMLInputElement).type === 'color') && state.count++, true);
        window.addEventListener('keydown', ({ key, repeat, target, ctrlKey, metaKey, shiftKey }) => !repeat && !isTyped(target) && !/^(Shift|Control|Alt|Meta)$/.test(key) && (ctrlKey || metaKey || shiftKey || !looking.includes(key.toLowerCase())) && state.count++, true);
    }, LOOKING);
    return () => page.evaluate(() => (window as unknown as { gestures: { count: number } }).gestures.count);
}

/** The pixels of a picture, by places of the scene. */
export class Seen {
    constructor(
        readonly width: number,
        readonly height: number,
        private readonly data: Buffer,
    ) {}

    at(x: number, y: number): Rgb {
        const from = 4 * (Math.min(this.height - 1, Math.round(ZOOM * y)) * this.width + Math.min(this.width - 1, Math.round(ZOOM * x)));
        return [this.data[from]!, this.data[from + 1]!, this.data[from + 2]!];
    }

    /** The mean of a square patch. */
    mean([x, y]: readonly [number, number], reach = 3): Rgb {
        const sum: Rgb = [0, 0, 0];
        const side = 2 * reach + 1;
        for (let dy = -reach; dy <= reach; dy++) {
            for (let dx = -reach; dx <= reach; dx++) {
                this.at(x + dx, y + dy).forEach((value, channel) => (sum[channel] = sum[channel]! + value / side / side));
            }
        }
        return sum;
    }

    luma(place: readonly [number, number], reach = 3): number {
        return luma(this.mean(place, reach));
    }

    /** How much warmer than cold: red over blue. */
    warmth(place: readonly [number, number], reach = 3): number {
        const [red, , blue] = this.mean(place, reach);
        return red - blue;
    }

    /** Of the lumas in a box, the brightest of patches. */
    brightest([left, top, width, height]: readonly [number, number, number, number], reach = 2): { at: [number, number]; luma: number } {
        let best = { at: [left, top] as [number, number], luma: -1 };
        for (let y = top + reach; y < top + height - reach; y += reach + 1) {
            for (let x = left + reach; x < left + width - reach; x += reach + 1) {
                const found = this.luma([x, y], reach);
                best = found > best.luma ? { at: [x, y], luma: found } : best;
            }
        }
        return best;
    }
}

export const luma = ([r, g, b]: Rgb) => 0.2126 * r + 0.7152 * g + 0.0722 * b;

const small = new Map<string, string>();

/** A plate of the demo, so many pixels wide. */
function smallPlate(file: string, width: number): string {
    const key = `${file} ${width}`;
    if (!small.has(key)) {
        const out = join(mkdtempSync(join(tmpdir(), 'aumbrel-plate-')), file);
        run('php', 'tests/browser/small.php', join('demo', 'night-market', file), String(width), out);
        small.set(key, out);
    }
    return small.get(key)!;
}

/** @property plates pictures of the demo, with their widths in the scene; as wide as that where none is said */
export type Start = Size & { title: string; plates: Record<string, { width?: number }>; scene: Values };

/** A scene as it came in, in the size in which it is walked, with its plates beside it. */
function placed(start: Start, folder: string): Values {
    const factors: Record<string, number> = {};
    for (const [name, { width }] of Object.entries(start.plates)) {
        const file = join('demo', 'night-market', name);
        copyFileSync(ZOOM === 1 ? smallPlate(name, width ?? start.width) : file, join(folder, name));
        factors[name] = ZOOM === 1 ? 1 : Number(run('php', '-r', 'echo getimagesize($argv[1])[0];', file)) / (width ?? start.width);
    }
    const times = (value: unknown, factor: number): unknown => (typeof value === 'number' ? value * factor : Array.isArray(value) ? value.map((part) => times(part, factor)) : Object.fromEntries(Object.entries(value as Values).map(([key, part]) => [key, times(part, factor)])));
    const strips = (start.scene.strips as { values: Values; masks?: { values: Values }[] }[]).map((strip) => {
        const factor = factors[strip.values.picture as string] ?? 1;
        const values = Object.fromEntries(Object.entries(strip.values).map(([name, value]) => [name, name === 'place' ? times(value, ZOOM) : name === 'pivot' || name === 'horizon' ? times(value, factor) : value]));
        return { ...strip, values: { ...values, ...(factor === 1 ? {} : { scale: ZOOM / factor }) }, ...(strip.masks ? { masks: strip.masks.map((mask) => ({ ...mask, values: { ...mask.values, path: times(mask.values.path, factor) } })) } : {}) };
    });
    return { aumbrel: 2, title: start.title, size: [ZOOM * start.width, ZOOM * start.height], ...start.scene, strips };
}

/** Keeps a scene file of the demo, under a title of its own. */
function keepScene(name: string, title: string, scene: Values): void {
    writeFileSync(join(SCENES, `${name}.scene.json`), `${JSON.stringify({ ...scene, title }, null, 4)}\n`);
}

export class Walk {
    /** Seconds that the hand waited, in the scenes before too. */
    private waited = 0;

    private count: () => Promise<number> = async () => 0;

    /** What the view showed when the job was done, and what was written out. */
    private shownAtEnd: Rgb[] = [];

    private file: Buffer = Buffer.alloc(0);

    /** @param  earlier  the scenes of the same journey before this one */
    private constructor(
        readonly page: Page,
        readonly journey: Journey,
        readonly id: string,
        readonly size: Size,
        readonly before: Seen,
        private readonly picture: Buffer,
        private readonly earlier: Walk[],
    ) {}

    static async begin(page: Page, journey: Journey, start: Start, earlier: Walk[] = []): Promise<Walk> {
        const folder = mkdtempSync(join(tmpdir(), 'aumbrel-journey-'));
        const began = placed(start, folder);
        if (SCENES !== '') {
            const part = partOf(journey, earlier.length);
            keepScene(`journey-${part.file}-before`, `${part.name}, as it came in`, began);
        }
        const scene = join(folder, 'scene.json');
        writeFileSync(scene, JSON.stringify(began));
        run('bin/aumbrel', 'render', scene, '--out', join(folder, 'before.png'));
        const id = run('bin/aumbrel', 'store', scene).trim();
        await watch(page);
        await page.goto(`/scenes/${id}`);
        await settled(page);
        const bytes = readFileSync(join(folder, 'before.png'));
        const { width, height, data } = await pixelsOf(page, bytes);
        const walk = new Walk(page, journey, id, start, new Seen(width, height, data), bytes, earlier);
        walk.count = await counting(page);
        return walk;
    }

    /** The journey goes on in another scene; what it took and waited so far counts on, opening is free. */
    async another(start: Start): Promise<Walk> {
        const [used, waited] = [await this.count(), this.waited];
        const next = await Walk.begin(this.page, this.journey, start, [...this.earlier, this]);
        const counted = next.count;
        next.count = async () => used + (await counted());
        next.waited = waited;
        return next;
    }

    async scene(): Promise<Scene> {
        return (await (await this.page.request.get(`/api/scenes/${this.id}`)).json()) as Scene;
    }

    async strips(): Promise<Strip[]> {
        const all = (strips: Strip[]): Strip[] => strips.flatMap((strip) => [strip, ...all(strip.strips ?? [])]);
        return all((await this.scene()).strips);
    }

    async strip(kind: string): Promise<Strip> {
        const found = (await this.strips()).find((strip) => strip.kind === kind);
        expect(found, `a ${kind}`).toBeDefined();
        return found!;
    }

    on([x, y]: [number, number]): Promise<[number, number]> {
        return onScreen(this.page, [ZOOM * x, ZOOM * y], { width: ZOOM * this.size.width, height: ZOOM * this.size.height });
    }

    /** A place or a length of the scene as it is written in it. */
    in(length: number): number {
        return ZOOM * length;
    }

    get bench(): Locator {
        return this.page.getByRole('complementary', { name: 'Bench' });
    }

    get shelf(): Locator {
        return this.page.getByLabel('What can be added');
    }

    /** Waits for what was done to be seen, and counts the seconds since the hand had done it. */
    private async seen(since = Date.now()): Promise<void> {
        await settled(this.page);
        this.waited += (Date.now() - since) / 1000;
    }

    async press(what: Locator): Promise<void> {
        await what.click();
        await this.seen();
    }

    button(name: string | RegExp): Promise<void> {
        return this.press(this.page.getByRole('button', { name, exact: typeof name === 'string' }).first());
    }

    /** A press on the picture, on request with a key held. */
    async point(place: [number, number], held?: 'Alt'): Promise<void> {
        await this.holding(held, async () => this.page.mouse.click(...(await this.on(place))));
        await this.seen();
    }

    private async holding(key: 'Alt' | 'Shift' | undefined, act: () => Promise<void>): Promise<void> {
        if (key) {
            await this.page.keyboard.down(key);
        }
        await act();
        if (key) {
            await this.page.keyboard.up(key);
        }
    }

    /** One drag or stroke along places of the scene. */
    async drag(places: [number, number][], steps = 8): Promise<void> {
        await pulled(this.page, await Promise.all(places.map((place) => this.on(place))), steps);
        await this.seen();
    }

    /** A handle, dragged to a place of the scene, on request with a key held. */
    async handle(name: string, to: [number, number], held?: 'Shift'): Promise<void> {
        const box = (await this.page.locator(`[data-handle="${name}"]`).boundingBox())!;
        await this.holding(held, async () => pulled(this.page, [[box.x + box.width / 2, box.y + box.height / 2], await this.on(to)], 10));
        await this.seen();
    }

    /** From the shelf; some are then drawn. */
    async add(name: RegExp, line?: [[number, number], [number, number]]): Promise<void> {
        await this.page.getByRole('button', { name: 'Add a strip' }).click();
        await this.shelf.getByRole('button', { name }).first().click();
        if (line) {
            await this.drag(line);
        }
        await this.seen();
    }

    /** Several from the shelf, which stays open while shift is held. */
    async addAll(...names: RegExp[]): Promise<void> {
        await this.page.getByRole('button', { name: 'Add a strip' }).click();
        for (const [at, name] of names.entries()) {
            await this.shelf.getByRole('button', { name }).first().click(at < names.length - 1 ? { modifiers: ['Shift'] } : {});
            await this.seen();
        }
    }

    async choose(label: string, option: string): Promise<void> {
        await this.bench.getByLabel(label, { exact: true }).first().selectOption(option);
        await this.seen();
    }

    async type(label: string, value: string | number): Promise<void> {
        const field = this.bench.getByRole('textbox', { name: label, exact: true }).first();
        await field.fill(String(value));
        const since = Date.now();
        await field.press('Enter');
        await this.page.waitForTimeout(50);
        await this.seen(since);
    }

    async colour(label: string | RegExp, value: string): Promise<void> {
        const since = Date.now();
        await written(this.page, () => this.bench.getByLabel(label).first().fill(value));
        await this.seen(since);
    }

    async key(key: string): Promise<void> {
        await this.page.keyboard.press(key);
        await this.seen();
    }

    /** A part of the bench that is folded. */
    async unfold(title: string): Promise<void> {
        await unfold(this.page, title);
        await this.seen();
    }

    /** What belongs to a source is offered as small pictures: some are ticked besides, some not, and all that is ticked is taken. */
    async takeConsequence(...turned: RegExp[]): Promise<void> {
        const sheet = this.page.getByTestId('consequence');
        await expect(sheet.getByRole('checkbox').first()).toBeVisible();
        await this.seen();
        for (const name of turned) {
            await sheet.getByRole('checkbox', { name }).click();
        }
        await this.press(sheet.getByRole('button', { name: /^Take/ }));
    }

    /** The job is done: counted, undone to the start, done again, and written out; what was written is given back. */
    async ends(): Promise<Seen> {
        return (await this.allEnd()).at(-1)!;
    }

    /** The same of every scene of a journey, in order. */
    async allEnd(): Promise<Seen[]> {
        const used = await this.count();
        console.log(`journey ${this.journey.number}: ${used} gestures of ${this.journey.allowed}, ${this.waited.toFixed(1)} s waited`);
        const seen: Seen[] = [];
        const all = [this, ...this.earlier.toReversed()];
        for (const walk of all) {
            if (walk !== this) {
                await this.page.goto(`/scenes/${walk.id}`);
                await settled(this.page);
            }
            await walk.goesBackAndForth();
            if (SCENES === '') {
                seen.unshift(await walk.isWritten());
            }
        }
        test.skip(SCENES !== '', 'its scene is kept');
        await this.keep(used);
        expect(used, `gestures of ${this.journey.name}`).toBeLessThanOrEqual(this.journey.reached ?? this.journey.allowed);
        return seen;
    }

    /** Undone to the start and done again, it is what it was. */
    private async goesBackAndForth(): Promise<void> {
        const plain = async () => JSON.stringify((await this.strips()).map(({ kind, values, level, masks }) => ({ kind, values, level, masks })));
        const end = await plain();
        this.shownAtEnd = await Promise.all(this.places().map(async (place) => this.shown(place)));
        await this.page.locator('[data-view]').focus();
        let steps = 0;
        for (; steps < 60 && (await this.scene()).undo !== null; steps++) {
            await this.step('Control+z', '/undo');
        }
        await settled(this.page);
        expect(steps).toBeGreaterThan(0);
        expect(await plain()).not.toBe(end);
        for (let left = 60; left > 0 && (await this.scene()).redo !== null; left--) {
            await this.step('Control+y', '/redo');
        }
        await settled(this.page);
        expect(await plain()).toBe(end);
        if (SCENES !== '') {
            const { file, name } = partOf(this.journey, this.earlier.length);
            keepScene(`journey-${file}`, name, (await (await this.page.request.get(`/api/scenes/${this.id}/file`)).json()) as Values);
        }
    }

    private places(): [number, number][] {
        return [0.2, 0.5, 0.8].flatMap((x) => [0.3, 0.7].map((y) => [Math.round(x * this.size.width), Math.round(y * this.size.height)] as [number, number]));
    }

    /** What is written out is as large as the scene, and what was seen. */
    private async isWritten(): Promise<Seen> {
        this.file = await this.written();
        const { width, height, data } = await pixelsOf(this.page, this.file);
        expect([width, height]).toEqual([this.size.width, this.size.height]);
        const after = new Seen(width, height, data);
        this.places().forEach((place, at) => after.mean(place, 1).forEach((value, channel) => expect(Math.abs(value - this.shownAtEnd[at]![channel]!), `${place} as it was seen`).toBeLessThan(14)));
        return after;
    }

    /** One step of the history; it is written, whether it is painted already or not. */
    private async step(chord: string, path: string): Promise<void> {
        const reply = this.page.waitForResponse((response) => response.url().endsWith(path));
        await this.page.keyboard.press(chord);
        await reply;
    }

    /** The mean of what the view shows around a place. */
    private async shown([x, y]: [number, number]): Promise<Rgb> {
        const all = await Promise.all([-1, 0, 1].flatMap((dy) => [-1, 0, 1].map(async (dx) => shownAt(this.page, ...(await this.on([x + dx + 0.5, y + dy + 0.5]))))));
        return [0, 1, 2].map((channel) => all.reduce((sum, rgb) => sum + rgb[channel]! / all.length, 0)) as Rgb;
    }

    private async written(): Promise<Buffer> {
        await this.page.getByRole('button', { name: 'Export', exact: true }).click();
        await this.page.getByRole('radio', { name: 'PNG, 8 bit' }).check();
        await this.page.getByRole('button', { name: 'Write the file' }).click();
        const save = this.page.getByRole('list', { name: 'Files' }).getByRole('link', { name: 'Save' }).first();
        await expect(save).toBeVisible({ timeout: 60_000 });
        const coming = this.page.waitForEvent('download');
        await save.click();
        return readFileSync(await (await coming).path());
    }

    /** What it was like and what it took, for the page; without a folder for them what the page says must still hold. */
    private async keep(used: number): Promise<void> {
        const folder = process.env.AUMBREL_JOURNEYS ?? '';
        const file = join(folder === '' ? FOLDER : folder, 'counts.json');
        const counts = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Told>) : {};
        if (folder === '') {
            expect(counts[this.journey.number]?.used, 'gestures as docs/journeys.md tells them').toBe(used);
            return;
        }
        mkdirSync(folder, { recursive: true });
        const all = [...this.earlier, this];
        for (const [at, walk] of all.entries()) {
            for (const [moment, bytes] of [['before', walk.picture], ['after', walk.file]] as const) {
                writeFileSync(join(folder, `${partOf(this.journey, at).file}-${moment}.jpg`), await jpegOf(this.page, bytes));
            }
        }
        counts[this.journey.number] = { ...this.journey, used, waited: Math.round(10 * this.waited) / 10 };
        writeFileSync(file, `${JSON.stringify(counts, null, 1)}\n`);
        writeFileSync(`${folder}.md`, pageOf(Object.values(counts)));
    }
}

/** What the scenes of a journey are called, and their files. */
function partOf({ number, name, scenes }: Pick<Journey, 'number' | 'name' | 'scenes'>, at: number): { file: string; name: string } {
    return { file: at === 0 ? `${number}` : `${number}-${at + 1}`, name: scenes?.[at] ?? name };
}

type Told = Journey & { used: number; waited: number };

const FOLDER = 'docs/journeys';

/** The page of all that were walked. */
function pageOf(told: Told[]): string {
    return [
        '# Journeys',
        '',
        'Whole jobs, walked in the browser by `tests/browser/journeys-*.spec.ts` on small versions of the demo\'s plates and counted: a press, a drag, a stroke, a choice, a key or a typed value is one gesture; looking costs nothing. Each is undone to its start, done again, and written out; the pictures on the right are those files. This page is written by that run: `AUMBREL_JOURNEYS=docs/journeys npx playwright test journeys`.',
        '',
        '| | journey | allowed | took | seconds of waiting |',
        '|---|---|---|---|---|',
        ...told.map(({ number, name, allowed, used, waited }) => `| ${number} | [${name}](#${anchor(number, name)}) | ${allowed} | ${used}${used > allowed ? ' (more than allowed)' : ''} | ${waited.toFixed(1)} |`),
        '',
        ...told.flatMap((journey) => [`## ${journey.number}. ${journey.name}`, '', `Done when ${journey.ends}.`, '', `| as it came in | finished |`, '|---|---|', ...(journey.scenes ?? [journey.name]).map((_, at) => rowOf(partOf(journey, at))), '']),
    ].join('\n');
}

const rowOf = ({ file, name }: { file: string; name: string }) => `| ![${name}, before](journeys/${file}-before.jpg) | ![${name}, after](journeys/${file}-after.jpg) |`;

const anchor = (number: number, name: string) => `${number}-${name.toLowerCase().replace(/[^a-z0-9 ]/g, '').replaceAll(' ', '-')}`;

/** A picture as a JPEG, made by the browser. */
async function jpegOf(page: Page, bytes: Buffer): Promise<Buffer> {
    const url = await page.evaluate(async (base64) => {
        const bitmap = await createImageBitmap(new Blob([Uint8Array.from(atob(base64), (character) => character.charCodeAt(0))], { type: 'image/png' }));
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [bitmap.width, bitmap.height];
        canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
        return canvas.toDataURL('image/jpeg', 0.84);
    }, bytes.toString('base64'));
    return Buffer.from(url.split(',')[1]!, 'base64');
}
