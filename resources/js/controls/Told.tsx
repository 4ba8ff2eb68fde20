import type { ReactNode } from 'react';
import { work } from '../session/store';

/** What a control does in light is told, in the row above the desk, while pointer or focus rest on it. */
export function Told({ says, children }: { says: string; children: ReactNode }) {
    const tell = () => work.tell(says);
    const hush = () => work.tell(null);
    return (
        <div className="contents" onPointerOver={tell} onPointerOut={hush} onFocus={tell} onBlur={hush}>
            {children}
        </div>
    );
}
