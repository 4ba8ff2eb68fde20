import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Trash2, Upload } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, Refused } from '../api/client';
import type { Scene, SceneCard } from '../api/types';
import { Notices, say, sayError } from '../ui/notices';
import { TakingIn, withFile } from '../ui/takingIn';
import { go } from '../ui/route';
import { ago, megabytes } from '../ui/words';

/** The scenes wall: every scene with its picture; a picture dropped here becomes a new one. */
export function Wall() {
    const scenes = useQuery({ queryKey: ['scenes'], queryFn: api.scenes, refetchOnWindowFocus: true });
    const { drop, busy, problem } = useDrop();
    const [over, setOver] = useState(false);
    useEffect(() => {
        document.title = 'Scenes · Aumbrel';
    }, []);

    return (
        <main
            className="flex h-full flex-col"
            onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={(event) => {
                event.preventDefault();
                setOver(false);
                void drop(event.dataTransfer.files);
            }}
        >
            <header className="flex h-10 shrink-0 items-center gap-4 bg-bar px-4">
                <h1 className="font-semibold">Aumbrel</h1>
                <span className="text-quiet">Scenes</span>
            </header>
            <div className="min-h-0 flex-1 overflow-y-auto p-6">
                <div className="mx-auto grid max-w-[1180px] grid-cols-[repeat(auto-fill,minmax(260px,1fr))] gap-5">
                    <NewScene busy={busy} over={over} problem={problem} onFiles={drop} />
                    {scenes.data?.scenes.map((scene) => <Card key={scene.id} scene={scene} />)}
                    {scenes.isPending && <p className="p-4 text-quiet">Loading the scenes…</p>}
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
            <TakingIn />
            <Notices />
        </main>
    );
}

function useDrop() {
    const [busy, setBusy] = useState<string | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const queries = useQueryClient();
    async function drop(list: FileList | null) {
        // a list of its own: the one of an input is emptied when the input is
        const files = Array.from(list ?? []);
        if (busy !== null || files.length === 0) {
            return;
        }
        setProblem(null);
        try {
            let scene: Scene | null = null;
            // pictures that come together with a scene file belong to it
            const sceneFile = files.find((file) => /\.json$/i.test(file.name));
            for (const file of sceneFile ? [sceneFile] : files) {
                setBusy(file.name);
                scene = sceneFile ? await api.sceneOf(file, files.filter((other) => other !== sceneFile)) : await withFile(file, api.newScene);
                if (!scene) {
                    return;
                }
                queries.setQueryData(['scene', scene.id], scene);
                if (scene.notice) {
                    say(scene.notice);
                }
            }
            if (scene && (sceneFile || files.length === 1)) {
                go(`/scenes/${scene.id}`);
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

function NewScene(props: { busy: string | null; over: boolean; problem: string | null; onFiles: (files: FileList | null) => void }) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <div className="flex flex-col gap-2">
            <button
                className={`flex aspect-[8/5] w-full flex-col items-center justify-center gap-2 rounded-md border border-dashed ${props.over ? 'border-warm bg-raised' : 'border-line hover:bg-panel'}`}
                onClick={() => input.current?.click()}
            >
                <Upload size={20} aria-hidden />
                <span>{props.busy ? `Taking in ${props.busy}…` : 'New scene'}</span>
                <span className="px-6 text-quiet">{props.busy ? '' : 'Drop a backdrop picture or a packed scene, or choose one'}</span>
            </button>
            <input
                ref={input}
                type="file"
                accept="image/png,image/jpeg,.zip,.json"
                multiple
                aria-label="Backdrop picture, packed scene, or scene file with its pictures"
                className="hidden"
                onChange={(event) => {
                    props.onFiles(event.target.files);
                    event.target.value = '';
                }}
            />
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

function Card({ scene }: { scene: SceneCard }) {
    const queries = useQueryClient();
    async function remove() {
        if (!window.confirm(`Delete "${scene.title}"? It can be brought back for 30 days.`)) {
            return;
        }
        try {
            await api.deleteScene(scene.id);
            say(`"${scene.title}" was deleted.`, {
                label: 'Undo',
                run: () => void api.restoreScene(scene.id).then(() => queries.invalidateQueries({ queryKey: ['scenes'] }), sayError),
            });
            await queries.invalidateQueries({ queryKey: ['scenes'] });
        } catch (error) {
            sayError(error);
        }
    }
    const open = `/scenes/${scene.id}`;
    return (
        <article className="group relative">
            <a
                href={open}
                className="block rounded-md"
                onClick={(event) => {
                    if (!event.ctrlKey && !event.metaKey) {
                        event.preventDefault();
                        go(open);
                    }
                }}
            >
                <div className="flex aspect-[8/5] items-center justify-center overflow-hidden rounded-md bg-well">
                    <img src={`/api${open}/thumbnail?revision=${scene.revision}`} alt="" className="max-h-full max-w-full" loading="lazy" />
                </div>
                <h2 className="mt-2 truncate font-medium">{scene.title}</h2>
                <p className="text-quiet">
                    <span className="font-mono text-[12px]">
                        {scene.width} × {scene.height}
                    </span>{' '}
                    · {scene.strips} {scene.strips === 1 ? 'strip' : 'strips'} · {ago(scene.touched)}
                </p>
            </a>
            <button
                aria-label={`Delete ${scene.title}`}
                className="absolute top-2 right-2 rounded-sm bg-well/90 p-1.5 opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
                onClick={remove}
            >
                <Trash2 size={15} />
            </button>
        </article>
    );
}
