import { useQueryClient } from '@tanstack/react-query';
import { Folder, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { api } from '../api/client';
import type { SceneCard } from '../api/types';
import { Menu, type Item } from '../ui/Menu';
import { say, sayError } from '../ui/notices';
import { go } from '../ui/route';
import { ago } from '../ui/words';

const small = (scene: SceneCard) => `/api/scenes/${scene.id}/thumbnail?revision=${scene.revision}`;

/** Takes what is dropped when that is a card. */
function takesCards(onDropped: (carried: string) => void, setOver: (over: boolean) => void) {
    return {
        onDragOver: (event: React.DragEvent) => {
            if (!event.dataTransfer.types.includes('Files')) {
                event.preventDefault();
                setOver(true);
            }
        },
        onDragLeave: () => setOver(false),
        onDrop: (event: React.DragEvent) => {
            setOver(false);
            const carried = event.dataTransfer.getData('text/plain');
            if (carried !== '' && event.dataTransfer.files.length === 0) {
                event.preventDefault();
                onDropped(carried);
            }
        },
    };
}

/** The first of them as it is, and so many in all: the others as slats beside it. */
const SLATS = 7;

/** Scenes that lie together. */
export function FolderCard({ name, scenes, onOpen, onLay }: { name: string; scenes: SceneCard[]; onOpen: () => void; onLay: (scene: string) => void }) {
    const [over, setOver] = useState(false);
    return (
        <article {...takesCards(onLay, setOver)}>
            <button aria-label={`Open the folder ${name}`} className={`block w-full rounded-md text-left ${over ? 'outline-2 outline-warm' : ''}`} onClick={onOpen}>
                <span className="flex aspect-[8/5] items-stretch gap-[3px] overflow-hidden">
                    {scenes.slice(0, SLATS).map((scene, at) => (
                        <img
                            key={scene.id}
                            src={small(scene)}
                            alt=""
                            className={`min-w-0 rounded-[3px] object-cover ${at === 0 ? 'flex-[6]' : 'flex-1'}`}
                            style={at === 0 ? undefined : { marginBlock: `${2 * at}px`, filter: `brightness(${1 - 0.1 * at})` }}
                            loading="lazy"
                            draggable={false}
                        />
                    ))}
                </span>
                <span className="mt-2 flex items-center gap-1.5 font-medium">
                    <Folder size={14} className="shrink-0 text-quiet" aria-hidden />
                    <span className="truncate">{name}</span>
                </span>
                <span className="text-quiet">{scenes.length === 1 ? '1 scene' : `${scenes.length} scenes`}</span>
            </button>
        </article>
    );
}

/** A scene on the wall: opened by a press, laid into a folder by dropping it on another one, and what its menu says. */
export function Card({ scene, folders, onLay, onDropped }: { scene: SceneCard; folders: string[]; /** null: out of any; 'new': one of its own */ onLay: (folder: string | null) => void; onDropped: (carried: string) => void }) {
    const queries = useQueryClient();
    const [over, setOver] = useState(false);
    const [renaming, setRenaming] = useState(false);
    const link = useRef<HTMLAnchorElement>(null);
    const again = () => queries.invalidateQueries({ queryKey: ['scenes'] });
    const open = `/scenes/${scene.id}`;

    async function remove() {
        try {
            await api.deleteScene(scene.id);
            say(`"${scene.title}" was deleted.`, { label: 'Undo', run: () => void api.restoreScene(scene.id).then(again, sayError) });
        } catch (error) {
            sayError(error);
        }
        await again();
    }

    async function rename(title: string) {
        setRenaming(false);
        if (title !== '' && title !== scene.title) {
            await api.renameScene(scene.id, title).catch(sayError);
            queries.removeQueries({ queryKey: ['scene', scene.id] });
            await again();
        }
        link.current?.focus();
    }

    const menu: Item[][] = [
        [
            { label: 'Open', keys: 'Enter', run: () => go(open) },
            { label: 'Rename', keys: 'F2', run: () => window.setTimeout(() => setRenaming(true)) },
            { label: 'Duplicate', run: () => void api.duplicateScene(scene.id).then(again, sayError) },
            { label: 'Delete', keys: 'Delete', run: () => void remove() },
        ],
        [
            ...folders.map((folder) => ({ label: `Lay into ${folder}`, run: () => onLay(folder) })),
            { label: 'Lay into a new folder', run: () => onLay('new') },
            ...(scene.folder === null ? [] : [{ label: `Lay out of ${scene.folder}`, run: () => onLay(null) }]),
        ],
    ];

    return (
        <Menu label={`Menu of ${scene.title}`} groups={menu}>
            <article
                className={`group relative rounded-md [contain-intrinsic-size:260px_230px] [content-visibility:auto] ${over ? 'outline-2 outline-offset-4 outline-warm' : ''}`}
                draggable={!renaming}
                onDragStart={(event) => event.dataTransfer.setData('text/plain', scene.id)}
                onKeyDown={(event) => {
                    if (event.target === link.current && event.key === 'F2') {
                        setRenaming(true);
                    } else if (event.target === link.current && event.key === 'Delete') {
                        void remove();
                    }
                }}
                {...takesCards(onDropped, setOver)}
            >
                <a
                    ref={link}
                    href={open}
                    draggable={false}
                    aria-label={scene.title}
                    className="block rounded-md"
                    onClick={(event) => {
                        if (!event.ctrlKey && !event.metaKey) {
                            event.preventDefault();
                            go(open);
                        }
                    }}
                >
                    <div className="flex aspect-[8/5] items-center justify-center overflow-hidden rounded-md bg-well">
                        <img src={small(scene)} alt="" className="max-h-full max-w-full" loading="lazy" draggable={false} />
                    </div>
                </a>
                {renaming ? (
                    <input
                        autoFocus
                        aria-label="Name of the scene"
                        defaultValue={scene.title}
                        maxLength={120}
                        className="mt-2 w-full rounded-sm bg-well px-1 font-medium"
                        onFocus={(event) => event.target.select()}
                        onBlur={(event) => void rename(event.target.value.trim())}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter') {
                                event.currentTarget.blur();
                            } else if (event.key === 'Escape') {
                                setRenaming(false);
                            }
                        }}
                    />
                ) : (
                    <h2 className="mt-2 truncate font-medium" title={scene.title} onDoubleClick={() => setRenaming(true)}>
                        {scene.title}
                    </h2>
                )}
                <p className="text-quiet">
                    <span className="font-mono text-[12px]">
                        {scene.width} × {scene.height}
                    </span>{' '}
                    · {scene.strips} {scene.strips === 1 ? 'strip' : 'strips'} · {ago(scene.touched)}
                </p>
                <button aria-label={`Delete ${scene.title}`} title={`Delete ${scene.title}; it can be brought back for 30 days`} className="absolute top-2 right-2 rounded-sm bg-well/85 p-1.5 text-quiet hover:text-ink focus-visible:text-ink" onClick={() => void remove()}>
                    <Trash2 size={15} aria-hidden />
                </button>
            </article>
        </Menu>
    );
}
