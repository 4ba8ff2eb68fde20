/** What the pointer takes up and puts down: moving things, painting, outlining, picking an area, finding a subject, moving the picture. */
export type Tool = 'move' | 'paint' | 'outline' | 'pick' | 'find' | 'pan';

/** What is picked on the picture: the colour of a light, the tone that a strip acts on, a tone of a curve, or the hues of a stretch. */
export type Picking = { thing: string; parameter: string } | { tones: string } | { curve: string; parameter: string } | { hues: string; parameter: string };

/** A line that is to be drawn on the chosen plate. */
export type Drawing = 'horizon' | 'shadow line';

/** Something new that the next press on the picture places, or the next line from where it stands to where it aims. */
export type Placing = { of: 'strip' | 'source'; kind: string; /** from where to where the line is drawn that places it */ line: string | null; above: string | null };

/** What is being marked on the picture: something of the stage, or the line about which the chosen strip is mirrored. */
export type Marking = 'floor' | 'square' | 'wall' | 'foot' | 'mirror';

/** What the pointer does over the picture: one thing at a time, so that no two of them can contradict each other. */
export type Pointer =
    | { does: 'tool'; tool: Tool }
    | { does: 'pick'; picking: Picking }
    | { does: 'place'; placing: Placing }
    | { does: 'mark'; marking: Marking }
    | { does: 'draw'; drawing: Drawing }
    /** a lit sphere is turned over a plate */
    | { does: 'sphere'; plate: string }
    /** corners are dragged in perspective */
    | { does: 'fit' }
    /** the pivot of a plate is moved, and not the plate */
    | { does: 'pivot' };

/** Things are moved by their handles. */
export const MOVES: Pointer = { does: 'tool', tool: 'move' };

type With = { pointer: Pointer };

/** The tool in hand; whatever else the pointer does, it is the one that moves things. */
export const toolOf = ({ pointer }: With): Tool => (pointer.does === 'tool' ? pointer.tool : 'move');

export const pickingOf = ({ pointer }: With): Picking | null => (pointer.does === 'pick' ? pointer.picking : null);

export const placingOf = ({ pointer }: With): Placing | null => (pointer.does === 'place' ? pointer.placing : null);

export const markingOf = ({ pointer }: With): Marking | null => (pointer.does === 'mark' ? pointer.marking : null);

export const drawingOf = ({ pointer }: With): Drawing | null => (pointer.does === 'draw' ? pointer.drawing : null);

export const sphereOf = ({ pointer }: With): string | null => (pointer.does === 'sphere' ? pointer.plate : null);

export const fits = ({ pointer }: With): boolean => pointer.does === 'fit';

export const pivots = ({ pointer }: With): boolean => pointer.does === 'pivot';

/** What is left of what the pointer does when a strip is chosen; what belongs to one strip ends with another. */
export function afterChoosing(pointer: Pointer, isSame: boolean): Pointer {
    switch (pointer.does) {
        case 'tool':
            return pointer;
        case 'pick':
        case 'place':
            return MOVES;
        case 'mark':
        case 'draw':
        case 'sphere':
        case 'fit':
        case 'pivot':
            return isSame ? pointer : MOVES;
    }
}
