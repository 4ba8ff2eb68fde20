import { OutlineHandles } from './OutlineHandles';
import type { StripHandleProps } from './types';

/** The points of the lines that shine. */
export function LineHandles(props: StripHandleProps) {
    const lines = props.strip.shines ? props.strip.masks.filter((mask) => mask.on === 'emitter' && mask.kind === 'outline' && !mask.off) : [];
    return (
        <>
            {lines.map((mask) => (
                <OutlineHandles key={mask.id} {...props} mask={mask} isOpen={props.strip.values.closed !== true} />
            ))}
        </>
    );
}
