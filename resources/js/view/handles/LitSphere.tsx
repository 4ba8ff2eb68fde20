import { fromDial, onDial, turnTo } from '../../session/dial';
import { toView, type Lens } from '../../session/camera';
import { numberOf } from '../../session/strips';
import type { Point, Strip } from '../../api/types';
import type { Gestures } from '../../session/gestures';
import { startDrag } from './drag';
import { Grip } from './parts';

/** In pixels of the view. */
const RADIUS = 42;

const LIGHT = '#f2a950';

/** A small sphere that is lit as what it stands for: its light is dragged, in front of it up to the rim, behind it beyond that. */
export function LitSphere({ strip, lens, gestures, middle }: { strip: Strip; lens: Lens; gestures: Gestures; middle: Point }) {
    const [azimuth, elevation] = [numberOf(strip.values, 'azimuth'), numberOf(strip.values, 'elevation')];
    const radius = RADIUS / lens.zoom;
    const [dx, dy] = onDial(azimuth, elevation, radius, 2 * radius);
    const [x, y] = toView(lens, middle);
    const [a, e] = [(azimuth * Math.PI) / 180, (elevation * Math.PI) / 180];
    const name = `lit-${strip.id}`;
    return (
        <>
            <defs>
                <radialGradient id={name} cx={0.5 + 0.5 * Math.cos(e) * Math.cos(a)} cy={0.5 - 0.5 * Math.cos(e) * Math.sin(a)} r={e < 0 ? 0.35 : 0.95}>
                    <stop offset="0" stopColor="#fff6e4" stopOpacity={0.85} />
                    <stop offset="0.55" stopColor="#8d8378" stopOpacity={0.5} />
                    <stop offset="1" stopColor="#14120f" stopOpacity={0.6} />
                </radialGradient>
            </defs>
            <circle cx={x} cy={y} r={RADIUS} fill={`url(#${name})`} stroke="#161616" strokeWidth={2.5} pointerEvents="none" data-testid="lit-sphere" />
            <circle cx={x} cy={y} r={RADIUS} fill="none" stroke={LIGHT} strokeWidth={1} pointerEvents="none" />
            {!strip.source && (
                <Grip
                    lens={lens}
                    at={[middle[0] + dx, middle[1] + dy]}
                    label="Light from"
                    title="Light from: in the middle it comes from the camera, at the rim from the side, beyond it from behind"
                    colour={LIGHT}
                    onGrab={(event) =>
                        startDrag(event, lens, strip.id, gestures, 'Walk the light around it', ([px, py]) => {
                            const turn = fromDial([px - middle[0], py - middle[1]], radius);
                            return { values: turnTo(turn.azimuth, turn.elevation) };
                        })
                    }
                />
            )}
        </>
    );
}
