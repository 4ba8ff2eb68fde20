import type { Cut, Point, StripChange, Values } from '../../api/types';
import { allowed } from '../../session/ranges';
import { numberOf, pointOf } from '../../session/strips';
import { toView, type Lens } from '../../session/camera';
import { startDrag } from './drag';
import { Grip, Line, Tag, turnOf } from './parts';
import type { StripHandleProps } from './types';

/** The lamp over its foot, the target, the lines along which half and a tenth of the light fall and where these meet the surface, and the edges that cut it. */
export function SpotOntoHandles({ strip, outlines, lens, gestures }: StripHandleProps) {
    const { values } = strip;
    const [foot, lamp] = outlines.stand ?? [];
    const target = values.target ? pointOf(values, 'target') : (foot ?? pointOf(values, 'lamp'));
    const beam = numberOf(values, 'beam');
    const field = numberOf(values, 'field');
    const cuts = (values.cuts ?? []) as Cut[];
    const drag = (label: string, change: (at: Point, from: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (at, from): StripChange => ({ values: change(at, from) }));
    const ring = { beam: sidesOf(outlines.beam), field: sidesOf(outlines.field) };
    // from the lamp down to where it meets the surface on both sides, as a spot's lines fan out
    const falling = ([left, right]: [Point, Point]): Point[] => [left, lamp ?? target, right];
    // a ring grows with its angle as one sees it: its distance from the target says by how much
    const opened = (angle: number, at: Point, from: Point) => (2 * Math.atan(Math.tan((angle * Math.PI) / 360) * (distance(at, target) / Math.max(1, distance(from, target)))) * 180) / Math.PI;
    const within = (name: string, value: number, others: Values = values) => allowed(strip.kind, name, value, others);

    return (
        <>
            {ring.field && <Line lens={lens} points={falling(ring.field)} dashed />}
            {ring.beam && <Line lens={lens} points={falling(ring.beam)} />}
            <Ticks lens={lens} ring={outlines.field ?? []} about={target} long={5} />
            <Ticks lens={lens} ring={outlines.beam ?? []} about={target} long={9} />
            {foot && lamp && <Line lens={lens} points={[foot, lamp, target]} dashed colour="#f2a950" />}
            {ring.field && <Grip lens={lens} at={ring.field[1]} label="10 % line" shape="diamond" onGrab={drag('Field angle', (at, from) => ({ field: within('field', opened(field, at, from)) }))} />}
            {ring.beam && (
                <Grip
                    lens={lens}
                    at={ring.beam[1]}
                    label="50 % line"
                    shape="diamond"
                    onGrab={drag('Beam angle', (at, from) => {
                        const next = within('beam', opened(beam, at, from));
                        return { beam: next, field: within('field', field, { beam: next }) };
                    })}
                />
            )}
            {ring.beam && <Tag lens={lens} at={ring.beam[1]} text="50 %" />}
            {ring.field && <Tag lens={lens} at={ring.field[1]} text="10 %" />}
            {cuts.map((cut, index) => (
                <g key={index}>
                    <Line lens={lens} points={[cut.from, cut.to]} />
                    {(['from', 'to'] as const).map((end) => (
                        <Grip key={end} lens={lens} at={cut[end]} label={`Edge ${index + 1}, ${end === 'from' ? 'begin' : 'end'}`} shape="half" turn={turnOf(cut.from, cut.to)} onGrab={drag('Cut edge', (at) => ({ cuts: cuts.map((other, k) => (k === index ? { ...other, [end]: at } : other)) }))} />
                    ))}
                </g>
            ))}
            <Grip lens={lens} at={target} label="Target" shape="ring" onGrab={drag('Target', (at) => ({ target: at }))} />
            {/* where it hangs on a lamp, that one's mark is grabbed */}
            {foot && lamp && !strip.source && (
                <>
                    <Grip
                        lens={lens}
                        at={foot}
                        label="Foot of the lamp"
                        shape="bar"
                        onGrab={drag('Move the lamp', (at) => ({ lamp: at }))}
                    />
                    <Grip
                        lens={lens}
                        at={lamp}
                        label="Lamp"
                        colour="#f2a950"
                        onGrab={(event) => {
                            // on the floor the lamp goes up and down over its foot; before a wall it and its foot are seen as one
                            const rises = foot[1] - lamp[1] > 2;
                            const [begun, height] = [pointOf(values, 'lamp'), numberOf(values, 'height')];
                            startDrag(event, lens, strip.id, gestures, 'Move the lamp', (at, from): StripChange => ({
                                values: { lamp: [begun[0] + at[0] - from[0], rises ? begun[1] : begun[1] + at[1] - from[1]], ...(rises ? { height: Math.max(1, height - (at[1] - from[1])) } : {}) },
                            }));
                        }}
                    />
                </>
            )}
        </>
    );
}

/** The places of a ring furthest to the left and to the right, where it is grabbed. */
function sidesOf(ring: Point[] | undefined): [Point, Point] | null {
    const first = ring?.[0];
    return first === undefined ? null : ring!.reduce<[Point, Point]>(([left, right], point) => [point[0] < left[0] ? point : left, point[0] > right[0] ? point : right], [first, first]);
}

/** Ticks stand so far apart, CSS pixels. */
const APART = 16;

/** Where a ring lies on the surface: short ticks that point away from its middle. */
function Ticks({ lens, ring, about, long }: { lens: Lens; ring: Point[]; about: Point; long: number }) {
    const [u, v] = toView(lens, about);
    const points = ring.map((point) => toView(lens, point));
    const ticks: string[] = [];
    let since = APART;
    points.forEach(([x, y], at) => {
        const [left, top] = points[at - 1] ?? [x, y];
        since += Math.hypot(x - left, y - top);
        const far = Math.hypot(x - u, y - v);
        if (since >= APART && far > 1) {
            since = 0;
            ticks.push(`M${x.toFixed(1)} ${y.toFixed(1)} l${(((x - u) / far) * long).toFixed(1)} ${(((y - v) / far) * long).toFixed(1)}`);
        }
    });
    return (
        <g fill="none" pointerEvents="none">
            <path d={ticks.join(' ')} stroke="#161616" strokeOpacity={0.55} strokeWidth={3} />
            <path d={ticks.join(' ')} stroke="#f4f4f4" strokeWidth={1.25} />
        </g>
    );
}

function distance(a: Point, b: Point): number {
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
}
