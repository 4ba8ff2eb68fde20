import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Trash2, Upload } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { api, Refused } from '../api/client';
import type { SceneCard } from '../api/types';
import { Notices, say, sayError } from '../ui/notices';
import { go } from '../ui/route';
import { ago } from '../ui/words';

/** The scenes wall: every scene with its picture; a picture dropped here becomes a new one. */
export function Wall() {
    const scenes = useQuery({ queryKey: ['scenes'], queryFn: api.scenes });
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
                    {scenes.data?.map((scene) => <Card key={scene.id} scene={scene} />)}
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
            </div>
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
            let scene = null;
            for (const file of files) {
                setBusy(file.name);
                scene = await api.newScene(file);
                queries.setQueryData(['scene', scene.id], scene);
            }
            if (scene && files.length === 1) {
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
                <span className="text-quiet">{props.busy ? '' : 'Drop a backdrop picture, or choose one'}</span>
            </button>
            <input
                ref={input}
                type="file"
                accept="image/png,image/jpeg"
                aria-label="Backdrop picture"
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

function Card({ scene }: { scene: SceneCard }) {
    const queries = useQueryClient();
    async function remove() {
        if (!window.confirm(`Delete "${scene.title}"? You can undo this right after.`)) {
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
