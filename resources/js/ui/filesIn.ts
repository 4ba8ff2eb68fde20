import { useEffect, useRef } from 'react';

/** Files of a folder at most. */
const MOST = 200;

/** The name of a folder that is dropped, and the files that lie in it; null where files are dropped themselves. Asked for while the event lasts. */
export function folderIn(transfer: DataTransfer): Promise<{ name: string; files: File[] }> | null {
    const entry = Array.from(transfer.items, (item) => item.webkitGetAsEntry()).find((one) => one?.isDirectory) as FileSystemDirectoryEntry | undefined;
    if (!entry) {
        return null;
    }
    return new Promise((resolve, reject) => {
        const files: Promise<File>[] = [];
        const reader = entry.createReader();
        // a reader gives a part of them each time
        const read = () =>
            reader.readEntries((entries) => {
                entries.filter((one) => one.isFile && !one.name.startsWith('.')).forEach((one) => files.push(new Promise((file, fail) => (one as FileSystemFileEntry).file(file, fail))));
                if (entries.length > 0 && files.length < MOST) {
                    read();
                } else {
                    Promise.all(files.slice(0, MOST)).then((all) => resolve({ name: entry.name, files: all.sort((a, b) => a.name.localeCompare(b.name)) }), reject);
                }
            }, reject);
        read();
    });
}

/** Files that are dropped anywhere on the page, or pasted; the browser never leaves the page for one. What is pasted without files, outside of fields, means what was copied here. */
export function useFilesIn(take: (files: File[], folder?: string) => void, paste?: () => void): void {
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
                const folder = isTaken ? null : folderIn(event.dataTransfer);
                if (folder) {
                    void folder.then(({ name, files }) => latest.current(files, name), () => undefined);
                } else if (!isTaken) {
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
