import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { api } from '../api/client';
import type { FoundBearing, Parameter, Point, Scene, Strip, Value } from '../api/types';
import type { Gestures } from '../screen/gestures';
import { useWork, type Drawing } from '../screen/store';
import { Row } from './fields';

type Props = { scene: Scene; strip: Strip; parameter: Parameter; gestures: Gestures };

/** The values of a plate that are set on the picture: its corners, its horizon, where its light comes from. */
export function PlateField(props: Props) {
    switch (props.parameter.type) {
        case 'corners':
            return <CornersField {...props} />;
        case 'line':
            return <LineField {...props} />;
        case 'bearing':
            return <BearingField {...props} />;
        default:
            return null;
    }
}

function Action({ label, title, pressed, onPress }: { label: string; title?: string; pressed?: boolean; onPress: () => void }) {
    return (
        <button aria-pressed={pressed} title={title} className={`rounded-sm border border-line px-2 py-0.5 ${pressed ? 'bg-ink text-well' : 'hover:bg-raised'}`} onClick={onPress}>
            {label}
        </button>
    );
}

function Forget({ label, onPress }: { label: string; onPress: () => void }) {
    return (
        <button aria-label={label} title={label} className="rounded-sm p-1 text-quiet hover:text-ink" onClick={onPress}>
            <X size={12} />
        </button>
    );
}

function setter({ strip, parameter, gestures }: Props) {
    return (value: Value, label: string) => void gestures.change(strip.id, { values: { [parameter.name]: value } }, label);
}

function CornersField(props: Props) {
    const { scene, strip, parameter } = props;
    const fitting = useWork((state) => state.fitting);
    const set = setter(props);
    const picture = scene.pictures[String(strip.values.picture)];
    const value = strip.values[parameter.name];
    return (
        <Row label={parameter.label}>
            <Action label="Fit the corners" title="Drag each corner by itself" pressed={fitting} onPress={() => useWork.setState({ fitting: !fitting, tool: 'move' })} />
            {value && picture && <Forget label="Straight on again" onPress={() => set(null, 'Straight on')} />}
        </Row>
    );
}

function LineField(props: Props) {
    const { scene, strip, parameter, gestures } = props;
    const set = setter(props);
    const value = strip.values[parameter.name] as Point[] | null;
    const ground = scene.strips.find((other) => other.family === 'plate');
    return (
        <Row label={parameter.label}>
            <Draw label={value ? 'Draw again' : 'Draw'} drawing="horizon" />
            {value && ground?.id !== strip.id && <Action label="Align" title={`Lay it on the horizon of ${ground?.name ?? 'the lowest plate'}`} onPress={() => void gestures.align(strip.id)} />}
            {value && <Forget label="Forget the horizon" onPress={() => set(null, 'Forget the horizon')} />}
        </Row>
    );
}

function Draw({ label, drawing }: { label: string; drawing: Exclude<Drawing, null> }) {
    const now = useWork((state) => state.drawing);
    return <Action label={label} pressed={now === drawing} onPress={() => useWork.setState({ drawing: now === drawing ? null : drawing, tool: 'move', sphere: null })} />;
}

const FOUND: Record<FoundBearing['by'], string> = { outline: 'by its outline', 'shadow line': 'by a shadow line', sphere: 'by hand' };

function BearingField(props: Props) {
    const { scene, strip, gestures } = props;
    const set = setter(props);
    const sphere = useWork((state) => state.sphere);
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
                <Action label="Sphere" title="Turn a lit sphere until it looks like the subject" pressed={sphere === strip.id} onPress={() => useWork.setState({ sphere: sphere === strip.id ? null : strip.id, tool: 'move', drawing: null })} />
            </div>
        </>
    );
}

export function BaseActions({ strip, gestures }: { strip: Strip; gestures: Gestures }) {
    return (
        <div className="flex flex-wrap gap-1.5 pt-0.5">
            <Action label="Trio" title="Two stops under; as shot and two over above it, hidden, to be revealed by painting" onPress={() => void gestures.trio(strip.id)} />
            <Action label="Fill with its average" title="A fill with the mean colour of what the plate shows" onPress={() => void gestures.average(strip.id)} />
        </div>
    );
}

/** The tint under which an edge is judged, and what shrinking takes away. */
export function EdgeActions({ scene, strip }: { scene: Scene; strip: Strip }): ReactNode {
    const tint = useWork((state) => state.tint);
    const shrinks = typeof strip.values.grow === 'number' && strip.values.grow < 0;
    const pieces = useQuery({ queryKey: ['pieces', scene.id, strip.id, scene.revision], queryFn: () => api.pieces(scene.id, strip.id), enabled: shrinks });
    const vanished = shrinks ? (pieces.data?.vanished ?? 0) : 0;
    return (
        <>
            {vanished > 0 && <p className="text-[12px] text-alarm">{vanished === 1 ? 'One piece vanishes: it is too small to shrink.' : `${vanished} pieces vanish: they are too small to shrink.`}</p>}
            <div className="pt-0.5">
                <Action label="Judge under a tint" title="What is cut away lies under a blue tint" pressed={tint === strip.id} onPress={() => useWork.setState({ tint: tint === strip.id ? null : strip.id })} />
            </div>
        </>
    );
}
