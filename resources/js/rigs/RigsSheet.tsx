import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api } from '../api/client';
import type { Rig, Scene } from '../api/types';
import { useFileChoice } from '../ui/fileChoice';
import { focusBack } from '../ui/focus';
import { say, sayError } from '../ui/notices';
import { withFile } from '../ui/takingIn';
import { chosenPlate } from '../session/chosen';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { useWork, work } from '../session/store';
import { OverPictures } from './OverPictures';

const LONGEST_NAME = 60;

const RIGS = ['rigs'];

/** Looks that are kept for other scenes: used here, kept of what this scene has, as files, and over many pictures. */
export function RigsSheet({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const open = useWork((state) => state.rigsOpen);
    return (
        <Sheet open={open} onOpenChange={work.rigs}>
            <Shelf
                onUse={(rig) => {
                    work.rigs(false);
                    void gestures.useRig(rig.id, chosenPlate(scene));
                }}
                usedOn={everyStrip(scene.strips).find((strip) => strip.id === chosenPlate(scene))?.name ?? null}
            />
            <KeepOne key={scene.id} scene={scene} />
        </Sheet>
    );
}

/** The same where no scene is open. */
export function RigsOfAll({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Sheet open={open} onOpenChange={onOpenChange}>
            <Shelf usedOn={null} />
        </Sheet>
    );
}

function Sheet({ open, onOpenChange, children }: { open: boolean; onOpenChange: (open: boolean) => void; children: React.ReactNode }) {
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
                <Dialog.Content
                    aria-describedby={undefined}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        focusBack();
                    }}
                    className="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[680px] max-w-[96vw] overflow-y-auto -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-panel p-5"
                >
                    <Dialog.Title className="font-semibold">Rigs</Dialog.Title>
                    <p className="mt-1 text-quiet">Lights, shadows, air and grades that are kept for the next picture. Their lengths are shares of the short side, so that they fit every size.</p>
                    {children}
                    <Dialog.Close className="mt-4 rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function useShelf() {
    const queries = useQueryClient();
    return { shelf: useQuery({ queryKey: RIGS, queryFn: api.rigs }), know: (rigs: { rigs: Rig[] }) => queries.setQueryData(RIGS, { rigs: rigs.rigs }) };
}

function Shelf({ onUse, usedOn }: { onUse?: (rig: Rig) => void; /** the plate that a rig about a plate would be used on */ usedOn: string | null }) {
    const { shelf, know } = useShelf();
    const [over, setOver] = useState<Rig | null>(null);
    const [choose, field] = useFileChoice({ label: 'File of a rig', accept: '.json,.zip' }, ([file]) => file && void withFile(file, api.bringRig).then((rigs) => rigs && know(rigs)).catch(sayError));
    return (
        <>
            <ul aria-label="Kept rigs" className="mt-3 grid grid-cols-3 gap-3 max-[719px]:grid-cols-1">
                {shelf.data?.rigs.map((rig) => (
                    <li key={rig.id} className="relative flex flex-col gap-1 rounded-sm bg-well p-2">
                        <img src={`/api/rigs/${rig.id}/picture`} alt="" className="aspect-[8/5] w-full rounded-sm bg-surround object-cover" onError={(event) => (event.currentTarget.style.visibility = 'hidden')} />
                        <span className="truncate font-medium" title={rig.name}>
                            {rig.name}
                        </span>
                        <span className="truncate text-[12px] text-quiet">
                            {rig.strips === 1 ? 'one strip' : `${rig.strips} strips`}
                            {rig.subject !== null && `, about a plate (${rig.subject})`}
                        </span>
                        <span className="flex flex-wrap gap-1">
                            {onUse && (
                                <Press onPress={() => onUse(rig)} title={rig.subject === null ? 'On this scene' : usedOn === null ? 'Choose the plate that it is for, where there are several' : `On ${usedOn}`}>
                                    Use
                                </Press>
                            )}
                            <Press onPress={() => setOver(over?.id === rig.id ? null : rig)} title="Use it on each of many pictures, and write these out">
                                Over pictures
                            </Press>
                            <a className="flex items-center rounded-sm border border-line px-1.5 text-[12px] text-quiet hover:bg-raised hover:text-ink" href={`/api/rigs/${rig.id}/file`} download>
                                File
                            </a>
                        </span>
                        <button aria-label={`Take ${rig.name} out of the shelf`} title="Take out of the shelf" className="absolute top-3 right-3 rounded-sm bg-well/80 px-1.5 text-quiet hover:text-ink" onClick={() => void api.takeOutRig(rig.id).then(know, sayError)}>
                            ×
                        </button>
                    </li>
                ))}
                {shelf.isPending && <li className="text-quiet">Loading the rigs…</li>}
                {shelf.data?.rigs.length === 0 && <li className="col-span-3 text-quiet">None is kept yet. {onUse ? 'Keep some strips of this scene below, or bring in the file of a rig.' : 'Keep strips of a scene there, or bring in the file of a rig.'}</li>}
                {shelf.isError && (
                    <li role="alert" className="col-span-3 flex gap-3 text-alarm">
                        {shelf.error.message}
                        <Press onPress={() => void shelf.refetch()}>Load again</Press>
                    </li>
                )}
            </ul>
            <button className="mt-3 rounded-sm border border-line px-2 py-0.5 text-quiet hover:bg-raised hover:text-ink" onClick={choose}>
                Bring in the file of a rig
            </button>
            {field}
            {over && <OverPictures key={over.id} rig={over} />}
        </>
    );
}

function Press({ onPress, title, children }: { onPress: () => void; title?: string; children: React.ReactNode }) {
    return (
        <button title={title} className="rounded-sm border border-line px-1.5 text-[12px] text-quiet hover:bg-raised hover:text-ink" onClick={onPress}>
            {children}
        </button>
    );
}

/** Some strips of this scene under a name: at first the chosen one, or all but the plates. */
function KeepOne({ scene }: { scene: Scene }) {
    const { know } = useShelf();
    const { chosen, also } = useWork.getState();
    const offered = everyStrip(scene.strips).filter((strip) => strip.family !== 'plate');
    const mine = offered.filter((strip) => strip.id === chosen || also.includes(strip.id)).map((strip) => strip.id);
    const [ticked, setTicked] = useState(new Set(mine.length > 0 ? mine : scene.strips.filter((strip) => strip.family !== 'plate').map((strip) => strip.id)));
    const plates = everyStrip(scene.strips).filter((strip) => strip.family === 'plate');
    // what lies on the backdrop is about the scene
    const [plate, setPlate] = useState(plates[0]?.id === chosenPlate(scene) ? '' : (chosenPlate(scene) ?? ''));
    const [name, setName] = useState('');
    if (offered.length === 0) {
        return null;
    }
    async function keep() {
        try {
            const kept = await api.keepRig(scene.id, { strips: [...ticked], plate: plate === '' ? null : plate, name: name.trim() });
            know(kept);
            say(`"${name.trim()}" is kept with ${kept.strips === 1 ? 'one strip' : `${kept.strips} strips`}.`);
            setName('');
        } catch (error) {
            sayError(error);
        }
    }
    const toggle = (id: string) => setTicked((before) => new Set(before.has(id) ? [...before].filter((other) => other !== id) : [...before, id]));
    return (
        <form
            className="mt-4 border-t border-line pt-3"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <h3 className="font-medium">Keep strips of this scene</h3>
            <div role="group" aria-label="Strips of the rig" className="mt-2 flex max-h-[120px] flex-wrap gap-x-4 gap-y-1 overflow-y-auto">
                {offered.map((strip) => (
                    <label key={strip.id} className="flex items-center gap-1.5">
                        <input type="checkbox" className="accent-[#ececec]" checked={ticked.has(strip.id)} onChange={() => toggle(strip.id)} />
                        {strip.name}
                    </label>
                ))}
            </div>
            <div className="mt-2 flex flex-wrap items-center gap-2">
                <input aria-label="Name of the rig" placeholder="Name of the rig" maxLength={LONGEST_NAME} className="h-6 w-[180px] rounded-sm bg-well px-1.5" value={name} onChange={(event) => setName(event.target.value)} />
                <label className="flex items-center gap-1.5 text-quiet" title="Places are told from the middle of that plate, and what lies under it goes under the next one">
                    about
                    <select aria-label="The plate that it is about" className="h-6 max-w-[180px] rounded-sm bg-well px-1 text-ink" value={plate} onChange={(event) => setPlate(event.target.value)}>
                        <option value="">the whole scene</option>
                        {plates.map((one) => (
                            <option key={one.id} value={one.id}>
                                {one.name}
                            </option>
                        ))}
                    </select>
                </label>
                <button className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised disabled:opacity-50" disabled={name.trim() === '' || ticked.size === 0}>
                    Keep it
                </button>
            </div>
        </form>
    );
}
