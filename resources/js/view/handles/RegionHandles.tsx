import type { Point } from '../../api/types';
import { startDrag } from './drag';
import { Grip, Line } from './parts';
import type { StripHandleProps } from './types';

/** The region whose colours are taken, by two of its corners. */
export function RegionHandles({ strip, lens, gestures }: StripHandleProps) {
    if (strip.values.toward !== 'a region') {
        return null;
    }
    const [from, to] = [strip.values.regionFrom as Point, strip.values.regionTo as Point];
    const corner = (name: 'regionFrom' | 'regionTo', label: string, at: Point) => (
        <Grip lens={lens} at={at} label={label} shape="ring" onGrab={(event) => startDrag(event, lens, strip.id, gestures, 'Region', ([x, y]) => ({ values: { [name]: [Math.round(x), Math.round(y)] } }))} />
    );
    return (
        <>
            <Line lens={lens} points={[from, [to[0], from[1]], to, [from[0], to[1]], from]} dashed />
            {corner('regionFrom', 'One corner of the region', from)}
            {corner('regionTo', 'The other corner of the region', to)}
        </>
    );
}
