import { Bookmark, Plus, SquareSplitHorizontal } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useRef, useState } from 'react';
import type { Scene, StripKind } from '../api/types';
import { picturesTaken, stripKinds } from '../generated/catalogue';
import type { Gestures } from '../session/gestures';
import { lookedAt } from '../session/camera';
import { isPart } from '../session/things';
import { course, useWork, work } from '../session/store';
import { accents, KindIcon } from '../controls/icons';

/** Kinds that come about in another way than from the shelf. */
const ELSEWHERE = ['group'];

/** The size of the brush that a painted kind comes with, of what is looked at. */
const BRUSH = 0.14;

/** What can be added, the step of the course that one is at first. */
export function Shelf({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const step = useWork((state) => state.step);
    const [open, setOpen] = useState(false);
    const input = useRef<HTMLInputElement>(null);
    // what was added takes the focus, which would close a shelf that is to stay
    const stays = useRef(false);
    const distance = (kind: StripKind) => (kind.course === step ? -1 : course.indexOf(kind.course as (typeof course)[number]));
    const kinds = stripKinds.filter((kind) => !ELSEWHERE.includes(kind.key)).sort((a, b) => distance(a) - distance(b));

    /** With shift the shelf stays open for another one. */
    function add(kind: StripKind, more: boolean) {
        setOpen(more);
        stays.current = more;
        if (kind.family === 'plate') {
            setOpen(false);
            input.current?.click();
            return;
        }
        const { camera, chosen } = useWork.getState();
        const above = chosen === null || isPart(chosen) ? null : chosen;
        // what hangs on the only source falls as that throws it
        if (kind.drawn && !more && !(kind.liesUnder && scene.sources.length === 1)) {
            work.place({ of: 'strip', kind: kind.key, line: kind.drawn, above });
            return;
        }
        const { centre, span } = lookedAt(camera, scene);
        void gestures.addStrip(kind.key, centre, span, above).then(() => {
            if (kind.tip && !more) {
                // the brush is in hand at once: large, soft and faint
                work.takeTool('paint');
                work.brush({ size: Math.round(span * BRUSH), hardness: 0, opacity: 100, flow: kind.tip === 'lamp' ? 12 : 20, letsIn: true });
            }
        });
    }

    function addPair(kind: StripKind, label: string) {
        setOpen(false);
        const { camera, chosen } = useWork.getState();
        const { centre, span } = lookedAt(camera, scene);
        void gestures.addPair(kind.key, label, centre, span, chosen === null || isPart(chosen) ? null : chosen);
    }

    return (
        <>
            <Popover.Root open={open} onOpenChange={setOpen}>
                <div className="flex h-[calc(100%-14px)] w-11 shrink-0 flex-col gap-1">
                    <Popover.Trigger aria-label="Add a strip" className="flex min-h-0 flex-1 items-center justify-center rounded-md border border-dashed border-line text-quiet hover:bg-panel hover:text-ink">
                        <Plus size={18} aria-hidden />
                    </Popover.Trigger>
                    <button aria-label="Rigs" title="Rigs: looks that are kept for the next picture" className="flex h-7 shrink-0 items-center justify-center rounded-md border border-line text-quiet hover:bg-panel hover:text-ink" onClick={() => work.rigs(true)}>
                        <Bookmark size={14} aria-hidden />
                    </button>
                </div>
                <Popover.Portal>
                    <Popover.Content aria-label="What can be added" side="top" align="end" sideOffset={8} onFocusOutside={(event) => stays.current && event.preventDefault()} className="z-40 grid max-h-[var(--radix-popover-content-available-height)] w-[560px] max-w-[96vw] grid-cols-2 max-[719px]:grid-cols-1 overflow-y-auto rounded-md border border-line bg-well p-1.5 shadow-xl">
                        {kinds.flatMap((kind) => [
                            <button key={kind.key} className="flex w-full items-start gap-2.5 rounded-sm px-2.5 py-1.5 text-left hover:bg-raised" onClick={(event) => add(kind, event.shiftKey)}>
                                <span className="mt-0.5" style={{ color: accents[kind.family] }}>
                                    <KindIcon kind={kind.key} family={kind.family} size={16} />
                                </span>
                                <span>
                                    <span className="block font-medium">{kind.label}</span>
                                    <span className="block text-quiet">{kind.hint}</span>
                                </span>
                            </button>,
                            ...(kind.pair ? [<Pair key={`${kind.key} pair`} kind={kind} {...kind.pair} onPress={addPair} />] : []),
                        ])}
                    </Popover.Content>
                </Popover.Portal>
            </Popover.Root>
            <input
                ref={input}
                type="file"
                multiple
                data-brings-plate
                accept={picturesTaken}
                aria-label="Picture for a plate"
                className="hidden"
                onChange={(event) => {
                    const files = Array.from(event.target.files ?? []);
                    event.target.value = '';
                    void gestures.addPlates(files);
                }}
            />
        </>
    );
}

function Pair({ kind, label, hint, onPress }: { kind: StripKind; label: string; hint: string; onPress: (kind: StripKind, label: string) => void }) {
    return (
        <button className="flex w-full items-start gap-2.5 rounded-sm px-2.5 py-1.5 text-left hover:bg-raised" onClick={() => onPress(kind, label)}>
            <span className="mt-0.5" style={{ color: accents[kind.family] }}>
                <SquareSplitHorizontal size={16} aria-hidden />
            </span>
            <span>
                <span className="block font-medium">{label}</span>
                <span className="block text-quiet">{hint}</span>
            </span>
        </button>
    );
}
