import type { Changes, Point, Scene, Source, Strip, Values } from '../api/types';
import { everyStrip } from './strips';

/** The stage and the ambient, as they are named beside strips where things are chosen and changed. */
export const STAGE = 'scene:stage';

export const AMBIENT = 'scene:ambient';

const SOURCE = 'source:';

/** How a source is named beside strips. */
export function sourceName(id: string): string {
    return SOURCE + id;
}

/** Whether a name is that of a source, the stage or the ambient. */
export function isPart(name: string): boolean {
    return name.includes(':');
}

/** The sources with their pending changes; where one is being moved to, it is seen. */
export function everySource(scene: Scene, pending: Changes = {}): Source[] {
    return scene.sources.map((source) => {
        const change = pending[sourceName(source.id)];
        if (!change) {
            return source;
        }
        const { values, at, ...plain } = change;
        delete plain.turn;
        return { ...source, ...plain, values: { ...source.values, ...values }, seenAt: at ?? (values?.place ? (values.place as Point) : source.seenAt) } as Source;
    });
}

/** The source of a name as it is chosen. */
export function sourceOf(scene: Scene, name: string | null, pending: Changes = {}): Source | undefined {
    return name?.startsWith(SOURCE) ? everySource(scene, pending).find((source) => sourceName(source.id) === name) : undefined;
}

/** A strip's values as they are in force: where it hangs on a source, that says some of them. */
export function valuesInForce(strip: Strip, pending: Changes, drafted: Record<string, Values>): Values {
    const given = strip.source ? (drafted[strip.id] ?? strip.inForce) : {};
    const at = strip.source ? pending[sourceName(strip.source)]?.at : undefined;
    return { ...strip.values, ...given, ...(at && 'origin' in given ? { origin: at } : {}) };
}

/** The revisions that gestures go by, by the names of the things that they change. */
export function revisionsOf(scene: Scene | undefined): Map<string, number> {
    if (!scene) {
        return new Map();
    }
    const parts = [STAGE, AMBIENT, ...scene.sources.map((source) => sourceName(source.id))];
    return new Map([...everyStrip(scene.strips).map((strip): [string, number] => [strip.id, strip.revision]), ...parts.map((name): [string, number] => [name, scene.stageRevision])]);
}
