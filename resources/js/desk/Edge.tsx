import { ChevronDown, ChevronUp } from 'lucide-react';
import { useWork, work } from '../session/store';
import { follow } from '../ui/pointer';

const FAR_ENOUGH = 8;

/** The upper edge of the desk: pulled up or down, or pressed, it opens the desk or lets it down. For the keys there is a button. */
export function Edge({ open }: { open: boolean }) {
    function onPointerDown(event: React.PointerEvent<HTMLDivElement>) {
        const from = event.clientY;
        let to: boolean | null = null;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                const way = pointer.clientY - from;
                to = Math.abs(way) < FAR_ENOUGH ? to : way < 0;
            },
            end: () => work.desk(to ?? !open),
            cancel: () => undefined,
        });
    }
    return (
        <div aria-hidden data-testid="edge" title={open ? 'Lower the desk' : 'Open the desk: modes, masks, whole names'} className="group absolute inset-x-0 top-0 z-10 flex h-[7px] cursor-ns-resize touch-none items-center justify-center" onPointerDown={onPointerDown}>
            <span className="h-[3px] w-12 rounded-full bg-line group-hover:bg-quiet" />
        </div>
    );
}

/** Opens the desk, or lets it down. */
export function DeskButton() {
    const open = useWork((state) => state.deskOpen);
    return (
        <button
            aria-label="The whole desk"
            aria-expanded={open}
            title={open ? 'Lower the desk' : 'Open the desk: modes, masks, whole names'}
            className="flex h-6 w-6 items-center justify-center rounded-md text-quiet hover:text-ink"
            onClick={() => work.desk(!open)}
            onKeyDown={(event) => {
                const way = { ArrowUp: true, ArrowDown: false }[event.key];
                if (way !== undefined) {
                    event.preventDefault();
                    event.stopPropagation();
                    work.desk(way);
                }
            }}
        >
            {open ? <ChevronDown size={15} aria-hidden /> : <ChevronUp size={15} aria-hidden />}
        </button>
    );
}
