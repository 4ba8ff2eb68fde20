import { LayoutGrid, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { api } from '../api/client';
import type { Scene, Strip } from '../api/types';
import { picturesOf, type Small } from '../ui/smallPictures';
import { modeGroups } from '../generated/catalogue';
import { focusBack } from '../ui/focus';
import { SmallPicture } from '../ui/SmallPicture';
import { sayError } from '../ui/notices';
import { lensOf, windowOf } from '../session/camera';
import type { Gestures } from '../session/gestures';
import { useWork, work } from '../session/store';

/** How wide a small picture is, px; what is looked at is shown in it. */
const WIDTH = 112;

/** What is looked at is not known here to the pixel: a view of about this size. */
const VIEW = { width: 920, height: 560 };

/** The chosen strip under every mode, side by side where the desk is, so that the picture stays in sight: to point at one shows it in the view, to press takes it. */
export function ModeSheet({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const isOpen = useWork((state) => state.modesOpen);
    function close() {
        work.drop(strip.id);
        work.modes(false);
    }
    return (
        <Dialog.Root modal={false} open={isOpen} onOpenChange={(open) => (open ? work.modes(true) : close())}>
            <Dialog.Trigger asChild>
                <button aria-label="Modes side by side" className="rounded-sm border border-line p-1 hover:bg-raised" title="Modes side by side: this strip under every mode">
                    <LayoutGrid size={14} />
                </button>
            </Dialog.Trigger>
            <Dialog.Portal>
                <Dialog.Content
                    aria-describedby={undefined}
                    className="fixed inset-x-2 bottom-2 z-40 flex h-[194px] gap-3 overflow-x-auto rounded-md border border-line bg-well p-3 shadow-xl outline-none"
                    onOpenAutoFocus={(event) => event.preventDefault()}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        focusBack();
                    }}
                >
                    <Dialog.Title className="sr-only">Modes side by side</Dialog.Title>
                    <Modes scene={scene} strip={strip} gestures={gestures} onTaken={() => work.modes(false)} />
                    <Dialog.Close aria-label="Close the modes" className="ml-auto self-start rounded-sm p-1 text-quiet hover:text-ink">
                        <X size={14} />
                    </Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function Modes({ scene, strip, gestures, onTaken }: { scene: Scene; strip: Strip; gestures: Gestures; onTaken: () => void }) {
    const [pictures, setPictures] = useState<Map<string, Small> | null>(null);
    const camera = useWork((state) => state.camera);
    useEffect(() => {
        const leaving = new AbortController();
        const lens = lensOf(camera, scene, VIEW);
        const { x, y, width, height } = windowOf(lens, scene, VIEW);
        api.modes(scene.id, { view: 'modes', number: Date.now(), draft: false, window: [x, y, width, height], scale: WIDTH / width, changes: {}, below: null, solo: [], before: false, snapshot: null, mask: null, over: false, tint: null, form: null, as: 'colours', alone: strip.id }, leaving.signal).then(
            (reply) => reply && setPictures(picturesOf(reply)),
            (error: unknown) => !leaving.signal.aborted && sayError(error),
        );
        return () => leaving.abort();
        // what is asked of is the strip as it is written: pointing at a mode changes nothing of that
    }, [scene.id, scene.revision, strip.id, camera, scene]);

    return (
        <>
            {modeGroups.map(({ does, modes }) => (
                <section key={does} aria-label={does}>
                    <h3 className="mb-1 text-[12px] whitespace-nowrap text-quiet">{does}</h3>
                    <div className="grid grid-flow-col grid-rows-2 gap-1.5">
                        {modes.map((mode) => (
                            <button
                                key={mode}
                                aria-pressed={mode === strip.mode}
                                disabled={pictures !== null && !pictures.has(mode)}
                                title={pictures !== null && !pictures.has(mode) ? 'Its values do not go with this mode' : undefined}
                                className={`w-[84px] rounded-sm border p-0.5 text-left hover:border-ink focus-visible:border-ink disabled:opacity-40 ${mode === strip.mode ? 'border-warm' : 'border-line'}`}
                                onPointerEnter={() => mode !== strip.mode && work.live(strip.id, { mode })}
                                onPointerLeave={() => work.drop(strip.id)}
                                onFocus={(event) => event.currentTarget.matches(':focus-visible') && mode !== strip.mode && work.live(strip.id, { mode })}
                                onBlur={() => work.drop(strip.id)}
                                onClick={() => {
                                    onTaken();
                                    void gestures.change(strip.id, { mode }, 'Mode');
                                }}
                            >
                                <span className="block h-[50px] bg-surround">
                                    <SmallPicture picture={pictures?.get(mode)} />
                                </span>
                                <span className="block truncate px-0.5 text-[11px]">{mode}</span>
                            </button>
                        ))}
                    </div>
                </section>
            ))}
        </>
    );
}
