import type { Point } from '../../api/types';
import { toScene, type Lens } from '../../session/camera';

/** Where a pointer that has gone down on a layer stands, and how to tell where it goes: in scene pixels. */
export function placing(event: { currentTarget: Element; clientX: number; clientY: number }, lens: Lens): { at: Point; place: (pointer: { clientX: number; clientY: number }) => Point } {
    const bounds = event.currentTarget.getBoundingClientRect();
    const place = (pointer: { clientX: number; clientY: number }) => toScene(lens, [pointer.clientX - bounds.left, pointer.clientY - bounds.top]);
    return { at: place(event), place };
}
