import type { ReactNode } from 'react';
import { useWork, work } from '../session/store';

/** A folding part of the bench; open or folded as it was left for things of this kind. */
export function Section({ title, of, note, open = true, children }: { title: string; /** the kind of what it belongs to */ of: string; note?: string; open?: boolean; children: ReactNode }) {
    const name = `${of} ${title}`;
    const isOpen = useWork((state) => state.sections[name]) ?? open;
    return (
        <details open={isOpen} className="group/section border-b border-line px-3" onToggle={(event) => event.currentTarget.open !== isOpen && work.section(name, event.currentTarget.open)}>
            <summary className="flex cursor-default list-none items-baseline gap-1.5 rounded-sm font-semibold before:w-2 before:text-[10px] before:text-quiet before:content-['▸'/''] group-open/section:before:rotate-90">
                {title} {note && <span className="truncate font-normal text-quiet">{note}</span>}
            </summary>
            <div className="mt-0.5 mb-1 flex flex-col gap-0.5">{children}</div>
        </details>
    );
}
