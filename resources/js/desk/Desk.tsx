import { useCallback, useRef, useState } from 'react';
import type { Scene, Strip } from '../api/types';
import { follow } from '../ui/pointer';
import type { Gestures } from '../session/gestures';
import { everyStrip } from '../session/strips';
import { useReadings } from '../session/readings';
import { useWork, work } from '../session/store';
import { Shelf } from './Shelf';
import { StripCard } from './StripCard';
import { useContributions } from './useContributions';

/** The dock of strips, back to front from left to right. Strips are dragged along it, or carried with alt and the arrow keys. */
export function Desk({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const pending = useWork((state) => state.pending);
    const strips = everyStrip(scene.strips, pending);
    const concerned = useReadings(scene).flatMap((reading) => reading.strips);
    const pictures = useContributions(scene);
    const open = useWork((state) => state.deskOpen);
    const list = useRef<HTMLDivElement>(null);
    const { carried, slot, ...carrying } = useCarry(list, (strip, places) => void gestures.move(strip, places));

    const step = useCallback(
        (strip: string, places: number, carries: boolean) => {
            if (carries) {
                void gestures.move(strip, places);
                return;
            }
            const cards = Array.from(list.current?.querySelectorAll<HTMLElement>('[data-strip]') ?? []);
            const next = cards[cards.findIndex((card) => card.dataset.strip === strip) + places];
            if (next) {
                work.choose(next.dataset.strip ?? null);
                next.focus();
            }
        },
        [gestures],
    );

    return (
        <section aria-label="Desk" className={`relative flex shrink-0 items-center gap-2 bg-bar px-3 pt-1 ${open ? 'h-[206px]' : 'h-[110px]'}`}>
            <Edge open={open} />
            <div ref={list} role="group" aria-label="Strips, back to front" className="flex h-full min-w-0 items-center gap-1.5 overflow-x-auto" {...carrying}>
                {strips.map((strip, at) => (
                    <div key={strip.id} className="relative flex" style={{ opacity: carried === strip.id ? 0.5 : 1 }}>
                        {slot === at && <span className="absolute inset-y-1 -left-[5px] w-[3px] rounded-full bg-ink" />}
                        {lineOf(strip, strips) && <span className="absolute inset-x-0 top-0 h-[3px] rounded-full" style={{ background: lineOf(strip, strips) }} />}
                        <div className={strip.confinedTo && open ? 'mt-2.5' : ''}>
                            <StripCard strip={strip} picture={pictures.get(strip.id)} gestures={gestures} noticed={concerned.includes(strip.id)} onStep={step} />
                        </div>
                        {slot === strips.length && at === strips.length - 1 && <span className="absolute inset-y-1 -right-[5px] w-[3px] rounded-full bg-ink" />}
                    </div>
                ))}
            </div>
            <Shelf scene={scene} gestures={gestures} />
        </section>
    );
}

/** The upper edge of the desk: pulled up or down, or pressed, it opens the desk or lets it down. */
function Edge({ open }: { open: boolean }) {
    function onPointerDown(event: React.PointerEvent<HTMLButtonElement>) {
        const from = event.clientY;
        let to: boolean | null = null;
        follow(event.currentTarget, event.pointerId, {
            move: (pointer) => {
                const way = pointer.clientY - from;
                to = Math.abs(way) < FAR_ENOUGH ? to : way < 0;
            },
            end: () => work.desk(to ?? !open),
        });
    }
    return (
        <button
            aria-label="The whole desk"
            aria-expanded={open}
            title={open ? 'Lower the desk' : 'Open the desk: modes, masks, whole names'}
            className="group absolute -top-[5px] right-0 left-0 z-10 flex h-[15px] cursor-ns-resize touch-none items-center justify-center"
            onPointerDown={onPointerDown}
            onKeyDown={(event) => {
                const way = { ArrowUp: true, ArrowDown: false, Enter: !open, ' ': !open }[event.key];
                if (way !== undefined) {
                    event.preventDefault();
                    event.stopPropagation();
                    work.desk(way);
                }
            }}
        >
            <span className="h-[3px] w-12 rounded-full bg-line group-hover:bg-quiet" aria-hidden />
        </button>
    );
}

/** The colours of the lines that hold a plate and what is confined to it together. */
const LINES = ['#7fb3a8', '#b59bd6', '#c9a27a', '#8fb0d9'];

function lineOf(strip: Strip, strips: Strip[]): string | undefined {
    const plate = strip.confinedTo ?? (strips.some((other) => other.confinedTo === strip.id) ? strip.id : undefined);
    const plates = strips.filter((other) => other.family === 'plate').map((other) => other.id);
    return plate === undefined ? undefined : LINES[plates.indexOf(plate) % LINES.length];
}

const FAR_ENOUGH = 8;

/** Carries a strip along the desk with the pointer; the slot says where it would come to stand. */
function useCarry(list: React.RefObject<HTMLDivElement | null>, onMove: (strip: string, places: number) => void) {
    const [carried, setCarried] = useState<string | null>(null);
    const [slot, setSlot] = useState<number | null>(null);

    function onPointerDown(event: React.PointerEvent) {
        const target = event.target as HTMLElement;
        const card = target.closest<HTMLElement>('[data-strip]');
        if (!card || event.button !== 0 || target.closest('button, input, [role="slider"]')) {
            return;
        }
        const strip = card.dataset.strip ?? '';
        const start = event.clientX;
        let to: number | null = null;
        const cards = () => Array.from(list.current?.querySelectorAll<HTMLElement>('[data-strip]') ?? []);
        const move = (pointer: globalThis.PointerEvent) => {
            if (to === null && Math.abs(pointer.clientX - start) < FAR_ENOUGH) {
                return;
            }
            const middles = cards().map((other) => other.getBoundingClientRect().left + other.offsetWidth / 2);
            to = middles.filter((middle) => middle < pointer.clientX).length;
            setCarried(strip);
            setSlot(to);
        };
        const end = () => {
            window.removeEventListener('pointermove', move);
            window.removeEventListener('pointerup', end);
            window.removeEventListener('pointercancel', end);
            const from = cards().findIndex((other) => other.dataset.strip === strip);
            setCarried(null);
            setSlot(null);
            if (to !== null && from >= 0) {
                const places = to > from ? to - 1 - from : to - from;
                if (places !== 0) {
                    onMove(strip, places);
                }
            }
        };
        window.addEventListener('pointermove', move);
        window.addEventListener('pointerup', end);
        window.addEventListener('pointercancel', end);
    }

    return { carried, slot, onPointerDown };
}
