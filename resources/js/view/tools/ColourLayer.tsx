import { useEffect } from 'react';
import { api } from '../../api/client';
import { keepColour } from '../../controls/palette';
import { sayError } from '../../ui/notices';
import { useWork, work } from '../../session/store';
import { placing } from './place';
import type { LayerProps } from './types';

/** Picks the colour of a light from the picture: the mean of a patch. */
export function ColourLayer({ scene, lens, view, gestures, picking }: LayerProps & { picking: { thing: string; parameter: string } }) {
    const patch = useWork((state) => state.pick.patch);
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            if (event.key === 'Escape') {
                event.stopPropagation();
                work.pickColour(null);
            }
        };
        window.addEventListener('keydown', onKey, true);
        return () => window.removeEventListener('keydown', onKey, true);
    }, []);

    async function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at } = placing(event, lens);
        work.pickColour(null);
        try {
            const swatch = await api.colour(scene.id, { at, width: patch });
            keepColour(swatch);
            await gestures.change(picking.thing, { values: { [picking.parameter]: { swatch } } }, 'Pick the colour');
        } catch (error) {
            sayError(error);
        }
    }

    return <svg data-testid="pick-colour" className="absolute inset-0 h-full w-full cursor-crosshair" width={view.width} height={view.height} onPointerDown={(event) => void onPointerDown(event)} />;
}
