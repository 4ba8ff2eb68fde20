import type { FoundBearing, Value } from '../api/types';
import { sphereOf, useWork, work } from '../session/store';
import { Action, Forget } from './Action';
import { Draw } from './Draw';
import type { ValueProps } from './hand';
import { Row } from './Row';

const FOUND: Record<FoundBearing['by'], string> = { outline: 'by its outline', 'shadow line': 'by a shadow line', sphere: 'by hand' };

/** Where a plate's light comes from: estimated, read off a shadow, or found by hand. */
export function BearingField(props: ValueProps) {
    const { scene, strip, gestures } = props;
    const set = (value: Value, label: string) => void props.gestures.change(props.strip.id, { values: { [props.parameter.name]: value } }, label);
    const sphere = useWork(sphereOf);
    const noticed = useWork((state) => state.noticed);
    const value = strip.values.bearing as FoundBearing | null;
    const sight = (noticed.compass ?? scene.compass).sights.find((other) => other.strip === strip.id);
    return (
        <>
            <Row label="Light comes">
                <span className="min-w-0 flex-1 text-[12.5px]">{sight ? sight.words : 'not known'}</span>
                {value && <Forget label="Forget the bearing" onPress={() => set(null, 'Forget the bearing')} />}
            </Row>
            {sight && value && (
                <Row label="Azimuth">
                    <span className="font-mono text-[12px]">{sight.azimuth.toFixed(0)}°</span>
                    <span className="text-quiet">elevation</span>
                    <span className="font-mono text-[12px]">{sight.elevation.toFixed(0)}°</span>
                </Row>
            )}
            {sight && value && (
                <Row label="Over the ground">
                    <span className="font-mono text-[12px]">{sight.heightAngle.toFixed(0)}°</span>
                    <span className="text-quiet">high, heading</span>
                    <span className="font-mono text-[12px]">{sight.heading.toFixed(0)}°</span>
                </Row>
            )}
            {sight && value && (
                <Row label="Found">
                    <span className="text-[12.5px] text-quiet">
                        {FOUND[value.by]}, give or take {sight.spread.toFixed(0)}°, {(sight.confidence * 100).toFixed(0)} % sure
                    </span>
                </Row>
            )}
            <div className="flex flex-wrap gap-1.5 pt-0.5">
                <Action label="Estimate" title="From the brightness along its outline" onPress={() => void gestures.estimateBearing(strip.id)} />
                <Draw label="Shadow line" drawing="shadow line" />
                <Action label="Sphere" title="Turn a lit sphere until it looks like the subject" pressed={sphere === strip.id} onPress={() => work.turnSphere(sphere === strip.id ? null : strip.id)} />
            </div>
        </>
    );
}
