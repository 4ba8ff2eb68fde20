import type { Parameter, Scene, Thing, Value } from '../api/types';
import type { Gestures } from '../session/gestures';

/** How a field hands on what is done to it. */
export type Hand<T> = {
    /** while it is being dragged */
    live: (value: T, at?: number) => void;
    /** a key or a step; written when no more come */
    nudge: (value: T) => void;
    /** the drag has ended */
    commit: () => void;
    /** complete in itself */
    set: (value: T) => void;
    /** the drag was not meant */
    drop: () => void;
};

/** A hand for a part of a value: what is done to the part is done to the whole that is made of it. */
export function through<T, P>(hand: Hand<T>, whole: (part: P) => T): Hand<P> {
    return { live: (part, at) => hand.live(whole(part), at), nudge: (part) => hand.nudge(whole(part)), set: (part) => hand.set(whole(part)), commit: hand.commit, drop: hand.drop };
}

/** What a control of a value gets: the value, how it is changed, and what stands around it. */
export type ValueProps<T = Value> = { parameter: Parameter; value: T; hand: Hand<T>; scene: Scene; strip: Thing; gestures: Gestures };
