import { X } from 'lucide-react';

/** A small button that does one thing. */
export function Action({ label, title, pressed, onPress }: { label: string; title?: string; pressed?: boolean; onPress: () => void }) {
    return (
        <button aria-pressed={pressed} title={title} className={`rounded-sm border border-line px-2 py-0.5 ${pressed ? 'bg-ink text-well' : 'hover:bg-raised'}`} onClick={onPress}>
            {label}
        </button>
    );
}

export function Forget({ label, onPress }: { label: string; onPress: () => void }) {
    return (
        <button aria-label={label} title={label} className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={onPress}>
            <X size={12} />
        </button>
    );
}
