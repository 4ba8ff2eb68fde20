import type { Node, Point, StripChange } from '../../api/types';
import { toView } from '../../session/camera';
import { groundOf } from '../../session/ground';
import { startDrag } from './drag';
import { Grip, turnOf } from './parts';
import type { MaskHandleProps } from './types';

/** The path of an outline for drawing. */
export function pathOf(nodes: Node[], place: (point: Point) => Point, closed: boolean): string {
    const [first] = nodes;
    if (!first) {
        return '';
    }
    const text = (point: Point) => place(point).map((value) => value.toFixed(1)).join(' ');
    const way = ({ at }: Node, handle: Point | undefined): Point => [at[0] + (handle?.[0] ?? 0), at[1] + (handle?.[1] ?? 0)];
    const sides = (closed ? [...nodes.slice(1), first] : nodes.slice(1)).map((node, index) => {
        const before = nodes[index] ?? first;
        return before.out || node.in ? `C ${text(way(before, before.out))} ${text(way(node, node.in))} ${text(node.at)}` : `L ${text(node.at)}`;
    });
    return `M ${text(first.at)} ${sides.join(' ')}${closed ? ' Z' : ''}`;
}

/** The points of an outline and the handles of its curves. A double click on a point makes it a corner, or curved again; with alt it is taken out; on a side it adds one. */
export function OutlineHandles({ strip, mask, lens, gestures, isOpen = false }: MaskHandleProps & { /** a line that does not come back to where it began */ isOpen?: boolean }) {
    const nodes = Array.isArray(mask.values.path) ? (mask.values.path as Node[]) : [];
    const ground = groundOf(strip, mask.on);
    const place = (point: Point) => toView(lens, ground.toScene(point));
    const change = (path: Node[]): StripChange => ({ masks: { [mask.id]: { values: { path } } } });
    const replaced = (index: number, node: Node) => nodes.map((other, at) => (at === index ? node : other));
    const drag = (label: string, path: (at: Point, from: Point) => Node[]) => (event: React.PointerEvent<Element>) =>
        startDrag(event, lens, strip.id, gestures, label, (at, from) => change(path(ground.fromScene(at), ground.fromScene(from))));

    function onPoint(index: number, node: Node, event: React.MouseEvent) {
        event.stopPropagation();
        if (event.altKey) {
            void gestures.change(strip.id, change(nodes.filter((_, at) => at !== index)), 'Take a point out');
            return;
        }
        const [before, after] = [nodes[(index + nodes.length - 1) % nodes.length] ?? node, nodes[(index + 1) % nodes.length] ?? node];
        const way: Point = [(after.at[0] - before.at[0]) / 6, (after.at[1] - before.at[1]) / 6];
        void gestures.change(strip.id, change(replaced(index, node.in || node.out ? { at: node.at } : { at: node.at, out: way, in: [-way[0], -way[1]] })), 'Corner or curve');
    }

    function onSide(index: number, event: React.MouseEvent) {
        event.stopPropagation();
        const [one, other] = [nodes[index], nodes[(index + 1) % nodes.length]];
        if (one && other) {
            const middle: Node = { at: [(one.at[0] + other.at[0]) / 2, (one.at[1] + other.at[1]) / 2] };
            void gestures.change(strip.id, change([...nodes.slice(0, index + 1), middle, ...nodes.slice(index + 1)]), 'Add a point');
        }
    }

    return (
        <>
            <g fill="none" pointerEvents="none">
                <path d={pathOf(nodes, place, !isOpen)} stroke="#161616" strokeOpacity={0.55} strokeWidth={3} />
                <path d={pathOf(nodes, place, !isOpen)} stroke="#f4f4f4" strokeWidth={1.25} />
            </g>
            {(isOpen ? nodes.slice(0, -1) : nodes).map((node, index) => {
                const next = nodes[(index + 1) % nodes.length] ?? node;
                return <path key={`side ${index}`} d={pathOf([node, next], place, false)} fill="none" stroke="transparent" strokeWidth={14} onDoubleClick={(event) => onSide(index, event)} onPointerDown={(event) => event.stopPropagation()} />;
            })}
            {nodes.flatMap((node, index) =>
                (['in', 'out'] as const).map((side) => {
                    const handle = node[side];
                    if (!handle) {
                        return null;
                    }
                    const end: Point = [node.at[0] + handle[0], node.at[1] + handle[1]];
                    const [[x, y], [u, v]] = [place(node.at), place(end)];
                    return (
                        <g key={`${side} ${index}`}>
                            <line x1={x} y1={y} x2={u} y2={v} stroke="#f4f4f4" strokeWidth={1} pointerEvents="none" />
                            <Grip
                                lens={lens}
                                at={ground.toScene(end)}
                                label={`Curve ${side} of point ${index + 1}`}
                                shape="half"
                                turn={turnOf(node.at, end) - 90}
                                onGrab={drag('Curve', (at) => {
                                    const way: Point = [round(at[0] - node.at[0]), round(at[1] - node.at[1])];
                                    const opposite: Point = [-way[0], -way[1]];
                                    return replaced(index, { ...node, [side]: way, [side === 'in' ? 'out' : 'in']: opposite });
                                })}
                            />
                        </g>
                    );
                }),
            )}
            {nodes.map((node, index) => (
                <g key={`point ${index}`} onDoubleClick={(event) => onPoint(index, node, event)}>
                    <Grip
                        lens={lens}
                        at={ground.toScene(node.at)}
                        label={`Point ${index + 1}`}
                        shape="round"
                        onGrab={drag('Move a point', (at, from) => replaced(index, { ...node, at: [round(node.at[0] + at[0] - from[0]), round(node.at[1] + at[1] - from[1])] }))}
                    />
                </g>
            ))}
        </>
    );
}

function round(value: number): number {
    return Math.round(value * 10) / 10;
}
