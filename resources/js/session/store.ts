import { kept } from './arrangement';
import { choosing } from './choosing';
import { hand } from './hand';
import { looking, panels } from './looking';
import { set } from './slice';
import { fresh } from './state';

export { useWork } from './slice';
export { course, type BrushSettings, type Camera, type Compared, type Paints, type PickSettings, type Scoped, type Seeing, type Step } from './state';
export { drawingOf, fits, markingOf, pickingOf, pivots, placingOf, sphereOf, toolOf, type Drawing, type Marking, type Picking, type Placing, type Pointer, type Tool } from './pointer';

/** Every way in which the state of this window changes. */
export const work = {
    /** Begins with a scene; its size in px. */
    reset: ({ id, width, height }: { id: string; width: number; height: number }) => {
        const arrangement = kept();
        const span = Math.min(width, height);
        set({ ...fresh, ...arrangement, scene: id, span, brush: { ...arrangement.brush, size: Math.max(1, Math.round(arrangement.brush.size * span)) } });
    },
    leave: () => set({ scene: null }),
    ...choosing,
    ...hand,
    ...looking,
    ...panels,
};
