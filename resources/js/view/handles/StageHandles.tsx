import type { Floor, Point, Scene, StripChange, Wall } from '../../api/types';
import type { Lens } from '../../session/camera';
import type { Gestures } from '../../session/gestures';
import { STAGE } from '../../session/things';
import { useWork } from '../../session/store';
import { startDrag } from './drag';
import { Grip, GrabLine, Line, Tag } from './parts';

const COOL = '#93a5e6';

/** Horizon, contact row or square of the floor, and the walls; each mark is dragged where it is seen. */
export function StageHandles({ scene, lens, gestures }: { scene: Scene; lens: Lens; gestures: Gestures }) {
    const change = useWork((state) => state.pending[STAGE]?.values) as { floor?: Floor; walls?: Wall[] } | undefined;
    const drafted = useWork((state) => state.stageLines);
    const { floor, walls = [] } = { ...scene.stage, ...change };
    const lines = drafted ?? scene.stage.lines;
    const drag = (label: string, values: (at: Point, from: Point) => { floor?: Floor; walls?: Wall[] }) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, STAGE, gestures, label, (at, from): StripChange => ({ values: values(at, from) as never }));
    const middle = scene.width / 2;
    const horizon = floor?.horizon ?? lines.horizon;
    const contact = floor?.contact ?? lines.contact;
    const wallsWith = (id: string, part: Partial<Wall>): Wall[] => walls.map((wall) => (wall.id === id ? { ...wall, ...part } : wall));

    return (
        <>
            {floor && horizon !== null && (
                <>
                    <Line lens={lens} points={[[0, horizon], [scene.width, horizon]]} colour={COOL} dashed={floor.corners !== undefined} />
                    <Tag lens={lens} at={[middle, horizon]} text="horizon" />
                    {!floor.corners && <Grip lens={lens} at={[middle, horizon]} label="Horizon" shape="bar" turn={90} colour={COOL} onGrab={drag('Horizon', (at) => ({ floor: { ...floor, horizon: lower(at[1], contact) } }))} />}
                </>
            )}
            {floor && contact && (
                <>
                    <Line lens={lens} points={contact} colour={COOL} />
                    <GrabLine lens={lens} points={contact} label="Move the contact row" onGrab={drag('Contact row', (at, from) => ({ floor: { ...floor, contact: contact.map(([x, y]): Point => [x, below(y + at[1] - from[1], horizon)]) as [Point, Point] } }))} />
                    {contact.map((end, index) => (
                        <Grip key={index} lens={lens} at={end} label={`Contact row, end ${index + 1}`} shape="bar" colour={COOL} onGrab={drag('Contact row', (at) => ({ floor: { ...floor, contact: contact.map((other, k): Point => (k === index ? [round(at[0]), below(at[1], horizon)] : other)) as [Point, Point] } }))} />
                    ))}
                </>
            )}
            {floor?.corners && <Corners lens={lens} corners={floor.corners} label="Square" onGrab={(index) => drag('Square on the floor', (at) => ({ floor: { ...floor, corners: moved(floor.corners ?? [], index, at) } }))} />}
            {walls.map((wall) => {
                const corners = wall.corners ?? lines.walls[wall.id] ?? [];
                const top = corners[0] && corners[1] ? ([(corners[0][0] + corners[1][0]) / 2, (corners[0][1] + corners[1][1]) / 2] as Point) : null;
                return (
                    <g key={wall.id}>
                        {wall.corners ? (
                            <Corners lens={lens} corners={wall.corners} label={wall.name} onGrab={(index) => drag('Wall', (at) => ({ walls: wallsWith(wall.id, { corners: moved(wall.corners ?? [], index, at) }) }))} />
                        ) : (
                            <>
                                <Line lens={lens} points={[...corners, corners[0] ?? [0, 0]]} />
                                {wall.foot?.map((end, index) => (
                                    <Grip key={index} lens={lens} at={end} label={`${wall.name}, foot ${index + 1}`} shape="bar" onGrab={drag('Foot of the wall', (at) => ({ walls: wallsWith(wall.id, { foot: wall.foot?.map((other, k): Point => (k === index ? [round(at[0]), below(at[1], horizon)] : other)) as [Point, Point] }) }))} />
                                ))}
                                {top && corners[3] && corners[2] && (
                                    <Grip
                                        lens={lens}
                                        at={top}
                                        label={`${wall.name}, height`}
                                        onGrab={drag('Height of the wall', (at) => {
                                            const foot = ((corners[3]?.[1] ?? 0) + (corners[2]?.[1] ?? 0)) / 2;
                                            return { walls: wallsWith(wall.id, { height: Math.max(1, round(((wall.height ?? 1) * (foot - at[1])) / Math.max(1, foot - top[1]))) }) };
                                        })}
                                    />
                                )}
                            </>
                        )}
                        {top && <Tag lens={lens} at={top} text={wall.name} />}
                    </g>
                );
            })}
        </>
    );
}

function Corners({ lens, corners, label, onGrab }: { lens: Lens; corners: Point[]; label: string; onGrab: (index: number) => (event: React.PointerEvent<Element>) => void }) {
    return (
        <>
            <Line lens={lens} points={[...corners, corners[0] ?? [0, 0]]} />
            {corners.map((corner, index) => (
                <Grip key={index} lens={lens} at={corner} label={`${label}, corner ${index + 1}`} shape="quarter" turn={90 * index} onGrab={onGrab(index)} />
            ))}
        </>
    );
}

function moved(corners: Point[], index: number, at: Point): Point[] {
    return corners.map((other, k): Point => (k === index ? [round(at[0]), round(at[1])] : other));
}

/** The horizon stays above the contact row, and that below the horizon: the hand stops where the floor ends. */
function lower(y: number, contact: [Point, Point] | null): number {
    return round(Math.min(y, Math.min(...(contact ?? []).map((end) => end[1]), Infinity) - 2));
}

function below(y: number, horizon: number | null): number {
    return round(Math.max(y, (horizon ?? -Infinity) + 2));
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}
