import type { Parameter, Values } from '../api/types';
import { maskKinds, stripKinds } from '../generated/catalogue';
import { clamp, numberOf } from './strips';

function parameterOf(kind: string, name: string): Parameter | undefined {
    return (stripKinds.find((other) => other.key === kind) ?? maskKinds.find((other) => other.key === kind))?.parameters.find((parameter) => parameter.name === name);
}

/**
 * A number that a handle asks for, brought within what the core allows: the value's range, and so many times another value
 * where it has to be.
 */
export function allowed(kind: string, name: string, value: number, values: Values): number {
    const parameter = parameterOf(kind, name);
    if (!parameter) {
        return value;
    }
    const { least, most, step, times } = parameter;
    const other = times ? numberOf(values, times.of) : 0;
    const [from, to] = times ? [Math.max(least, other * times.least), Math.min(most, other * times.most)] : [least, most];
    // rounded to what a hand can mean, but never out of the range
    const grain = 50 / step;
    return clamp(Math.round(value * grain) / grain, from, to);
}
