import type { Point, Scene, Sight, Strip, StripChange } from '../api/types';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { useReadings } from '../session/readings';
import { sourceOf } from '../session/things';
import { useWork, work, type Step } from '../session/store';
import { follow } from '../ui/pointer';
import { arcBetween, fromDial, onDial, turnTo } from '../session/dial';

const RADIUS = 48;

const FURTHEST = 68;

const STEP = 2;

/** A dome seen from the front: where the light of each plate and of each light comes from. */
export function Compass({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const noticed = useWork((state) => state.noticed);
    const asLeft = useWork((state) => state.compassOpen);
    const chosen = useWork((state) => state.chosen);
    const step = useWork((state) => state.step);
    const pending = useWork((state) => state.pending);
    const { sights, arcs: found } = noticed.compass ?? scene.compass;
    const strips = everyStrip(scene.strips, pending);
    const gravest = useReadings(scene).find((reading) => reading.kind === 'direction');
    // what is not said is not drawn either
    const arcs = gravest ? found : [];
    const open = asLeft ?? (gravest !== undefined || isDirected(scene, strips, chosen, step));
    return (
        <section aria-label="Compass" className="border-b border-line">
            <button className="flex h-8 w-full items-center gap-2 px-3 text-left font-semibold" aria-expanded={open} title={open ? 'Fold the compass' : 'Open the compass: where the light comes from'} onClick={() => work.compass(!open)}>
                {!open && <Badge sights={sights} />}
                Compass
                <span className="truncate font-normal text-quiet">{sights.length === 0 ? 'no bearing known yet' : sights.length === 1 ? 'one bearing known' : arcs.length === 0 ? 'the light agrees' : `${arcs[0]?.angle.toFixed(0)}° apart`}</span>
            </button>
            {open && (
                <div className="flex items-start gap-2 pr-3 pb-2 pl-2">
                    <svg width={146} height={146} viewBox="-73 -73 146 146" className="shrink-0" role="group" aria-label="Where light comes from">
                        <circle r={RADIUS} className="fill-well" />
                        {[RADIUS / 3, (2 * RADIUS) / 3, RADIUS].map((ring) => (
                            <circle key={ring} r={ring} fill="none" className="stroke-line" strokeWidth={ring === RADIUS ? 1.5 : 0.75} />
                        ))}
                        {arcs.map((arc) => {
                            const [from, to] = [sights.find((sight) => sight.strip === arc.from), sights.find((sight) => sight.strip === arc.to)];
                            if (!from || !to) {
                                return null;
                            }
                            const points = arcBetween(from, to).map((at) => onDial(at.azimuth, at.elevation, RADIUS, FURTHEST));
                            const middle = points[Math.floor(points.length / 2)] ?? [0, 0];
                            return (
                                <g key={arc.reading} pointerEvents="none">
                                    <polyline points={points.map((point) => point.join(',')).join(' ')} fill="none" className="stroke-alarm" strokeWidth={1.5} strokeDasharray="4 3" />
                                    <text x={middle[0]} y={middle[1] - 5} textAnchor="middle" className="fill-alarm font-mono text-[11px]" stroke="#262626" strokeWidth={3} paintOrder="stroke">
                                        {arc.angle.toFixed(0)}°
                                    </text>
                                </g>
                            );
                        })}
                        {/* what hangs on a source is seen by that */}
                        {sights.filter((sight) => sight.source === null).map((sight) => {
                            const thing = strips.find((other) => other.id === sight.strip) ?? sourceOf(scene, sight.strip, pending);
                            return thing ? <Mark key={sight.strip} sight={sight} name={thing.name} isChosen={chosen === sight.strip} gestures={gestures} /> : null;
                        })}
                    </svg>
                    {!gravest && <p className="min-w-0 pt-2 text-[12.5px] text-quiet">{sights.length === 0 ? 'Choose a plate and find its bearing under Direction below.' : 'Middle: from the camera. Outer ring: from the side. Beyond it: from behind.'}</p>}
                    {gravest && (
                        <div className="min-w-0 pt-1" data-testid="disagreement">
                            <p className="text-[12.5px]" title={gravest.seen}>
                                {gravest.strips.map((id) => strips.find((strip) => strip.id === id)?.name).join(' and ')} disagree by {gravest.number?.toFixed(0)}°, {((gravest.confidence ?? 1) * 100).toFixed(0)} % sure
                            </p>
                            <div className="mt-1.5 flex flex-wrap gap-1">
                                {gravest.mends.map((mend) => (
                                    <button key={mend.key} className="rounded-sm border border-line px-1.5 text-left text-[12px] hover:bg-raised" onClick={() => void gestures.mend(gravest.id, mend.key, mend.strip)}>
                                        {mend.label}
                                    </button>
                                ))}
                            </div>
                        </div>
                    )}
                </div>
            )}
        </section>
    );
}

/** Whether a direction is worked on: that of a source, of a light that has one of its own, or of a plate while plates are matched. */
function isDirected(scene: Scene, strips: Strip[], chosen: string | null, step: Step): boolean {
    const strip = strips.find((other) => other.id === chosen);
    return sourceOf(scene, chosen) !== undefined || (strip !== undefined && ('azimuth' in strip.values || (step === 'Match' && strip.family === 'plate')));
}

/** The compass in small: rings of plates, dots of lights. */
function Badge({ sights }: { sights: Sight[] }) {
    return (
        <svg width={20} height={20} viewBox="-73 -73 146 146" className="shrink-0" aria-hidden>
            <circle r={RADIUS} className="fill-well stroke-quiet" strokeWidth={6} />
            {sights.map((sight) => {
                const [x, y] = onDial(sight.azimuth, sight.elevation, RADIUS, FURTHEST);
                return <circle key={sight.strip} cx={x} cy={y} r={13} fill={sight.light ? (sight.colour ?? '#f2a950') : '#b4b4b4'} />;
            })}
        </svg>
    );
}

/** A plate's ring or a light's dot; dragging it says where the light comes from, the arrow keys step it. */
function Mark({ sight, name, isChosen, gestures }: { sight: Sight; name: string; isChosen: boolean; gestures: Gestures }) {
    const strip = { id: sight.strip, name };
    // what the hand asks for stands at once; what the core makes of it comes with the draft
    const asked = useWork((state) => state.pending[strip.id]?.turn) ?? sight;
    const [x, y] = onDial(asked.azimuth, asked.elevation, RADIUS, FURTHEST);
    const change = (azimuth: number, elevation: number): StripChange => ({ turn: turnTo(azimuth, elevation) });
    const label = sight.light ? 'Turn the light' : 'Set the bearing';

    function onPointerDown(event: React.PointerEvent<SVGGElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        work.choose(strip.id);
        const bounds = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
        if (!bounds) {
            return;
        }
        const grabbed: Point = [event.clientX - bounds.left - bounds.width / 2 - x, event.clientY - bounds.top - bounds.height / 2 - y];
        let hasMoved = false;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                hasMoved = true;
                const to = fromDial([pointer.clientX - bounds.left - bounds.width / 2 - grabbed[0], pointer.clientY - bounds.top - bounds.height / 2 - grabbed[1]], RADIUS);
                work.live(strip.id, change(to.azimuth, to.elevation), pointer.timeStamp);
            },
            end: () => hasMoved && void gestures.commit(strip.id, label),
            cancel: () => work.drop(strip.id),
        });
    }

    function onKeyDown(event: React.KeyboardEvent) {
        const way = { ArrowLeft: [STEP, 0], ArrowRight: [-STEP, 0], ArrowUp: [0, STEP], ArrowDown: [0, -STEP] }[event.key];
        if (way) {
            event.preventDefault();
            event.stopPropagation();
            gestures.nudge(strip.id, change(asked.azimuth + (way[0] ?? 0), asked.elevation + (way[1] ?? 0)), label);
        }
    }

    return (
        <g
            transform={`translate(${x} ${y})`}
            role="slider"
            tabIndex={0}
            aria-label={`${strip.name}: ${sight.words}`}
            aria-valuenow={Math.round(sight.azimuth)}
            aria-valuemin={-180}
            aria-valuemax={180}
            aria-valuetext={`azimuth ${sight.azimuth.toFixed(0)}°, elevation ${sight.elevation.toFixed(0)}°${sight.light ? '' : `, give or take ${sight.spread.toFixed(0)}°`}`}
            data-sight={strip.id}
            className="cursor-grab touch-none outline-none focus-visible:[&>circle:last-of-type]:stroke-ink"
            onPointerDown={onPointerDown}
            onKeyDown={onKeyDown}
        >
            <title>{`${strip.name}: ${sight.words}`}</title>
            <circle r={12} fill="transparent" />
            {sight.light ? (
                <circle r={5} fill={sight.colour ?? '#f2a950'} stroke={isChosen ? '#ececec' : '#161616'} strokeWidth={1.5} />
            ) : (
                <circle r={7} fill="transparent" stroke={isChosen ? '#ececec' : '#b4b4b4'} strokeWidth={2.5} strokeDasharray={sight.confidence < 0.5 ? '3 2.5' : undefined} />
            )}
        </g>
    );
}
