import { useQuery } from '@tanstack/react-query';
import type { Scene } from '../api/types';
import { useLookedAt, useRests } from './resting';
import { toneCounts } from './tones';

/** The tones of what is looked at, counted when the picture rests: of what lies below a strip, or of itself. */
export function useToneCounts(scene: Scene, strip: string, of: string): number[] | null {
    const rests = useRests(scene);
    const window = useLookedAt(scene);
    const query = useQuery({ queryKey: ['tones', scene.id, scene.revision, strip, of, window], queryFn: () => toneCounts(scene.id, strip, of, window), enabled: rests && window[2] > 0, staleTime: Infinity, placeholderData: (last) => last });
    return query.data ?? null;
}
