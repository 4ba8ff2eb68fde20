import type { Cut, Point } from '../api/types';
import { numberOf, pointOf } from '../session/strips';
import { Action, Forget } from './Action';
import { through, type ValueProps } from './hand';
import { NumberField } from './NumberField';

const MOST = 4;

const SOFTEST = 2000;

/** A new edge below, right, above, left of the target, so far away as it is high. */
function fresh(count: number, [x, y]: Point, away: number): Cut {
    const [dx, dy] = ([[0, 1], [1, 0], [0, -1], [-1, 0]] as const)[count % MOST] ?? [0, 1];
    const [mx, my] = [x + dx * away, y + dy * away];
    // what lies to the left, going along it, stays
    const along: Point = [dy * away, -dx * away];
    return { from: [Math.round(mx - along[0]), Math.round(my - along[1])], to: [Math.round(mx + along[0]), Math.round(my + along[1])], softness: Math.max(1, Math.round(away * 0.04)) };
}

/** Straight edges that cut a light off; their ends are dragged on the picture. */
export function CutsField({ value, hand, scene, strip }: ValueProps) {
    const cuts = Array.isArray(value) ? (value as Cut[]) : [];
    const set = (at: number, softness: number): Cut[] => cuts.map((cut, k) => (k === at ? { ...cut, softness } : cut));
    return (
        <>
            {cuts.map((cut, at) => (
                <div key={at} className="flex items-center">
                    <div className="min-w-0 flex-1">
                        <NumberField
                            label={`Edge ${at + 1}, softness`}
                            value={cut.softness}
                            unit="px"
                            least={0}
                            most={SOFTEST}
                            step={1}
                            rest={0}
                            hand={through(hand, (softness: number | null) => set(at, softness ?? 0))}
                        />
                    </div>
                    <Forget label={`Take edge ${at + 1} away`} onPress={() => hand.set(cuts.filter((_, k) => k !== at))} />
                </div>
            ))}
            {cuts.length < MOST && (
                <div className="pt-0.5">
                    <Action
                        label="Cut by an edge"
                        title="A straight edge that stops the light; drag its ends on the picture"
                        onPress={() => hand.set([...cuts, fresh(cuts.length, pointOf(strip.values, 'target'), Math.max(8, Math.min(numberOf(strip.values, 'height', 60) * 0.4, Math.min(scene.width, scene.height) / 4)))])}
                    />
                </div>
            )}
        </>
    );
}
