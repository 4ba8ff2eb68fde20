import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Reading, Scene } from '../api/types';
import { useWork } from './store';

const NONE: Reading[] = [];

/** All that is noticed: of the scene as the hand has it, and of its picture as it is when the hand rests. */
export function useReadings(scene: Scene): Reading[] {
    const noticed = useWork((state) => state.noticed);
    const isShown = useWork((state) => !state.moving && state.shownRevision >= scene.revision);
    const query = useQuery({
        queryKey: ['readings', scene.id, scene.revision],
        queryFn: async () => (await api.readings(scene.id)) ?? NONE,
        enabled: isShown,
        placeholderData: (last) => last,
        staleTime: Infinity,
        gcTime: 60000,
    });
    const own = noticed.readings ?? scene.readings;
    return query.data && query.data.length > 0 ? [...own, ...query.data] : own;
}
