import { notifyManager, QueryClient, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, Refused, type Placing } from '../api/client';
import type { Changes, NewMask, Point, Scene, Snapshot, Strip, StripChange, Stroke } from '../api/types';
import { say, sayError } from '../ui/notices';
import { withFile } from '../ui/takingIn';
import { newKey, Outbox, type Entry, type Seen } from './outbox';
import { carried, placesOf } from './desk';
import { everyStrip } from './strips';
import { isPart, revisionsOf, sourceName } from './things';
import { useWork, work } from './store';

/** Keys that are pressed again and again make one gesture when no longer than this passes between them. */
const TOGETHER_MS = 450;

/** The brush that reveals one exposure over another, of the scene's shorter side. */
const REVEALING = 0.2;

/** What was copied lies under this name. */
export const COPIED = 'copied';

/** A gesture that keys are still adding to. */
type Nudge = { key: string; timer: number; label: string };

/**
 * What the hand can do to a scene. Each gesture is shown at once and handed to the outbox, which writes them one after the
 * other, each on the state that the one before it left.
 */
export class Gestures {
    readonly outbox: Outbox;

    private nudges = new Map<string, Nudge>();

    private readonly others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('aumbrel scenes');

    constructor(
        private readonly queries: QueryClient,
        private readonly sceneId: string,
    ) {
        this.outbox = new Outbox(sceneId, {
            known: () => this.scene(),
            written: (scene, key) => this.written(scene, key),
            refused: (error, entry) => this.refused(error, entry),
            adopted: (entry) => Object.keys(entry.changes).length > 0 && work.letGo(entry.key, entry.changes),
        });
        this.others?.addEventListener('message', ({ data }: MessageEvent<{ scene: string; revision: number }>) => {
            if (data.scene === sceneId) {
                void this.catchUp(data.revision);
            }
        });
    }

    /** Writes what the hand has changed of a strip as one gesture. */
    commit(strip: string, label?: string): Promise<boolean> {
        const nudge = this.nudges.get(strip);
        window.clearTimeout(nudge?.timer);
        this.nudges.delete(strip);
        const entry = this.handed(strip, nudge?.key ?? newKey(), label ?? nudge?.label);
        if (!entry) {
            this.outbox.forget(nudge?.key ?? '');
            work.rest();
            return Promise.resolve(true);
        }
        work.letGo(entry.key, entry.changes);
        return this.outbox.put(entry);
    }

    /** Writes what the hand has changed of several strips as one gesture. */
    commitSeveral(strips: string[], label: string): Promise<boolean> {
        const { hand } = useWork.getState();
        const changes: Changes = Object.fromEntries(strips.flatMap((strip) => (hand[strip] ? [[strip, hand[strip]]] : [])));
        if (Object.keys(changes).length === 0) {
            work.rest();
            return Promise.resolve(true);
        }
        const entry = this.outbox.entry({ label, path: 'gestures/change-strips', body: { label, changes }, goesBy: 'strips', seen: this.seen(Object.keys(changes)), changes });
        work.letGo(entry.key, changes);
        return this.outbox.put(entry);
    }

    /** A change that is complete in itself, like a switch. */
    change(strip: string, change: StripChange, label?: string): Promise<boolean> {
        work.live(strip, change);
        return this.commit(strip, label);
    }

    /** The same change of several strips. */
    changeAll(strips: string[], change: StripChange, label: string): Promise<boolean> {
        strips.forEach((strip) => work.live(strip, change));
        return strips.length === 1 ? this.commit(strips[0] ?? '', label) : this.commitSeveral(strips, label);
    }

    /** A change by key or wheel: shown and kept at once, written when no more come. */
    nudge(strip: string, change: StripChange, label?: string): void {
        work.live(strip, change);
        const nudge = this.nudges.get(strip);
        window.clearTimeout(nudge?.timer);
        const key = nudge?.key ?? newKey();
        const words = label ?? nudge?.label ?? '';
        this.nudges.set(strip, { key, label: words, timer: window.setTimeout(() => void this.commit(strip, label), TOGETHER_MS) });
        const entry = this.handed(strip, key, words || undefined);
        if (entry) {
            this.outbox.keep(entry);
        }
    }

    addStrip(kind: string, centre: [number, number], span: number, above: string | null, line?: [Point, Point]): Promise<void> {
        return this.add(this.outbox.entry({ label: `Add ${kind}`, path: 'gestures/add-strip', body: { kind, centre, span, above, ...(line ? { line } : {}), ...(useWork.getState().likeLast ? { likeLast: true } : {}) } satisfies Placing }));
    }

    /** Two lights that share one line, which is in hand at once. */
    async addPair(kind: string, label: string, centre: [number, number], span: number, above: string | null): Promise<void> {
        await this.add(this.outbox.entry({ label: `Add ${label}`, path: 'gestures/add-pair', body: { kind, centre, span, above } satisfies Placing }));
        const { chosen } = useWork.getState();
        const line = this.strips().find((strip) => strip.id === chosen)?.masks[0];
        if (chosen !== null && line) {
            work.choose(chosen, line.id);
        }
    }

    /** All shadows of a plate, in a group under it. */
    castShadows(strip: string): Promise<void> {
        return this.add(this.of(strip, 'Cast its shadows', 'cast-shadows'));
    }

    /** The rest of the picture toward a light, in a group under it. */
    bringAlong(strip: string): Promise<void> {
        return this.add(this.of(strip, 'Bring the rest along', 'bring-along'));
    }

    /** What is confined to a plate becomes a part of it. */
    async partOfPlate(strip: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Make it part of the plate', 'part-of-plate'));
    }

    /** Grain for a plate, as what lies around it has it. */
    async grainAlike(strip: string): Promise<void> {
        await this.add(this.of(strip, 'Grain as its neighbours', 'grain-alike'));
        const done = this.scene()?.undo;
        if (done?.startsWith('Grain as its neighbours:')) {
            say(`${done}.`);
        }
    }

    /** Colours and grain for a plate, as what lies around it has them. */
    async asNeighbours(strip: string): Promise<void> {
        await this.add(this.of(strip, 'As its neighbours', 'as-neighbours'));
    }

    /** What lies under a plate toward it. */
    async neighboursLike(strip: string): Promise<void> {
        await this.add(this.of(strip, 'Its neighbours as it is', 'neighbours-like'));
    }

    /** One stroke over a strip's falloff as it is so far. */
    async paintLine(strip: string, stroke: Stroke): Promise<void> {
        await this.outbox.put(this.of(strip, 'Paint the line', 'paint-line', { stroke }));
    }

    /** A source where the hand pressed; what belongs to it is then offered. */
    async placeSource(kind: string, at: Point): Promise<void> {
        const id = newKey().slice(0, 12);
        if (await this.outbox.put(this.outbox.entry({ label: `Place a ${kind}`, path: 'gestures/place-source', body: { kind, at, id } }))) {
            work.choose(sourceName(id));
            work.placed(sourceName(id));
            work.lookThrough(id);
        }
    }

    async removeSource(source: string): Promise<void> {
        await this.outbox.put(this.outbox.entry({ label: 'Delete the source', path: 'gestures/remove-source', body: { source } }));
    }

    /** The strip stays as it is and hangs on its source no longer. */
    async letGo(strip: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Let go of the source', 'let-go'));
    }

    /** What is ticked of a source's consequence arrives as strips that hang on it. */
    async takeConsequence(source: string, ticked: string[]): Promise<void> {
        await this.outbox.put(this.outbox.entry({ label: 'Take the consequence', path: 'gestures/take-consequence', body: { source, ticked } }));
    }

    /** Other gestures go on while the file is on its way. */
    async addPlate(file: File, x: number, y: number): Promise<void> {
        try {
            await withFile(file, (intake) => this.add(this.outbox.entry({ label: `Bring in ${file.name}`, path: 'plates', body: { intake, x, y } })));
        } catch (error) {
            sayError(error);
        }
    }

    /** Several pictures, one after the other, each a little further right and down, so that none hides another. */
    async addPlates(files: File[], at: Point | null = null): Promise<void> {
        const scene = this.scene();
        const [x, y] = at ?? [(scene?.width ?? 0) / 2, (scene?.height ?? 0) / 2];
        const step = Math.min(scene?.width ?? 0, scene?.height ?? 0) * 0.03;
        for (const [number, file] of files.entries()) {
            await this.addPlate(file, x + number * step, y + number * step);
        }
    }

    /** A picture that becomes no plate; its name in the scene, or null when it did not come. */
    async bring(file: File): Promise<string | null> {
        try {
            return (await withFile(file, (intake) => api.bring(this.sceneId, intake)))?.name ?? null;
        } catch (error) {
            sayError(error);
            return null;
        }
    }

    duplicate(strip: string): Promise<void> {
        this.settle();
        return this.add(this.of(strip, 'Duplicate', 'duplicate'));
    }

    async remove(strip: string): Promise<void> {
        const strips = this.strips();
        const at = strips.findIndex((other) => other.id === strip);
        if (await this.outbox.put(this.of(strip, 'Delete', 'remove-strip'))) {
            const next = strips[at - 1]?.id ?? strips[at + 1]?.id ?? null;
            work.choose(next);
            work.focus(next);
        }
    }

    /** Moves a strip so many places toward the front, negative toward the back; into groups and out of them. */
    async move(strip: string, places: number): Promise<void> {
        const next = carried(placesOf(this.scene()?.strips ?? []), strip, places);
        if (next) {
            await this.outbox.put(this.ofOrder('Reorder', 'reorder', { strips: next.order, carried: strip, into: next.into }));
        }
    }

    /** Some strips as one group. */
    async holdTogether(strips: string[]): Promise<void> {
        await this.add(this.ofOrder('Hold together', 'hold-together', { strips }));
    }

    async takeApart(group: string): Promise<void> {
        const [first] = this.strips().find((strip) => strip.id === group)?.strips ?? [];
        if (await this.outbox.put(this.of(group, 'Take apart', 'take-apart'))) {
            work.choose(first?.id ?? null);
        }
    }

    private ofOrder(label: string, gesture: string, body: Record<string, unknown>): Entry {
        return this.outbox.entry({ label, path: `gestures/${gesture}`, body, goesBy: 'order', seen: { strips: {}, order: this.scene()?.orderRevision } });
    }

    async addMask(strip: string, kind: string, centre: [number, number], span: number, more: Partial<NewMask> = {}): Promise<void> {
        const isWritten = await this.outbox.put(this.of(strip, `Add ${kind} mask`, 'add-mask', { kind, centre, span, ...more }));
        const masks = this.strips().find((other) => other.id === strip)?.masks;
        if (isWritten) {
            work.choose(strip, masks?.[masks.length - 1]?.id ?? null);
        }
    }

    /** Another strip's falloff as a copy in place of its own, or what a falloff leaves; of itself it is turned into that. */
    async takeMasks(strip: string, from: string, complement = false): Promise<void> {
        if (await this.outbox.put(this.of(strip, complement ? 'Complement' : 'Take the falloff', 'take-masks', { from, complement }))) {
            work.choose(strip);
        }
    }

    /** The falloff of a strip on another one too, in place of its own: what changes the one changes both. */
    async useMasksOn(strip: string, other: string): Promise<void> {
        await this.outbox.put(this.of(other, 'Use the masks too', 'take-masks', { from: strip, same: true }));
    }

    /** A linear mask becomes a radial one where it is, or the other way round. */
    async exchangeMask(strip: string, mask: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Exchange linear and radial', 'exchange-mask', { mask }));
    }

    async removeMask(strip: string, mask: string): Promise<void> {
        if (await this.outbox.put(this.of(strip, 'Delete mask', 'remove-mask', { mask }))) {
            work.choose(strip);
        }
    }

    /** A first cut of a plate: of a place on the subject, or of a box round it, in pixels of its picture. */
    async cutSubject(strip: string, where: number[]): Promise<void> {
        if (await this.outbox.put(this.of(strip, 'Find the subject', 'cut-subject', { where }))) {
            const cut = this.strips().find((other) => other.id === strip)?.masks.findLast((mask) => mask.kind === 'painted cut');
            work.choose(strip, cut?.id ?? null);
        }
    }

    async estimateBearing(strip: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Estimate the bearing', 'estimate-bearing'));
    }

    /** Where a cut-out touches the ground. */
    async findFeet(strip: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Find its feet', 'find-feet'));
    }

    /** A plate's own light taken down, and a key light from where the scene's comes. */
    async relight(strip: string): Promise<void> {
        await this.add(this.of(strip, 'Relight', 'relight'));
    }

    /** About a line, about the upright middle of a plate, or about that of the picture. */
    async mirror(strip: string, about: { plate?: string; line?: [Point, Point] }): Promise<void> {
        await this.outbox.put(this.of(strip, 'Mirror', 'mirror-strip', about));
    }

    async takeLook(strip: string, from: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Take over the look', 'take-look', { from }));
    }

    /** Three exposures of a plate; the upper ones are revealed by painting, so the brush is in hand. */
    async trio(strip: string): Promise<void> {
        await this.add(this.of(strip, 'Trio of exposures', 'trio'));
        const { width, height } = this.scene() ?? { width: 1000, height: 1000 };
        work.takeTool('paint');
        work.brush({ size: Math.round(Math.min(width, height) * REVEALING), hardness: 0, opacity: 100, flow: 35, letsIn: true });
    }

    average(strip: string): Promise<void> {
        return this.add(this.of(strip, 'Average as a flat colour', 'average'));
    }

    async align(strip: string): Promise<void> {
        await this.outbox.put(this.of(strip, 'Align to the horizon', 'align'));
    }

    async mend(reading: string, mend: string, strip: string | null): Promise<void> {
        const seen = strip === null ? {} : { goesBy: 'strip' as const, seen: this.seen([strip]) };
        await this.outbox.put(this.outbox.entry({ label: 'Mend', path: 'gestures/mend', body: { reading, mend }, ...seen }));
    }

    async rename(title: string): Promise<void> {
        await this.outbox.put(this.outbox.entry({ label: 'Rename the scene', path: 'gestures/change-scene', body: { title } }));
    }

    /** The scene as it is now, or as another snapshot has it, under a name. */
    keepSnapshot(name: string, of: string | null = null): Promise<boolean> {
        return this.ofSnapshots(() => api.keepSnapshot(this.sceneId, name, of));
    }

    renameSnapshot(snapshot: string, name: string): Promise<boolean> {
        return this.ofSnapshots(() => api.renameSnapshot(this.sceneId, snapshot, name));
    }

    /** It can be brought back by the notice. */
    throwSnapshot({ id, name }: Snapshot): Promise<boolean> {
        return this.ofSnapshots(async () => {
            const scene = await api.throwSnapshot(this.sceneId, id);
            const { comparing } = useWork.getState();
            if (comparing !== null && 'snapshot' in comparing && comparing.snapshot === id) {
                work.compare(null);
            }
            say(`"${name}" is thrown away.`, { label: 'Bring back', run: () => void this.ofSnapshots(() => api.restoreSnapshot(this.sceneId, id)) });
            return scene;
        });
    }

    /** The scene becomes as a snapshot has it. */
    async takeSnapshot(snapshot: string): Promise<void> {
        this.settle();
        await this.outbox.put(this.outbox.entry({ label: 'Go to a snapshot', path: 'gestures/take-snapshot', body: { snapshot } }));
    }

    /** Snapshots are of what is written: that first. Tells whether it is done. */
    private async ofSnapshots(ask: () => Promise<Scene>): Promise<boolean> {
        this.settle();
        try {
            await this.outbox.written();
            const scene = await ask();
            this.know(scene);
            this.others?.postMessage({ scene: this.sceneId, revision: scene.revision + 1 });
            return true;
        } catch (error) {
            sayError(error);
            return false;
        }
    }

    /** Strips for the clipboard, with what they cannot do without. */
    async copy(strips: string[]): Promise<void> {
        this.settle();
        try {
            await this.outbox.written();
            const { strips: count } = await api.keepRig(this.sceneId, { strips, plate: null, name: null });
            say(count === 1 ? 'One strip is copied.' : `${count} strips are copied.`);
            // what was copied elsewhere before is not pasted in its place
            await navigator.clipboard?.writeText(`${count} strips of Aumbrel`).catch(() => undefined);
        } catch (error) {
            sayError(error);
        }
    }

    /** The strips of a rig, or those that were copied, for a plate or for the scene. */
    useRig(rig: string, plate: string | null): Promise<void> {
        this.settle();
        return this.add(this.outbox.entry({ label: rig === COPIED ? 'Put in copied strips' : 'Use a rig', path: 'gestures/use-rig', body: { rig, plate } }));
    }

    undo(): Promise<void> {
        return this.step('Undo', 'undo');
    }

    redo(): Promise<void> {
        return this.step('Redo', 'redo');
    }

    /** Learns what other windows have changed. */
    async catchUp(revision?: number): Promise<void> {
        const known = this.scene();
        if (!known || !this.outbox.isEmpty() || useWork.getState().moving || (revision ?? (await api.revision(this.sceneId))) <= known.revision) {
            return;
        }
        await this.refresh();
    }

    /** Reads the scene anew, unless something newer is known when it comes. */
    private async refresh(): Promise<void> {
        const scene = await api.scene(this.sceneId);
        if (scene.revision >= (this.scene()?.revision ?? 0)) {
            this.know(scene);
        }
    }

    /** Writes what waits for more keys. */
    private settle(): void {
        [...this.nudges.keys()].forEach((strip) => void this.commit(strip));
    }

    private async step(label: string, path: 'undo' | 'redo'): Promise<void> {
        this.settle();
        const back = path === 'undo' ? this.outbox.takeBack() : null;
        if (back) {
            work.settle(back.key);
            work.trail([]);
            return;
        }
        await this.outbox.put(this.outbox.entry({ label, path, goesBy: 'scene', seen: { strips: {}, scene: this.scene()?.revision } }));
    }

    private scene(): Scene | undefined {
        return this.queries.getQueryData<Scene>(['scene', this.sceneId]);
    }

    private strips(): Strip[] {
        return everyStrip(this.scene()?.strips ?? []);
    }

    private seen(strips: string[]): Seen {
        const known = revisionsOf(this.scene());
        return { strips: Object.fromEntries(strips.map((strip) => [strip, known.get(strip) ?? 0])) };
    }

    /** A gesture about one strip. */
    private of(strip: string, label: string, gesture: string, body: Record<string, unknown> = {}): Entry {
        if (useWork.getState().justPlaced === strip) {
            work.placed(null);
        }
        return this.outbox.entry({ label, path: `gestures/${gesture}`, body: { ...body, strip }, goesBy: 'strip', seen: this.seen([strip]) });
    }

    /** What the hand is changing of a strip, as a gesture. */
    private handed(strip: string, key: string, label?: string): Entry | null {
        const change = useWork.getState().hand[strip];
        return change ? { ...this.of(strip, label ?? 'Change', 'change-strip', { ...(label ? { label } : {}), ...change }), key, changes: { [strip]: change } } : null;
    }

    /** Writes something new and chooses the strip that has come of it. */
    private async add(entry: Entry): Promise<void> {
        const known = this.strips().map((strip) => strip.id);
        await this.outbox.put(entry);
        const added = this.strips().find((strip) => !known.includes(strip.id));
        if (added) {
            work.choose(added.id);
            work.placed(added.id);
            work.focus(added.id);
        }
    }

    private written(scene: Scene, key: string): void {
        this.know(scene);
        if (scene.notice) {
            say(scene.notice);
        }
        // behind the notice of the new scene: else the old one would be seen for a moment
        notifyManager.schedule(() => work.settle(key));
        this.others?.postMessage({ scene: this.sceneId, revision: scene.revision });
    }

    private know(scene: Scene): void {
        this.queries.setQueryData(['scene', this.sceneId], scene);
        const all = everyStrip(scene.strips);
        const { chosen, mask } = useWork.getState();
        const isThere = chosen !== null && (isPart(chosen) ? revisionsOf(scene).has(chosen) : all.some((strip) => strip.id === chosen));
        if (chosen !== null && !isThere) {
            work.choose(null);
        } else if (mask !== null && !all.some((strip) => strip.masks.some((other) => other.id === mask))) {
            work.choose(chosen);
        }
    }

    private async refused(error: unknown, entry: Entry): Promise<void> {
        work.settle(entry.key);
        // what was painted is not there
        work.trail([]);
        const words = error instanceof Error ? error.message : 'Something went wrong.';
        say(this.outbox.isEmpty() ? words : `${entry.label}: ${words}`);
        if (error instanceof Refused && (error.status === 409 || error.status === 404)) {
            await this.refresh().catch(sayError);
        }
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
