import { useRef, type ReactElement } from 'react';

/** A hidden field for files: what opens it, and itself, to be put somewhere. The same file can be chosen twice. */
export function useFileChoice({ label, accept, multiple = false }: { label: string; accept: string; multiple?: boolean }, onFiles: (files: File[]) => void): [() => void, ReactElement] {
    const input = useRef<HTMLInputElement>(null);
    return [
        () => input.current?.click(),
        <input
            key={label}
            ref={input}
            type="file"
            accept={accept}
            multiple={multiple}
            aria-label={label}
            className="hidden"
            onChange={(event) => {
                // a list of its own: the one of an input is emptied when the input is
                const files = Array.from(event.target.files ?? []);
                event.target.value = '';
                if (files.length > 0) {
                    onFiles(files);
                }
            }}
        />,
    ];
}
