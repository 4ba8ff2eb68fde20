import { drawingOf, useWork, work, type Drawing } from '../session/store';
import { Action } from './Action';

/** Begins to draw a line on the picture. */
export function Draw({ label, drawing }: { label: string; drawing: Drawing }) {
    const now = useWork(drawingOf);
    return <Action label={label} pressed={now === drawing} onPress={() => work.draw(now === drawing ? null : drawing)} />;
}
