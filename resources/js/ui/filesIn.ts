import { useEffect, useRef } from 'react';

/** Files that are dropped anywhere on the page, or pasted; the browser never leaves the page for one. What is pasted without files, outside of fields, means what was copied here. */
export function useFilesIn(take: (files: File[]) => void, paste?: () => void): void {
    const latest = useRef(take);
    const other = useRef(paste);
    useEffect(() => {
        latest.current = take;
        other.current = paste;
    });
    useEffect(() => {
        const holdsFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;
        const onOver = (event: DragEvent) => {
            if (holdsFiles(event)) {
                event.preventDefault();
            }
        };
        const onDrop = (event: DragEvent) => {
            const isTaken = event.defaultPrevented;
            if (event.dataTransfer && event.dataTransfer.files.length > 0) {
                event.preventDefault();
                if (!isTaken) {
                    latest.current(Array.from(event.dataTransfer.files));
                }
            }
        };
        const onPaste = (event: ClipboardEvent) => {
            const files = Array.from(event.clipboardData?.files ?? []);
            if (files.length > 0) {
                event.preventDefault();
                latest.current(files);
            } else if (!(event.target instanceof HTMLElement && /^(input|textarea|select)$/i.test(event.target.tagName))) {
                other.current?.();
            }
        };
        window.addEventListener('dragover', onOver);
        window.addEventListener('drop', onDrop);
        window.addEventListener('paste', onPaste);
        return () => {
            window.removeEventListener('dragover', onOver);
            window.removeEventListener('drop', onDrop);
            window.removeEventListener('paste', onPaste);
        };
    }, []);
}
