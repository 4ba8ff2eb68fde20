import { useEffect } from 'react';
import { useWork, work } from '../../session/store';
import { say } from '../../ui/notices';
import { groundOf, plateOf } from '../../session/ground';
import { everyStrip } from '../../session/strips';
import { placing } from './place';
import { groundFor, joinOf } from './target';
import type { StripLayerProps } from './types';

/** Picks what has the colour of a place: the chosen colour area moves there, else a new one is made. */
export function PickLayer({ scene, strip, lens, view, gestures }: StripLayerProps) {
    const pick = useWork((state) => state.pick);
    const takesAway = useWork((state) => state.takesAway);
    const chosenMask = useWork((state) => state.mask);
    const on = groundFor(strip, null);
    const open = strip.masks.find((mask) => mask.id === chosenMask && mask.kind === 'colour area');

    useEffect(() => {
        // all openings of a lamp shine; of a subject what hangs together is cut out
        work.pick({ reach: on === 'emitter' ? 'everywhere' : 'touching' });
    }, [strip.id, on]);

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        const plate = plateOf(strip, everyStrip(scene.strips));
        if (!plate || on === 'scene') {
            say(strip.shines ? 'A colour area is picked on a plate: say under Of which one the light shines from.' : 'A colour area is picked on a plate: choose the plate on the desk first.');
            return;
        }
        const [x, y] = groundOf(plate, 'plate').fromScene(placing(event, lens).at);
        const at: [number, number] = [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
        if (open && !event.shiftKey && !event.altKey) {
            void gestures.change(strip.id, { masks: { [open.id]: { values: { at } } } }, 'Pick');
        } else {
            void gestures.addMask(strip.id, 'colour area', [0, 0], 1, { on, join: joinOf(strip, on, takesAway !== event.altKey), values: { at, ...pick } });
        }
    }

    return <svg data-testid="pick" className="absolute inset-0 h-full w-full cursor-crosshair" width={view.width} height={view.height} onPointerDown={onPointerDown} />;
}
