import { useQuery } from '@tanstack/react-query';
import type { Scene } from '../api/types';
import { lensOf, windowOf } from './camera';
import { useWork } from './store';
import { toneCounts } from './tones';

/** The tones of what is looked at, counted when the picture rests: of what lies below a strip, or of itself. */
export function useToneCounts(scene: Scene, strip: string, of: string): number[] | null {
    const camera = useWork((state) => state.camera);
    const view = useWork((state) => state.view);
    const isResting = useWork((state) => !state.moving && state.shownRevision >= scene.revision);
    const { x, y, width, height } = windowOf(lensOf(camera, scene, view), scene, view);
    const window = [x, y, width, height];
    const query = useQuery({ queryKey: ['tones', scene.id, scene.revision, strip, of, window], queryFn: () => toneCounts(scene.id, strip, of, window), enabled: isResting && width > 0, staleTime: Infinity, placeholderData: (last) => last });
    return query.data ?? null;
}
