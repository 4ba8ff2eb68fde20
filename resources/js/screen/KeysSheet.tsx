import { Dialog } from 'radix-ui';
import { keyList } from './keys';
import { focusBack } from '../ui/focus';
import { useWork, work } from '../session/store';

export function KeysSheet() {
    const open = useWork((state) => state.keysOpen);
    const letters = useWork((state) => state.letters);
    return (
        <Dialog.Root open={open} onOpenChange={work.keys}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
                <Dialog.Content
                    aria-describedby={undefined}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        focusBack();
                    }}
                    className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[520px] max-w-[96vw] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-well p-5">
                    <Dialog.Title className="mb-3 font-semibold">Keys</Dialog.Title>
                    <dl className="grid grid-cols-[190px_1fr] gap-y-1.5">
                        {keyList.map(([key, meaning]) => (
                            <div key={key} className="contents">
                                <dt className="font-mono text-[12px]">{key}</dt>
                                <dd className="text-quiet">{meaning}</dd>
                            </div>
                        ))}
                    </dl>
                    <label className="mt-4 flex items-center gap-2">
                        <input type="checkbox" className="h-4 w-4 accent-[#ececec]" checked={letters} onChange={(event) => work.letters(event.target.checked)} />
                        Single letters are keys
                    </label>
                    <Dialog.Close className="mt-4 rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}
