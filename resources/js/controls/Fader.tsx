import type { KeyboardEvent, PointerEvent } from 'react';
import { levelRange } from '../generated/catalogue';
import { clamp } from '../session/strips';
import { follow } from '../ui/pointer';
import { figure } from '../ui/words';

type Scale = { least: number; most: number; rest: number; step: number; fine: number; unit: string; ticks: number[] };

export const stopsScale: Scale = { ...levelRange, rest: 0, step: 0.25, fine: 0.05, unit: 'stops', ticks: [-6, -4, -2, 0, 2, 4, 6] };

export const percentScale: Scale = { least: 0, most: 100, rest: 100, step: 5, fine: 1, unit: '%', ticks: [0, 25, 50, 75, 100] };

type Props = {
    label: string;
    /** How far its knob goes, CSS pixels. */
    travel: number;
    value: number;
    scale: Scale;
    accent: string;
    onLive: (value: number, at: number) => void;
    onNudge: (value: number) => void;
    onCommit: () => void;
    /** the drag was not meant */
    onDrop: () => void;
};

/** A vertical fader. Shift makes it finer; a double click puts it to rest. The tab key goes to the card that it is on, which has its keys. */
export function Fader({ label, travel, value, scale, accent, onLive, onNudge, onCommit, onDrop }: Props) {
    const share = (value - scale.least) / (scale.most - scale.least);
    const rest = (scale.rest - scale.least) / (scale.most - scale.least);

    function onPointerDown(event: PointerEvent<HTMLDivElement>) {
        if (event.button !== 0) {
            return;
        }
        event.stopPropagation();
        let [last, lastY] = [value, event.clientY];
        let hasMoved = false;
        follow(event.currentTarget, event.pointerId, {
            move: (to) => {
                hasMoved = true;
                const speed = to.shiftKey ? 0.2 : 1;
                last = last - (((to.clientY - lastY) * speed) / travel) * (scale.most - scale.least);
                lastY = to.clientY;
                onLive(rounded(clamp(last, scale.least, scale.most), scale.fine), to.timeStamp);
            },
            end: () => hasMoved && onCommit(),
            cancel: () => hasMoved && onDrop(),
        });
    }

    function onKeyDown(event: KeyboardEvent) {
        const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
        const ends = { Home: scale.least, End: scale.most }[event.key];
        if (way === undefined && ends === undefined) {
            return;
        }
        event.preventDefault();
        event.stopPropagation();
        onNudge(ends ?? faded(value, way ?? 0, scale, event.shiftKey));
    }

    return (
        <div
            role="slider"
            tabIndex={-1}
            aria-orientation="vertical"
            aria-label={`${label}, fader`}
            aria-valuemin={scale.least}
            aria-valuemax={scale.most}
            aria-valuenow={value}
            aria-valuetext={`${figure(value, scale.fine, scale.unit === 'stops')} ${scale.unit}`}
            className="relative w-9 shrink-0 cursor-ns-resize touch-none rounded-sm"
            style={{ height: travel + 12 }}
            onPointerDown={onPointerDown}
            onDoubleClick={() => onNudge(scale.rest)}
            onKeyDown={onKeyDown}
        >
            <div className="absolute top-1.5 left-[17px] w-[3px] rounded-full bg-well" style={{ height: travel }} />
            <div
                className="absolute left-[17px] w-[3px] rounded-full"
                style={{ background: accent, bottom: 6 + Math.min(share, scale.unit === 'stops' ? rest : 0) * travel, height: Math.abs(share - (scale.unit === 'stops' ? rest : 0)) * travel }}
            />
            {scale.ticks.map((tick) => (
                <div
                    key={tick}
                    className={`absolute left-1.5 h-px ${tick === scale.rest ? 'w-2 bg-quiet' : 'w-1.5 bg-line'}`}
                    style={{ bottom: 6 + ((tick - scale.least) / (scale.most - scale.least)) * travel }}
                />
            ))}
            <div className="absolute left-[9px] h-[9px] w-[19px] rounded-sm border border-well bg-ink" style={{ bottom: 2 + share * travel }} />
        </div>
    );
}

export function faded(value: number, way: number, scale: Scale, fine: boolean): number {
    return rounded(clamp(value + way * (fine ? scale.fine : scale.step), scale.least, scale.most), scale.fine);
}

function rounded(value: number, step: number): number {
    return Math.round(Math.round(value / step) * step * 1000) / 1000;
}
