import type { ReactNode } from 'react';

export function Row({ label, id, children, onReset }: { label: ReactNode; id?: string; children: ReactNode; onReset?: () => void }) {
    return (
        <div className="flex min-h-6 items-center">
            <label htmlFor={id} className="w-[88px] shrink-0 text-quiet" onDoubleClick={onReset}>
                {label}
            </label>
            <div className="flex min-w-0 flex-1 items-center gap-1.5">{children}</div>
        </div>
    );
}
