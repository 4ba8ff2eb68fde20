import { useEffect, useRef } from 'react';
import { api } from '../../api/client';
import { useWork, work } from '../../session/store';
import { follow } from '../../ui/pointer';
import { sayError } from '../../ui/notices';
import { mapped } from '../../session/ground';
import { toView } from '../../session/camera';
import { turnTo } from '../../session/dial';
import type { StripLayerProps } from './types';

const SIZE = 148;

/** A sphere lit by the core, laid over the plate: dragging on it turns the light until it looks like the subject. */
export function SphereLayer({ scene, strip, lens, gestures }: StripLayerProps) {
    const noticed = useWork((state) => state.noticed);
    const sight = (noticed.compass ?? scene.compass).sights.find((other) => other.strip === strip.id);
    const asked = useWork((state) => state.pending[strip.id]?.turn) ?? sight;
    const [azimuth, elevation] = [asked?.azimuth ?? 90, asked?.elevation ?? 30];
    const canvas = useRef<HTMLCanvasElement>(null);
    const newest = useRef(0);

    useEffect(() => {
        const number = ++newest.current;
        api.sphere(azimuth, elevation, SIZE)
            .then((image) => number === newest.current && canvas.current?.getContext('2d')?.putImageData(image, 0, 0))
            .catch(sayError);
    }, [azimuth, elevation]);

    const picture = scene.pictures[String(strip.values.picture)];
    const middle = strip.maps && picture ? toView(lens, mapped(strip.maps.toScene, [picture.width / 2, picture.height / 2])) : [200, 200];

    function onPointerDown(event: React.PointerEvent<HTMLCanvasElement>) {
        if (event.button !== 0) {
            return;
        }
        event.preventDefault();
        const bounds = event.currentTarget.getBoundingClientRect();
        const turn = (pointer: { clientX: number; clientY: number; timeStamp: number }) => {
            const x = ((pointer.clientX - bounds.left) / bounds.width) * 2 - 1;
            const y = 1 - ((pointer.clientY - bounds.top) / bounds.height) * 2;
            // the brightest place follows the pointer; beyond the rim the light goes behind
            const away = Math.hypot(x, y);
            const height = away <= 1 ? (Math.acos(away) * 180) / Math.PI : -Math.min(80, (away - 1) * 60);
            work.live(strip.id, { turn: turnTo((Math.atan2(y, x) * 180) / Math.PI, height) }, pointer.timeStamp);
        };
        turn(event);
        follow(event.currentTarget, event.pointerId, { move: turn, end: () => void gestures.commit(strip.id, 'Turn the sphere'), cancel: () => work.drop(strip.id) });
    }

    return (
        <div className="absolute flex flex-col items-center gap-1.5" style={{ left: (middle[0] ?? 0) - SIZE / 2, top: (middle[1] ?? 0) - SIZE / 2 }}>
            <canvas ref={canvas} width={SIZE} height={SIZE} aria-label="Lit sphere: drag the light on it" data-testid="sphere" className="cursor-grab touch-none" onPointerDown={onPointerDown} />
            <button className="rounded-md bg-ink px-3 py-0.5 font-semibold text-well" onClick={() => work.turnSphere(null)}>
                It matches
            </button>
        </div>
    );
}
