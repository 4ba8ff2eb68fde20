import { Columns2, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Scene, Snapshot } from '../api/types';
import { focusBack } from '../ui/focus';
import { Menu, type Item } from '../ui/Menu';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { useWork, work, type Compared } from '../session/store';

const LONGEST_NAME = 80;

/** What the picture can be compared with, where the desk is, so that the picture stays in sight: before it was lit, its snapshots, or without the chosen strip. */
export function CompareSheet({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const isOpen = useWork((state) => state.compareOpen);
    return (
        <Dialog.Root modal={false} open={isOpen} onOpenChange={work.comparing}>
            <Dialog.Portal>
                <Dialog.Content
                    aria-describedby={undefined}
                    className="fixed inset-x-2 bottom-2 z-40 flex h-[196px] gap-3 overflow-x-auto rounded-md border border-line bg-well p-3 shadow-xl outline-none"
                    onOpenAutoFocus={(event) => event.preventDefault()}
                    onInteractOutside={(event) => event.preventDefault()}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        focusBack();
                    }}
                >
                    <Dialog.Title className="sr-only">Compare</Dialog.Title>
                    <Things scene={scene} gestures={gestures} />
                    <Dialog.Close aria-label="Close the comparison" className="ml-auto self-start rounded-sm p-1 text-quiet hover:text-ink" onClick={() => work.compare(null)}>
                        <X size={14} />
                    </Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

function Things({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const chosen = useWork((state) => state.chosen);
    const comparing = useWork((state) => state.comparing);
    const strip = everyStrip(scene.strips).find((other) => other.id === chosen && other.family !== 'plate');
    const is = (other: Compared) => JSON.stringify(comparing) === JSON.stringify(other);
    const toggle = (other: Compared) => work.compare(is(other) ? null : other);
    return (
        <>
            <div className="flex w-[150px] shrink-0 flex-col gap-1.5">
                <h3 className="text-quiet">Sliding edge against</h3>
                <Against pressed={is({ before: true })} onPress={() => toggle({ before: true })}>
                    Before it was lit
                </Against>
                <Against pressed={strip !== undefined && is({ without: strip.id })} isOff={strip === undefined} onPress={() => strip && toggle({ without: strip.id })} title={strip ? undefined : 'Choose a strip or a group first'}>
                    {strip ? `Without ${strip.name}` : 'Without a strip'}
                </Against>
                <SideBySide scene={scene} />
            </div>
            <section aria-label="Snapshots" className="flex min-w-0 gap-2">
                {scene.snapshots.map((snapshot) => (
                    <Card key={snapshot.id} scene={scene} snapshot={snapshot} gestures={gestures} isCompared={is({ snapshot: snapshot.id })} onCompare={() => toggle({ snapshot: snapshot.id })} />
                ))}
                <Keep scene={scene} gestures={gestures} />
            </section>
        </>
    );
}

function Against({ pressed, isOff = false, title, onPress, children }: { pressed: boolean; isOff?: boolean; title?: string; onPress: () => void; children: React.ReactNode }) {
    return (
        <button aria-pressed={pressed} disabled={isOff} title={title} className={`truncate rounded-sm border px-2 py-0.5 text-left disabled:opacity-40 ${pressed ? 'border-warm text-ink' : 'border-line text-quiet hover:bg-raised hover:text-ink'}`} onClick={onPress}>
            {children}
        </button>
    );
}

function Card({ scene, snapshot, gestures, isCompared, onCompare }: { scene: Scene; snapshot: Snapshot; gestures: Gestures; isCompared: boolean; onCompare: () => void }) {
    const [renaming, setRenaming] = useState(false);
    const isFlipped = useWork((state) => state.flipTo === snapshot.id);
    const flip = (isHeld: boolean) => {
        work.flipTo(snapshot.id);
        work.hold('flipped', isHeld);
    };
    const menu: Item[][] = [
        [
            { label: 'Go to it', run: () => void gestures.takeSnapshot(snapshot.id) },
            { label: 'Another one from it', run: () => void gestures.keepSnapshot(freeName(scene, snapshot.name), snapshot.id) },
            { label: 'Rename', run: () => window.setTimeout(() => setRenaming(true)) },
        ],
        [{ label: 'Throw away', run: () => void gestures.throwSnapshot(snapshot) }],
    ];
    return (
        <Menu label={`Menu of ${snapshot.name}`} groups={menu}>
            <div data-snapshot={snapshot.id} className="flex w-[148px] shrink-0 flex-col gap-1">
                <button
                    aria-pressed={isCompared}
                    aria-label={`Compare with ${snapshot.name}`}
                    title="Point at it to see it in the view; press to compare by a sliding edge; N flips to the one that was pointed at last"
                    className={`block h-[92px] overflow-hidden rounded-sm border bg-surround ${isCompared ? 'border-warm' : isFlipped ? 'border-ink' : 'border-line hover:border-ink'}`}
                    onPointerEnter={() => flip(true)}
                    onPointerLeave={() => flip(false)}
                    onClick={() => {
                        work.hold('flipped', false);
                        onCompare();
                    }}
                >
                    <img src={pictureOf(scene, snapshot)} alt="" draggable={false} className="h-full w-full object-contain" />
                </button>
                {renaming ? (
                    <input
                        aria-label="Name of the snapshot"
                        autoFocus
                        defaultValue={snapshot.name}
                        maxLength={LONGEST_NAME}
                        className="h-5 rounded-sm bg-raised px-1"
                        onKeyDown={(event) => {
                            event.stopPropagation();
                            if (event.key === 'Enter') {
                                event.currentTarget.blur();
                            } else if (event.key === 'Escape') {
                                event.currentTarget.value = snapshot.name;
                                event.currentTarget.blur();
                            }
                        }}
                        onBlur={(event) => {
                            setRenaming(false);
                            const name = event.target.value.trim();
                            if (name !== '' && name !== snapshot.name) {
                                void gestures.renameSnapshot(snapshot.id, name);
                            }
                        }}
                    />
                ) : (
                    <span className="truncate" title={snapshot.name} onDoubleClick={() => setRenaming(true)}>
                        {snapshot.name}
                    </span>
                )}
                <div className="flex gap-1">
                    <Small onPress={() => void gestures.takeSnapshot(snapshot.id)} title="The scene becomes as it was then; undo takes that back">
                        Go to it
                    </Small>
                    <Small onPress={() => void gestures.keepSnapshot(freeName(scene, snapshot.name), snapshot.id)} title="Another snapshot that begins as this one">
                        Another
                    </Small>
                    <Small onPress={() => void gestures.throwSnapshot(snapshot)} title={`Throw ${snapshot.name} away`}>
                        <X size={11} aria-label={`Throw ${snapshot.name} away`} />
                    </Small>
                </div>
            </div>
        </Menu>
    );
}

function Small({ onPress, title, children }: { onPress: () => void; title: string; children: React.ReactNode }) {
    return (
        <button title={title} className="rounded-sm border border-line px-1.5 text-[12px] text-quiet hover:bg-raised hover:text-ink" onClick={onPress}>
            {children}
        </button>
    );
}

/** The scene as it is now, under a name. */
function Keep({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const [name, setName] = useState('');
    return (
        <form
            className="flex w-[170px] shrink-0 flex-col gap-1.5"
            onSubmit={(event) => {
                event.preventDefault();
                void gestures.keepSnapshot(name.trim() === '' ? freeName(scene, 'Snapshot') : name.trim());
                setName('');
            }}
        >
            <h3 className="text-quiet">The scene as it is now</h3>
            <input aria-label="Name of the new snapshot" placeholder="Name, such as Brighter" maxLength={LONGEST_NAME} className="h-6 rounded-sm bg-raised px-1.5" value={name} onChange={(event) => setName(event.target.value)} />
            <button className="rounded-sm border border-line px-2 py-0.5 text-left hover:bg-raised">Keep as a snapshot</button>
            {scene.snapshots.length === 0 && <p className="text-[12px] text-quiet">Snapshots are named variants; each is kept with the scene.</p>}
        </form>
    );
}

/** All of them at once, as large as the window lets them be. */
function SideBySide({ scene }: { scene: Scene }) {
    const all = [
        { key: 'before', name: 'Before it was lit', picture: `/api/scenes/${scene.id}/thumbnail?before=1&revision=${scene.revision}` },
        ...scene.snapshots.map((snapshot) => ({ key: snapshot.id, name: snapshot.name, picture: pictureOf(scene, snapshot) })),
        { key: 'now', name: 'As it is', picture: `/api/scenes/${scene.id}/thumbnail?revision=${scene.revision}` },
    ];
    return (
        <Dialog.Root>
            <Dialog.Trigger className="mt-auto flex items-center gap-1.5 rounded-sm border border-line px-2 py-0.5 text-quiet hover:bg-raised hover:text-ink">
                <Columns2 size={13} aria-hidden /> Side by side
            </Dialog.Trigger>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-50 bg-[#1c1c1c]" />
                <Dialog.Content aria-describedby={undefined} className="fixed inset-0 z-50 flex flex-col gap-3 overflow-y-auto p-6 outline-none">
                    <Dialog.Title className="sr-only">Side by side</Dialog.Title>
                    <div className="grid min-h-0 flex-1 content-center gap-4" style={{ gridTemplateColumns: `repeat(${Math.min(all.length, all.length > 4 ? 3 : 2)}, minmax(0, 1fr))` }}>
                        {all.map(({ key, name, picture }) => (
                            <figure key={key} className="min-w-0">
                                <img src={picture} alt={name} className="w-full" />
                                <figcaption className="mt-1 truncate text-quiet">{name}</figcaption>
                            </figure>
                        ))}
                    </div>
                    <Dialog.Close className="self-end rounded-md border border-line px-3 py-1 hover:bg-raised">Close</Dialog.Close>
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}

const pictureOf = (scene: Scene, snapshot: Snapshot) => `/api/scenes/${scene.id}/thumbnail?snapshot=${snapshot.id}`;

/** A name that no snapshot has: the wanted one, or one with a number behind it. */
export function freeName(scene: Pick<Scene, 'snapshots'>, wanted: string): string {
    const taken = new Set(scene.snapshots.map(({ name }) => name));
    const stem = wanted.replace(/ \d+$/, '');
    let name = wanted;
    for (let k = 2; taken.has(name); k++) {
        name = `${stem.slice(0, 74)} ${k}`;
    }
    return name;
}
