import { notifyManager, QueryClient, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, Refused } from '../api/client';
import type { NewMask, Scene, Strip, StripChange } from '../api/types';
import { sayError } from '../ui/notices';
import { everyStrip } from './strips';
import { useWork, work } from './store';

/** Keys that are pressed again and again make one gesture when no longer than this passes between them. */
const TOGETHER_MS = 450;

/**
 * What the hand can do to a scene. Gestures are written one after the other, each on the state that the one before it
 * left, so that quick hands never meet their own revision.
 */
export class Gestures {
    private chain: Promise<unknown> = Promise.resolve();

    private timers = new Map<string, number>();

    constructor(
        private readonly queries: QueryClient,
        private readonly sceneId: string,
    ) {}

    /** Writes a strip's pending changes as one gesture. */
    commit(strip: string, label?: string): Promise<void> {
        const written = useWork.getState().pending[strip];
        window.clearTimeout(this.timers.get(strip));
        this.timers.delete(strip);
        work.rest();
        if (!written) {
            return Promise.resolve();
        }
        return this.write(() => api.changeStrip(this.sceneId, strip, this.revision(strip), written, label)).finally(() => {
            // behind the notice of the new scene: else the old one would be seen for a moment
            notifyManager.schedule(() => {
                // what came in the meantime stays
                if (useWork.getState().pending[strip] === written) {
                    work.drop(strip);
                }
            });
        });
    }

    /** Writes the pending changes of several strips as one gesture. */
    commitSeveral(strips: string[], label: string): Promise<void> {
        const { pending } = useWork.getState();
        const written = Object.fromEntries(strips.flatMap((strip) => (pending[strip] ? [[strip, pending[strip]]] : [])));
        work.rest();
        if (Object.keys(written).length === 0) {
            return Promise.resolve();
        }
        const revisions = () => Object.fromEntries(Object.keys(written).map((strip) => [strip, this.revision(strip)]));
        return this.write(() => api.changeStrips(this.sceneId, revisions(), written, label)).finally(() => {
            notifyManager.schedule(() => Object.keys(written).forEach((strip) => useWork.getState().pending[strip] === written[strip] && work.drop(strip)));
        });
    }

    /** A change that is complete in itself, like a switch. */
    change(strip: string, change: StripChange, label?: string): Promise<void> {
        work.live(strip, change);
        return this.commit(strip, label);
    }

    /** A change by key or wheel: shown at once, written when no more come. */
    nudge(strip: string, change: StripChange, label?: string): void {
        work.live(strip, change);
        window.clearTimeout(this.timers.get(strip));
        this.timers.set(
            strip,
            window.setTimeout(() => void this.commit(strip, label), TOGETHER_MS),
        );
    }

    addStrip(kind: string, centre: [number, number], span: number, above: string | null): Promise<void> {
        return this.add(() => api.addStrip(this.sceneId, { kind, centre, span, above }));
    }

    addPlate(file: File, x: number, y: number): Promise<void> {
        return this.add(() => api.addPlate(this.sceneId, file, x, y));
    }

    duplicate(strip: string): Promise<void> {
        return this.add(() => api.duplicate(this.sceneId, strip));
    }

    async remove(strip: string): Promise<void> {
        const strips = this.strips();
        const at = strips.findIndex((other) => other.id === strip);
        await this.write(() => api.remove(this.sceneId, strip, this.revision(strip)));
        work.choose(strips[at - 1]?.id ?? strips[at + 1]?.id ?? null);
    }

    /** Moves a strip so many places toward the front; negative toward the back. */
    async move(strip: string, places: number): Promise<void> {
        const order = this.strips().map((other) => other.id);
        const from = order.indexOf(strip);
        const to = Math.min(order.length - 1, Math.max(0, from + places));
        if (from < 0 || from === to) {
            return;
        }
        order.splice(to, 0, ...order.splice(from, 1));
        await this.write(() => api.order(this.sceneId, order));
    }

    async addMask(strip: string, kind: string, centre: [number, number], span: number, more: Partial<NewMask> = {}): Promise<void> {
        await this.write(() => api.addMask(this.sceneId, strip, { kind, centre, span, ...more }));
        const masks = this.strips().find((other) => other.id === strip)?.masks;
        work.choose(strip, masks?.[masks.length - 1]?.id ?? null);
    }

    async removeMask(strip: string, mask: string): Promise<void> {
        await this.write(() => api.removeMask(this.sceneId, strip, mask, this.revision(strip)));
        work.choose(strip);
    }

    estimateBearing(strip: string): Promise<void> {
        return this.write(() => api.estimateBearing(this.sceneId, strip));
    }

    trio(strip: string): Promise<void> {
        return this.write(() => api.trio(this.sceneId, strip));
    }

    average(strip: string): Promise<void> {
        return this.add(() => api.average(this.sceneId, strip));
    }

    align(strip: string): Promise<void> {
        return this.write(() => api.align(this.sceneId, strip));
    }

    mend(reading: string, mend: string): Promise<void> {
        return this.write(() => api.mend(this.sceneId, reading, mend));
    }

    rename(title: string): Promise<void> {
        return this.write(() => api.changeScene(this.sceneId, { title }));
    }

    async undo(): Promise<void> {
        await this.settle();
        await this.write(() => api.undo(this.sceneId));
    }

    async redo(): Promise<void> {
        await this.settle();
        await this.write(() => api.redo(this.sceneId));
    }

    /** Writes what waits for more keys. */
    private async settle(): Promise<void> {
        await Promise.all([...this.timers.keys()].map((strip) => this.commit(strip)));
    }

    private strips(): Strip[] {
        return everyStrip(this.queries.getQueryData<Scene>(['scene', this.sceneId])?.strips ?? []);
    }

    private revision(strip: string): number {
        return this.strips().find((other) => other.id === strip)?.revision ?? 0;
    }

    /** Writes something new and chooses the strip that has come of it. */
    private async add(send: () => Promise<Scene>): Promise<void> {
        const known = this.strips().map((strip) => strip.id);
        await this.write(send);
        const added = this.strips().find((strip) => !known.includes(strip.id));
        if (added) {
            work.choose(added.id);
        }
    }

    private write(send: () => Promise<Scene>): Promise<void> {
        const written = this.chain.then(async () => {
            try {
                const scene = await send();
                this.queries.setQueryData(['scene', this.sceneId], scene);
                const left = everyStrip(scene.strips).map((strip) => strip.id);
                const { chosen, mask } = useWork.getState();
                if (chosen !== null && !left.includes(chosen)) {
                    work.choose(null);
                } else if (mask !== null && !everyStrip(scene.strips).some((strip) => strip.masks.some((other) => other.id === mask))) {
                    work.choose(chosen);
                }
            } catch (error) {
                sayError(error);
                if (error instanceof Refused && (error.status === 409 || error.status === 404)) {
                    await this.queries.refetchQueries({ queryKey: ['scene', this.sceneId] });
                }
            }
        });
        this.chain = written;
        return written;
    }
}

const kept = new Map<string, Gestures>();

export function useGestures(sceneId: string): Gestures {
    const queries = useQueryClient();
    return useMemo(() => {
        const gestures = kept.get(sceneId) ?? new Gestures(queries, sceneId);
        kept.set(sceneId, gestures);
        return gestures;
    }, [queries, sceneId]);
}
