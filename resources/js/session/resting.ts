import type { Scene } from '../api/types';
import { lensOf, windowOf } from './camera';
import { useWork } from './store';

/** Whether the hand rests and the picture of the scene as it is written is shown: what takes long is asked for then. */
export const useRests = (scene: Scene): boolean => useWork((state) => !state.moving && state.shownRevision >= scene.revision);

/** The part of the scene that is looked at: left, top, width and height. */
export function useLookedAt(scene: Scene): [number, number, number, number] {
    const camera = useWork((state) => state.camera);
    const view = useWork((state) => state.view);
    const { x, y, width, height } = windowOf(lensOf(camera, scene, view), scene, view);
    return [x, y, width, height];
}
