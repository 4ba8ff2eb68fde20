import type { Changes, Export, NewMask, Noticed, Outlines, Point, Scene, SceneCard, StripChange } from './types';

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

const UNREACHABLE = 'The server does not answer. What you did is not lost: try it again when it runs.';

function forgeryToken(): string {
    const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie);
    return found?.[1] ? decodeURIComponent(found[1]) : '';
}

async function ask(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
    const isForm = body instanceof FormData;
    let response: Response;
    try {
        response = await fetch(`/api/${path}`, {
            method,
            signal,
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': forgeryToken(),
                ...(body === undefined || isForm ? {} : { 'Content-Type': 'application/json' }),
            },
            body: body === undefined ? undefined : isForm ? body : JSON.stringify(body),
        });
    } catch (error) {
        if (error instanceof DOMException && error.name === 'AbortError') {
            throw error;
        }
        throw new Refused(0, UNREACHABLE);
    }
    if (!response.ok) {
        const reply = (await response.json().catch(() => null)) as { message?: string; field?: string } | null;
        throw new Refused(response.status, reply?.message || `The server failed (${response.status}). Try it again.`, reply?.field ?? null);
    }
    return response;
}

async function json<T>(method: string, path: string, body?: unknown): Promise<T> {
    return (await (await ask(method, path, body)).json()) as T;
}

function upload(file: File, more: Record<string, number> = {}): FormData {
    const form = new FormData();
    form.set('file', file);
    for (const [name, value] of Object.entries(more)) {
        form.set(name, String(value));
    }
    return form;
}

/** Pixels behind the length and the text of a JSON head. */
async function framed<Head>(response: Response): Promise<{ head: Head; pixels: Uint8ClampedArray<ArrayBuffer> } | null> {
    if (response.status === 204) {
        return null;
    }
    const bytes = await response.arrayBuffer();
    const length = new DataView(bytes).getUint32(0, true);
    const head = JSON.parse(new TextDecoder().decode(new Uint8Array(bytes, 4, length))) as Head;
    return { head, pixels: new Uint8ClampedArray(bytes, 4 + length) };
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
    mask: string | null;
    /** a plate whose cut-out is judged under a tint */
    tint: string | null;
};

export type PictureHead = { columns: number; rows: number; clipped: number; outlines: Record<string, Outlines> } & Partial<Noticed>;

export type ContributionHead = { columns: number; rows: number; strips: string[] };

export type Placing = { kind: string; centre: Point; span: number; above?: string | null };

export const api = {
    scenes: () => json<{ scenes: SceneCard[] }>('GET', 'scenes').then((reply) => reply.scenes),
    newScene: (file: File) => json<Scene>('POST', 'scenes', upload(file)),
    scene: (id: string) => json<Scene>('GET', `scenes/${id}`),
    changeScene: (id: string, change: { title?: string; white?: number }) => json<Scene>('PATCH', `scenes/${id}`, change),
    deleteScene: (id: string) => ask('DELETE', `scenes/${id}`),
    restoreScene: (id: string) => json<SceneCard>('POST', `scenes/${id}/restore`),
    addPlate: (id: string, file: File, x: number, y: number) => json<Scene>('POST', `scenes/${id}/plates`, upload(file, { x, y })),
    addStrip: (id: string, placing: Placing) => json<Scene>('POST', `scenes/${id}/strips`, placing),
    changeStrip: (id: string, strip: string, revision: number, change: StripChange, label?: string) =>
        json<Scene>('PATCH', `scenes/${id}/strips/${strip}`, { revision, ...(label ? { label } : {}), ...change }),
    duplicate: (id: string, strip: string) => json<Scene>('POST', `scenes/${id}/strips/${strip}/duplicate`),
    remove: (id: string, strip: string, revision: number) => json<Scene>('DELETE', `scenes/${id}/strips/${strip}`, { revision }),
    order: (id: string, strips: string[]) => json<Scene>('PUT', `scenes/${id}/order`, { strips }),
    changeStrips: (id: string, revisions: Record<string, number>, changes: Changes, label: string) => json<Scene>('PATCH', `scenes/${id}/strips`, { label, revisions, changes }),
    estimateBearing: (id: string, strip: string) => json<Scene>('POST', `scenes/${id}/strips/${strip}/bearing`),
    trio: (id: string, strip: string) => json<Scene>('POST', `scenes/${id}/strips/${strip}/trio`),
    average: (id: string, strip: string) => json<Scene>('POST', `scenes/${id}/strips/${strip}/average`),
    align: (id: string, strip: string) => json<Scene>('POST', `scenes/${id}/strips/${strip}/align`),
    pieces: (id: string, strip: string) => json<{ vanished: number }>('GET', `scenes/${id}/strips/${strip}/pieces`),
    mend: (id: string, reading: string, mend: string) => json<Scene>('POST', `scenes/${id}/mends`, { reading, mend }),
    sphere: async (azimuth: number, elevation: number, size: number) =>
        new ImageData(new Uint8ClampedArray(await (await ask('GET', `sphere?azimuth=${azimuth}&elevation=${elevation}&size=${size}`)).arrayBuffer()), size, size),
    addMask: (id: string, strip: string, placing: Placing & Partial<NewMask>) => json<Scene>('POST', `scenes/${id}/strips/${strip}/masks`, placing),
    removeMask: (id: string, strip: string, mask: string, revision: number) => json<Scene>('DELETE', `scenes/${id}/strips/${strip}/masks/${mask}`, { revision }),
    undo: (id: string) => json<Scene>('POST', `scenes/${id}/undo`),
    redo: (id: string) => json<Scene>('POST', `scenes/${id}/redo`),
    picture: async (id: string, looked: Looked) => framed<PictureHead>(await ask('POST', `scenes/${id}/picture`, looked)),
    contributions: async (id: string) => framed<ContributionHead>(await ask('POST', `scenes/${id}/contributions`)),
    exports: (id: string) => json<{ exports: Export[] }>('GET', `scenes/${id}/exports`).then((reply) => reply.exports),
    orderExport: (id: string, order: { format: string; bits: number; quality: number }) => json<Export>('POST', `scenes/${id}/exports`, order),
    cancelExport: (id: string, exported: string) => json<Export>('DELETE', `scenes/${id}/exports/${exported}`),
};
