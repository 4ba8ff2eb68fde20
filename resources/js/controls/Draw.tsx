import { useWork, type Drawing } from '../work/store';
import { Action } from './Action';

/** Begins to draw a line on the picture. */
export function Draw({ label, drawing }: { label: string; drawing: Exclude<Drawing, null> }) {
    const now = useWork((state) => state.drawing);
    return <Action label={label} pressed={now === drawing} onPress={() => useWork.setState({ drawing: now === drawing ? null : drawing, tool: 'move', sphere: null })} />;
}
