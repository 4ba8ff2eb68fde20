import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { CloudColour, HueHill, Scene } from '../api/types';
import { hueHill } from './hues';
import { useLookedAt, useRests } from './resting';
import { toneCounts } from './tones';

type Window = [number, number, number, number];

const view = Math.random().toString(36).slice(2);

let number = 0;

/** What is counted of what is looked at when the picture rests; what was counted last until then. */
function useCounted<T>(scene: Scene, what: string[], count: (window: Window) => Promise<T | null>): T | null {
    const rests = useRests(scene);
    const window = useLookedAt(scene);
    const query = useQuery({ queryKey: [...what, scene.id, scene.revision, window], queryFn: () => count(window), enabled: rests && window[2] > 0, staleTime: Infinity, placeholderData: (last) => last });
    return (query.data as T | null | undefined) ?? null;
}

/** The tones of what lies below a strip, or of itself. */
export const useToneCounts = (scene: Scene, strip: string, of: string): number[] | null => useCounted(scene, ['tones', strip, of], (window) => toneCounts(scene.id, strip, of, window));

/** The hues of what lies below a strip. */
export const useHueHill = (scene: Scene, strip: string): HueHill | null => useCounted(scene, ['hues', strip], (window) => hueHill(scene.id, strip, window));

/** The colours of what lies below a strip. */
export const useColourCloud = (scene: Scene, strip: string): CloudColour[] | null => useCounted(scene, ['colours', strip], (window) => api.colours(scene.id, { strip, view, number: ++number, window }));
