/** What the JSON API speaks of. Lengths are scene pixels, angles degrees, levels stops, amounts percent. */
export type Point = [number, number];

export type Colour = { swatch: string } | { kelvin: number };

export type Stop = { offset: number; value: number; midpoint: number };

export type Value = number | string | boolean | null | Point | Colour | Stop[];

export type Values = Record<string, Value>;

export type Family = 'plate' | 'light' | 'flat' | 'group';

export type Mask = { id: string; kind: string; join: string; inverted: boolean; off: boolean; values: Values };

export type Strip = {
    id: string;
    kind: string;
    family: Family;
    name: string;
    mode: string;
    level?: number;
    amount?: number;
    muted: boolean;
    confinedTo?: string;
    values: Values;
    masks: Mask[];
    strips?: Strip[];
    revision: number;
    outlines: Outlines;
};

export type Outlines = Record<string, Point[]>;

export type Scene = {
    id: string;
    title: string;
    width: number;
    height: number;
    white: number;
    revision: number;
    strips: Strip[];
    pictures: Record<string, { width: number; height: number; opaque: boolean }>;
    undo: string | null;
    redo: string | null;
};

export type SceneCard = { id: string; title: string; width: number; height: number; revision: number; touched: string; strips: number };

export type MaskChange = { join?: string; inverted?: boolean; off?: boolean; values?: Values };

/** Some fields of a strip; values and masks are merged by their names. */
export type StripChange = {
    name?: string;
    mode?: string;
    level?: number;
    amount?: number;
    muted?: boolean;
    confinedTo?: string | null;
    values?: Values;
    masks?: Record<string, MaskChange>;
};

export type Changes = Record<string, StripChange>;

export type Export = {
    id: string;
    format: string;
    bits: number;
    state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
    progress: number;
    name: string;
    problem: string | null;
    bytes: number | null;
    clipped: number | null;
    asked: string;
};

/** One value of a kind, as the core describes it. */
export type Parameter = {
    name: string;
    label: string;
    type: 'number' | 'choice' | 'switch' | 'point' | 'light colour' | 'flat colour' | 'mask stops' | 'picture';
    section: string;
    unit: string;
    least: number;
    most: number;
    step: number;
    default: Value;
    optional: boolean;
    choices: string[];
    shownWhen: Record<string, string[]>;
    whenEmpty: string;
};

export type StripKind = { key: string; label: string; hint: string; family: string; course: string; fadesInStops: boolean; parameters: Parameter[] };

export type MaskKind = { key: string; label: string; parameters: Parameter[] };
