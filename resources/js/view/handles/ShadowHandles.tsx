import type { Point } from '../../api/types';
import { mapped } from '../../session/ground';
import { everyStrip } from '../../session/strips';
import { useWork } from '../../session/store';
import { startDrag, startDragOf } from './drag';
import { Grip, Line } from './parts';
import type { StripHandleProps } from './types';

/**
 * A shadow: the row on which its plate stands, with the feet; the tip, which turns the light, or moves the source that throws it;
 * and half-moons by which it is bent over steps and kerbs.
 */
export function ShadowHandles({ scene, strip, outlines, lens, gestures }: StripHandleProps) {
    const pull = useWork((state) => state.pending[strip.id]?.pull);
    const moving = useWork((state) => state.pending);
    const [of] = Array.isArray(strip.values.of) ? (strip.values.of as string[]) : [];
    const plate = everyStrip(scene.strips, moving).find((other) => other.id === of);
    const [foot] = outlines.foot ?? outlines.middle ?? [];
    const tip = pull?.handle === 'tip' ? pull.to : outlines.tip?.[0];
    if (!foot) {
        return null;
    }
    const drag = (handle: string, label: string) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip.id, gestures, label, (to) => ({ pull: { handle, to } }));
    const written = everyStrip(scene.strips).find((other) => other.id === of);
    const feet = outlines.foot ? (plate?.standsOn ?? []) : [];
    const marked = plate && Array.isArray(plate.values.feet) && plate.values.feet !== written?.values.feet ? (plate.values.feet as Point[]) : null;
    const { toScene, toPlate } = plate?.maps ?? {};
    const source = scene.sources.find((other) => other.id === strip.source);
    return (
        <>
            {outlines.row && <Line lens={lens} points={outlines.row} colour="#93a5e6" dashed />}
            {tip && <Line lens={lens} points={[foot, tip]} dashed />}
            {(outlines.bends ?? []).map((at, index) => {
                const to = pull?.handle === `bend ${index}` ? pull.to : at;
                return <Grip key={index} lens={lens} at={to} label={`Bend ${index + 1}`} title="Bend the shadow where the ground is not flat" shape="half" onGrab={drag(`bend ${index}`, 'Bend the shadow')} />;
            })}
            {plate && toScene && toPlate && feet.map((at, index) => (
                <Grip
                    key={index}
                    lens={lens}
                    at={marked?.[index] ? mapped(toScene, marked[index]) : at}
                    label={feet.length === 1 ? 'Foot' : `Foot ${index + 1}`}
                    title="Where the plate touches the ground: its shadow starts there"
                    shape="half"
                    turn={180}
                    colour="#93a5e6"
                    onGrab={(event) =>
                        startDragOf(event, lens, [plate.id], gestures, 'Feet', (to) => ({
                            [plate.id]: { values: { feet: feet.map((other, k): Point => mapped(toPlate, k === index ? to : other).map((figure) => Math.round(figure * 100) / 100) as Point) } },
                        }))
                    }
                />
            ))}
            {tip && <Grip lens={lens} at={tip} label="Tip" title={source ? `Tip of the shadow: moves ${source.name}` : 'Tip of the shadow: turns its light'} colour="#f2a950" onGrab={drag('tip', source ? `Move ${source.name}` : 'Turn the light')} />}
        </>
    );
}
