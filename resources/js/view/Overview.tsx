import type { Scene } from '../api/types';
import { follow } from '../ui/pointer';
import { toScene, windowOf, type Lens, type Size } from '../session/camera';
import { useWork, work } from '../session/store';

/** Sides of the small picture at most, CSS pixels. */
const LARGEST = 150;

/** The whole scene in small while only a part of it is seen; the part is dragged about in it. */
export function Overview({ scene, lens, view }: { scene: Scene; lens: Lens; view: Size }) {
    const zoomed = useWork((state) => state.camera !== null);
    const seen = windowOf(lens, scene, view);
    if (!zoomed || seen.width <= 0 || seen.height <= 0 || (seen.width >= scene.width && seen.height >= scene.height)) {
        return null;
    }
    const scale = LARGEST / Math.max(scene.width, scene.height);
    const [width, height] = [Math.max(24, scene.width * scale), Math.max(24, scene.height * scale)];
    return (
        <div
            data-testid="overview"
            aria-hidden
            className="absolute right-2 bottom-2 cursor-move touch-none overflow-hidden rounded-sm border border-line bg-well shadow-lg"
            style={{ width, height, backgroundImage: `url(/api/scenes/${scene.id}/thumbnail?kept=1)`, backgroundSize: '100% 100%' }}
            onPointerDown={(event) => {
                event.preventDefault();
                event.stopPropagation();
                const box = event.currentTarget.getBoundingClientRect();
                const to = (x: number, y: number, at: number) => work.moveView({ zoom: lens.zoom, centre: [((x - box.left) / width) * scene.width, ((y - box.top) / height) * scene.height] }, at);
                to(event.clientX, event.clientY, event.timeStamp);
                const centre = toScene(lens, [view.width / 2, view.height / 2]);
                follow(event.currentTarget, event.pointerId, {
                    move: ({ clientX, clientY, timeStamp }) => to(clientX, clientY, timeStamp),
                    end: () => work.rest(),
                    cancel: () => {
                        work.stand({ zoom: lens.zoom, centre });
                        work.rest();
                    },
                });
            }}
        >
            <img src={`/api/scenes/${scene.id}/thumbnail?revision=${scene.revision}`} alt="" draggable={false} className="h-full w-full" />
            <span
                className="absolute border border-white shadow-[0_0_0_400px_rgba(0,0,0,0.45)]"
                style={{ left: seen.x * (width / scene.width), top: seen.y * (height / scene.height), width: seen.width * (width / scene.width), height: seen.height * (height / scene.height) }}
            />
        </div>
    );
}
