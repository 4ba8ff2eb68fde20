import { X } from 'lucide-react';
import { create } from 'zustand';

type Notice = { id: number; text: string; action?: { label: string; run: () => void } };

const useNotices = create<{ notices: Notice[] }>(() => ({ notices: [] }));

let last = 0;

/** Says something at the lower edge; it goes when it is closed, or by itself after a while. */
export function say(text: string, action?: Notice['action']): void {
    const id = ++last;
    useNotices.setState(({ notices }) => ({ notices: [...notices.filter((notice) => notice.text !== text).slice(-2), { id, text, action }] }));
    window.setTimeout(() => close(id), 12000);
}

export function sayError(error: unknown): void {
    say(error instanceof Error ? error.message : 'Something went wrong. Try it again.');
}

function close(id: number): void {
    useNotices.setState(({ notices }) => ({ notices: notices.filter((notice) => notice.id !== id) }));
}

export function Notices() {
    const notices = useNotices((state) => state.notices);
    return (
        <div role="status" aria-live="polite" className="pointer-events-none fixed inset-x-0 bottom-[250px] z-50 flex flex-col items-center gap-2">
            {notices.map((notice) => (
                <div key={notice.id} className="pointer-events-auto flex max-w-[640px] items-center gap-3 rounded-md border border-line bg-well py-2 pr-2 pl-4 shadow-lg">
                    <span>{notice.text}</span>
                    {notice.action && (
                        <button
                            className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised"
                            onClick={() => {
                                notice.action?.run();
                                close(notice.id);
                            }}
                        >
                            {notice.action.label}
                        </button>
                    )}
                    <button aria-label="Close" className="rounded-sm p-1 hover:bg-raised" onClick={() => close(notice.id)}>
                        <X size={14} />
                    </button>
                </div>
            ))}
        </div>
    );
}
