/** One limit over a hill, to be moved by keys: seen while it has the focus; by hand the slopes are dragged. */
export function Limit({ x, y, label, now, most, text, onStep }: { x: number; y: number; label: string | undefined; now: number; most: number; text: string; /** 1 or -1, and whether it is to be a large one */ onStep: (way: number, isLarge: boolean) => void }) {
    return (
        <ellipse
            cx={x}
            cy={y}
            rx={3.5}
            ry={3.5}
            fill="#f2a950"
            tabIndex={0}
            className="opacity-0 outline-none focus-visible:opacity-100"
            role="slider"
            aria-label={label}
            aria-valuemin={0}
            aria-valuemax={most}
            aria-valuenow={now}
            aria-valuetext={text}
            onKeyDown={(event) => {
                const way = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
                if (way) {
                    event.preventDefault();
                    event.stopPropagation();
                    onStep(way, event.shiftKey);
                }
            }}
        />
    );
}
