import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../api/client';
import type { Reading, Scene } from '../api/types';
import { useRests } from './resting';
import { useWork, work } from './store';
import { sourceName } from './things';

const NONE: Reading[] = [];

/** All that is noticed: of the scene as the hand has it, and of its picture as it is when the hand rests. */
function useNoticed(scene: Scene): Reading[] {
    const noticed = useWork((state) => state.noticed);
    const isShown = useRests(scene);
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

/**
 * What is said of it. What has ended is not said any more at once; something new waits until the hand rests, and of what was
 * just placed nothing is said before the hand has gone on.
 */
export function useReadings(scene: Scene): Reading[] {
    const rested = useWork((state) => state.rested);
    const said = useWork((state) => state.said);
    const justPlaced = useWork((state) => state.justPlaced);
    return useNoticed(scene).filter((reading) => (rested || said.includes(reading.id)) && !reading.strips.some((strip) => strip === justPlaced || sourceName(strip) === justPlaced));
}

/** Remembers what is said while the hand rests; one part of the screen does. */
export function useSaying(readings: Reading[]): void {
    const rested = useWork((state) => state.rested);
    const ids = readings.map(({ id }) => id).join('\n');
    useEffect(() => {
        if (rested) {
            work.say(ids === '' ? [] : ids.split('\n'));
        }
    }, [rested, ids]);
}
