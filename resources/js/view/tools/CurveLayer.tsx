import { useRef } from 'react';
import type { Point, Value } from '../../api/types';
import { withPoint, withPointAt } from '../../session/curves';
import { useWork, work } from '../../session/store';
import { everyStrip } from '../../session/strips';
import { meanTone, toneCounts } from '../../session/tones';
import { sayError } from '../../ui/notices';
import { follow } from '../../ui/pointer';
import { placing } from './place';
import type { LayerProps } from './types';
import { useEscape } from './useEscape';

/** So many px up or down are the whole way from black to white. */
const WHOLE = 300;

/** A tone is pressed on the picture and dragged up or down: a point of a curve is put there, and moved. */
export function CurveLayer({ scene, lens, view, gestures, curve, parameter }: LayerProps & { curve: string; parameter: string }) {
    const patch = useWork((state) => state.pick.patch);
    const isDown = useRef(false);
    useEscape(() => !isDown.current && (work.pickColour(null), true));

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at } = placing(event, lens);
        const points = (everyStrip(scene.strips).find((other) => other.id === curve)?.values[parameter] ?? []) as Point[];
        const start = event.clientY;
        let taken: ReturnType<typeof withPoint> | null = null;
        let up = 0;
        let isOver = false;
        const change = (next: Point[]) => ({ values: { [parameter]: next as Value } });
        const moved = () => taken && withPointAt(taken.points, taken.at, [taken.points[taken.at]![0], taken.points[taken.at]![1] + up]);
        const show = (stamp: number) => {
            const next = moved();
            if (next) {
                work.live(curve, change(next), stamp);
            }
        };
        isDown.current = true;
        // the tone is asked for while the hand already moves
        void toneCounts(scene.id, curve, 'below', [at[0] - patch / 2, at[1] - patch / 2, patch, patch])
            .then((counts) => {
                const tone = meanTone(counts);
                taken = tone === null ? null : withPoint(points, tone);
                const next = moved();
                if (isOver && next) {
                    void gestures.change(curve, change(next), 'Pick the tone');
                } else {
                    show(performance.now());
                }
            })
            .catch(sayError);
        const finish = (keeps: boolean) => {
            isDown.current = false;
            isOver = keeps;
            if (taken && keeps) {
                void gestures.commit(curve, 'Pick the tone');
            } else if (!keeps) {
                taken = null;
                work.drop(curve);
            }
        };
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                up = (start - pointer.clientY) / WHOLE;
                show(pointer.timeStamp);
            },
            end: () => finish(true),
            cancel: () => finish(false),
        });
    }

    return <svg data-testid="pick-curve" className="absolute inset-0 h-full w-full cursor-ns-resize" width={view.width} height={view.height} onPointerDown={onPointerDown} />;
}
