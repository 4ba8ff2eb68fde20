import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import type { Scene, Strip } from '../api/types';
import { Row } from '../controls/Row';
import { Told } from '../controls/Told';
import { useRests } from '../session/resting';

const view = Math.random().toString(36).slice(2);

let number = 0;

/** How far two mean colours are apart, before and after a strip that brings them together. */
export function HowAlike({ scene, strip }: { scene: Scene; strip: Strip }) {
    const rests = useRests(scene);
    const query = useQuery({
        queryKey: ['likeness', scene.id, scene.revision, strip.id],
        queryFn: () => api.likeness(scene.id, { strip: strip.id, view, number: ++number }),
        enabled: rests,
        staleTime: Infinity,
        placeholderData: (last) => last,
    });
    const found = query.data;
    return found ? (
        <Told says="How far the means of both are apart, before this strip and after it: CIEDE2000, of which 1 can just be told apart">
            <Row label="Apart">
                <span data-testid="apart" className="text-ink tabular-nums">
                    {found.before.toFixed(1)} <span className="text-quiet">before,</span> {found.after.toFixed(1)} <span className="text-quiet">after</span>
                </span>
            </Row>
        </Told>
    ) : null;
}
