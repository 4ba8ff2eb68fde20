import { execFileSync } from 'node:child_process';
import { crc32, deflateSync } from 'node:zlib';
import { expect, type Locator, type Page } from '@playwright/test';

export type Rgb = [number, number, number];

/** A PNG file made of a formula, so that every pixel of it is known. */
export function pngOf(width: number, height: number, colour: (x: number, y: number) => [number, number, number, number?], alpha = false): Buffer {
    const depth = alpha ? 4 : 3;
    const raw = Buffer.alloc(height * (1 + width * depth));
    for (let y = 0, at = 0; y < height; y++) {
        raw[at++] = 0;
        for (let x = 0; x < width; x++) {
            const [r, g, b, a] = colour(x, y);
            raw[at++] = r;
            raw[at++] = g;
            raw[at++] = b;
            if (alpha) {
                raw[at++] = a ?? 255;
            }
        }
    }
    const chunk = (type: string, data: Buffer) => {
        const body = Buffer.concat([Buffer.from(type), data]);
        const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
        length.writeUInt32BE(data.length);
        sum.writeUInt32BE(crc32(body));
        return Buffer.concat([length, body, sum]);
    };
    const head = Buffer.alloc(13);
    head.writeUInt32BE(width, 0);
    head.writeUInt32BE(height, 4);
    head.set([8, alpha ? 6 : 2, 0, 0, 0], 8);
    return Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), chunk('IHDR', head), chunk('IDAT', deflateSync(raw)), chunk('IEND', Buffer.alloc(0))]);
}

/** Drops a file on a part of the page, as the hand does. */
export async function drop(page: Page, target: Locator, name: string, type: string, bytes: Buffer, at?: { x: number; y: number }): Promise<void> {
    const transfer = await page.evaluateHandle(
        ({ name, type, base64 }) => {
            const data = Uint8Array.from(atob(base64), (character) => character.charCodeAt(0));
            const transfer = new DataTransfer();
            transfer.items.add(new File([data], name, { type }));
            return transfer;
        },
        { name, type, base64: bytes.toString('base64') },
    );
    const box = await target.boundingBox();
    const place = at ? { clientX: (box?.x ?? 0) + at.x, clientY: (box?.y ?? 0) + at.y } : {};
    await target.dispatchEvent('dragover', { dataTransfer: transfer, ...place });
    await target.dispatchEvent('drop', { dataTransfer: transfer, ...place });
}

/** A new scene from a picture that is dropped on the scenes wall; gives its id. */
export async function newScene(page: Page, bytes: Buffer, name = 'quay.png'): Promise<string> {
    await watch(page);
    await page.goto('/');
    await drop(page, page.locator('main'), name, 'image/png', bytes);
    await page.waitForURL(/\/scenes\//);
    await settled(page);
    return page.url().split('/').pop() ?? '';
}

export async function addSpot(page: Page): Promise<void> {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name: /^Spot A cone/ }).click();
    await page.keyboard.press('Enter');
    await expect(page.locator('[data-strip][aria-label^="Spot"]').last()).toBeVisible();
    await settled(page);
}

/** Counts what is asked of the server, so that tests can wait for the end of it. */
export async function watch(page: Page): Promise<void> {
    await page.addInitScript(() => {
        const traffic = { open: 0, last: 0 };
        const plain = window.fetch.bind(window);
        window.fetch = (...words) => {
            traffic.open++;
            const over = () => {
                traffic.open--;
                traffic.last = performance.now();
            };
            return plain(...words).then(
                (response) => {
                    if (!response.headers.has('X-Pieces') || !response.body) {
                        over();
                        return response;
                    }
                    // a picture that comes in pieces is under way until its last one
                    const reader = response.body.getReader();
                    const body = new ReadableStream({
                        pull: (to) =>
                            reader.read().then(
                                ({ done, value }) => (done ? (over(), to.close()) : to.enqueue(value)),
                                (error) => (over(), to.error(error)),
                            ),
                        cancel: () => (over(), reader.cancel()),
                    });
                    return new Response(body, response);
                },
                (error) => {
                    over();
                    throw error;
                },
            );
        };
        Object.assign(window, { traffic });
    });
}

/** Waits until nothing has been asked for a while and a picture at rest is shown. */
export async function settled(page: Page): Promise<void> {
    await page.waitForFunction(() => {
        const { traffic } = window as unknown as { traffic: { open: number; last: number } };
        return traffic.open === 0 && performance.now() - traffic.last > 150 && performance.getEntriesByName('aumbrel settled').length > 0;
    }, undefined, { polling: 40 });
}

/** Does something that is written a moment later, such as pressing keys that make one gesture, and waits until it is. */
export async function written(page: Page, act: () => Promise<unknown>): Promise<void> {
    const reply = page.waitForResponse((response) => response.url().includes('/gestures/') && response.ok());
    await act();
    await reply;
    await settled(page);
}

/** Drags a handle by so many pixels, in steps. */
export async function dragHandle(page: Page, name: string, dx: number, dy: number, steps = 12): Promise<void> {
    const box = await page.locator(`[data-handle="${name}"]`).boundingBox();
    if (!box) {
        throw new Error(`no handle ${name}`);
    }
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps });
    await page.mouse.up();
    await settled(page);
}

/** The pixels of a picture file, decoded by the browser. */
export async function pixelsOf(page: Page, file: Buffer): Promise<{ width: number; height: number; data: Buffer }> {
    const { width, height, bytes } = await page.evaluate(async (base64) => {
        const bytes = Uint8Array.from(atob(base64), (character) => character.charCodeAt(0));
        const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/png' }), { colorSpaceConversion: 'none', premultiplyAlpha: 'none' });
        const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
        const context = canvas.getContext('2d');
        context?.drawImage(bitmap, 0, 0);
        const { data } = context!.getImageData(0, 0, bitmap.width, bitmap.height);
        // as text: a list of so many numbers takes seconds on its way here
        let text = '';
        for (let at = 0; at < data.length; at += 8192) {
            text += String.fromCharCode(...data.subarray(at, at + 8192));
        }
        return { width: bitmap.width, height: bitmap.height, bytes: btoa(text) };
    }, file.toString('base64'));
    return { width, height, data: Buffer.from(bytes, 'base64') };
}

/** What the view shows at a place of the picture on the screen. */
export async function shownAt(page: Page, x: number, y: number): Promise<Rgb> {
    return page.evaluate(
        ([x, y]) => {
            const canvas = document.querySelector<HTMLCanvasElement>('[data-testid=picture]');
            const box = canvas?.getBoundingClientRect();
            const data = canvas?.getContext('2d')?.getImageData((x ?? 0) - (box?.left ?? 0), (y ?? 0) - (box?.top ?? 0), 1, 1).data;
            return [data?.[0] ?? -1, data?.[1] ?? -1, data?.[2] ?? -1] as Rgb;
        },
        [x, y],
    );
}

/** A place of the scene on the screen, while the whole scene is shown. */
export async function onScreen(page: Page, [x, y]: [number, number], size = { width: 320, height: 200 }): Promise<[number, number]> {
    const box = (await page.getByRole('application', { name: /^View/ }).boundingBox())!;
    const zoom = Math.min((box.width - 28) / size.width, (box.height - 28) / size.height);
    return [box.x + Math.round(box.width / 2 - (size.width / 2) * zoom) + x * zoom, box.y + Math.round(box.height / 2 - (size.height / 2) * zoom) + y * zoom];
}

/** Presses, drags along some places of the screen, and lets go; on request it rests a while before. */
export async function pulled(page: Page, places: [number, number][], steps = 8, hold = 0): Promise<void> {
    const [first, ...rest] = places;
    await page.mouse.move(...first!);
    await page.mouse.down();
    for (const place of rest) {
        await page.mouse.move(...place, { steps });
    }
    if (hold > 0) {
        await page.waitForTimeout(hold);
        await page.mouse.move(rest.at(-1)![0] + 1, rest.at(-1)![1]);
    }
    await page.mouse.up();
}

/** The same, and what comes of it is waited for. */
export async function along(page: Page, places: [number, number][], steps = 8, hold = 0): Promise<void> {
    await pulled(page, places, steps, hold);
    await settled(page);
}

/** The same along places of a scene of 320 x 200 that is shown as a whole. */
export async function stroke(page: Page, places: [number, number][], { steps = 8, hold = 0 } = {}): Promise<void> {
    await along(page, await Promise.all(places.map((place) => onScreen(page, place))), steps, hold);
}

/** Runs a command of the project on the data of these tests. */
export function run(command: string, ...words: string[]): string {
    return execFileSync('bash', ['-c', '. tests/browser/environment; exec "$0" "$@"', command, ...words], { encoding: 'utf8' });
}

/** Opens a part of the bench that is folded; it stays open for all strips of that kind. */
export async function unfold(page: Page, title: string): Promise<void> {
    const part = page.getByRole('complementary', { name: 'Bench' }).locator('details').filter({ has: page.locator('summary', { hasText: new RegExp(`${title}(\\s|$)`) }) }).first();
    if ((await part.getAttribute('open')) === null) {
        await part.locator('summary').first().click();
    }
    await expect(part).toHaveAttribute('open', '');
}

type SeenStrip = { kind: string; values: Record<string, unknown>; confinedTo?: string; id: string; name: string };

/** The first strip of a kind, as it is stored. */
export async function valuesOf(page: Page, scene: string, kind: string): Promise<SeenStrip> {
    return ((await (await page.request.get(`/api/scenes/${scene}`)).json()) as { strips: SeenStrip[] }).strips.find((strip) => strip.kind === kind)!;
}

/** Adds a strip by the words of the shelf. */
export async function add(page: Page, name: RegExp): Promise<void> {
    await page.getByRole('button', { name: 'Add a strip' }).click();
    await page.getByRole('button', { name }).first().click();
    await settled(page);
}
