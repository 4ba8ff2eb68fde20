import type { Point, StripChange, Values } from '../../api/types';
import { numberOf, pointOf } from '../../session/strips';
import { toView } from '../../session/camera';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import type { MaskHandleProps, StripHandleProps } from './types';

type FrameProps = { values: Values; lens: StripHandleProps['lens']; /** how a change of these values is written, and of which strip */ strip: string; gestures: StripHandleProps['gestures']; write: (values: Values) => StripChange };

/** A rectangle that is moved inside, stretched at its sides, scaled at its corner and turned about its middle. */
function Frame({ values, lens, strip, gestures, write }: FrameProps) {
    const middle = pointOf(values, 'middle');
    const [width, height] = [numberOf(values, 'width', 100), numberOf(values, 'height', 100)];
    const turn = (numberOf(values, 'turn') * Math.PI) / 180;
    const place = (x: number, y: number): Point => [middle[0] + Math.cos(turn) * x + Math.sin(turn) * y, middle[1] - Math.sin(turn) * x + Math.cos(turn) * y];
    const own = ([x, y]: Point): Point => [Math.cos(turn) * (x - middle[0]) - Math.sin(turn) * (y - middle[1]), Math.sin(turn) * (x - middle[0]) + Math.cos(turn) * (y - middle[1])];
    const corners: Point[] = [place(-width / 2, -height / 2), place(width / 2, -height / 2), place(width / 2, height / 2), place(-width / 2, height / 2)];
    const drag = (label: string, change: (at: Point, from: Point) => Values) => (event: React.PointerEvent<Element>) => startDrag(event, lens, strip, gestures, label, (at, from) => write(change(at, from)));
    const angle = (at: Point) => (-Math.atan2(at[1] - middle[1], at[0] - middle[0]) * 180) / Math.PI;
    const side = (length: number) => Math.max(1, Math.round(2 * Math.abs(length)));
    // inside, so that it can be reached when the frame is larger than the view
    const turner = place(0, -height / 4);
    return (
        <>
            <polygon points={corners.map((corner) => toView(lens, corner).join(',')).join(' ')} fill="transparent" style={{ cursor: 'move' }} data-handle="Frame" onPointerDown={drag('Move', (at, from) => ({ middle: [middle[0] + at[0] - from[0], middle[1] + at[1] - from[1]] }))} />
            <Line lens={lens} points={[...corners, corners[0] ?? middle]} dashed />
            <Line lens={lens} points={[middle, turner]} dashed />
            <Grip lens={lens} at={place(width / 2, 0)} label="Width" shape="bar" turn={-numberOf(values, 'turn')} onGrab={drag('Width', (at) => ({ width: side(own(at)[0]) }))} />
            <Grip lens={lens} at={place(0, height / 2)} label="Height" shape="bar" turn={90 - numberOf(values, 'turn')} onGrab={drag('Height', (at) => ({ height: side(own(at)[1]) }))} />
            <Grip
                lens={lens}
                at={corners[2] ?? middle}
                label="Size"
                shape="quarter"
                turn={180 - numberOf(values, 'turn')}
                onGrab={drag('Size', (at, from) => {
                    const by = Math.hypot(at[0] - middle[0], at[1] - middle[1]) / Math.max(1, Math.hypot(from[0] - middle[0], from[1] - middle[1]));
                    return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) };
                })}
            />
            <Grip lens={lens} at={turner} label="Turn" onGrab={drag('Turn', (at, from) => ({ turn: wrapped(numberOf(values, 'turn') + angle(at) - angle(from)) }))} />
            <Grip lens={lens} at={middle} label="Middle" shape="ring" onGrab={drag('Move', (at) => ({ middle: at }))} />
        </>
    );
}

function wrapped(degrees: number): number {
    return Math.round((((((degrees + 180) % 360) + 360) % 360) - 180) * 10) / 10;
}

/** The frame of a leak. */
export function FrameHandles({ strip, lens, gestures }: StripHandleProps) {
    return <Frame values={strip.values} lens={lens} strip={strip.id} gestures={gestures} write={(values) => ({ values })} />;
}

/** The frame of a texture that masks. */
export function TextureHandles({ strip, mask, lens, gestures }: MaskHandleProps) {
    return <Frame values={mask.values} lens={lens} strip={strip.id} gestures={gestures} write={(values) => ({ masks: { [mask.id]: { values } } })} />;
}
