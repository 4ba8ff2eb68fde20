import type { Changes, CloudColour, ColourStop, Export, ExportOrder, HueHill, KeptRamp, KeptTip, Noticed, Outlines, OwnLight, PlaceValues, Point, Reading, Rig, Scene, SceneCard, ScopeCounts, StageLines, Stop, Token, ToneStop, Values } from './types';

/** Something that the server would not do, in its words. */
export class Refused extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly field: string | null = null,
    ) {
        super(message);
    }
}

const UNREACHABLE = 'The server does not answer. What you did is kept and written when it is back.';

function forgeryToken(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found?.[1] ? decodeURIComponent(found[1]) : '';
}

export async function ask(method: string, path: string, body?: unknown, { signal, headers = {} }: { signal?: AbortSignal; headers?: Record<string, string> } = {}): Promise<Response> {
    // what goes as it is: forms, and parts of files
    const isPlain = body instanceof FormData || body instanceof Blob;
    let response: Response;
    try {
        response = await fetch(`/api/${path}`, {
            method,
            signal,
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': forgeryToken(),
                ...(body === undefined || isPlain ? {} : { 'Content-Type': 'application/json' }),
                ...headers,
            },
            body: body === undefined ? undefined : isPlain ? body : JSON.stringify(body),
        });
    } catch (error) {
        return broken(error);
    }
    if (!response.ok) {
        if (response.status === 401) {
            // the passphrase is asked for, and the way leads back here
            window.location.reload();
        }
        const reply = (await response.json().catch(() => null)) as { message?: string; field?: string } | null;
        throw new Refused(response.status, reply?.message || `The server failed (${response.status}). Try it again.`, reply?.field ?? null);
    }
    return response;
}

/** What an answer says; one that broke off, or cannot be read, is none. */
export async function said<T>(response: Response): Promise<T> {
    try {
        return (await response.json()) as T;
    } catch (error) {
        return broken(error);
    }
}

async function json<T>(method: string, path: string, body?: unknown): Promise<T> {
    return said<T>(await ask(method, path, body));
}

export function upload(file: File, beside: File[] = []): FormData {
    const form = new FormData();
    form.set('file', file);
    beside.forEach((other) => form.append('pictures[]', other));
    return form;
}

/** One part of an answer with pixels: a JSON head, and the pixels of the rows that it names. */
export type Frame<Head> = { head: Head; pixels: Uint8ClampedArray<ArrayBuffer> };

type AnyHead = { columns?: number; rows?: number; strips?: string[] };

/** Takes whole frames off the bytes that have come. */
export class FrameReader<Head extends AnyHead> {
    private bytes = new Uint8Array(0);

    take(more: Uint8Array): Frame<Head>[] {
        const all = new Uint8Array(this.bytes.length + more.length);
        all.set(this.bytes);
        all.set(more, this.bytes.length);
        const frames: Frame<Head>[] = [];
        let at = 0;
        for (;;) {
            const length = at + 4 <= all.length ? new DataView(all.buffer).getUint32(at, true) : Infinity;
            if (at + 4 + length > all.length) {
                break;
            }
            const head = JSON.parse(new TextDecoder().decode(all.subarray(at + 4, at + 4 + length))) as Head;
            const from = at + 4 + length;
            const size = (head.columns ?? 0) * (head.rows ?? 0) * 4 * Math.max(1, head.strips?.length ?? 0);
            if (from + size > all.length) {
                break;
            }
            frames.push({ head, pixels: new Uint8ClampedArray(all.buffer, from, size) });
            at = from + size;
        }
        this.bytes = all.subarray(at).slice();
        return frames;
    }

    /** Whether a frame has begun and not ended. */
    isHalf(): boolean {
        return this.bytes.length > 0;
    }
}

/** Frames as they come; null for an answer without any. */
async function frames<Head extends AnyHead>(response: Response, onFrame: (frame: Frame<Head>) => void): Promise<boolean> {
    if (response.status === 204) {
        return false;
    }
    const reader = new FrameReader<Head>();
    if (!response.headers.has('X-Pieces') || !response.body) {
        const whole = reader.take(new Uint8Array(await response.arrayBuffer().catch(broken)));
        if (whole.length === 0 || reader.isHalf()) {
            throw new Refused(0, UNREACHABLE);
        }
        whole.forEach(onFrame);
        return true;
    }
    const body = response.body.getReader();
    try {
        for (;;) {
            const { done, value } = await body.read();
            if (done && reader.isHalf()) {
                throw new Refused(0, UNREACHABLE);
            }
            if (done) {
                return true;
            }
            reader.take(value).forEach(onFrame);
        }
    } catch (error) {
        return broken(error);
    }
}

/** An answer that broke off is none; one that was given up stays given up. */
function broken(error: unknown): never {
    throw error instanceof DOMException && error.name === 'AbortError' ? error : new Refused(0, UNREACHABLE);
}

/** Small pictures, one behind the other; null when there are none. */
async function small(response: Response): Promise<Frame<ContributionHead> | null> {
    let found: Frame<ContributionHead> | null = null as Frame<ContributionHead> | null;
    await frames<ContributionHead>(response, (frame) => {
        if (frame.head.problem) {
            throw new Refused(422, frame.head.problem);
        }
        found = frame.head.strips ? frame : found;
    });
    return found;
}

export type Looked = {
    view: string;
    number: number;
    draft: boolean;
    window: [number, number, number, number];
    scale: number;
    changes: Changes;
    below: string | null;
    solo: string[];
    before: boolean;
    /** the variant of the scene that is looked at in its place */
    snapshot: string | null;
    mask: string | null;
    /** whether that mask lies over the picture as a tint, or is seen alone */
    over: boolean;
    /** a plate whose cut-out is judged under a tint */
    tint: string | null;
    /** a plate whose form is seen, in grey */
    form: string | null;
    /** how it is shown, and the strip of which only what it adds is wanted */
    as: 'colours' | 'values' | 'clipping' | 'passing';
    alone: string | null;
};

/** `of` rows in all, of which this frame brings `rows` from `firstRow` on; frames without rows tell how far it is. */
export type PictureHead = {
    columns?: number;
    rows?: number;
    firstRow?: number;
    of?: number;
    progress?: number;
    done: boolean;
    clipped?: number;
    outlines?: Record<string, Outlines>;
    inForce?: Record<string, Values>;
    stage?: StageLines | null;
    problem?: string;
    field?: string | null;
    dropped?: boolean;
    /** by how much what one strip adds was brightened */
    factors?: number[];
} & Partial<Noticed>;

/** A strip that belongs to a source, as its sheet offers it. */
export type Proposal = { key: string; strip: string; name: string; ticked: boolean; level: number | null };

export type ContributionHead = { columns: number; rows: number; strips: string[]; /** by how much each was brightened */ factors?: number[]; problem?: string };

export type Placing = { kind: string; centre: Point; span: number; above?: string | null; line?: [Point, Point]; likeLast?: boolean };

export const api = {
    scenes: () => json<{ scenes: SceneCard[]; deleted: SceneCard[] }>('GET', 'scenes'),
    storage: () => json<{ used: { pictures: number; exports: number; rest: number }; free: number; /** little room is left */ isLow: boolean; daysToRestore: number }>('GET', 'storage'),
    /** Of a picture or a packed scene that was taken in before. */
    newScene: (intake: string) => json<Scene>('POST', 'scenes', { intake }),
    /** Of a scene file with the pictures that lie beside it. */
    sceneOf: (file: File, beside: File[]) => json<Scene>('POST', 'scenes', upload(file, beside)),
    scene: (id: string) => json<Scene>('GET', `scenes/${id}`),
    deleteScene: (id: string) => ask('DELETE', `scenes/${id}`),
    duplicateScene: (id: string) => json<SceneCard>('POST', `scenes/${id}/duplicate`),
    renameScene: (id: string, title: string) => json<Scene>('POST', `scenes/${id}/gestures/change-scene`, { title }),
    /** Lays scenes into a folder of the wall, or out of any. */
    layScenes: (scenes: string[], folder: string | null) => json<{ laid: number }>('POST', 'scenes/lay', { scenes, folder }),
    restoreScene: (id: string) => json<SceneCard>('POST', `scenes/${id}/restore`),
    /** a picture that becomes no plate, by the file that was taken in */
    bring: (id: string, intake: string) => json<{ name: string }>('POST', `scenes/${id}/pictures`, { intake }),
    ramps: () => json<{ ramps: KeptRamp[] }>('GET', 'ramps'),
    /** Keeps a ramp of colours, or a mask's, for other scenes. */
    keepRamp: (name: string, stops: (ColourStop | ToneStop | Stop)[]) => json<{ ramps: KeptRamp[] }>('POST', 'ramps', { name, stops }),
    takeOutRamp: (id: string) => json<{ ramps: KeptRamp[] }>('DELETE', `ramps/${id}`),
    tips: () => json<{ tips: KeptTip[] }>('GET', 'tips'),
    /** A picture that was taken in becomes a brush tip. */
    keepTip: (intake: string) => json<{ tips: KeptTip[] }>('POST', 'tips', { intake }),
    takeOutTip: (id: string) => json<{ tips: KeptTip[] }>('DELETE', `tips/${id}`),
    /** The line along the edges of a plate's picture between two places of it. */
    edge: (id: string, strip: string, from: Point, to: Point) => json<{ path: Point[] }>('POST', `scenes/${id}/plates/${strip}/edge`, { from, to }),
    pieces: (id: string, strip: string) => json<{ vanished: number }>('GET', `scenes/${id}/plates/${strip}/pieces`),
    sphere: async (azimuth: number, elevation: number, size: number) =>
        new ImageData(new Uint8ClampedArray(await (await ask('GET', `sphere?azimuth=${azimuth}&elevation=${elevation}&size=${size}`)).arrayBuffer()), size, size),
    picture: async (id: string, looked: Looked, signal: AbortSignal, onFrame: (frame: Frame<PictureHead>) => void) => frames<PictureHead>(await ask('POST', `scenes/${id}/picture`, looked, { signal }), onFrame),
    contributions: async (id: string) => small(await ask('POST', `scenes/${id}/contributions`)),
    /** The masks of a strip in small. */
    masks: async (id: string, strip: string) => small(await ask('POST', `scenes/${id}/masks`, { strip })),
    /** What is noticed in the picture itself; null when something newer came in between. */
    readings: async (id: string) => {
        const response = await ask('POST', `scenes/${id}/readings`);
        return response.status === 204 ? null : ((await response.json()) as { readings: Reading[] }).readings;
    },
    /** Small pictures of what is looked at, with one strip in each mode. */
    modes: async (id: string, looked: Looked, signal: AbortSignal) => small(await ask('POST', `scenes/${id}/modes`, looked, { signal })),
    /** What belongs to a source, with small pictures; null when nothing does. */
    consequence: async (id: string, source: string) => {
        let proposals: Proposal[] | null = null as Proposal[] | null;
        let found: Frame<ContributionHead> | null = null as Frame<ContributionHead> | null;
        await frames<ContributionHead & { proposals?: Proposal[] }>(await ask('POST', `scenes/${id}/sources/${source}/consequence`), (frame) => {
            if (frame.head.problem) {
                throw new Refused(422, frame.head.problem);
            }
            proposals = frame.head.proposals ?? proposals;
            found = frame.head.strips ? frame : found;
        });
        return proposals && found ? { proposals, pictures: found } : null;
    },
    /** A colour to light with: of a patch, a plate's mean, or that of the whole scene. */
    colour: (id: string, of: { at?: Point; width?: number; plate?: string }) => json<{ swatch: string }>('POST', `scenes/${id}/colour`, of),
    /** How many pixels of each tone there are below a strip, or in itself, in what is looked at; null when a newer question came before the answer. */
    tones: (id: string, of: { strip: string; of: string; view: string; number: number; window: number[] }) => json<{ counts: number[] | null }>('POST', `scenes/${id}/tones`, of).then((reply) => reply.counts),
    /** The hues below a strip in a window, and the stretch about one of them. */
    hues: (id: string, of: { strip: string; view: string; number: number; window: number[]; about?: number }) => json<{ found: HueHill | null }>('POST', `scenes/${id}/hues`, of).then((reply) => reply.found),
    /** The colours below a strip in a window. */
    colours: (id: string, of: { strip: string; view: string; number: number; window: number[] }) => json<{ found: CloudColour[] | null }>('POST', `scenes/${id}/colours`, of).then((reply) => reply.found),
    /** What scopes draw of what is looked at, or of a strip by itself; null when a newer question came before the answer. */
    scopes: (id: string, of: { strip: string | null; view: string; number: number; window: number[] }) => json<{ found: ScopeCounts | null }>('POST', `scenes/${id}/scopes`, of).then((reply) => reply.found),
    /** How far what a strip brings to other colours is from them, before and after it; null where that cannot be told. */
    likeness: (id: string, of: { strip: string; view: string; number: number }) => json<{ found: { before: number; after: number } | null }>('POST', `scenes/${id}/likeness`, of).then((reply) => reply.found),
    values: (id: string, of: { at: Point; width: number; view: string; number: number }) => json<{ found: PlaceValues | null }>('POST', `scenes/${id}/values`, of).then((reply) => reply.found),
    /** The outline of a plate as it is cut out, in pixels of its picture. */
    outline: (id: string, strip: string) => json<{ rings: Point[][] }>('GET', `scenes/${id}/plates/${strip}/outline`).then((reply) => reply.rings),
    /** The light that a plate brings along, or why it cannot be told. */
    ownLight: (id: string, strip: string) => json<{ found: OwnLight | null; why: string | null; /** whether green grows upward in its normals, as it seems */ upward: boolean | null }>('GET', `scenes/${id}/plates/${strip}/own-light`),
    /** The plates that are seen at a place, the foremost first. */
    platesAt: (id: string, [x, y]: Point) => json<{ plates: string[] }>('POST', `scenes/${id}/plates-at`, { x, y }).then((reply) => reply.plates),
    revision: (id: string) => json<{ revision: number }>('GET', `scenes/${id}/revision`).then((reply) => reply.revision),
    health: () => json<{ answers: boolean }>('GET', 'health'),
    exports: (id: string) => json<{ exports: Export[] }>('GET', `scenes/${id}/exports`).then((reply) => reply.exports),
    orderExport: (id: string, order: ExportOrder) => json<Export>('POST', `scenes/${id}/exports`, order),
    /** Cancels an export that is under way; one that has ended is thrown away. */
    cancelExport: (id: string, exported: string) => ask('DELETE', `scenes/${id}/exports/${exported}`),
    /** Those that were asked for at once, of whichever scene. */
    batch: (batch: string) => json<{ exports: (Export & { scene: string })[] }>('GET', `exports?batch=${batch}`).then((reply) => reply.exports),
    tokens: () => json<{ tokens: Token[] }>('GET', 'tokens'),
    /** A token for a script; it is told only this once. */
    makeToken: (name: string) => json<{ token: string; tokens: Token[] }>('POST', 'tokens', { name }),
    withdrawToken: (id: string) => json<{ tokens: Token[] }>('DELETE', `tokens/${id}`),
    rigs: () => json<{ rigs: Rig[] }>('GET', 'rigs'),
    /** Keeps strips of a scene under a name; without one they are what was copied. */
    keepRig: (id: string, rig: { strips: string[]; plate: string | null; name: string | null }) => json<{ strips: number; rigs: Rig[] }>('POST', `scenes/${id}/rigs`, rig),
    /** A file of a rig that was taken in. */
    bringRig: (intake: string) => json<{ rigs: Rig[] }>('POST', 'rigs', { intake }),
    takeOutRig: (rig: string) => json<{ rigs: Rig[] }>('DELETE', `rigs/${rig}`),
    /** A rig over a picture that was taken in: it becomes a scene and is written out. */
    rigOver: (rig: string, intake: string, batch: string, order: ExportOrder) => json<{ scene: string; export: string }>('POST', `rigs/${rig}/over`, { intake, batch, ...order }),
    keepSnapshot: (id: string, name: string, of: string | null = null) => json<Scene>('POST', `scenes/${id}/snapshots`, { name, of }),
    renameSnapshot: (id: string, snapshot: string, name: string) => json<Scene>('PATCH', `scenes/${id}/snapshots/${snapshot}`, { name }),
    throwSnapshot: (id: string, snapshot: string) => json<Scene>('DELETE', `scenes/${id}/snapshots/${snapshot}`),
    restoreSnapshot: (id: string, snapshot: string) => json<Scene>('POST', `scenes/${id}/snapshots/${snapshot}/restore`),
};
