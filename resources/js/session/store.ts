import { kept } from './arrangement';
import { choosing } from './choosing';
import { hand } from './hand';
import { looking, panels } from './looking';
import { set } from './slice';
import { fresh } from './state';

export { useWork } from './slice';
export { course, type BrushSettings, type Camera, type Drawing, type Marking, type PickSettings, type Placing, type Seeing, type Step, type Tool } from './state';

/** Every way in which the state of this window changes. */
export const work = { reset: () => set({ ...fresh, ...kept() }), ...choosing, ...hand, ...looking, ...panels };
