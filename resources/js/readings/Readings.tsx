import { Popover } from 'radix-ui';
import type { Reading, Scene } from '../api/types';
import type { Gestures } from '../session/gestures';
import { useReadings, useSaying } from '../session/readings';
import { useWork, work } from '../session/store';

/** What the core has noticed, each with its mends. */
export function Readings({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const open = useWork((state) => state.readingsOpen);
    const noticed = useReadings(scene);
    useSaying(noticed);
    const readings = noticed.filter((reading) => !reading.hint);
    const hints = noticed.filter((reading) => reading.hint);
    return (
        <Popover.Root open={open} onOpenChange={work.readings}>
            {hints.length > 0 && (
                <button className="rounded-md px-2 text-quiet hover:text-ink" data-testid="hints" title="Worth knowing, and perhaps right as it is" onClick={() => work.readings(true)}>
                    {hints.length === 1 ? '1 hint' : `${hints.length} hints`}
                </button>
            )}
            <Popover.Trigger className={`rounded-md px-2 ${readings.length > 0 ? 'text-ink' : 'text-quiet'} hover:text-ink`} data-testid="readings">
                {readings.length > 0 && <span className="mr-1.5 inline-block h-2 w-2 rounded-full bg-alarm" aria-hidden />}
                {readings.length === 0 ? 'No readings' : readings.length === 1 ? '1 reading' : `${readings.length} readings`}
            </Popover.Trigger>
            <Popover.Portal>
                <Popover.Content aria-label="Readings" side="top" align="end" sideOffset={8} className="z-40 flex max-h-[400px] w-[380px] max-w-[96vw] flex-col gap-2 overflow-y-auto rounded-md border border-line bg-well p-2 shadow-xl">
                    {noticed.length === 0 && <p className="px-1 text-quiet">Nothing is noticed. Readings come when plates or lights disagree, when a light does nothing or shows its border, when a plate does not belong to what lies around it, or when a mask misses something.</p>}
                    {readings.map((reading) => (
                        <Noticed key={reading.id} reading={reading} gestures={gestures} />
                    ))}
                    {hints.length > 0 && <h3 className="px-1 text-[12px] text-quiet">Worth knowing</h3>}
                    {hints.map((reading) => (
                        <Noticed key={reading.id} reading={reading} gestures={gestures} />
                    ))}
                </Popover.Content>
            </Popover.Portal>
        </Popover.Root>
    );
}

function Noticed({ reading, gestures }: { reading: Reading; gestures: Gestures }) {
    return (
        <article className="rounded-sm bg-panel px-3 py-2">
            <button className="text-left" onClick={() => work.choose(reading.strips[reading.strips.length - 1] ?? null)}>
                {reading.seen}
            </button>
            <p className="mt-0.5 text-[12px] text-quiet">{reading.why}</p>
            {reading.mends.length > 0 && (
                <div className="mt-1.5 flex flex-wrap gap-1.5">
                    {reading.mends.map((mend) => (
                        <button key={mend.key} className="rounded-sm border border-line px-2 py-0.5 hover:bg-raised" onClick={() => void gestures.mend(reading.id, mend.key, mend.strip)}>
                            {mend.label}
                        </button>
                    ))}
                </div>
            )}
        </article>
    );
}
