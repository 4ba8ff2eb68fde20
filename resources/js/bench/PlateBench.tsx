import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api } from '../api/client';
import type { Scene, Strip } from '../api/types';
import { Action } from '../controls/Action';
import type { Gestures } from '../session/gestures';
import { pivots, useWork, work } from '../session/store';
import { everyStrip } from '../session/strips';

export function BaseActions({ strip, gestures }: { strip: Strip; gestures: Gestures }) {
    return (
        <div className="flex flex-wrap gap-1.5 pt-0.5">
            <Action label="Trio" title="Two stops under; as shot and two over above it, hidden, to be revealed by painting" onPress={() => void gestures.trio(strip.id)} />
            <Action label="Average as a flat colour" title="A flat colour above it: the mean of what the plate shows" onPress={() => void gestures.average(strip.id)} />
        </div>
    );
}

/** What follows from where light comes from; the lowest plate is the place, on which shadows fall. */
export function DirectionActions({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const isPlace = everyStrip(scene.strips).find((other) => other.family === 'plate')?.id === strip.id;
    return isPlace ? null : (
        <div className="flex flex-wrap gap-1.5 pt-0.5">
            <Action label="Find its feet" title="Where its legs end, by its outline: there its shadows start" onPress={() => void gestures.findFeet(strip.id)} />
            <Action label="Cast its shadows" title="By every source, and where it touches; each can be changed by itself" onPress={() => void gestures.castShadows(strip.id)} />
        </div>
    );
}

/** The point about which the plate is scaled and turned. */
export function PlacingActions() {
    const pivoting = useWork(pivots);
    return (
        <div className="flex flex-wrap gap-1.5 pt-0.5">
            <Action label="Move the pivot" title="The ring about which it is scaled and turned; or drag the ring with shift held" pressed={pivoting} onPress={() => work.pivot(!pivoting)} />
        </div>
    );
}

/** The hatching under which an edge is judged, and what shrinking takes away. */
export function EdgeActions({ scene, strip }: { scene: Scene; strip: Strip }): ReactNode {
    const tint = useWork((state) => state.tint);
    const shrinks = typeof strip.values.grow === 'number' && strip.values.grow < 0;
    const pieces = useQuery({ queryKey: ['pieces', scene.id, strip.id, scene.revision], queryFn: () => api.pieces(scene.id, strip.id), enabled: shrinks });
    const vanished = shrinks ? (pieces.data?.vanished ?? 0) : 0;
    return (
        <>
            {vanished > 0 && <p className="text-[12px] text-alarm">{vanished === 1 ? 'One piece vanishes: it is too small to shrink.' : `${vanished} pieces vanish: they are too small to shrink.`}</p>}
            <div className="pt-0.5">
                <Action label="Judge the cut" title="What is cut away lies behind hatching" pressed={tint === strip.id} onPress={() => work.judge(tint === strip.id ? null : strip.id)} />
            </div>
        </>
    );
}
