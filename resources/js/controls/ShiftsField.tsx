import { RotateCcw } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Point, Shift, Shifts } from '../api/types';
import { useColourCloud } from '../session/counted';
import { inWords, placeOf, shiftAt } from '../session/shifts';
import { follow } from '../ui/pointer';
import { through, type Hand, type ValueProps } from './hand';
import { NumberField } from './NumberField';
import { away, FOOT, HIGH, planeAt, seen, toward, WIDE } from './tilted';

const RANGES = [
    { key: 'darks', words: 'Darks', fill: '#1c1c1c' },
    { key: 'mids', words: 'Mids', fill: '#7b7b7b' },
    { key: 'lights', words: 'Lights', fill: '#f0f0f0' },
] as const;

type Range = (typeof RANGES)[number]['key'];

/** What a peg can be taken by, px. */
const GRIP = 15;

const NONE: Shifts = { darks: [0, 0, 0], mids: [0, 0, 0], lights: [0, 0, 0] };

/**
 * The greys from dark to light as a thread among the colours that there are, seen aslant: at darks, mids and lights a peg pulls it
 * toward a colour, on a plane of its own.
 */
export function ShiftsField({ parameter, value, hand, scene, strip }: ValueProps) {
    const box = useRef<SVGSVGElement>(null);
    const [last, setLast] = useState<Range>('mids');
    const [held, setHeld] = useState(false);
    const cloud = useColourCloud(scene, strip.id);
    const shifts: Shifts = { ...NONE, ...(value as Shifts) };
    const set = hand as Hand<Shifts>;
    const part = (range: Range) => through<Shifts, Shift>(set, (shift) => ({ ...shifts, [range]: shift }));
    const pegs = RANGES.map(({ key }) => toward(FOOT[key], placeOf(shifts[key])));
    const place = (event: { clientX: number; clientY: number }): Point => {
        const bounds = box.current?.getBoundingClientRect();
        return [((event.clientX - (bounds?.left ?? 0)) / (bounds?.width ?? 1)) * WIDE, ((event.clientY - (bounds?.top ?? 0)) / (bounds?.height ?? 1)) * HIGH];
    };

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const [x, y] = place(event);
        // of pegs that stand close together the one that was held last
        const near = RANGES.map(({ key }, at) => ({ key, at, far: Math.hypot(pegs[at]![0] - x, pegs[at]![1] - y) - (key === last ? 1 : 0) })).sort((a, b) => a.far - b.far)[0];
        if (!near || near.far > GRIP) {
            return;
        }
        setLast(near.key);
        setHeld(true);
        const from = pegs[near.at]!;
        const own = part(near.key);
        let hasMoved = false;
        const ended = (end: () => void) => () => {
            setHeld(false);
            if (hasMoved) {
                end();
            }
        };
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                hasMoved = true;
                const [u, v] = place(pointer);
                own.live(shiftAt(away(FOOT[near.key], [from[0] + u - x, from[1] + v - y]), shifts[near.key]), pointer.timeStamp);
            },
            end: ended(own.commit),
            cancel: ended(own.drop),
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
            <svg ref={box} viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full touch-none rounded-sm bg-well" data-testid="shifts" onPointerDown={onPointerDown}>
                <title>Greys from dark to light among the colours of the picture: drag a peg toward the colour that its tones are drawn to</title>
                {cloud?.map(([colour, l, a, b, share], at) => {
                    const [x, y] = seen(l, a, b);
                    return <circle key={at} cx={x} cy={y} r={1 + 9 * Math.sqrt(share)} fill={colour} fillOpacity={0.6} pointerEvents="none" />;
                })}
                {held && <polygon points={planeAt(FOOT[last]).map((corner) => corner.join(',')).join(' ')} fill="#fff" fillOpacity={0.05} stroke="#ddd" strokeOpacity={0.5} pointerEvents="none" />}
                <line x1={seen(0.02, 0, 0)[0]} x2={seen(0.98, 0, 0)[0]} y1={seen(0, 0, 0)[1]} y2={seen(1, 0, 0)[1]} stroke="#cfcfcf" strokeOpacity={0.35} strokeDasharray="2 3" pointerEvents="none" />
                <Thread pegs={pegs} />
                {RANGES.map(({ key, words, fill }, at) => {
                    const [x, y] = pegs[at]!;
                    const [u, v] = FOOT[key];
                    return (
                        <g key={key}>
                            <line x1={u} y1={v} x2={x} y2={y} stroke="#f2a950" strokeWidth={1.5} pointerEvents="none" />
                            <rect
                                x={x - 4}
                                y={y - 8}
                                width={8}
                                height={16}
                                rx={2}
                                fill={fill}
                                stroke={key === last ? '#f2a950' : '#e6e6e6'}
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
                        </g>
                    );
                })}
            </svg>
            <div className="flex items-start gap-2 text-[12px]">
                {RANGES.map(({ key, words }) => (
                    <span key={key} className="min-w-0 flex-1">
                        {words} <span className="block text-quiet">{inWords(shifts[key])}</span>
                    </span>
                ))}
                <button aria-label={`Reset ${parameter.label.toLowerCase()}`} title="All as they are" disabled={isNone} className="rounded-sm p-1.5 text-quiet hover:text-ink disabled:invisible" onClick={() => set.set(NONE)}>
                    <RotateCcw size={12} />
                </button>
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

/** Where the greys go: through the three pegs; white goes along with the lights, black stays. */
function Thread({ pegs }: { pegs: Point[] }) {
    const [white, [u, v], [x, y]] = [seen(0.98, 0, 0), FOOT.lights, pegs[2]!];
    const points: Point[] = [seen(0.02, 0, 0), ...pegs, [white[0] + x - u, white[1] + y - v]];
    const path = points.slice(1).reduce((text, [x, y], at) => {
        const [u, v] = points[at]!;
        const bend = (x - u) / 2;
        return `${text} C${(u + bend).toFixed(1)} ${v.toFixed(1)} ${(x - bend).toFixed(1)} ${y.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)}`;
    }, `M${points[0]![0]} ${points[0]![1]}`);
    return (
        <>
            <defs>
                <linearGradient id="greys" gradientUnits="userSpaceOnUse" x1={points[0]![0]} x2={points[4]![0]}>
                    <stop offset={0} stopColor="#000" />
                    <stop offset={1} stopColor="#fff" />
                </linearGradient>
            </defs>
            <path d={path} fill="none" stroke="#8a8a8a" strokeWidth={5} pointerEvents="none" />
            <path d={path} fill="none" stroke="url(#greys)" strokeWidth={3} pointerEvents="none" />
        </>
    );
}
