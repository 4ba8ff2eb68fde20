import type { BrushSettings, PickSettings } from './state';

/** How one works in this browser: how the room is divided, and what the tools are set to; remembered by it. */
export type Arrangement = {
    /** Whether the desk shows all that it has; otherwise it is low. */
    deskOpen: boolean;
    /** Whether bench and desk are folded away. */
    folded: boolean;
    /** Whether the compass is open, as the hand has left it; null lets it open when something disagrees or a direction is worked on. */
    compassOpen: boolean | null;
    /** Whether the picture is looked at on a dark surround instead of a grey one. */
    darkSurround: boolean;
    /** Groups whose strips are folded away on the desk. */
    foldedGroups: string[];
    /** Parts of the bench as the hand has left them, open or folded, by kind and title. */
    sections: Record<string, boolean>;
    /** What the brush does; of its size, the share of the scene's shorter side. */
    brush: BrushSettings;
    pick: PickSettings;
    /** Whether single letters are keys. */
    letters: boolean;
    /** Whether a new strip looks like the last one of its kind. */
    likeLast: boolean;
    /** The first steps that were done once. */
    firstDone: string[];
};

const KEPT = 'aumbrel arrangement';

/** So many folded groups are remembered, the latest. */
const MOST_GROUPS = 200;

/** The brush of a new browser, of the scene's shorter side. */
const BRUSH_SHARE = 0.07;

export const plain: Arrangement = {
    deskOpen: false,
    folded: false,
    compassOpen: null,
    darkSurround: false,
    foldedGroups: [],
    sections: {},
    brush: { size: BRUSH_SHARE, hardness: 0, opacity: 100, flow: 100, letsIn: true, pressure: 'nothing', simulated: false, stretch: 1, dapples: 0, tip: 'brush', grid: '', steady: 0, alike: 0, symmetric: false },
    pick: { tolerance: 12, reach: 'touching', patch: 7 },
    letters: true,
    likeLast: false,
    firstDone: [],
};

/** What of it is kept makes sense: of the same type as in a new browser, numbers finite. */
function sound(value: unknown, like: unknown): boolean {
    return typeof value === typeof like && value !== null && Array.isArray(value) === Array.isArray(like) && (typeof value !== 'number' || Number.isFinite(value));
}

/** The fields of a kept object that make sense, over those of a new browser. */
function read<T extends object>(kept: unknown, fresh: T): T {
    const fields = Object.entries(fresh).map(([name, like]): [string, unknown] => {
        const value = (kept as Record<string, unknown> | null)?.[name];
        return [name, sound(value, like) ? value : like];
    });
    return Object.fromEntries(fields) as T;
}

/** As it was left. */
export function kept(): Arrangement {
    try {
        return soundOf(JSON.parse(localStorage.getItem(KEPT) ?? 'null'));
    } catch {
        return plain;
    }
}

/** An arrangement out of something that was kept; what of it makes no sense counts for nothing. */
export function soundOf(raw: unknown): Arrangement {
    const { compassOpen, ...rest } = (typeof raw === 'object' && raw !== null ? raw : {}) as Partial<Record<keyof Arrangement, unknown>>;
    const found = read(rest, plain);
    return {
        ...found,
        compassOpen: typeof compassOpen === 'boolean' ? compassOpen : null,
        firstDone: found.firstDone.filter((step) => typeof step === 'string'),
        foldedGroups: found.foldedGroups.filter((group) => typeof group === 'string'),
        sections: Object.fromEntries(Object.entries(found.sections).filter(([, isOpen]) => typeof isOpen === 'boolean')),
        brush: read(found.brush, plain.brush),
        pick: read(found.pick, plain.pick),
    };
}

/** As it is kept, for a file. */
export const keptText = (): string => JSON.stringify(kept(), null, 2);

export function keep(arrangement: Arrangement): void {
    try {
        localStorage.setItem(KEPT, JSON.stringify({ ...arrangement, foldedGroups: arrangement.foldedGroups.slice(-MOST_GROUPS) }));
    } catch {
        // a browser that keeps nothing still works
    }
}
