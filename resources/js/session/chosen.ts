import type { Scene } from '../api/types';
import { useWork } from './slice';
import { everyStrip, plateOf } from './strips';

/** The plate that is chosen, or that the chosen strip is about; null for none. */
export function chosenPlate(scene: Scene): string | null {
    return plateOf(everyStrip(scene.strips).find((strip) => strip.id === useWork.getState().chosen));
}
