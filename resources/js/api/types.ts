/** What the JSON API speaks of. Lengths are scene pixels, angles degrees, levels stops, amounts percent. */
export type Point = [number, number];

/** The colour of a light: a swatch or a temperature, a conversion gel over it (mireds), a colour gel, its own saturation and tint (percent). */
export type Colour = ({ swatch: string; kelvin?: undefined } | { kelvin: number; shift?: number; swatch?: undefined }) & { gel?: string; loses?: boolean; saturation?: number; tint?: string; tinted?: number };

/** What a light's colour comes to: as a swatch, the stops that its gel takes, and whether a gel is at the end of what there is. */
export type Seen = { swatch: string; loss: number; atEnd: boolean };

/** `smooth` is of the stretch after the stop. */
export type Stop = { offset: number; value: number; midpoint: number; smooth?: boolean };

/** A stop of a ramp from tones to colours. */
export type ToneStop = { offset: number; colour: string; midpoint: number; smooth?: boolean };

/** A stop of a ramp of colours that come and go. */
export type ColourStop = ToneStop & { opacity: number };

/** A ramp that is kept by name, and what a mask makes of it; those that were there from the start have no id. */
export type KeptRamp = { id: string | null; name: string; stops: ColourStop[]; mask: Stop[] };

/** One layer of a glow: px, stops, percent; its own colour, ramp or mode where it has one. */
/** The light that a plate brings along: shares are 0 to 1, `sky` the ambient light's colour against the key's (linear). */
export type OwnLight = { ambient: number; sky: [number, number, number]; explained: number; isRead: boolean; clipped: number; bent: number; /** where it comes from as the scene sees it */ azimuth: number; elevation: number; /** degrees off the scene's light if it were mirrored; null where that would not do */ mirrored: number | null };

export type Shell = { part: 'core' | 'body' | 'fog' | 'halo'; radius: number; level: number; pale: number; colour?: Colour; ramp?: ColourStop[]; mode?: string };

/** A point of an outline; its handles are given from it. */
export type Node = { at: Point; in?: Point; out?: Point };

/** One stroke of a brush; a point is x, y, pressure 0..1 and ms since the stroke began. */
export type Stroke = {
    size: number;
    hardness: number;
    opacity: number;
    flow: number;
    spacing: number;
    letsIn: boolean;
    pressure: string;
    points: [number, number, number, number][];
    /** what the brush leaves, where that is no plain mark */
    tip?: string;
    stretch?: number;
    dapples?: number;
    seed?: number;
    /** of a tip that is made of a picture: its greys */
    grid?: string;
    /** percent: how strictly it stays on what is alike */
    alike?: number;
};

/** A brush tip that was made of a picture. */
export type KeptTip = { id: string; name: string; grid: string };

/** Where a plate's light comes from, in its own picture, and how that was found. */
export type FoundBearing = { by: 'outline' | 'shadow line' | 'sphere'; azimuth?: number; elevation?: number; spread?: number; confidence?: number; base?: Point; tip?: Point; top?: Point };

/** A straight edge that cuts a light off: what lies to the left, going along it, stays. */
export type Cut = { from: Point; to: Point; softness: number };

/** Where a shadow was taken hold of, and how far that was dragged; shares of the plate. */
export type Bend = { at: Point; by: Point };

export type Value = number | string | boolean | null | Point | Colour | Stop[] | ToneStop[] | ColourStop[] | Shell[] | Point[] | Node[] | Stroke[] | Cut[] | Bend[] | string[] | FoundBearing | Floor | Wall[] | Shifts | HueStretch[];

/** What scopes draw: counts by class of tone, by place across and tone, by Oklab's b and a; shares; place 0..1 and luma of the brightest spot. */
export type ScopeCounts = { luma: number[]; /** of each class of luma: the mean colour of what has it */ colours: string[]; red: number[]; green: number[]; blue: number[]; wave: number[][]; chroma: number[][]; clipped: number; black: number; brightest: [number, number, number] | null };

/** The colour of a place and its luma, encoded 0..1, as it is seen and as it was before anything was lit. */
export type PlaceValues = Record<'after' | 'before', [number, number, number, number] | null>;

/** Red, green and blue, -100..100. */
export type Shift = [number, number, number];

/** Colours that darks, mids and lights are drawn to. */
export type Shifts = { darks: Shift; mids: Shift; lights: Shift };

/** Families of hues, by name: degrees, times, -100..100; what is left out stays as it is. */
/** Hues from none to all, and from all to none, going round, degrees; and what becomes of them. */
export type HueStretch = { hues: [number, number, number, number]; turn?: number; chroma?: number; light?: number };
/** How much there is of each hue, the mean of them, and the stretch about the one that was asked for. */
export type HueHill = { counts: number[]; mean: number | null; stretch: HueStretch['hues'] | null };
/** A colour of the picture: lightness and both axes of Oklab, and how much of the picture it is. */
export type CloudColour = [colour: string, lightness: number, a: number, b: number, share: number];

export type Values = Record<string, Value>;

export type Family = 'plate' | 'light' | 'shadow' | 'flat' | 'air' | 'grade' | 'group';

/** Lumas 0..1: nothing below the first of the darks, all from the second on; all up to the first of the brights, nothing above the second. */
export type ToneLimits = { darks: Point; brights: Point; of: 'below' | 'itself' };

export type KeptOff = { plates: string[]; grow: number; feather: number };

/** What a mask is for: a strip's falloff, a plate's cut-out, or what of a light shines. */
export type Ground = 'scene' | 'plate' | 'emitter';

export type Mask = { id: string; kind: string; on: Ground; problem: string | null; join: string; inverted: boolean; off: boolean; values: Values; /** the mask of another strip whose shape this is */ uses?: string | null; /** of a falloff's masks: px, and sigma, px */ grow?: number; feather?: number; /** the least and the most that it lets through, percent */ lets?: [number, number] };

export type Strip = {
    id: string;
    kind: string;
    family: Family;
    name: string;
    mode: string;
    level?: number;
    amount?: number;
    muted: boolean;
    /** a press on the picture neither chooses nor moves it */
    locked?: boolean;
    /** of groups: it lights only what it holds, and is then mixed like a plate */
    closed?: boolean;
    /** of groups: what it yields is worked out once and kept until something in it is touched */
    held?: boolean;
    confinedTo?: string;
    /** the source that it hangs on */
    source?: string;
    /** it falls where this other strip does not */
    complements?: string;
    /** the tones between which it acts */
    tones?: ToneLimits;
    /** the plates that it stays off; px */
    keptOff?: KeptOff;
    values: Values;
    masks: Mask[];
    strips?: Strip[];
    revision: number;
    /** of lights that shine by themselves: whether it is what is drawn that shines */
    shines?: boolean;
    outlines: Outlines;
    /** the values that its source gives it */
    inForce: Values;
    colours: Record<string, Seen>;
    /** percent, of a light's own shape */
    contrast?: number;
    /** whether its level and its source's together are more, or less, than a level can be */
    atLimit: boolean;
    /** of plates: how it is in the scene, and its feet there, as said or as guessed */
    stance?: string;
    standsOn?: Point[];
    /** of plates: the ways between the scene and the picture, three by three numbers */
    maps?: { toScene: number[]; toPlate: number[] };
};

export type Outlines = Record<string, Point[]>;

/** Something that has values and can be chosen: a strip, a source, the stage. */
export type Thing = { id: string; kind: string; values: Values; colours?: Record<string, Seen> };

/** A lamp or a sun, that strips hang on. */
export type Source = Thing & { name: string; level: number; muted: boolean; /** where it is seen in the picture */ seenAt: Point | null };

/** The floor: by its horizon and contact row, or by the corners of something square on it. */
export type Floor = { horizon?: number; contact?: [Point, Point]; corners?: Point[] };

/** A wall: by its corners, or by its foot line and height (px of the contact row). */
export type Wall = { id: string; name: string; corners?: Point[]; foot?: [Point, Point]; height?: number };

/** What follows from the marks on the stage, in scene pixels. */
export type StageLines = { horizon: number | null; focal: number; contact: [Point, Point] | null; walls: Record<string, Point[]> };

export type Stage = { floor?: Floor; walls?: Wall[]; focal?: number; lines: StageLines };

export type Scene = {
    id: string;
    title: string;
    width: number;
    height: number;
    white: number;
    revision: number;
    /** the revision at which the order of the strips last changed */
    orderRevision: number;
    /** the revision at which the stage, the ambient or a source last changed */
    stageRevision: number;
    stage: Stage;
    ambient: { level: number; colour?: Colour };
    sources: Source[];
    strips: Strip[];
    pictures: Record<string, { width: number; height: number; opaque: boolean }>;
    snapshots: Snapshot[];
    undo: string | null;
    redo: string | null;
    /** said once, of a file that was taken in */
    notice?: string | null;
} & Noticed;

/** A plate or a light on the compass. */
export type Sight = {
    strip: string;
    light: boolean;
    azimuth: number;
    elevation: number;
    /** the same light over the ground */
    heightAngle: number;
    heading: number;
    words: string;
    spread: number;
    confidence: number;
    seenFrom: Point;
    of: string | null;
    colour: string | null;
    by: string | null;
    /** the source that a light hangs on */
    source: string | null;
};

export type Mend = { key: string; label: string; strip: string | null; values: Values; /** of the strip itself */ fields?: Record<string, Value> };

export type Reading = { id: string; kind: string; strips: string[]; seen: string; why: string; number: number | null; unit: string; confidence: number | null; hint: boolean; mends: Mend[] };

/** What the core notices in a scene. */
export type Noticed = { compass: { sights: Sight[]; arcs: { reading: string; from: string; to: string; angle: number }[] }; readings: Reading[] };

/** A token that lets a script in; what it is is told only once. */
export type Token = { id: string; name: string; made: string; used: string | null };

/** A named variant of the scene. */
export type Snapshot = { id: string; name: string; made: string };

/** Strips that are kept for other scenes: how many, the plate that they were made about, and how many pictures they show. */
export type Rig = { id: string; name: string; strips: number; subject: string | null; pictures: number };

export type SceneCard = { id: string; title: string; width: number; height: number; revision: number; touched: string; made: string; folder: string | null; strips: number; deleted: string | null };

export type MaskChange = { join?: string; inverted?: boolean; off?: boolean; grow?: number; feather?: number; lets?: [number, number]; /** null gives it a shape of its own */ uses?: null; values?: Values; /** come behind the mask's strokes */ strokes?: Stroke[] };

export type NewMask = { on: Ground; join?: string; values?: Values };

/** Some fields of a strip; values and masks are merged by their names. */
export type StripChange = {
    name?: string;
    mode?: string;
    level?: number;
    amount?: number;
    contrast?: number;
    muted?: boolean;
    locked?: boolean;
    closed?: boolean;
    /** of groups: what it yields is worked out once and kept until something in it is touched */
    held?: boolean;
    confinedTo?: string | null;
    source?: string | null;
    complements?: string | null;
    tones?: ToneLimits | null;
    keptOff?: KeptOff | null;
    values?: Values;
    /** lets a light come from elsewhere, or says so of a plate; what that makes of its values, the core knows */
    turn?: Turn;
    /** where a source is to be seen */
    at?: Point;
    /** how far a plate's feet go, at its height in space */
    walk?: Point;
    /** a handle that the core works back is dragged there */
    pull?: { handle: string; to: Point };
    masks?: Record<string, MaskChange>;
};

/** A direction that light comes from, as the scene sees it. */
export type Turn = { azimuth: number; elevation: number };

export type Changes = Record<string, StripChange>;

export type Export = {
    id: string;
    /** whether its file is where it was written */
    isThere: boolean;
    format: string;
    bits: number;
    state: 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';
    progress: number;
    name: string;
    problem: string | null;
    bytes: number | null;
    clipped: number | null;
    asked: string;
    /** what it is of the scene, and of many that were asked for at once */
    writes: ExportWrites;
    batch: string | null;
};

export type ExportWrites = 'picture' | 'layers' | 'passes' | 'steps' | 'before and after';

/** What is wanted of an export: px of the longer side or a share of the size, sharpening in percent. */
export type ExportOrder = { writes: ExportWrites; format: string; bits: number; quality: number; longSide: number | null; percent: number; sharpen: number; colours: 'srgb' | 'p3'; metadata: boolean };

/** One value of a kind, as the core describes it. */
export type Parameter = {
    name: string;
    label: string;
    /** which control it has: the controls' registry goes by it */
    type: string;
    section: string;
    unit: string;
    least: number;
    most: number;
    step: number;
    /** it is so many times another value */
    times?: { of: string; least: number; most: number };
    default: Value;
    optional: boolean;
    choices: string[];
    /** of hues: where those that have a name lie, degrees */
    middles?: number[];
    /** of surfaces: the floor is none of them */
    wallsOnly?: boolean;
    shownWhen: Record<string, string[]>;
    whenEmpty: string;
    /** what it does in light */
    says: string;
};

export type StripKind = { key: string; label: string; hint: string; family: string; course: string; fadesInStops: boolean; /** from where to where the line goes that it is placed by */ drawn: string | null; /** the plate that it is meant for covers it */ liesUnder: boolean; /** what its brush leaves, when it is painted */ tip: string | null; /** two are added together */ pair: { label: string; hint: string } | null; /** it brings colours to others */ likens: boolean; /** what of what is drawn shines: what is enclosed, or the lines themselves */ shines: 'areas' | 'lines' | null; /** kinds of source */ hangsOn: string[]; parameters: Parameter[] };

export type SourceKind = { key: string; label: string; hint: string; parameters: Parameter[] };

export type MaskKind = { key: string; label: string; grounds: string[]; /** the kind that one of this kind is exchanged for in place */ becomes: string | null; parameters: Parameter[] };
