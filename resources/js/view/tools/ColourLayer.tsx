import { api } from '../../api/client';
import { keepColour } from '../../controls/palette';
import { sayError } from '../../ui/notices';
import { everyStrip } from '../../session/strips';
import { useWork, work, type Picking } from '../../session/store';
import { around, meanTone, toneCounts } from '../../session/tones';
import { placing } from './place';
import type { LayerProps } from './types';
import { useEscape } from './useEscape';

/** Picks the colour of a light from the picture, the tone that a strip acts on, or a family of hues: the mean of a patch. */
export function ColourLayer({ scene, lens, view, gestures, picking }: LayerProps & { picking: Exclude<Picking, null | { curve: string }> }) {
    const patch = useWork((state) => state.pick.patch);
    useEscape(() => (work.pickColour(null), true));

    async function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const { at } = placing(event, lens);
        work.pickColour(null);
        try {
            if ('tones' in picking) {
                const strip = everyStrip(scene.strips).find((other) => other.id === picking.tones);
                const of = strip?.tones?.of ?? 'below';
                const tone = meanTone(await toneCounts(scene.id, picking.tones, of, [at[0] - patch / 2, at[1] - patch / 2, patch, patch]));
                if (tone !== null) {
                    await gestures.change(picking.tones, { tones: { ...around(tone), of } }, 'Pick the tone');
                }
                return;
            }
            const { swatch, band } = await api.colour(scene.id, { at, width: patch });
            if ('bands' in picking) {
                work.chooseBand(band);
                return;
            }
            keepColour(swatch);
            await gestures.change(picking.thing, { values: { [picking.parameter]: { swatch } } }, 'Pick the colour');
        } catch (error) {
            sayError(error);
        }
    }

    return <svg data-testid="pick-colour" className="absolute inset-0 h-full w-full cursor-crosshair" width={view.width} height={view.height} onPointerDown={(event) => void onPointerDown(event)} />;
}
