import { everyStrip } from '../../session/strips';
import { useWork } from '../../session/store';
import { ColourLayer } from './ColourLayer';
import { CurveLayer } from './CurveLayer';
import { FindLayer } from './FindLayer';
import { LineLayer } from './LineLayer';
import { MarkLayer } from './MarkLayer';
import { OutlineLayer } from './OutlineLayer';
import { PaintLayer } from './PaintLayer';
import { PickLayer } from './PickLayer';
import { PlaceLayer } from './PlaceLayer';
import { SphereLayer } from './SphereLayer';
import type { LayerProps } from './types';

/** What the pointer does over the picture, other than moving handles. */
export function ToolLayer(props: LayerProps) {
    const tool = useWork((state) => state.tool);
    const drawing = useWork((state) => state.drawing);
    const sphere = useWork((state) => state.sphere);
    const chosen = useWork((state) => state.chosen);
    const pending = useWork((state) => state.pending);
    const placing = useWork((state) => state.placing);
    const picking = useWork((state) => state.picking);
    const marking = useWork((state) => state.marking);
    const all = everyStrip(props.scene.strips, pending);
    const own = all.find((other) => other.id === chosen);
    // what is painted on one of a split pair is painted on their line, which the other one has
    const holder = own?.complements === undefined ? undefined : all.find((other) => other.id === own.complements);
    const strip = tool === 'move' ? own : (holder ?? own);
    const isPair = strip !== undefined && all.some((other) => other.complements === strip.id);
    if (picking && 'curve' in picking) {
        return <CurveLayer {...props} {...picking} />;
    }
    if (picking) {
        return <ColourLayer {...props} picking={picking} />;
    }
    if (placing) {
        return <PlaceLayer {...props} placing={placing} />;
    }
    if (marking) {
        return <MarkLayer key={marking} {...props} marking={marking} />;
    }
    if (!strip) {
        return null;
    }
    if (drawing) {
        return <LineLayer {...props} strip={strip} drawing={drawing} />;
    }
    switch (tool) {
        case 'paint':
            return <PaintLayer {...props} strip={strip} isPair={isPair} flips={holder !== undefined} />;
        case 'outline':
            return <OutlineLayer key={strip.id} {...props} strip={strip} />;
        case 'find':
            return strip.maps ? <FindLayer key={strip.id} {...props} strip={strip} /> : null;
        case 'pick':
            return <PickLayer {...props} strip={strip} />;
        default:
            return sphere === strip.id ? <SphereLayer {...props} strip={strip} /> : null;
    }
}
