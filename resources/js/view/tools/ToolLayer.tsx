import { everyStrip } from '../../session/strips';
import { useWork, type Tool } from '../../session/store';
import type { Strip } from '../../api/types';
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
    const pointer = useWork((state) => state.pointer);
    const chosen = useWork((state) => state.chosen);
    const pending = useWork((state) => state.pending);
    const all = everyStrip(props.scene.strips, pending);
    const own = all.find((other) => other.id === chosen);
    switch (pointer.does) {
        case 'pick':
            return 'curve' in pointer.picking ? <CurveLayer {...props} {...pointer.picking} /> : <ColourLayer {...props} picking={pointer.picking} />;
        case 'place':
            return <PlaceLayer {...props} placing={pointer.placing} />;
        case 'mark':
            return <MarkLayer key={pointer.marking} {...props} marking={pointer.marking} />;
        case 'draw':
            return own ? <LineLayer {...props} strip={own} drawing={pointer.drawing} /> : null;
        case 'sphere':
            return own?.id === pointer.plate ? <SphereLayer {...props} strip={own} /> : null;
        // these are handles of their own
        case 'fit':
        case 'pivot':
            return null;
        case 'tool':
            return <InHand {...props} tool={pointer.tool} all={all} own={own} />;
    }
}

/** The layer of a tool, on the chosen strip. */
function InHand({ tool, all, own, ...props }: LayerProps & { tool: Tool; all: Strip[]; own: Strip | undefined }) {
    // what is painted on one of a split pair is painted on their line, which the other one has
    const holder = own?.complements === undefined ? undefined : all.find((other) => other.id === own.complements);
    const strip = holder ?? own;
    if (!strip) {
        return null;
    }
    const isPair = all.some((other) => other.complements === strip.id);
    switch (tool) {
        case 'paint':
            return <PaintLayer {...props} strip={strip} isPair={isPair} flips={holder !== undefined} />;
        case 'outline':
            return <OutlineLayer key={strip.id} {...props} strip={strip} />;
        case 'find':
            return strip.maps ? <FindLayer key={strip.id} {...props} strip={strip} /> : null;
        case 'pick':
            return <PickLayer {...props} strip={strip} />;
        case 'move':
        case 'pan':
            return null;
    }
}
