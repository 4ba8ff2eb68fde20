import type { ReactNode } from 'react';
import { useWork, work } from '../session/store';

/** What a control does in light is told, in the row above the desk, while pointer or focus rest on it. */
export function Told({ says, children }: { says: string; children: ReactNode }) {
    const tell = () => useWork.getState().told !== says && work.tell(says);
    // a pointer that rests where something new comes to stand under it asks for nothing
    const moves = (event: React.PointerEvent) => (event.movementX !== 0 || event.movementY !== 0) && tell();
    const hush = () => work.tell(null);
    return (
        <div className="contents" onPointerMove={moves} onPointerOut={hush} onFocus={tell} onBlur={hush}>
            {children}
        </div>
    );
}
