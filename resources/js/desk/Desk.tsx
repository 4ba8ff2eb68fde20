import { useCallback, useEffect, useRef } from 'react';
import type { Scene, Strip } from '../api/types';
import { accents } from '../controls/icons';
import { onDesk, placesTo, slotBeside, type OnDesk } from '../session/desk';
import type { Gestures } from '../session/gestures';
import { useReadings } from '../session/readings';
import { useWork, work } from '../session/store';
import { everyStrip } from '../session/strips';
import { Dots } from './Dots';
import { Edge } from './Edge';
import { Shelf } from './Shelf';
import { StripCard } from './StripCard';
import { cardsOf, useCarry } from './useCarry';
import { useContributions } from './useContributions';

/** The dock of strips, back to front from left to right. Strips are dragged along it, or carried with alt and the arrow keys. */
export function Desk({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const pending = useWork((state) => state.pending);
    const chosen = useWork((state) => state.chosen);
    const foldedGroups = useWork((state) => state.foldedGroups);
    const shown = onDesk(scene.strips, pending, foldedGroups, chosen);
    const strips = shown.map(({ strip }) => strip);
    const concerned = useReadings(scene).flatMap((reading) => reading.strips);
    const pictures = useContributions(scene);
    const open = useWork((state) => state.deskOpen);
    const list = useRef<HTMLDivElement>(null);
    const places = useRef((strip: string, slot: number) => placesTo([], [], strip, slot));
    const beside = useRef((strip: string, way: number) => slotBeside([], strip, way));
    useEffect(() => {
        const [order, ids] = [everyStrip(scene.strips).map(({ id }) => id), shown.map(({ strip }) => strip.id)];
        places.current = (strip, slot) => placesTo(order, ids, strip, slot);
        beside.current = (strip, way) => slotBeside(shown, strip, way);
    });
    const { carried, slot, ...carrying } = useCarry(list, (strip, to) => void gestures.move(strip, places.current(strip, to)));
    useWheel(list);

    const step = useCallback(
        (strip: string, way: number, carries: boolean) => {
            const cards = cardsOf(list.current);
            const at = cards.findIndex((card) => card.dataset.strip === strip);
            if (carries) {
                void gestures.move(strip, places.current(strip, beside.current(strip, way)));
                return;
            }
            const next = cards[at + way];
            if (next) {
                work.choose(next.dataset.strip ?? null);
                next.focus();
            }
        },
        [gestures],
    );

    // one stop for the tab key: the chosen strip, else the first
    const tabbed = strips.some((strip) => strip.id === chosen) ? chosen : strips[0]?.id;
    return (
        <section aria-label="Desk" className={`relative flex shrink-0 items-start gap-2 bg-bar px-3 pt-1.5 ${open ? 'h-[214px]' : 'h-[110px]'}`}>
            <Edge open={open} />
            <div ref={list} role="group" aria-label="Strips, back to front" className="flex h-full min-w-0 items-start gap-1.5 overflow-x-auto [scrollbar-width:none]" {...carrying}>
                {shown.map((one, at) => (
                    <div key={one.strip.id} className="relative flex" style={{ opacity: carried === one.strip.id ? 0.5 : 1 }}>
                        {slot === at && <Slot side="left" />}
                        <Belongs one={one} strips={strips} />
                        <StripCard
                            strip={one.strip}
                            folded={one.folded}
                            isTabbed={one.strip.id === tabbed}
                            picture={pictures.get(one.strip.id)}
                            gestures={gestures}
                            noticed={concerned.includes(one.strip.id)}
                            onStep={step}
                        />
                        {slot === shown.length && at === shown.length - 1 && <Slot side="right" />}
                    </div>
                ))}
            </div>
            <Shelf scene={scene} gestures={gestures} />
            <Dots list={list} dots={strips.map((strip) => ({ id: strip.id, name: strip.name, colour: accents[strip.family] ?? 'var(--color-air)' }))} chosen={chosen} />
        </section>
    );
}

/** Where a carried strip comes to stand. */
function Slot({ side }: { side: 'left' | 'right' }) {
    return <span className={`absolute top-0 h-[92%] w-[3px] rounded-full bg-ink ${side === 'left' ? '-left-[5px]' : '-right-[5px]'}`} />;
}

/** Lines that hold together a plate with what is confined to it, and a group with its strips. */
function Belongs({ one, strips }: { one: OnDesk; strips: Strip[] }) {
    const line = lineOf(one.strip, strips);
    const inGroup = one.group !== null || (one.strip.strips !== undefined && one.folded === 0);
    return (
        <>
            {line && <span className="pointer-events-none absolute inset-x-0 -top-[3px] h-[3px] rounded-full" style={{ background: line }} />}
            {inGroup && <span className={`pointer-events-none absolute -bottom-[2px] h-[2px] bg-quiet ${one.group === null ? '-right-1.5 left-0' : '-right-1.5 -left-1.5'}`} data-in-group />}
        </>
    );
}

/** The colours of the lines that hold a plate and what is confined to it together. */
const LINES = ['#7fb3a8', '#b59bd6', '#c9a27a', '#8fb0d9'];

function lineOf(strip: Strip, strips: Strip[]): string | undefined {
    const plate = strip.confinedTo ?? (strips.some((other) => other.confinedTo === strip.id) ? strip.id : undefined);
    const plates = strips.filter((other) => other.family === 'plate').map((other) => other.id);
    return plate === undefined ? undefined : LINES[plates.indexOf(plate) % LINES.length];
}

/** The wheel moves the desk sideways. */
function useWheel(list: React.RefObject<HTMLDivElement | null>) {
    useEffect(() => {
        const element = list.current;
        const onWheel = (event: WheelEvent) => {
            if (element && !event.ctrlKey && Math.abs(event.deltaY) > Math.abs(event.deltaX) && element.scrollWidth > element.clientWidth) {
                event.preventDefault();
                element.scrollLeft += event.deltaY;
            }
        };
        element?.addEventListener('wheel', onWheel, { passive: false });
        return () => element?.removeEventListener('wheel', onWheel);
    }, [list]);
}
