import { RotateCcw } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Point, Shift, Shifts } from '../api/types';
import { inWords, placeOf, shiftAt } from '../session/shifts';
import { follow } from '../ui/pointer';
import { through, type Hand, type ValueProps } from './hand';
import { NumberField } from './NumberField';

const RANGES = [
    { key: 'darks', words: 'Darks', fill: '#161616' },
    { key: 'mids', words: 'Mids', fill: '#7b7b7b' },
    { key: 'lights', words: 'Lights', fill: '#f4f4f4' },
] as const;

type Range = (typeof RANGES)[number]['key'];

/** Half the width of the plane, and of what a dot can be taken by. */
const [HALF, GRIP] = [62, 14];

const NONE: Shifts = { darks: [0, 0, 0], mids: [0, 0, 0], lights: [0, 0, 0] };

/** Three dots on a plane of colours: toward which one darks, mids and lights are drawn, and how far. */
export function ShiftsField({ parameter, value, hand }: ValueProps) {
    const box = useRef<SVGSVGElement>(null);
    const [last, setLast] = useState<Range>('lights');
    const shifts: Shifts = { ...NONE, ...(value as Shifts) };
    const set = hand as Hand<Shifts>;
    const part = (range: Range) => through<Shifts, Shift>(set, (shift) => ({ ...shifts, [range]: shift }));
    const place = (event: { clientX: number; clientY: number }): Point => {
        const bounds = box.current?.getBoundingClientRect();
        return [((event.clientX - (bounds?.left ?? 0)) / (bounds?.width ?? 1)) * 2 * HALF - HALF, HALF - ((event.clientY - (bounds?.top ?? 0)) / (bounds?.height ?? 1)) * 2 * HALF];
    };
    const reach = HALF - 6;
    const dots = RANGES.map(({ key }) => placeOf(shifts[key]).map((share) => share * reach) as Point);

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const [x, y] = place(event);
        // of dots that lie on one another the one that was held last
        const near = RANGES.map(({ key }, at) => ({ key, at, away: Math.hypot(dots[at]![0] - x, dots[at]![1] - y) - (key === last ? 1 : 0) })).sort((a, b) => a.away - b.away)[0];
        if (!near || near.away > GRIP) {
            return;
        }
        setLast(near.key);
        const from = dots[near.at]!;
        const own = part(near.key);
        let hasMoved = false;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                hasMoved = true;
                const [u, v] = place(pointer);
                own.live(shiftAt([(from[0] + u - x) / reach, (from[1] + v - y) / reach], shifts[near.key]), pointer.timeStamp);
            },
            end: () => hasMoved && own.commit(),
            cancel: () => hasMoved && own.drop(),
        });
    }

    function onKeyDown(event: React.KeyboardEvent, range: Range) {
        const way: Point | undefined = ({ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Record<string, Point>)[event.key];
        if (way) {
            event.preventDefault();
            event.stopPropagation();
            const step = event.shiftKey ? 0.1 : 0.02;
            const [x, y] = placeOf(shifts[range]);
            part(range).nudge(shiftAt([x + way[0] * step, y + way[1] * step], shifts[range]));
        }
    }

    const isNone = RANGES.every(({ key }) => shifts[key].every((part) => part === 0));
    return (
        <div className="flex flex-col gap-1">
            <div className="flex items-start gap-3">
                <svg ref={box} viewBox={`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`} className="h-[124px] w-[124px] shrink-0 touch-none" data-testid="shifts" onPointerDown={onPointerDown}>
                    <title>Drag a dot toward the colour that its tones are drawn to</title>
                    <foreignObject x={-HALF} y={-HALF} width={2 * HALF} height={2 * HALF} pointerEvents="none">
                        <div className="h-full w-full rounded-full" style={{ background: 'radial-gradient(closest-side, #6e6e6e 0%, #6e6e6ecc 30%, #6e6e6e00 100%), conic-gradient(from 90deg, #b0504f, #a4529f, #5b5fb4, #4c8f95, #4f9156, #a3984c, #b0504f)' }} />
                    </foreignObject>
                    <line x1={-4} x2={4} y1={0} y2={0} stroke="#ddd" strokeOpacity={0.6} />
                    <line x1={0} x2={0} y1={-4} y2={4} stroke="#ddd" strokeOpacity={0.6} />
                    {RANGES.map(({ key, words, fill }, at) => (
                        <circle
                            key={key}
                            cx={dots[at]![0]}
                            cy={-dots[at]![1]}
                            r={key === last ? 7 : 6}
                            fill={fill}
                            stroke={key === 'lights' ? '#222' : '#eee'}
                            strokeWidth={1.5}
                            tabIndex={0}
                            className="cursor-grab outline-none focus-visible:stroke-[3px]"
                            role="slider"
                            aria-label={words}
                            aria-valuemin={0}
                            aria-valuemax={100}
                            aria-valuenow={Math.min(100, Math.round(100 * Math.hypot(...placeOf(shifts[key])) ** 2))}
                            aria-valuetext={inWords(shifts[key])}
                            onFocus={() => setLast(key)}
                            onKeyDown={(event) => onKeyDown(event, key)}
                        />
                    ))}
                </svg>
                <div className="flex min-w-0 flex-1 flex-col gap-1 pt-1 text-[12px]">
                    {RANGES.map(({ key, words, fill }) => (
                        <div key={key} className="flex items-start gap-1.5">
                            <span aria-hidden className="mt-1 h-2.5 w-2.5 shrink-0 rounded-full border border-quiet" style={{ background: fill }} />
                            <span>
                                {words} <span className="block text-quiet">{inWords(shifts[key])}</span>
                            </span>
                        </div>
                    ))}
                    {!isNone && (
                        <button aria-label={`Reset ${parameter.label.toLowerCase()}`} title="All as they are" className="self-start rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => set.set(NONE)}>
                            <RotateCcw size={12} />
                        </button>
                    )}
                </div>
            </div>
            <details>
                <summary className="cursor-default list-none text-[12px] text-quiet hover:text-ink">{RANGES.find(({ key }) => key === last)?.words} in numbers</summary>
                {(['Red', 'Green', 'Blue'] as const).map((words, at) => (
                    <NumberField
                        key={words}
                        label={words}
                        value={shifts[last][at] ?? 0}
                        unit="%"
                        signed
                        least={parameter.least}
                        most={parameter.most}
                        step={1}
                        rest={0}
                        hand={through<Shift, number | null>(part(last), (next) => shifts[last].map((own, other) => (other === at ? (next ?? 0) : own)) as Shift)}
                    />
                ))}
            </details>
        </div>
    );
}
