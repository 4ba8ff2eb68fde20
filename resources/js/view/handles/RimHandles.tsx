import { mapped } from '../../session/ground';
import { turnTo } from '../../session/dial';
import { everyStrip, numberOf } from '../../session/strips';
import { useWork } from '../../session/store';
import type { Point } from '../../api/types';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import type { StripHandleProps } from './types';

/** How far outside the plate the light's arrow begins, as a share of the plate's half diagonal. */
const BEGINS = 1.15;

const ENDS = 0.8;

/** An arrow from the light toward the plate: dragging its far end turns the light round the plate. */
export function RimHandles({ scene, strip, lens, gestures }: StripHandleProps) {
    const asked = useWork((state) => state.pending[strip.id]?.turn);
    const moving = useWork((state) => state.pending);
    const plate = everyStrip(scene.strips, moving).find((other) => other.id === strip.values.of);
    const picture = plate && scene.pictures[String(plate.values.picture)];
    if (!plate?.maps || !picture) {
        return null;
    }
    const { toScene } = plate.maps;
    const middle = mapped(toScene, [picture.width / 2, picture.height / 2]);
    const corner = mapped(toScene, [0, 0]);
    const reach = Math.hypot(corner[0] - middle[0], corner[1] - middle[1]);
    const azimuth = ((asked?.azimuth ?? numberOf(strip.values, 'azimuth')) * Math.PI) / 180;
    const elevation = asked?.elevation ?? numberOf(strip.values, 'elevation');
    const at = (away: number, aside = 0): Point => [
        middle[0] + reach * (away * Math.cos(azimuth) + aside * Math.sin(azimuth)),
        middle[1] - reach * (away * Math.sin(azimuth) - aside * Math.cos(azimuth)),
    ];
    const tip = ENDS + 0.08;
    return (
        <>
            <Line lens={lens} points={[at(BEGINS), at(ENDS)]} colour="#f2a950" />
            <Line lens={lens} points={[at(tip, 0.05), at(ENDS), at(tip, -0.05)]} colour="#f2a950" />
            {!strip.source && <Grip
                lens={lens}
                at={at(BEGINS)}
                label="Light from"
                colour="#f2a950"
                onGrab={(event) => startDrag(event, lens, strip.id, gestures, 'Turn the light', ([x, y]) => ({ turn: turnTo((Math.atan2(middle[1] - y, x - middle[0]) * 180) / Math.PI, elevation) }))}
            />}
        </>
    );
}
