import { keep, type Arrangement } from './arrangement';
import { set, useWork } from './slice';

/** Arranges how one works, and remembers it. */
export function arrange(change: Partial<Arrangement>): void {
    set(change);
    const now = useWork.getState();
    const { deskOpen, folded, compassOpen, darkSurround, foldedGroups, sections, pick, letters, likeLast, firstDone, brush } = now;
    // a brush is remembered as large as it looks
    keep({ deskOpen, folded, compassOpen, darkSurround, foldedGroups, sections, pick, letters, likeLast, firstDone, brush: { ...brush, size: brush.size / now.span } });
}
