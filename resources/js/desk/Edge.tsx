import { work } from '../session/store';
import { follow } from '../ui/pointer';

const FAR_ENOUGH = 8;

/** The upper edge of the desk: pulled up or down, or pressed, it opens the desk or lets it down. */
export function Edge({ open }: { open: boolean }) {
    function onPointerDown(event: React.PointerEvent<HTMLButtonElement>) {
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
        <button
            aria-label="The whole desk"
            aria-expanded={open}
            title={open ? 'Lower the desk' : 'Open the desk: modes, masks, whole names'}
            className="group absolute -top-[5px] right-0 left-0 z-10 flex h-[11px] cursor-ns-resize touch-none items-center justify-center"
            onPointerDown={onPointerDown}
            onKeyDown={(event) => {
                const way = { ArrowUp: true, ArrowDown: false, Enter: !open, ' ': !open }[event.key];
                if (way !== undefined) {
                    event.preventDefault();
                    event.stopPropagation();
                    work.desk(way);
                }
            }}
        >
            <span className="h-[3px] w-12 rounded-full bg-line group-hover:bg-quiet" aria-hidden />
        </button>
    );
}
