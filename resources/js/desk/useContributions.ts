import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Scene } from '../api/types';
import { useWork } from '../work/store';

/** What each strip alone adds or takes away, as small pictures; asked for when the hand rests. */
export function useContributions(scene: Scene): Map<string, ImageData> {
    // the picture comes first, the small ones behind it
    const isShown = useWork((state) => !state.moving && state.shownRevision >= scene.revision);
    const query = useQuery({
        queryKey: ['contributions', scene.id, scene.revision],
        queryFn: async () => {
            const reply = await api.contributions(scene.id);
            const pictures = new Map<string, ImageData>();
            if (reply) {
                const { columns, rows, strips } = reply.head;
                strips.forEach((id, at) => {
                    const from = at * columns * rows * 4;
                    pictures.set(id, new ImageData(reply.pixels.slice(from, from + columns * rows * 4), columns, rows));
                });
            }
            return pictures;
        },
        enabled: isShown,
        placeholderData: (last) => last,
        staleTime: Infinity,
        gcTime: 60000,
    });
    return query.data ?? new Map<string, ImageData>();
}
