import { everyStrip } from '../../work/strips';
import { useWork } from '../../work/store';
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
    const marking = useWork((state) => state.marking);
    const strip = everyStrip(props.scene.strips, pending).find((other) => other.id === chosen);
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
            return <PaintLayer {...props} strip={strip} />;
        case 'outline':
            return <OutlineLayer key={strip.id} {...props} strip={strip} />;
        case 'pick':
            return <PickLayer {...props} strip={strip} />;
        default:
            return sphere === strip.id ? <SphereLayer {...props} strip={strip} /> : null;
    }
}
