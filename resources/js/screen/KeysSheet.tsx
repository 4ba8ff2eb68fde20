import { Dialog } from 'radix-ui';
import { keyList } from './keys';
import { useWork, work } from '../session/store';

export function KeysSheet() {
    const open = useWork((state) => state.keysOpen);
    return (
        <Dialog.Root open={open} onOpenChange={work.keys}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
                <Dialog.Content aria-describedby={undefined} className="fixed top-1/2 left-1/2 z-50 w-[460px] -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-well p-5">
                    <Dialog.Title className="mb-3 font-semibold">Keys</Dialog.Title>
                    <dl className="grid grid-cols-[190px_1fr] gap-y-1.5">
                        {keyList.map(([key, meaning]) => (
                            <div key={key} className="contents">
                                <dt className="font-mono text-[12px]">{key}</dt>
                                <dd className="text-quiet">{meaning}</dd>
                            </div>
                        ))}
                    </dl>
                    <Dialog.Close className="mt-4 rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}
