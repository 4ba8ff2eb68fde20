import type { Parameter, StripChange, Value } from '../api/types';
import type { Hand } from '../controls/hand';
import type { Gestures } from '../session/gestures';
import { work } from '../session/store';

/** How a field hands on what is done to a thing: a strip, a source, the stage. */
export function thingHand<T>(name: string, gestures: Gestures, label: string, change: (value: T) => StripChange): Hand<T> {
    return {
        live: (value, at) => work.live(name, change(value), at),
        nudge: (value) => gestures.nudge(name, change(value), label),
        set: (value) => void gestures.change(name, change(value), label),
        commit: () => void gestures.commit(name, label),
        drop: () => work.drop(name),
    };
}

export function valueHand(name: string, parameter: Parameter, gestures: Gestures): Hand<Value> {
    return thingHand(name, gestures, parameter.label, (value) => ({ values: { [parameter.name]: value } }));
}
