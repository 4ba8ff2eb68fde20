import { useQuery } from '@tanstack/react-query';
import { ChevronLeft, Keyboard, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { api } from '../api/client';
import type { Scene } from '../api/types';
import { Bench } from '../bench/Bench';
import { Compass } from '../compass/Compass';
import { LightBar } from '../compass/LightBar';
import { CompareSheet } from '../compare/CompareSheet';
import { Desk } from '../desk/Desk';
import { ExportSheet } from '../export/ExportSheet';
import { RigsSheet } from '../rigs/RigsSheet';
import { Notices } from '../ui/notices';
import { useFilesIn } from '../ui/filesIn';
import { TakingIn } from '../ui/takingIn';
import { go } from '../ui/route';
import { View } from '../view/View';
import { ConsequenceSheet } from './ConsequenceSheet';
import { Course } from './Course';
import { useFirstSteps } from '../session/firstSteps';
import { useFollowing } from '../session/following';
import { COPIED, useGestures, type Gestures } from '../session/gestures';
import { chosenPlate } from '../session/chosen';
import { KeysSheet } from './KeysSheet';
import { toggleComparing, useKeys } from './keys';
import { ToolRow } from './ToolRow';
import { Region } from '../ui/Region';
import { Waits } from './Waits';
import { useWork, work } from '../session/store';

/** The work screen: the course and the bench at the left, the view, the desk below. */
export function WorkScreen({ sceneId }: { sceneId: string }) {
    const query = useQuery({ queryKey: ['scene', sceneId], queryFn: () => api.scene(sceneId) });
    const gestures = useGestures(sceneId);
    const begun = useWork((state) => state.scene);
    const { data } = query;
    useEffect(() => {
        if (data && begun !== data.id) {
            work.reset(data);
        }
    }, [data, begun]);
    // opened anew it begins anew
    useEffect(() => work.leave, [sceneId]);

    if (query.isPending || (query.isSuccess && begun !== sceneId)) {
        return <Waiting text="Opening the scene…" />;
    }
    if (query.isError) {
        return <Waiting text={query.error.message} onAgain={() => void query.refetch()} />;
    }
    return isClean() ? <CleanWindow key={query.data.id} scene={query.data} gestures={gestures} /> : <Opened key={query.data.id} scene={query.data} gestures={gestures} />;
}

function Waiting({ text, onAgain }: { text: string; onAgain?: () => void }) {
    return (
        <main className="flex h-full flex-col items-center justify-center gap-3">
            <p role={onAgain ? 'alert' : 'status'} className="text-quiet">
                {text}
            </p>
            <div className="flex gap-2">
                {onAgain && (
                    <button className="rounded-md border border-line px-3 py-1 hover:bg-raised" onClick={onAgain}>
                        Load again
                    </button>
                )}
                <button className="rounded-md border border-line px-3 py-1 hover:bg-raised" onClick={() => go('/')}>
                    To the scenes
                </button>
            </div>
        </main>
    );
}

/** Whether this window shows the picture and nothing else. */
const isClean = () => new URLSearchParams(window.location.search).has('clean');

/** The picture alone, for a second screen: it follows what other windows do. */
function CleanWindow({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    useFollowing(scene.id, gestures);
    useEffect(() => {
        document.title = `${scene.title}, clean · Aumbrel`;
        work.hold('clean', true);
    }, [scene.title]);
    return (
        <main className="flex h-full flex-col">
            <h1 className="sr-only">{scene.title}</h1>
            <Region name="The view">
                <View scene={scene} gestures={gestures} />
            </Region>
            <Notices />
        </main>
    );
}

function Opened({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    useKeys(scene, gestures);
    useFollowing(scene.id, gestures);
    useFirstSteps(scene);
    useFilesIn((files) => void gestures.addPlates(files), () => void gestures.useRig(COPIED, chosenPlate(scene)));
    const folded = useWork((state) => state.folded);
    useEffect(() => {
        document.title = `${scene.title} · Aumbrel`;
    }, [scene.title]);
    return (
        <main className="room flex h-full flex-col">
            <h1 className="sr-only">{scene.title}</h1>
            <TopBar scene={scene} gestures={gestures} />
            <div className="room-middle flex min-h-0 flex-1">
                <Course />
                <div className={folded ? 'hidden' : 'room-bench flex w-[272px] shrink-0 flex-col border-r border-well bg-panel'}>
                    <Region name="The compass">
                        <Compass scene={scene} gestures={gestures} />
                    </Region>
                    <LightBar scene={scene} />
                    <Region name="The bench">
                        <Bench scene={scene} gestures={gestures} />
                    </Region>
                </div>
                <Region name="The view">
                    <View scene={scene} gestures={gestures} />
                </Region>
            </div>
            <div className="room-tools shrink-0">
                <Region name="The tools">
                    <ToolRow scene={scene} gestures={gestures} />
                </Region>
            </div>
            {!folded && (
                <div className="room-desk shrink-0">
                    <Region name="The desk">
                        <Desk scene={scene} gestures={gestures} />
                    </Region>
                </div>
            )}
            <ConsequenceSheet scene={scene} gestures={gestures} />
            <CompareSheet scene={scene} gestures={gestures} />
            <RigsSheet scene={scene} gestures={gestures} />
            <ExportSheet scene={scene} />
            <KeysSheet />
            <TakingIn />
            <Notices />
        </main>
    );
}

function TopBar({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const before = useWork((state) => state.before);
    const scope = useWork((state) => state.scope);
    const comparing = useWork((state) => state.compareOpen || state.comparing !== null);
    return (
        <header className="flex h-10 shrink-0 items-center gap-2 bg-bar pr-3 pl-1">
            <button aria-label="To the scenes" className="rounded-sm p-2 text-quiet hover:text-ink" onClick={() => go('/')}>
                <ChevronLeft size={16} />
            </button>
            <Title key={scene.title} title={scene.title} onRename={(title) => void gestures.rename(title)} />
            <div className="ml-4 flex gap-1 max-[719px]:ml-1">
                <IconButton label={scene.undo ? `Undo: ${scene.undo}` : 'Undo'} keys="Ctrl Z" disabled={scene.undo === null} onPress={() => void gestures.undo()}>
                    <Undo2 size={15} />
                </IconButton>
                <IconButton label={scene.redo ? `Redo: ${scene.redo}` : 'Redo'} keys="Ctrl Y" disabled={scene.redo === null} onPress={() => void gestures.redo()}>
                    <Redo2 size={15} />
                </IconButton>
            </div>
            <Waits />
            <div className="ml-auto flex items-center gap-2">
                <IconButton label="Keys" keys="?" onPress={() => work.keys(true)}>
                    <Keyboard size={15} />
                </IconButton>
                <button aria-pressed={scope !== null} title="Tones, waveform and colours of what is looked at, and the values under the pointer" className={`rounded-md px-2.5 py-1 ${scope !== null ? 'bg-raised text-ink' : 'text-quiet hover:text-ink'}`} onClick={() => work.scope(scope === null ? 'tones' : null)}>
                    Scope
                </button>
                <button
                    aria-pressed={before}
                    title="Hold to see the plates before anything was lit (B)"
                    className={`rounded-md px-2.5 py-1 ${before ? 'bg-ink text-well' : 'text-quiet hover:text-ink'}`}
                    onPointerDown={() => work.hold('before', true)}
                    onPointerUp={() => work.hold('before', false)}
                    onPointerLeave={() => work.hold('before', false)}
                    onKeyDown={(event) => (event.key === ' ' || event.key === 'Enter') && work.hold('before', true)}
                    onKeyUp={() => work.hold('before', false)}
                >
                    Before
                </button>
                <button aria-pressed={comparing} title="A sliding edge against how it was, or against a snapshot (C)" className={`rounded-md px-2.5 py-1 ${comparing ? 'bg-raised text-ink' : 'text-quiet hover:text-ink'}`} onClick={toggleComparing}>
                    Compare
                </button>
                <button className="rounded-md bg-ink px-3 py-1 font-semibold text-well hover:bg-white" onClick={() => work.exporting(true)}>
                    Export
                </button>
            </div>
        </header>
    );
}

function Title({ title, onRename }: { title: string; onRename: (title: string) => void }) {
    const [text, setText] = useState(title);
    const finish = () => {
        const wanted = text.trim();
        if (wanted !== '' && wanted !== title) {
            onRename(wanted);
        } else {
            setText(title);
        }
    };
    return (
        <input
            aria-label="Title of the scene"
            maxLength={120}
            className="w-[280px] min-w-0 shrink rounded-sm bg-transparent px-1.5 py-0.5 font-medium hover:bg-well focus:bg-well"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onBlur={finish}
            onKeyDown={(event) => {
                if (event.key === 'Enter') {
                    event.currentTarget.blur();
                } else if (event.key === 'Escape') {
                    setText(title);
                }
            }}
        />
    );
}

function IconButton({ label, keys, disabled = false, onPress, children }: { label: string; keys: string; disabled?: boolean; onPress: () => void; children: React.ReactNode }) {
    return (
        <button aria-label={label} title={`${label} (${keys})`} disabled={disabled} className="rounded-sm p-1.5 text-quiet hover:text-ink disabled:opacity-35" onClick={onPress}>
            {children}
        </button>
    );
}
