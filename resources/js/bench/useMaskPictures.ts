import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Scene, Strip } from '../api/types';
import { useRests } from '../session/resting';
import { picturesOf, type Small } from '../ui/smallPictures';

/** What the masks of a strip look like, as small pictures; asked for when the hand rests. */
export function useMaskPictures(scene: Scene, strip: Strip): Map<string, Small> {
    const isShown = useRests(scene);
    const query = useQuery({
        queryKey: ['masks', scene.id, strip.id, scene.revision],
        queryFn: async () => {
            const reply = await api.masks(scene.id, strip.id);
            return reply ? picturesOf(reply) : new Map<string, Small>();
        },
        enabled: isShown && strip.masks.length > 0,
        placeholderData: (last, query) => (query?.queryKey[2] === strip.id ? last : undefined),
        staleTime: Infinity,
        gcTime: 60000,
    });
    return query.data ?? new Map<string, Small>();
}
