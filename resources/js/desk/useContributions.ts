import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Scene } from '../api/types';
import { picturesOf, type Small } from '../ui/smallPictures';
import { useRests } from '../session/resting';

/** What each strip alone adds or takes away, as small pictures; asked for when the hand rests. */
export function useContributions(scene: Scene): Map<string, Small> {
    // the picture comes first, the small ones behind it
    const isShown = useRests(scene);
    const query = useQuery({
        queryKey: ['contributions', scene.id, scene.revision],
        queryFn: async () => {
            const reply = await api.contributions(scene.id);
            return reply ? picturesOf(reply) : new Map<string, Small>();
        },
        enabled: isShown,
        placeholderData: (last) => last,
        staleTime: Infinity,
        gcTime: 60000,
    });
    return query.data ?? new Map<string, Small>();
}
