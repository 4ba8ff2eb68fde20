import type { Mask, MaskChange, Strip } from '../api/types';
import type { Hand } from '../controls/hand';
import { NumberField } from '../controls/NumberField';
import { Told } from '../controls/Told';
import { maskKinds } from '../generated/catalogue';
import type { Gestures } from '../session/gestures';
import { work } from '../session/store';
import { thingHand } from './hands';

/** A hand on a mask's softness: while it works, what the mask holds back lies under a tint. */
export function tinting<T>(mask: string, hand: Hand<T>): Hand<T> {
    const ending = (end: () => void) => () => {
        work.tintMask(null);
        end();
    };
    return {
        ...hand,
        live: (value, at) => {
            work.tintMask(mask);
            hand.live(value, at);
        },
        commit: ending(hand.commit),
        drop: ending(hand.drop),
    };
}

/** How far a falloff's mask is grown, how softly it ends, and how much of it counts: at any time, however it came about. */
export function MaskSoftness({ strip, mask, holdsRest, gestures }: { strip: Strip; mask: Mask; holdsRest: boolean; gestures: Gestures }) {
    const own = maskKinds.find(({ key }) => key === mask.kind)?.parameters.map(({ name }) => name) ?? [];
    const lets = mask.lets ?? [0, 100];
    const hand = (part: (value: number) => MaskChange, label: string) => tinting(mask.id, thingHand<number | null>(strip.id, gestures, label, (value) => ({ masks: { [mask.id]: part(value ?? 0) } })));
    return (
        <>
            {!own.includes('grow') && (
                <Told says="Moves what it lets through outward, or inward where it is below 0, as soft as it is">
                    <NumberField label="Grow or shrink" value={mask.grow ?? 0} unit="px" least={-1000} most={1000} step={0.5} rest={0} hand={hand((grow) => ({ grow }), 'Grow the mask')} />
                </Told>
            )}
            {!own.includes('feather') && (
                <Told says="How softly it ends, to both sides, however it came about">
                    <NumberField label="Softness" value={mask.feather ?? 0} unit="px" least={0} most={1000} step={0.5} rest={0} hand={hand((feather) => ({ feather }), 'Softness of the mask')} />
                </Told>
            )}
            <Told says={holdsRest ? 'Less than all: something of the strip is left even where the mask hides it' : 'Less than all: the mask counts only so much, even where it is full'}>
                <NumberField
                    label={holdsRest ? 'Hides at most' : mask.join === 'add' ? 'Adds at most' : 'Takes at most'}
                    value={holdsRest ? 100 - lets[0] : lets[1]}
                    unit="%"
                    least={holdsRest ? 100 - lets[1] : lets[0]}
                    most={100}
                    step={1}
                    rest={100}
                    hand={hand((most) => ({ lets: holdsRest ? [100 - most, lets[1]] : [lets[0], most] }), 'How much the mask counts')}
                />
            </Told>
            {(holdsRest ? lets[1] < 100 : lets[0] > 0) && (
                <Told says={holdsRest ? 'What it holds back even where it lets through most' : 'What it does even where it is nothing'}>
                    <NumberField
                        label="Always"
                        value={holdsRest ? 100 - lets[1] : lets[0]}
                        unit="%"
                        least={0}
                        most={holdsRest ? 100 - lets[0] : lets[1]}
                        step={1}
                        rest={0}
                        hand={hand((always) => ({ lets: holdsRest ? [lets[0], 100 - always] : [always, lets[1]] }), 'How much the mask counts')}
                    />
                </Told>
            )}
        </>
    );
}
