import type { ReactNode } from 'react';

/** A folding part of the bench. */
export function Section({ title, note, open = true, children }: { title: string; note?: string; open?: boolean; children: ReactNode }) {
    return (
        <details open={open} className="border-b border-line px-3 py-2">
            <summary className="cursor-default list-none rounded-sm font-semibold">
                {title} {note && <span className="ml-1 font-normal text-quiet">{note}</span>}
            </summary>
            <div className="mt-1.5 flex flex-col gap-1">{children}</div>
        </details>
    );
}
