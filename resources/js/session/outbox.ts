import { create } from 'zustand';
import { ask, Refused, said } from '../api/client';
import type { Changes, Scene } from '../api/types';
import { isPart, revisionsOf } from './things';

/** What a gesture goes by: revisions as they were seen when the hand made it. */
export type Seen = { strips: Record<string, number>; order?: number; scene?: number };

/** Which of the revisions that a gesture goes by it tells the server. */
export type GoesBy = 'strip' | 'strips' | 'order' | 'scene' | 'nothing';

/** A gesture that is to be written, as it is kept in the browser's storage until it is. */
export type Entry = {
    /** names it for the server, which writes it once however often it comes */
    key: string;
    scene: string;
    /** what the hand did, in words */
    label: string;
    /** below the scene's own address */
    path: string;
    body: Record<string, unknown>;
    goesBy: GoesBy;
    seen: Seen;
    /** what it changes of strips: shown until it is written */
    changes: Changes;
    /** the window that made it, and when, in ms */
    tab: string;
    at: number;
    /** whether it was sent at least once, so that it may have been written */
    sent?: boolean;
};

/** What happens to the scene as it is shown. */
export type Ledger = {
    known: () => Scene | undefined;
    written: (scene: Scene, key: string) => void;
    refused: (error: unknown, entry: Entry) => Promise<void>;
    /** an entry of another window, or of this one before it was loaded again */
    adopted: (entry: Entry) => void;
};

/** What waits to be written, for the one quiet place that says so. */
export const useWaiting = create<{ labels: string[]; reason: string | null; atRisk: boolean }>(() => ({ labels: [], reason: null, atRisk: false }));

const PREFIX = 'aumbrel unwritten ';

/** An entry of another window is taken over when nobody has touched it for this long. */
const ORPHANED_MS = 5000;

const SHORTEST_WAIT_MS = 400;

const LONGEST_WAIT_MS = 4000;

/** A fault of the server's own is given this many tries; then the gesture is taken back, so that others are not held up. */
const MOST_FAULTS = 3;

/** Whether the server may write the gesture another time: it was not reached, is full or locked, or does not know us any more. */
function isPassing(error: unknown): boolean {
    return error instanceof Refused && (error.status === 0 || error.status === 401 || error.status === 419 || error.status === 429 || error.status >= 500);
}

/**
 * Gestures on their way to the server, one after the other, each on the state that the one before it left. Nothing is let
 * go before it is written or refused: while the server cannot be reached, or has no room, gestures wait here and in the
 * browser's storage, and are sent again in order when it is back.
 */
export class Outbox {
    private readonly entries: Entry[] = [];

    private readonly done = new Map<string, (isWritten: boolean) => void>();

    private pumping = false;

    private hasAdopted = false;

    private wake: (() => void) | null = null;

    constructor(
        private readonly sceneId: string,
        private readonly ledger: Ledger,
        private readonly tab: string = tabName(),
        private readonly storage: Storage | null = storageOrNone(),
    ) {}

    entry(part: Pick<Entry, 'label' | 'path'> & Partial<Entry>): Entry {
        return { key: newKey(), scene: this.sceneId, body: {}, goesBy: 'nothing', seen: { strips: {} }, changes: {}, tab: this.tab, at: Date.now(), ...part };
    }

    /** Keeps a gesture in the browser's storage, also one that is still being made, so that it is written even when the page goes now. */
    keep(entry: Entry): void {
        try {
            this.storage?.setItem(PREFIX + entry.key, JSON.stringify(entry));
        } catch {
            // no room in the browser's storage: it waits in this window alone
            useWaiting.setState({ atRisk: true });
        }
    }

    /** Forgets a gesture that is not to be made after all. */
    forget(key: string): void {
        this.storage?.removeItem(PREFIX + key);
    }

    /** Has a gesture written; says whether it was, or was refused. */
    put(entry: Entry): Promise<boolean> {
        this.keep(entry);
        this.entries.push(entry);
        this.tell(null);
        const done = new Promise<boolean>((resolve) => this.done.set(entry.key, resolve));
        void this.pump();
        return done;
    }

    /** Takes the last gesture back when it cannot have been written, and gives it; null when it may have been. */
    takeBack(): Entry | null {
        const last = this.entries[this.entries.length - 1];
        if (!last || last.sent) {
            return null;
        }
        this.remove(last, false);
        return last;
    }

    /** Takes over what was left unwritten: by this window before it was loaded again, or by one that is gone. */
    adopt(): void {
        const found: Entry[] = [];
        for (let at = 0; at < (this.storage?.length ?? 0); at++) {
            const key = this.storage?.key(at);
            const entry = key?.startsWith(PREFIX) ? readEntry(this.storage?.getItem(key) ?? '') : null;
            if (entry && entry.scene === this.sceneId && !this.entries.some((known) => known.key === entry.key) && (entry.tab === this.tab ? !this.hasAdopted : Date.now() - entry.at > ORPHANED_MS)) {
                found.push({ ...entry, sent: true });
            }
        }
        // what this window keeps from now on it knows without being told
        this.hasAdopted = true;
        found.sort((one, other) => one.at - other.at);
        for (const entry of found) {
            this.entries.push(entry);
            this.ledger.adopted(entry);
        }
        if (found.length > 0) {
            this.tell(null);
            void this.pump();
        }
    }

    isEmpty(): boolean {
        return this.entries.length === 0;
    }

    /** Waits until everything that was handed in is written or refused. */
    async written(): Promise<void> {
        while (this.entries.length > 0) {
            const last = this.entries[this.entries.length - 1];
            await new Promise<void>((resolve) => {
                const before = this.done.get(last?.key ?? '');
                this.done.set(last?.key ?? '', (isWritten) => {
                    before?.(isWritten);
                    resolve();
                });
            });
        }
    }

    /** The server may be back: do not wait any longer. */
    hurry(): void {
        this.wake?.();
    }

    private async pump(): Promise<void> {
        if (this.pumping) {
            return;
        }
        this.pumping = true;
        let failures = 0;
        for (let entry = this.entries[0]; entry; entry = this.entries[0]) {
            try {
                const before = this.ledger.known();
                const scene = await this.send(entry);
                this.follow(entry, before, scene);
                this.ledger.written(scene, entry.key);
                this.remove(entry, true);
                failures = 0;
            } catch (error) {
                if (isPassing(error) && !(error instanceof Refused && error.status === 500 && ++failures >= MOST_FAULTS)) {
                    this.tell(error instanceof Error ? error.message : null);
                    await this.pause(error);
                } else {
                    failures = 0;
                    this.remove(entry, false);
                    await this.ledger.refused(error, entry);
                }
            }
        }
        this.pumping = false;
    }

    private async send(entry: Entry): Promise<Scene> {
        if (!entry.sent) {
            entry.sent = true;
            this.keep(entry);
        }
        return said<Scene>(await ask('POST', `scenes/${entry.scene}/${entry.path}`, bodyOf(entry), { headers: { 'Idempotency-Key': entry.key } }));
    }

    /** Waits until the server answers again, a little longer each time. */
    private async pause(error: unknown): Promise<void> {
        // one that answers, but has no room or no time, is asked less often
        let wait = error instanceof Refused && error.status > 0 ? LONGEST_WAIT_MS / 2 : SHORTEST_WAIT_MS;
        for (;;) {
            await new Promise<void>((resolve) => {
                this.wake = resolve;
                setTimeout(resolve, wait);
            });
            this.wake = null;
            wait = Math.min(LONGEST_WAIT_MS, wait * 1.6);
            try {
                // also brings a new token to a page that has been open for too long
                await ask('GET', 'health');
                return;
            } catch {
                // not yet
            }
        }
    }

    /** Later gestures go on from where this one has led: what it changed is what their hand saw. */
    private follow(entry: Entry, before: Scene | undefined, after: Scene): void {
        const now = revisionsOf(after);
        const was = revisionsOf(before);
        const isStep = entry.goesBy === 'scene';
        for (const later of this.entries.slice(1)) {
            for (const [strip, revision] of Object.entries(later.seen.strips)) {
                // the stage and its sources are one thing to the server: whatever of it was changed last
                const isMine = revision === entry.seen.strips[strip] || ((isStep || isPart(strip)) && revision === was.get(strip));
                later.seen.strips[strip] = isMine ? (now.get(strip) ?? revision) : revision;
            }
            if (later.seen.order !== undefined && later.seen.order === (entry.seen.order ?? before?.orderRevision)) {
                later.seen.order = after.orderRevision;
            }
            if (later.seen.scene !== undefined) {
                later.seen.scene = after.revision;
            }
            this.keep(later);
        }
    }

    private remove(entry: Entry, isWritten: boolean): void {
        const at = this.entries.indexOf(entry);
        if (at >= 0) {
            this.entries.splice(at, 1);
        }
        this.forget(entry.key);
        this.tell(null);
        this.done.get(entry.key)?.(isWritten);
        this.done.delete(entry.key);
    }

    private tell(reason: string | null): void {
        const labels = this.entries.map((entry) => entry.label);
        useWaiting.setState((state) => ({
            labels,
            reason: reason ?? (labels.length > 0 ? state.reason : null),
            atRisk: labels.length > 0 && (this.storage === null || state.atRisk),
        }));
    }
}

function bodyOf({ goesBy, seen, body }: Entry): Record<string, unknown> {
    switch (goesBy) {
        case 'strip':
            return { ...body, revision: Object.values(seen.strips)[0] };
        case 'strips':
            return { ...body, revisions: seen.strips };
        case 'order':
            return { ...body, revision: seen.order };
        case 'scene':
            return { ...body, revision: seen.scene };
        case 'nothing':
            return body;
    }
}

function readEntry(text: string): Entry | null {
    try {
        const entry = JSON.parse(text) as Entry;
        return typeof entry.key === 'string' && typeof entry.path === 'string' && typeof entry.seen === 'object' ? entry : null;
    } catch {
        return null;
    }
}

export function newKey(): string {
    return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** The name of this window; it outlives loading the page again. */
function tabName(): string {
    try {
        const name = sessionStorage.getItem('aumbrel tab') ?? newKey();
        sessionStorage.setItem('aumbrel tab', name);
        return name;
    } catch {
        return newKey();
    }
}

function storageOrNone(): Storage | null {
    try {
        return window.localStorage;
    } catch {
        return null;
    }
}
