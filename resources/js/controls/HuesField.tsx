import { Trash2 } from 'lucide-react';
import { useId, useRef, useState } from 'react';
import type { HueStretch, Scene } from '../api/types';
import { drawn, hueName, huesAbout, isNothing, marked, movedRound, share, type Hues } from '../session/hues';
import { useHueHill } from '../session/counted';
import { useLookedAt } from '../session/resting';
import { pickingOf, useWork, work } from '../session/store';
import { say, sayError } from '../ui/notices';
import { hillOf } from '../ui/hill';
import { follow } from '../ui/pointer';
import { Action } from './Action';
import { through, type Hand, type ValueProps } from './hand';
import { Limit } from './Limit';
import { NumberField } from './NumberField';
import { OneOf } from './OneOf';

const PARTS = [
    { name: 'turn', label: 'Turned by', unit: '°', least: -90, most: 90, step: 1, rest: 0, times: 1 },
    { name: 'chroma', label: 'Richness', unit: '%', least: 0, most: 200, step: 1, rest: 100, times: 100 },
    { name: 'light', label: 'Lightness', unit: '%', least: -100, most: 100, step: 1, rest: 0, times: 1 },
] as const;

/** What each of the four limits is, the way round. */
const NAMES = ['First end, none', 'First end, all', 'Last end, all', 'Last end, none'];

const [WIDE, HIGH] = [256, 58];

/** The ends are joined: so many degrees of each are seen beyond the other. */
const BEYOND = 18;

const STEPS = 66;

const xOf = (hue: number) => ((hue + BEYOND) / (360 + 2 * BEYOND)) * WIDE;

const hueAt = (part: number) => part * (360 + 2 * BEYOND) - BEYOND;

/** A press that moves by less than so much of the width marks the hill that is there. */
const PRESSED = 0.012;

/** The hues that there are, as a hill whose ends are joined; stretches of it are marked, and each is turned, enriched or lightened. */
export function HuesField({ parameter, value, hand, scene, strip }: ValueProps) {
    const stretches = (value ?? []) as HueStretch[];
    const set = hand as Hand<HueStretch[]>;
    const picking = useWork(pickingOf);
    const worked = useWork((state) => Math.max(0, Math.min(state.stretch, stretches.length - 1)));
    const isPicking = picking !== null && 'hues' in picking && picking.hues === strip.id;
    const own = stretches[worked];
    const name = (hues: Hues) => hueName(parameter.choices, parameter.middles ?? [], hues);
    const change = (part: Partial<HueStretch>) => stretches.map((other, at) => (at === worked ? { ...other, ...part } : other));
    return (
        <div className="flex flex-col gap-1">
            <Hill scene={scene} strip={strip.id} most={parameter.most} stretches={stretches} worked={worked} name={name} hand={set} />
            <div className="flex min-h-6 flex-wrap items-center gap-1.5">
                {stretches.length > 1 ? (
                    <OneOf label="Stretch of hues" value={String(worked)} choices={stretches.map((stretch, at) => ({ value: String(at), label: name(stretch.hues) }))} onSet={(at) => work.chooseStretch(Number(at))} />
                ) : (
                    <span className="flex-1 first-letter:uppercase">{own ? name(own.hues) : 'No hue is marked'}</span>
                )}
                <Action label="Pick a hue" title="Press on the picture: the hues that belong to what is there are marked" pressed={isPicking} onPress={() => work.pickColour(isPicking ? null : { hues: strip.id, parameter: parameter.name })} />
                {own && (
                    <button aria-label={`Delete the stretch of ${name(own.hues)}`} title="Delete this stretch" className="rounded-sm p-1.5 text-quiet hover:text-ink" onClick={() => set.set(stretches.filter((_, at) => at !== worked))}>
                        <Trash2 size={12} />
                    </button>
                )}
            </div>
            {own &&
                PARTS.map(({ name: part, label, unit, least, most, step, rest, times }) => (
                    <NumberField
                        key={part}
                        label={label}
                        value={Math.round((own[part] ?? rest / times) * times * 100) / 100}
                        unit={unit}
                        signed={part !== 'chroma'}
                        least={least}
                        most={most}
                        step={step}
                        rest={rest}
                        hand={through<HueStretch[], number | null>(set, (next) => change({ [part]: (next ?? rest) / times }))}
                    />
                ))}
        </div>
    );
}

type HillProps = { scene: Scene; strip: string; most: number; stretches: HueStretch[]; worked: number; name: (hues: Hues) => string; hand: Hand<HueStretch[]> };

/** The hill, bright where a stretch acts; slopes are dragged, a stretch by its middle, and a new one is drawn where there is none. */
function Hill({ scene, strip, most, stretches, worked, name, hand }: HillProps) {
    const box = useRef<SVGSVGElement>(null);
    const id = useId();
    const counts = useHueHill(scene, strip)?.counts ?? null;
    const window = useLookedAt(scene);
    const [drawing, setDrawing] = useState<Hues | null>(null);
    const shown = drawing ? [...stretches, { hues: drawing }] : stretches;
    const active = drawing ? stretches.length : worked;
    const place = (event: { clientX: number; clientY: number }): [number, number] => {
        const bounds = box.current?.getBoundingClientRect();
        return [(event.clientX - (bounds?.left ?? 0)) / (bounds?.width ?? 1), (event.clientY - (bounds?.top ?? 0)) / (bounds?.height ?? 1)];
    };
    const withHues = (at: number, hues: Hues) => stretches.map((other, k) => (k === at ? { ...other, hues } : other));

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const [x, y] = place(event);
        const hit = hitOf(stretches, worked, hueAt(x));
        if (hit === null) {
            draw(event, x);
            return;
        }
        work.chooseStretch(hit.at);
        const { hues } = stretches[hit.at]!;
        // on a slope: high up the end where all passes, low down the one where nothing does, between them both
        const which = hit.slope === null ? [0, 1, 2, 3] : y < 0.34 ? [hit.slope[1]!] : y > 0.66 ? [hit.slope[0]!] : [...hit.slope].sort();
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => hand.live(withHues(hit.at, movedRound(hues, which, hueAt(place(pointer)[0]) - hueAt(x))), pointer.timeStamp),
            end: hand.commit,
            cancel: hand.drop,
        });
    }

    function draw(event: React.PointerEvent<SVGSVGElement>, x: number) {
        if (stretches.length >= most) {
            say(`There are ${most} stretches already.`);
            return;
        }
        let hues: Hues | null = null;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                const to = place(pointer)[0];
                hues = Math.abs(to - x) < PRESSED ? null : drawn(hueAt(x), hueAt(to));
                setDrawing(hues);
            },
            end: () => {
                setDrawing(null);
                if (hues) {
                    add(hues);
                } else {
                    void huesAbout(scene.id, strip, window, (hueAt(x) + 360) % 360).then((found) => found?.stretch && add(found.stretch), sayError);
                }
            },
            cancel: () => setDrawing(null),
        });
    }

    function add(hues: Hues) {
        const next = marked(stretches, worked, (hues[1] + hues[2]) / 2, hues);
        work.chooseStretch(next.at);
        hand.set(next.stretches);
    }

    const own = shown[active];
    return (
        <svg ref={box} viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" className="h-[58px] w-full cursor-ew-resize touch-none rounded-sm bg-well" data-testid="hues" onPointerDown={onPointerDown}>
            <title>The hues that there are, their ends joined: drag a slope or a marked stretch; draw another one, or press on a hill</title>
            <defs>
                <linearGradient id={id}>
                    {Array.from({ length: STEPS + 1 }, (_, k) => {
                        const hue = hueAt(k / STEPS);
                        const lit = Math.max(0, ...shown.map((stretch) => share(stretch.hues, hue)));
                        return <stop key={k} offset={k / STEPS} stopColor={`oklch(${0.42 + 0.36 * lit} ${0.045 + 0.085 * lit} ${hue})`} stopOpacity={0.5 + 0.5 * lit} />;
                    })}
                </linearGradient>
            </defs>
            <path d={hillOf(joined(counts), WIDE, HIGH, HIGH - 8)} fill={`url(#${id})`} />
            {/* where the circle was cut open */}
            {[0, 360].map((hue) => (
                <line key={hue} x1={xOf(hue)} x2={xOf(hue)} y1={HIGH - 5} y2={HIGH} stroke="#999" vectorEffect="non-scaling-stroke" />
            ))}
            {shown.map((stretch, at) => (
                <Slopes key={at} hues={stretch.hues} colour={at === active ? '#f2a950' : isNothing(stretch) ? '#777' : '#bbb'} />
            ))}
            {own?.hues.map((limit, at) => (
                <Limit
                    key={at}
                    x={xOf(limit % 360)}
                    y={at === 1 || at === 2 ? 4 : HIGH - 4}
                    label={NAMES[at]}
                    now={Math.round(limit % 360)}
                    most={360}
                    text={`${Math.round(limit % 360)} degrees, ${name([limit, limit, limit, limit])}`}
                    onStep={(way, isLarge) => drawing === null && hand.nudge(withHues(active, movedRound(own.hues, [at], way * (isLarge ? 10 : 2))))}
                />
            ))}
        </svg>
    );
}

/** Both slopes of a stretch, on each side of the cut where they are seen. */
function Slopes({ hues, colour }: { hues: Hues; colour: string }) {
    const slopes = [[0, 1], [3, 2]].flatMap(([none, all]) => [-360, 0, 360].map((turn) => [hues[none!]! - turn, hues[all!]! - turn] as const));
    return (
        <g pointerEvents="none">
            {slopes
                .filter((slope) => slope.some((hue) => hue >= -BEYOND && hue <= 360 + BEYOND))
                .map(([none, all], at) => (
                    <line key={at} x1={xOf(none)} y1={HIGH - 2} x2={xOf(all)} y2={3} stroke={colour} strokeWidth={1.5} vectorEffect="non-scaling-stroke" />
                ))}
        </g>
    );
}

/** So far from a slope it is grabbed, degrees. */
const NEAR = 9;

/** What lies under the pointer: a slope, or the middle of a stretch; of several that of the stretch that is worked on. */
function hitOf(stretches: HueStretch[], worked: number, hue: number): { at: number; slope: [number, number] | null } | null {
    const away = (one: number) => Math.abs(((((hue - one) % 360) + 540) % 360) - 180);
    const order = stretches.map((_, at) => at).sort((one, other) => Number(other === worked) - Number(one === worked));
    for (const at of order) {
        const { hues } = stretches[at]!;
        const slopes: [number, number][] = [[0, 1], [3, 2]];
        const [slope] = slopes.map((each) => ({ each, far: Math.max(0, away((hues[each[0]]! + hues[each[1]]!) / 2) - Math.abs(hues[each[0]]! - hues[each[1]]!) / 2) })).sort((one, other) => one.far - other.far);
        // of a narrow stretch the middle moves it as a whole
        const near = share(hues, hue) === 1 ? Math.min(NEAR, (hues[2] - hues[1]) / 4) : NEAR;
        if (slope && slope.far < near) {
            return { at, slope: slope.each };
        }
    }
    const inside = order.find((at) => share(stretches[at]!.hues, hue) > 0);
    return inside === undefined ? null : { at: inside, slope: null };
}

/** The counts with the end of the circle before its beginning, and its beginning after its end. */
function joined(counts: number[] | null): number[] | null {
    if (!counts) {
        return null;
    }
    const many = Math.round((BEYOND / 360) * counts.length);
    // black and white do not set the scale of a hill of tones: here nothing lies at the ends
    return [...counts.slice(-many), ...counts, ...counts.slice(0, many)];
}
