import { useEffect, useState } from 'react';

type Dot = { id: string; name: string; colour: string };

/** Where one is on a desk that is longer than the window: a dot for each strip, those in sight bright; a press goes there. */
export function Dots({ list, dots, chosen }: { list: React.RefObject<HTMLDivElement | null>; dots: Dot[]; chosen: string | null }) {
    const [sight, setSight] = useState<{ from: number; to: number } | null>(null);
    const count = dots.length;

    useEffect(() => {
        const element = list.current;
        if (!element) {
            return;
        }
        const look = () => {
            const { scrollLeft, clientWidth, scrollWidth } = element;
            setSight(scrollWidth > clientWidth + 1 ? { from: scrollLeft / scrollWidth, to: (scrollLeft + clientWidth) / scrollWidth } : null);
        };
        look();
        const observer = new ResizeObserver(look);
        observer.observe(element);
        element.addEventListener('scroll', look, { passive: true });
        return () => {
            observer.disconnect();
            element.removeEventListener('scroll', look);
        };
    }, [list, count]);

    if (!sight) {
        return null;
    }
    return (
        <div
            aria-hidden
            data-testid="dots"
            className="absolute inset-x-3 bottom-0 flex h-[9px] cursor-pointer items-center justify-center"
            onPointerDown={(event) => {
                const dot = (event.target as HTMLElement).closest<HTMLElement>('[data-dot]')?.dataset.dot;
                list.current?.querySelector(`[data-strip="${CSS.escape(dot ?? '')}"]`)?.scrollIntoView({ inline: 'center', block: 'nearest' });
            }}
        >
            {dots.map(({ id, name, colour }, at) => {
                const middle = (at + 0.5) / count;
                const isSeen = middle > sight.from && middle < sight.to;
                return (
                    <span key={id} data-dot={id} data-seen={isSeen} title={name} className="flex h-full items-center px-[2px]">
                        <span className={`block rounded-full ${id === chosen ? 'h-[7px] w-[7px] outline outline-ink' : 'h-[5px] w-[5px]'}`} style={{ background: colour, opacity: isSeen ? 1 : 0.35 }} />
                    </span>
                );
            })}
        </div>
    );
}
