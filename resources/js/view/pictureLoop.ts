import { api, Refused, type Frame, type Looked, type PictureHead } from '../api/client';
import type { Rect } from '../session/camera';

/** What the view wants to see. */
export type Wanted = Pick<Looked, 'changes' | 'below' | 'solo' | 'before' | 'snapshot' | 'mask' | 'over' | 'tint' | 'form' | 'as' | 'alone'> & {
    window: Rect;
    /** Picture pixels to a scene pixel at rest, and the most while something moves. */
    scale: number;
    draftScale: number;
    moving: boolean;
    /** When the event came that made this wish. */
    since: number;
};

/** A picture; while it comes band by band, the rows that are there. */
export type Shown = { image: ImageData; window: Rect; head: PictureHead; draft: boolean; since: number; bands: [number, number][] | null };

/** A draft should be there within this time; when it is not, the next one is smaller. */
const DRAFT_MS = 50;

/** The sizes of drafts: few, because what the plates look like at a size is kept for the next draft of that size. */
const SHARES = [1, 0.72, 0.52, 0.38];

/** So many drafts in a row must be too slow, or quick, before the size changes. */
const SLOW_IN_A_ROW = 2;

const QUICK_IN_A_ROW = 12;

/** The first draft of a size makes what is kept for the next ones: it says nothing about how long those take. */
const FIRST_OF_A_SIZE = 1;

/** A picture that takes longer than this is shown band by band; before that half a picture would only flicker. */
const LONG_MS = 600;

const MOST_ON_THEIR_WAY = 2;

/** A picture that takes longer than this is late. */
const LATE_MS = 400;

/** A picture at rest that has not come after this long is not waited for any more. */
const PATIENCE_MS = 10000;

/** A picture that is put together of the bands that come. */
class Coming {
    private image: ImageData | null = null;

    private head: PictureHead = { done: false };

    private readonly bands: [number, number][] = [];

    constructor(private readonly wanted: Wanted) {}

    /** What can be shown now; null when this frame brought nothing to see. */
    take({ head, pixels }: Frame<PictureHead>): Shown | null {
        this.head = { ...this.head, ...head };
        const { columns = 0, rows = 0, firstRow = 0, of = rows } = head;
        if (rows > 0) {
            if (rows === of) {
                this.image = new ImageData(pixels, columns, rows);
            } else {
                this.image ??= new ImageData(columns, of);
                this.image.data.set(pixels, firstRow * columns * 4);
                this.bands.push([firstRow, rows]);
            }
        }
        if (!this.image || (rows === 0 && !head.done) || head.dropped) {
            return null;
        }
        const { window, moving, since } = this.wanted;
        return { image: this.image, window, head: this.head, draft: moving, since, bands: head.done ? null : [...this.bands] };
    }
}

/**
 * Asks for pictures, two drafts at a time at most, so that one is rendered while the other travels; beyond that only the
 * newest wish is kept. Every request carries a rising number, and a picture that is older than the one shown is never
 * shown.
 */
export class PictureLoop {
    private readonly view = Math.random().toString(36).slice(2);

    private number = 0;

    private shown = 0;

    private onTheirWay = 0;

    private waiting: Wanted | null = null;

    private size = 0;

    private slow = 0;

    private quick = 0;

    private uncounted = FIRST_OF_A_SIZE;

    private stopped = false;

    /** Runs while a picture is awaited. */
    private late: ReturnType<typeof setTimeout> | null = null;

    private isLate = false;

    /** Ends the picture at rest that is on its way. */
    private atRest: AbortController | null = null;

    private askedAt = 0;

    constructor(
        private readonly sceneId: string,
        private readonly onShown: (shown: Shown) => void,
        private readonly onFailed: (error: unknown) => void,
        /** told how much of a long picture is there, 0..1; null when none is on its way */
        private readonly onProgress: (share: number | null) => void = () => undefined,
        /** told when nothing has come for too long, and when something has after all */
        private readonly onLate: (isLate: boolean) => void = () => undefined,
    ) {}

    want(wanted: Wanted): void {
        if (wanted.window.width <= 0 || wanted.window.height <= 0) {
            return;
        }
        this.late ??= setTimeout(() => this.onLate((this.isLate = true)), LATE_MS);
        // whatever is wanted now, an older picture at rest is not
        this.atRest?.abort();
        if (wanted.moving && this.onTheirWay >= MOST_ON_THEIR_WAY) {
            this.waiting = wanted;
            return;
        }
        this.waiting = null;
        void this.send(wanted);
    }

    /** A picture at rest is on its way: to ask again now would end it, and a slow server would never get to its end. */
    get isAwaiting(): boolean {
        return this.atRest !== null && performance.now() - this.askedAt < PATIENCE_MS;
    }

    stop(): void {
        this.stopped = true;
        this.inTime();
        this.atRest?.abort();
        this.onProgress(null);
    }

    /** Something has come, or nothing will. */
    private inTime(): void {
        clearTimeout(this.late ?? undefined);
        this.late = null;
        if (this.isLate) {
            this.onLate((this.isLate = false));
        }
    }

    private async send(wanted: Wanted): Promise<void> {
        const number = ++this.number;
        const started = performance.now();
        this.onTheirWay++;
        const size = this.size;
        const leaving = new AbortController();
        this.atRest = wanted.moving ? null : leaving;
        this.askedAt = started;
        const coming = new Coming(wanted);
        try {
            const { x, y, width, height } = wanted.window;
            await api.picture(
                this.sceneId,
                {
                    view: this.view,
                    number,
                    draft: wanted.moving,
                    window: [x, y, width, height],
                    scale: wanted.moving ? wanted.draftScale * (SHARES[size] ?? 1) : wanted.scale,
                    changes: wanted.changes,
                    below: wanted.below,
                    solo: wanted.solo,
                    before: wanted.before,
                    snapshot: wanted.snapshot,
                    mask: wanted.mask,
                    over: wanted.over,
                    tint: wanted.tint,
                    form: wanted.form,
                    as: wanted.as,
                    alone: wanted.alone,
                },
                leaving.signal,
                (frame) => {
                    if (frame.head.problem) {
                        throw new Refused(422, frame.head.problem, frame.head.field);
                    }
                    const next = coming.take(frame);
                    if (number > this.shown && !this.stopped) {
                        if (next && (next.bands === null || performance.now() - started > LONG_MS)) {
                            this.shown = next.bands === null ? number : this.shown;
                            this.inTime();
                            this.onShown(next);
                        }
                        this.onProgress(frame.head.done || wanted.moving || performance.now() - started < LONG_MS ? null : (frame.head.progress ?? 0));
                    }
                },
            );
        } catch (error) {
            if (!this.stopped && !leaving.signal.aborted) {
                this.inTime();
                this.onProgress(null);
                this.onFailed(error);
            }
        } finally {
            this.onTheirWay--;
            if (this.atRest === leaving) {
                this.atRest = null;
            }
        }
        if (wanted.moving && size === this.size) {
            this.adjust(performance.now() - started);
        }
        if (this.waiting && !this.stopped) {
            const next = this.waiting;
            this.waiting = null;
            void this.send(next);
        }
    }

    private adjust(took: number): void {
        if (this.uncounted > 0) {
            this.uncounted--;
            return;
        }
        this.slow = took > DRAFT_MS ? this.slow + 1 : 0;
        this.quick = took < DRAFT_MS / 2 ? this.quick + 1 : 0;
        if (this.slow >= SLOW_IN_A_ROW && this.size < SHARES.length - 1) {
            this.resize(this.size + 1);
        } else if (this.quick >= QUICK_IN_A_ROW && this.size > 0) {
            this.resize(this.size - 1);
        }
    }

    private resize(size: number): void {
        this.size = size;
        this.slow = this.quick = 0;
        this.uncounted = FIRST_OF_A_SIZE;
    }
}
