import type { Scene, Source } from '../../api/types';
import { hintOf } from '../../ui/kelvin';
import { colourOf, numberOf } from '../../session/strips';
import { everySource, sourceName } from '../../session/things';
import { toView, type Lens } from '../../session/camera';
import type { Gestures } from '../../session/gestures';
import { useWork, work } from '../../session/store';
import { startDrag } from './drag';
import { Tag } from './parts';

/** Half sides of a lamp's mark, CSS pixels. */
const SIZE = 6;

const RAYS = [0, 60, 120, 180, 240, 300];

/** Every source where it is seen: a press chooses it, a drag carries it, and with it all that hangs on it. */
export function SourceMarks({ scene, lens, gestures }: { scene: Scene; lens: Lens; gestures: Gestures }) {
    const chosen = useWork((state) => state.chosen);
    const pending = useWork((state) => state.pending);
    return (
        <>
            {everySource(scene, pending).map((source) => (
                <SourceMark key={source.id} source={source} isChosen={chosen === sourceName(source.id)} lens={lens} gestures={gestures} />
            ))}
        </>
    );
}

function SourceMark({ source, isChosen, lens, gestures }: { source: Source; isChosen: boolean; lens: Lens; gestures: Gestures }) {
    const at = source.seenAt ?? (source.kind === 'lamp' ? (source.values.place as [number, number]) : null);
    if (!at) {
        return null;
    }
    const [x, y] = toView(lens, at);
    const name = sourceName(source.id);
    const colour = hintOf(colourOf(source));
    const depth = numberOf(source.values, 'depth');
    return (
        <g opacity={source.muted ? 0.45 : 1}>
            <g
                transform={`translate(${x} ${y})`}
                role="button"
                tabIndex={-1}
                aria-label={source.name}
                data-handle={source.name}
                className="cursor-grab outline-none"
                onPointerDown={(event) => {
                    work.choose(name);
                    startDrag(event, lens, name, gestures, 'Move the source', (to) => ({ at: to }));
                }}
            >
                <title>{source.name}</title>
                <circle r={14} fill="transparent" />
                {source.kind === 'sun' ? (
                    <>
                        {RAYS.map((turn) => (
                            <line key={turn} x1={9} x2={13} transform={`rotate(${turn})`} stroke="#161616" strokeWidth={4} strokeLinecap="round" />
                        ))}
                        {RAYS.map((turn) => (
                            <line key={turn} x1={9} x2={13} transform={`rotate(${turn})`} stroke={colour} strokeWidth={2} strokeLinecap="round" />
                        ))}
                        <circle r={SIZE} fill={colour} stroke="#161616" strokeWidth={1.5} />
                    </>
                ) : (
                    <path d={`M0 ${-SIZE - 2} L${SIZE + 1} ${SIZE - 3} L${SIZE - 2} ${SIZE + 1} L${2 - SIZE} ${SIZE + 1} L${-SIZE - 1} ${SIZE - 3} Z`} fill={source.seenAt ? colour : 'transparent'} stroke={source.seenAt ? '#161616' : colour} strokeWidth={1.5} strokeLinejoin="round" />
                )}
                {isChosen && <circle r={13} fill="none" stroke="#f4f4f4" strokeWidth={1.25} />}
            </g>
            {isChosen && source.kind === 'lamp' && depth !== 0 && <Tag lens={lens} at={at} dy={28} text={`${Math.abs(depth).toFixed(0)} px ${depth > 0 ? 'before' : 'behind'}`} />}
        </g>
    );
}
