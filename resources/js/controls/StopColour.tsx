import { withStop } from '../session/stops';
import type { Hand } from './hand';
import { Row } from './Row';

/** The colour of one stop of a ramp. */
export function StopColour<T extends { offset: number; colour: string }>({ stops, at, hand }: { stops: T[]; at: number; hand: Hand<T[]> }) {
    const name = `Colour ${at + 1}`;
    return (
        <Row label={name}>
            <input
                type="color"
                aria-label={name}
                className="h-6 w-8 rounded-sm border border-line bg-well p-0.5"
                value={stops[at]?.colour}
                onChange={(event) => hand.nudge(withStop<T>(stops, at, { colour: event.target.value } as Partial<T>))}
            />
        </Row>
    );
}
