import { useEffect, useRef } from 'react';

/** Escape gives up what the pointer was to do, before anything else hears of it; `giveUp` says whether there was anything to give up. */
export function useEscape(giveUp: () => boolean): void {
    const latest = useRef(giveUp);
    useEffect(() => {
        latest.current = giveUp;
    });
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            if (event.key === 'Escape' && latest.current()) {
                event.stopPropagation();
            }
        };
        window.addEventListener('keydown', onKey, true);
        return () => window.removeEventListener('keydown', onKey, true);
    }, []);
}
