import { api } from '../../api/client';
import { keepColour } from '../../controls/palette';
import type { HueStretch, Point } from '../../api/types';
import { say, sayError } from '../../ui/notices';
import { huesAbout, marked } from '../../session/hues';
import { useLookedAt } from '../../session/resting';
import { everyStrip } from '../../session/strips';
import { useWork, work, type Picking } from '../../session/store';
import { around, meanTone, toneCounts } from '../../session/tones';
import { placing } from './place';
import type { LayerProps } from './types';
import { useEscape } from './useEscape';

/** Picks the colour of a light from the picture, the tone that a strip acts on, or the stretch that a hue belongs to: the mean of a patch. */
export function ColourLayer({ scene, lens, view, gestures, picking }: LayerProps & { picking: Exclude<Picking, { curve: string }> }) {
    const patch = useWork((state) => state.pick.patch);
    const looked = useLookedAt(scene);
    useEscape(() => (work.pickColour(null), true));

    /** Marks the stretch that the hue of a place belongs to, by the hues of all that is looked at. */
    async function markHues(at: Point, { hues: strip, parameter }: { hues: string; parameter: string }) {
        const here = await huesAbout(scene.id, strip, [at[0] - patch / 2, at[1] - patch / 2, patch, patch], null);
        const found = here?.mean == null ? null : await huesAbout(scene.id, strip, looked, here.mean);
        if (here?.mean == null || !found?.stretch) {
            say(here && here.mean === null ? 'That place is grey: it has no hue.' : 'The picture changed meanwhile: pick once more.');
            return;
        }
        const before = (everyStrip(scene.strips).find((other) => other.id === strip)?.values[parameter] ?? []) as HueStretch[];
        const { stretches, at: which } = marked(before, useWork.getState().stretch, here.mean, found.stretch);
        work.chooseStretch(which);
        if (stretches !== before) {
            await gestures.change(strip, { values: { [parameter]: stretches } }, 'Pick the hues');
        }
    }

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
            if ('hues' in picking) {
                await markHues(at, picking);
                return;
            }
            const { swatch } = await api.colour(scene.id, { at, width: patch });
            keepColour(swatch);
            await gestures.change(picking.thing, { values: { [picking.parameter]: { swatch } } }, 'Pick the colour');
        } catch (error) {
            sayError(error);
        }
    }

    return <svg data-testid="pick-colour" className="absolute inset-0 h-full w-full cursor-crosshair" width={view.width} height={view.height} onPointerDown={(event) => void onPointerDown(event)} />;
}
