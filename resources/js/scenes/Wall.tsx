import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, Search, Upload } from 'lucide-react';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { api, Refused } from '../api/client';
import type { Scene, SceneCard } from '../api/types';
import { picturesTaken } from '../generated/catalogue';
import { useFilesIn } from '../ui/filesIn';
import { Notices, say, sayError } from '../ui/notices';
import { TakingIn, withFile } from '../ui/takingIn';
import { go } from '../ui/route';
import { ago, megabytes } from '../ui/words';
import { arranged, freeName, ORDERS, type Order } from './arranged';
import { RigsOfAll } from '../rigs/RigsSheet';
import { Card, FolderCard } from './Card';
import { SettingsSheet } from './SettingsSheet';
import { useStanding } from './standing';

/** Pictures of a folder that become scenes. */
const MOST_OF_A_FOLDER = 200;

/** The scenes wall: every scene with its picture, searched, sorted, in folders; a picture dropped here becomes a new one. */
export function Wall() {
    const scenes = useQuery({ queryKey: ['scenes'], queryFn: api.scenes, refetchOnWindowFocus: true });
    const { drop, busy, problem } = useDrop();
    const { order, search, folder, set } = useStanding();
    const box = useRef<HTMLDivElement>(null);
    const [rigs, setRigs] = useState(false);
    const [settings, setSettings] = useState(false);
    const lay = useLay();
    useFilesIn((files, name) => void drop(files, name));
    useEffect(() => {
        document.title = 'Scenes · Aumbrel';
    }, []);
    const all = scenes.data?.scenes ?? [];
    const names = [...new Set(all.flatMap((scene) => (scene.folder === null ? [] : [scene.folder])))].sort();
    const inFolder = folder !== null && names.includes(folder) ? folder : null;
    const shown = arranged(all, order, search, inFolder);
    useBackWhereOneWas(box, scenes.isSuccess);

    /** One card dropped on another: both lie in one folder then. */
    const together = (carried: string, onto: SceneCard) =>
        carried !== onto.id && (onto.folder !== null ? lay([carried], onto.folder) : lay([carried, onto.id], freeName(onto.title.slice(0, 60), names)));

    return (
        <main className="flex h-full flex-col">
            <header className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 bg-bar px-4 py-1">
                <h1 className="font-semibold">Aumbrel</h1>
                {inFolder === null ? (
                    <span className="text-quiet">Scenes</span>
                ) : (
                    <>
                        <button
                            className="flex h-7 items-center gap-1.5 rounded-sm px-2 text-quiet hover:text-ink"
                            title="All scenes; a card that is dropped here lies in no folder"
                            onClick={() => set({ folder: null })}
                            onDragOver={(event) => event.preventDefault()}
                            onDrop={(event) => lay([event.dataTransfer.getData('text/plain')], null)}
                        >
                            <ArrowLeft size={14} aria-hidden /> All scenes
                        </button>
                        <FolderName key={inFolder} name={inFolder} onRename={(name) => lay(all.filter((scene) => scene.folder === inFolder).map((scene) => scene.id), name).then(() => set({ folder: name }))} />
                    </>
                )}
                <button className="ml-auto h-7 rounded-sm px-2 text-quiet hover:text-ink" title="Looks that are kept, over many pictures" onClick={() => setRigs(true)}>
                    Rigs
                </button>
                <button className="h-7 rounded-sm px-2 text-quiet hover:text-ink" onClick={() => setSettings(true)}>
                    Settings
                </button>
                <label className="flex h-7 w-[240px] items-center gap-2 rounded-sm bg-well px-2 text-quiet">
                    <Search size={14} aria-hidden />
                    <input type="search" aria-label="Search the scenes" placeholder="Search" className="min-w-0 flex-1 bg-transparent text-ink outline-none" value={search} onChange={(event) => set({ search: event.target.value })} />
                </label>
                <select aria-label="Order of the scenes" className="h-7 rounded-sm bg-well px-1.5" value={order} onChange={(event) => set({ order: event.target.value as Order })}>
                    {Object.entries(ORDERS).map(([key, words]) => (
                        <option key={key} value={key}>
                            {words}
                        </option>
                    ))}
                </select>
            </header>
            <div ref={box} data-testid="wall" className="min-h-0 flex-1 overflow-y-auto p-6">
                <LittleRoom />
                <div className="mx-auto grid max-w-[1180px] grid-cols-[repeat(auto-fill,minmax(min(260px,100%),1fr))] gap-5">
                    {search === '' && <NewScene busy={busy} problem={problem} onFiles={drop} />}
                    {shown.folders.map(({ name, scenes: inside }) => (
                        <FolderCard key={name} name={name} scenes={inside} onOpen={() => set({ folder: name })} onLay={(scene) => void lay([scene], name)} />
                    ))}
                    {shown.scenes.map((scene) => (
                        <Card key={scene.id} scene={scene} folders={names.filter((name) => name !== scene.folder)} onLay={(into) => void lay([scene.id], into === 'new' ? freeName('Folder', names) : into)} onDropped={(carried) => void together(carried, scene)} />
                    ))}
                    {scenes.isPending && <p className="p-4 text-quiet">Loading the scenes…</p>}
                    {scenes.isSuccess && search !== '' && shown.scenes.length === 0 && <p className="p-4 text-quiet">No scene has “{search}” in its name.</p>}
                    {scenes.isError && (
                        <div className="flex flex-col items-start gap-3 p-4" role="alert">
                            <p className="text-alarm">{scenes.error.message}</p>
                            <button className="rounded-md border border-line px-3 py-1 hover:bg-raised" onClick={() => scenes.refetch()}>
                                Load again
                            </button>
                        </div>
                    )}
                </div>
                <Below deleted={scenes.data?.deleted ?? []} />
            </div>
            <SettingsSheet open={settings} onOpenChange={setSettings} />
            <RigsOfAll open={rigs} onOpenChange={setRigs} />
            <TakingIn />
            <Notices />
        </main>
    );
}

/** The wall is found again as it was left: how far it was scrolled, once its cards are there. */
function useBackWhereOneWas(box: React.RefObject<HTMLDivElement | null>, isThere: boolean) {
    useLayoutEffect(() => {
        const element = box.current;
        if (!element || !isThere) {
            return;
        }
        element.scrollTo({ top: useStanding.getState().scrolled });
        const onScroll = () => useStanding.getState().set({ scrolled: element.scrollTop });
        element.addEventListener('scroll', onScroll, { passive: true });
        return () => element.removeEventListener('scroll', onScroll);
    }, [box, isThere]);
}

/** Lays scenes into a folder, or out of any; that is taken back by the notice. */
function useLay() {
    const queries = useQueryClient();
    return useCallback(
        async (ids: string[], folder: string | null): Promise<void> => {
            const before = (queries.getQueryData<{ scenes: SceneCard[] }>(['scenes'])?.scenes ?? []).filter((scene) => ids.includes(scene.id));
            if (before.length === 0) {
                return;
            }
            const again = () => queries.invalidateQueries({ queryKey: ['scenes'] });
            try {
                await api.layScenes(ids, folder);
                say(folder === null ? 'Laid out of its folder.' : `Laid into "${folder}".`, {
                    label: 'Undo',
                    run: () => void Promise.all(before.map((scene) => api.layScenes([scene.id], scene.folder))).then(again, sayError),
                });
            } catch (error) {
                sayError(error);
            }
            await again();
        },
        [queries],
    );
}

function FolderName({ name, onRename }: { name: string; onRename: (name: string) => void }) {
    return (
        <input
            aria-label="Name of the folder"
            defaultValue={name}
            maxLength={80}
            className="w-[240px] rounded-sm bg-transparent px-1.5 py-0.5 font-medium hover:bg-well focus:bg-well"
            onBlur={(event) => event.target.value.trim() !== '' && event.target.value.trim() !== name && onRename(event.target.value.trim())}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
    );
}

function useDrop() {
    const [busy, setBusy] = useState<string | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const queries = useQueryClient();
    /** Each picture becomes a scene; those of a folder lie in one of its name. */
    async function drop(files: File[], folder?: string) {
        if (busy !== null || files.length === 0) {
            return;
        }
        setProblem(null);
        const refused: string[] = [];
        const made: string[] = [];
        try {
            let scene: Scene | null = null;
            // pictures that come together with a scene file belong to it
            const sceneFile = files.find((file) => /\.json$/i.test(file.name));
            for (const file of sceneFile ? [sceneFile] : files) {
                setBusy(file.name);
                try {
                    scene = sceneFile ? await api.sceneOf(file, files.filter((other) => other !== sceneFile)) : await withFile(file, api.newScene);
                } catch (error) {
                    // what of a folder is no picture is passed over, and said
                    if (folder === undefined || !(error instanceof Refused) || error.status !== 422) {
                        throw error;
                    }
                    refused.push(file.name);
                    continue;
                }
                if (!scene) {
                    return;
                }
                made.push(scene.id);
                queries.setQueryData(['scene', scene.id], scene);
                if (scene.notice) {
                    say(scene.notice);
                }
            }
            if (folder !== undefined && made.length > 0) {
                await api.layScenes(made, folder.slice(0, 80));
                say(`${made.length === 1 ? 'One scene lies' : `${made.length} scenes lie`} in "${folder}".${refused.length > 0 ? ` No pictures: ${refused.slice(0, 5).join(', ')}${refused.length > 5 ? ' and others' : ''}.` : ''}`);
            } else if (scene && (sceneFile || files.length === 1)) {
                go(`/scenes/${scene.id}`);
            } else if (folder !== undefined) {
                setProblem(`No picture of "${folder}" was taken.`);
            }
        } catch (error) {
            setProblem(error instanceof Refused ? error.message : 'The picture was not taken. Try it again.');
        } finally {
            setBusy(null);
            void queries.invalidateQueries({ queryKey: ['scenes'] });
        }
    }
    return { drop, busy, problem };
}

function NewScene(props: { busy: string | null; problem: string | null; onFiles: (files: File[], folder?: string) => void }) {
    const input = useRef<HTMLInputElement>(null);
    const folder = useRef<HTMLInputElement>(null);
    useEffect(() => folder.current?.setAttribute('webkitdirectory', ''), []);
    const [over, setOver] = useState(false);
    return (
        <div className="flex flex-col gap-2" onDragOver={(event) => event.dataTransfer.types.includes('Files') && setOver(true)} onDragLeave={() => setOver(false)} onDrop={() => setOver(false)}>
            <button
                className={`flex aspect-[8/5] w-full flex-col items-center justify-center gap-2 rounded-md border border-dashed ${over ? 'border-warm bg-raised' : 'border-line hover:bg-panel'}`}
                onClick={() => input.current?.click()}
            >
                <Upload size={20} aria-hidden />
                <span>{props.busy ? `Taking in ${props.busy}…` : 'New scene'}</span>
                <span className="px-6 text-quiet">{props.busy ? '' : 'Drop or paste a backdrop picture, a layered file or a packed scene, or choose one'}</span>
            </button>
            <input
                ref={input}
                type="file"
                accept={`${picturesTaken},.ora,.zip,.json`}
                multiple
                aria-label="Backdrop picture, layered file, packed scene, or scene file with its pictures"
                className="hidden"
                onChange={(event) => {
                    // a list of its own: the one of an input is emptied when the input is
                    props.onFiles(Array.from(event.target.files ?? []));
                    event.target.value = '';
                }}
            />
            <input
                ref={folder}
                type="file"
                multiple
                aria-label="A folder of pictures"
                className="hidden"
                onChange={(event) => {
                    const files = Array.from(event.target.files ?? []).filter((file) => !file.name.startsWith('.') && file.webkitRelativePath.split('/').length <= 2);
                    event.target.value = '';
                    if (files[0]) {
                        props.onFiles(files.slice(0, MOST_OF_A_FOLDER), files[0].webkitRelativePath.split('/')[0]);
                    }
                }}
            />
            <button className="self-start rounded-sm px-1 text-[12px] text-quiet underline hover:text-ink" onClick={() => folder.current?.click()}>
                A folder of pictures, as a set of scenes
            </button>
            {props.problem && (
                <p role="alert" className="text-alarm">
                    {props.problem}
                </p>
            )}
        </div>
    );
}

/** What was deleted and can be brought back, and how much room everything takes. */
function Below({ deleted }: { deleted: SceneCard[] }) {
    const queries = useQueryClient();
    const storage = useQuery({ queryKey: ['storage'], queryFn: api.storage });
    const used = storage.data && Object.values(storage.data.used).reduce((sum, bytes) => sum + bytes, 0);
    async function restore(scene: SceneCard) {
        try {
            await api.restoreScene(scene.id);
            say(`"${scene.title}" is back.`);
        } catch (error) {
            sayError(error);
        }
        await queries.invalidateQueries({ queryKey: ['scenes'] });
    }
    return (
        <footer className="mx-auto mt-8 flex max-w-[1180px] flex-col gap-3 text-quiet">
            {deleted.length > 0 && (
                <details>
                    <summary className="w-fit cursor-default rounded-sm">
                        Deleted scenes ({deleted.length}), kept for {storage.data?.daysToRestore ?? 30} days
                    </summary>
                    <ul className="mt-2 flex flex-col gap-1">
                        {deleted.map((scene) => (
                            <li key={scene.id} className="flex items-center gap-3">
                                <span className="min-w-0 truncate text-ink">{scene.title}</span>
                                <span>deleted {ago(scene.deleted ?? scene.touched)}</span>
                                <button className="rounded-sm border border-line px-2 py-0.5 text-ink hover:bg-raised" aria-label={`Bring back ${scene.title}`} onClick={() => void restore(scene)}>
                                    Bring back
                                </button>
                            </li>
                        ))}
                    </ul>
                </details>
            )}
            {storage.data && used !== undefined && (
                <p data-testid="storage">
                    Storage used: {megabytes(used)} (pictures {megabytes(storage.data.used.pictures)}, exports {megabytes(storage.data.used.exports)}); {megabytes(storage.data.free)} free
                </p>
            )}
        </footer>
    );
}

/** Said before the disk is full, so that nothing has to wait for room. */
function LittleRoom() {
    const storage = useQuery({ queryKey: ['storage'], queryFn: api.storage });
    return storage.data?.isLow ? (
        <p role="status" className="mx-auto mb-4 max-w-[1180px] rounded-md bg-panel px-4 py-2 text-alarm">
            Only {megabytes(storage.data.free)} are left on the disk. Delete finished exports or scenes that nobody needs, or make room elsewhere, before work has to wait.
        </p>
    ) : null;
}
