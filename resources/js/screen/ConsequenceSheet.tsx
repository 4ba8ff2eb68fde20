import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { api } from '../api/client';
import type { Scene } from '../api/types';
import { focusBack } from '../ui/focus';
import { picturesOf, type Small } from '../ui/smallPictures';
import { SmallPicture } from '../ui/SmallPicture';
import { figure } from '../ui/words';
import type { Gestures } from '../session/gestures';
import { useWork, work } from '../session/store';

/** What belongs to a source: small pictures of what each strip would add; what is ticked arrives on the desk. */
export function ConsequenceSheet({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const source = useWork((state) => state.consequence);
    const found = scene.sources.find((other) => other.id === source);
    return found ? <Sheet key={found.id} scene={scene} source={found.id} name={found.name} gestures={gestures} /> : null;
}

function Sheet({ scene, source, name, gestures }: { scene: Scene; source: string; name: string; gestures: Gestures }) {
    const query = useQuery({ queryKey: ['consequence', scene.id, source, scene.revision], queryFn: () => api.consequence(scene.id, source) });
    const [turned, setTurned] = useState<Record<string, boolean>>({});
    const proposals = query.data?.proposals ?? [];
    const pictures = useMemo(() => (query.data ? picturesOf(query.data.pictures) : new Map<string, Small>()), [query.data]);
    const putAway = () => {
        work.lookThrough(null);
        focusBack();
    };
    const ticked = proposals.filter(({ key, ticked }) => turned[key] ?? ticked).map(({ key }) => key);
    return (
        <section aria-label={`What belongs to ${name}`} data-testid="consequence" className="fixed top-12 right-3 z-30 flex max-h-[70vh] w-[320px] flex-col rounded-md border border-line bg-well shadow-xl">
            <header className="flex items-center gap-2 px-3 py-2">
                <h2 className="min-w-0 flex-1 truncate font-semibold">What belongs to {name}</h2>
                <button aria-label="Put it away" className="rounded-sm p-1 text-quiet hover:text-ink" onClick={putAway}>
                    <X size={14} />
                </button>
            </header>
            <div className="min-h-0 flex-1 overflow-y-auto px-3">
                {query.isPending && <p className="pb-2 text-quiet">Looking what its light would do…</p>}
                {query.isError && (
                    <p role="alert" className="pb-2 text-alarm">
                        {query.error.message}
                    </p>
                )}
                {query.isSuccess && proposals.length === 0 && <p className="pb-2 text-quiet">Nothing yet: mark the floor or a wall on the stage, or cut a plate out.</p>}
                <ul className="grid grid-cols-2 gap-2 pb-2">
                    {proposals.map((proposal) => {
                        const isOn = ticked.includes(proposal.key);
                        return (
                            <li key={proposal.key}>
                                <label className={`flex cursor-pointer flex-col rounded-sm border p-1.5 ${isOn ? 'border-ink bg-raised' : 'border-line'}`}>
                                    <span className="flex h-[78px] items-center justify-center overflow-hidden rounded-sm bg-black">
                                        <SmallPicture picture={pictures.get(proposal.strip)} />
                                    </span>
                                    <span className="mt-1 flex items-start gap-1.5">
                                        <input type="checkbox" className="mt-[3px] h-3.5 w-3.5 accent-[#ececec]" checked={isOn} onChange={(event) => setTurned({ ...turned, [proposal.key]: event.target.checked })} />
                                        <span className="min-w-0 leading-tight">
                                            {proposal.name}
                                            {proposal.level !== null && <span className="block font-mono text-[11px] text-quiet">{figure(proposal.level, 0.05, true)} stops</span>}
                                        </span>
                                    </span>
                                </label>
                            </li>
                        );
                    })}
                </ul>
            </div>
            {proposals.length > 0 && (
                <footer className="flex justify-end gap-2 border-t border-line px-3 py-2">
                    <button
                        className="rounded-md bg-ink px-3 py-0.5 font-semibold text-well disabled:opacity-40"
                        disabled={ticked.length === 0}
                        onClick={() => {
                            putAway();
                            void gestures.takeConsequence(source, ticked);
                        }}
                    >
                        Take {ticked.length === 1 ? 'this' : `these ${ticked.length}`}
                    </button>
                </footer>
            )}
        </section>
    );
}
