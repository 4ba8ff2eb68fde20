import { useId, useRef } from 'react';
import type { Scene, Strip, ToneLimits } from '../api/types';
import { Action } from '../controls/Action';
import { Limit } from '../controls/Limit';
import { OneOf } from '../controls/OneOf';
import { Row } from '../controls/Row';
import { Section } from '../controls/Section';
import type { Gestures } from '../session/gestures';
import { pickingOf, useWork, work } from '../session/store';
import { fromLimits, limitsOf, moved, OPEN, passes, type Limits } from '../session/tones';
import { useToneCounts } from '../session/counted';
import { hillOf } from '../ui/hill';
import { follow } from '../ui/pointer';
import { thingHand } from './hands';

const [WIDE, HIGH] = [256, 58];

/** What each of the four limits is, from dark to bright. */
const NAMES = ['Dark end, none', 'Dark end, all', 'Bright end, all', 'Bright end, none'];

const STEPS = 48;

/** The tones between which a strip acts, over the tones that there are. */
export function TonesBench({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const tones = strip.tones ?? OPEN;
    const isSeen = useWork((state) => state.seeing === 'passing');
    const picking = useWork(pickingOf);
    const isPicking = picking !== null && 'tones' in picking;
    const hand = thingHand<Limits>(strip.id, gestures, 'Tone limits', (limits) => ({ tones: fromLimits(limits, tones.of) }));
    return (
        <Section of={strip.kind} title="Tone limits" open={false} note={strip.tones ? 'acts on some tones' : 'acts on all tones'}>
            <Row label="Of">
                <OneOf<ToneLimits['of']>
                    label="Tones of"
                    value={tones.of}
                    choices={[
                        { value: 'below', label: 'what lies below' },
                        { value: 'itself', label: 'itself' },
                    ]}
                    onSet={(of) => void gestures.change(strip.id, { tones: { ...tones, of } }, 'Tone limits')}
                />
            </Row>
            <Wedge scene={scene} strip={strip} tones={tones} hand={hand} />
            <div className="flex flex-wrap gap-1.5 pt-0.5">
                <Action label="Pick a tone" title="Press on the picture: the strip acts on that tone" pressed={isPicking} onPress={() => work.pickColour(isPicking ? null : { tones: strip.id })} />
                <Action label="See what passes" title="White where the tones let it act" pressed={isSeen} onPress={() => work.see('passing')} />
                {strip.tones && <Action label="All tones" title="No limits" onPress={() => void gestures.change(strip.id, { tones: null }, 'No tone limits')} />}
            </div>
        </Section>
    );
}

/** The tones as they are spread, bright where they pass; the slopes at both ends are dragged, as a whole or by one end. */
function Wedge({ scene, strip, tones, hand }: { scene: Scene; strip: Strip; tones: ToneLimits; hand: ReturnType<typeof thingHand<Limits>> }) {
    const box = useRef<SVGSVGElement>(null);
    const id = useId();
    const counts = useToneCounts(scene, strip.id, tones.of);
    const limits = limitsOf(tones);
    const place = (event: { clientX: number; clientY: number }): [number, number] => {
        const bounds = box.current?.getBoundingClientRect();
        return [(event.clientX - (bounds?.left ?? 0)) / (bounds?.width ?? 1), (event.clientY - (bounds?.top ?? 0)) / (bounds?.height ?? 1)];
    };

    function onPointerDown(event: React.PointerEvent<SVGSVGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const [x, y] = place(event);
        // the nearer slope; high up the end where all passes, low down the one where nothing does, between them both
        const isDark = Math.abs(x - (limits[0] + limits[1]) / 2) <= Math.abs(x - (limits[2] + limits[3]) / 2);
        const [none, all] = isDark ? [0, 1] : [3, 2];
        const which = y < 0.34 ? [all] : y > 0.66 ? [none] : [none, all].sort();
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => hand.live(moved(limits, which, place(pointer)[0] - x), pointer.timeStamp),
            end: hand.commit,
            cancel: hand.drop,
        });
    }

    return (
        <svg ref={box} viewBox={`0 0 ${WIDE} ${HIGH}`} preserveAspectRatio="none" className="h-[58px] w-full cursor-ew-resize touch-none rounded-sm bg-well" data-testid="tones" onPointerDown={onPointerDown}>
            <title>Tones, dark at the left: drag the slopes, by their middle or by one end</title>
            <defs>
                <linearGradient id={id}>
                    {Array.from({ length: STEPS + 1 }, (_, k) => (
                        <stop key={k} offset={k / STEPS} stopColor="#f0f0f0" stopOpacity={0.14 + 0.72 * passes(limits, k / STEPS)} />
                    ))}
                </linearGradient>
            </defs>
            <path d={hillOf(counts, WIDE, HIGH, HIGH - 8)} fill={`url(#${id})`} />
            {[[0, 1], [3, 2]].map(([none, all]) => (
                <line key={none} x1={(limits[none ?? 0] ?? 0) * WIDE} y1={HIGH - 2} x2={(limits[all ?? 0] ?? 0) * WIDE} y2={3} stroke="#f2a950" strokeWidth={1.5} vectorEffect="non-scaling-stroke" pointerEvents="none" />
            ))}
            {limits.map((limit, at) => (
                <Limit key={at} x={limit * WIDE} y={at === 1 || at === 2 ? 4 : HIGH - 4} label={NAMES[at]} now={Math.round(limit * 100)} most={100} text={`${Math.round(limit * 100)} %`} onStep={(way, isLarge) => hand.nudge(moved(limits, [at], way * (isLarge ? 0.05 : 0.01)))} />
            ))}
        </svg>
    );
}
