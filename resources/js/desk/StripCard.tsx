import { ChevronDown, ChevronRight, Lock, Pin } from 'lucide-react';
import { memo, useEffect, useRef, useState } from 'react';
import type { Strip } from '../api/types';
import { linearModes } from '../generated/catalogue';
import { hintOf } from '../ui/kelvin';
import { Menu, type Item } from '../ui/Menu';
import { SmallPicture } from '../ui/SmallPicture';
import type { Small } from '../ui/smallPictures';
import { figure } from '../ui/words';
import type { Gestures } from '../session/gestures';
import { colourOf, isLight } from '../session/strips';
import { useWork, work } from '../session/store';
import { Fader, faded, percentScale, stopsScale } from '../controls/Fader';
import { accents, KindIcon, MaskIcon } from '../controls/icons';

type Props = {
    strip: Strip;
    picture: Small | undefined;
    /** Strips of the group that are folded away. */
    folded: number;
    /** Whether the tab key comes here. */
    isTabbed: boolean;
    gestures: Gestures;
    /** Whether a reading concerns it. */
    noticed: boolean;
    /** Moves the choice or the strip itself along the desk. */
    onStep: (strip: string, places: number, carries: boolean) => void;
};

/** The strip chosen, and the shelf of rigs open: it is ticked there. */
function keepAsRig(strip: string) {
    work.choose(strip);
    work.rigs(true);
}

/** A strip on the desk: its contribution beside its fader, what it is called, solo and mute, and how it is mixed. */
export const StripCard = memo(function StripCard({ strip, picture, folded, isTabbed, gestures, noticed, onStep }: Props) {
    const isChosen = useWork((state) => state.chosen === strip.id);
    const isAlso = useWork((state) => state.also.includes(strip.id));
    const isSolo = useWork((state) => state.solo.includes(strip.id));
    const open = useWork((state) => state.deskOpen);
    const isToFocus = useWork((state) => state.toFocus === strip.id);
    const [renaming, setRenaming] = useState(false);
    const card = useRef<HTMLDivElement>(null);
    const light = isLight(strip);
    const scale = light ? stopsScale : percentScale;
    const value = light ? (strip.level ?? 0) : (strip.amount ?? 100);
    const fade = (next: number) => (light ? { level: next } : { amount: next });
    const accent = accents[strip.family] ?? 'var(--color-air)';

    useEffect(() => {
        if (isChosen) {
            card.current?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
        }
    }, [isChosen]);

    useEffect(() => {
        if (isToFocus) {
            card.current?.focus({ preventScroll: true });
            work.focus(null);
        }
    }, [isToFocus]);

    const mute = () => void gestures.change(strip.id, { muted: !strip.muted }, strip.muted ? 'Unmute' : 'Mute');
    const isGroup = (strip.strips?.length ?? 0) > 0;
    function fold() {
        // its strips go out of sight, so none of them stays chosen
        if (folded === 0) {
            work.choose(strip.id);
        }
        work.foldGroup(strip.id, folded === 0);
    }
    const menu: Item[][] = [
        [
            { label: 'Rename', keys: 'Enter', run: () => window.setTimeout(() => setRenaming(true)) },
            { label: 'Duplicate', keys: 'D', run: () => void gestures.duplicate(strip.id) },
            ...(strip.family === 'group' ? [{ label: strip.held ? 'Let go of what it yields' : 'Hold what it yields', run: () => void gestures.change(strip.id, { held: !strip.held }, strip.held ? 'Let go of what it yields' : 'Hold what it yields') }] : []),
            { label: 'Copy for another scene', keys: 'Ctrl C', run: () => void gestures.copy([strip.id, ...useWork.getState().also]) },
            { label: 'Keep as a rig…', run: () => keepAsRig(strip.id) },
            { label: strip.locked ? 'Unlock' : 'Lock', run: () => void gestures.change(strip.id, { locked: !strip.locked }, strip.locked ? 'Unlock' : 'Lock') },
            ...(strip.family === 'plate' ? [{ label: 'Cast its shadows', run: () => void gestures.castShadows(strip.id) }] : []),
            ...(strip.family === 'light' ? [{ label: 'Bring the rest along', run: () => void gestures.bringAlong(strip.id) }] : []),
            { label: 'Delete', keys: 'Delete', run: () => void gestures.remove(strip.id) },
        ],
        [
            { label: isSolo ? 'No solo' : 'Solo', keys: 'S', run: () => work.toggleSolo(strip.id) },
            { label: strip.muted ? 'Unmute' : 'Mute', keys: 'M', run: mute },
            ...(isGroup ? [{ label: folded > 0 ? 'Show its strips' : 'Fold its strips away', keys: 'Space', run: fold }, { label: 'Take apart', keys: 'G', run: () => void gestures.takeApart(strip.id) }] : []),
            ...(isGroup && useWork.getState().also.length === 0 ? [] : [{ label: 'Hold together', keys: 'G', run: () => void gestures.holdTogether([strip.id, ...useWork.getState().also]) }]),
        ],
        [
            { label: 'Carry to the back', keys: 'Alt left', run: () => onStep(strip.id, -1, true) },
            { label: 'Carry to the front', keys: 'Alt right', run: () => onStep(strip.id, 1, true) },
        ],
    ];

    function onKeyDown(event: React.KeyboardEvent) {
        if (event.target !== event.currentTarget) {
            return;
        }
        const { key, shiftKey, altKey } = event;
        const sideways = { ArrowLeft: -1, ArrowRight: 1 }[key];
        const upward = { ArrowUp: 1, ArrowDown: -1 }[key];
        if (sideways) {
            onStep(strip.id, sideways, altKey);
        } else if (upward) {
            gestures.nudge(strip.id, fade(faded(value, upward, scale, shiftKey)), 'Fade');
        } else if (key === ' ') {
            if (isChosen && isGroup) {
                fold();
            } else {
                work.choose(strip.id);
            }
        } else if (key === 'Enter' || key === 'F2') {
            setRenaming(true);
        } else {
            return;
        }
        event.preventDefault();
    }

    const mixed = linearModes.includes(strip.mode) ? `${strip.mode}, mixed as light` : strip.mode;
    const fader = (
        <Fader
            label={strip.name}
            travel={open ? 86 : 78}
            value={value}
            scale={scale}
            accent={accent}
            onLive={(next, at) => work.live(strip.id, fade(next), at)}
            onNudge={(next) => gestures.nudge(strip.id, fade(next), 'Fade')}
            onCommit={() => void gestures.commit(strip.id, 'Fade')}
            onDrop={() => work.drop(strip.id)}
        />
    );
    const number = (
        <div className="flex items-center gap-1.5">
            {colourOf(strip) && <span className="h-2.5 w-2.5 shrink-0 rounded-full border border-well" style={{ background: (strip.inForce.colour ? null : strip.colours.colour?.swatch) ?? hintOf(colourOf(strip)) }} />}
            <span className="font-mono text-[12px] whitespace-nowrap" title={light ? 'Level in stops' : 'Amount'}>
                {figure(value, scale.fine, light)}
                {light ? '' : ' %'}
            </span>
            {light && value > 0 && !linearModes.includes(strip.mode) && (
                <span className="text-[11px] text-quiet" title={`Where the light is full nothing more comes in ${strip.mode}`}>
                    full
                </span>
            )}
        </div>
    );
    const folding = isGroup && (
        <button
            tabIndex={-1}
            aria-expanded={folded === 0}
            aria-label={folded > 0 ? `Show the ${folded} strips of ${strip.name}` : `Fold the strips of ${strip.name} away`}
            title={folded > 0 ? `Show its ${folded} strips (space)` : 'Fold its strips away (space)'}
            className="absolute inset-0 flex items-end justify-start"
            onClick={fold}
        >
            <span className="flex items-center rounded-tr-sm bg-well/85 pr-1 font-mono text-[11px]">
                {folded > 0 ? <ChevronRight size={14} aria-hidden /> : <ChevronDown size={14} aria-hidden />}
                {strip.strips?.length}
            </span>
        </button>
    );
    const switches = (
        <>
            <Switch label="Solo" short="S" on={isSolo} onPress={() => work.toggleSolo(strip.id)} />
            <Switch label="Mute" short="M" on={strip.muted} onPress={mute} />
        </>
    );

    return (
        <Menu label={`Menu of ${strip.name}`} groups={menu} onOpen={() => work.choose(strip.id)}>
            <div
                ref={card}
                tabIndex={isTabbed ? 0 : -1}
                role="group"
                aria-current={isChosen}
                aria-label={`${strip.name}, ${strip.mode}, ${figure(value, scale.fine, light)} ${scale.unit}${strip.muted ? ', muted' : ''}`}
                data-strip={strip.id}
                className={`relative flex shrink-0 flex-col rounded-md border px-2 ${open ? 'h-[192px] w-[124px] pt-1.5 pb-2' : 'h-[96px] w-[128px] pt-0.5 pb-0.5'} ${isChosen ? 'border-ink bg-raised' : isAlso ? 'border-quiet border-dashed bg-raised' : 'border-transparent bg-panel'} ${strip.muted ? 'opacity-60' : ''}`}
                style={{ boxShadow: `inset 0 -3px 0 ${accent}` }}
                onPointerDown={(event) => {
                    if (event.shiftKey && !isChosen) {
                        // another one beside the chosen one; it keeps the focus where it is
                        event.preventDefault();
                        work.toggleAlso(strip.id);
                    } else {
                        work.choose(strip.id);
                    }
                }}
                onKeyDown={onKeyDown}
            >
                <div className={`flex items-center gap-1 ${open ? 'h-[30px] shrink-0' : 'h-[19px] pr-9'}`}>
                    {strip.held && <Pin size={11} className="shrink-0 text-quiet" role="img" aria-label="Held" />}
                    {strip.locked && <Lock size={11} className="shrink-0 text-quiet" role="img" aria-label="Locked" />}
                    {noticed && <span className="h-2 w-2 shrink-0 rounded-full bg-alarm" role="img" aria-label="A reading concerns this strip" />}
                    {renaming ? (
                        <NameField
                            name={strip.name}
                            onDone={(name) => {
                                setRenaming(false);
                                card.current?.focus();
                                if (name && name !== strip.name) {
                                    void gestures.change(strip.id, { name }, 'Rename');
                                }
                            }}
                        />
                    ) : (
                        <span className={`font-medium text-ink ${open ? 'line-clamp-2 leading-[1.15] [overflow-wrap:anywhere]' : 'truncate'}`} title={strip.name} onDoubleClick={() => setRenaming(true)}>
                            {strip.name}
                        </span>
                    )}
                </div>
                {open ? (
                    <>
                        <div className="mt-0.5 flex items-start justify-between">
                            <div className="flex flex-col gap-1.5 pt-1.5">
                                <Contribution picture={picture} size="h-[62px] w-[60px]">{folding}</Contribution>
                                <Marks strip={strip} accent={accent} />
                            </div>
                            {fader}
                        </div>
                        <div className="mt-auto">{number}</div>
                        <div className="mt-1 flex items-center gap-[3px]">
                            {switches}
                            <span className="ml-auto truncate text-[11.5px] tracking-tight text-quiet" title={mixed}>
                                {strip.mode}
                            </span>
                        </div>
                    </>
                ) : (
                    <>
                        <div className="mt-0.5 flex gap-1">
                            <Contribution picture={picture} size="h-[44px] w-[52px]">{folding}</Contribution>
                            <div className="flex flex-col justify-between">{switches}</div>
                        </div>
                        <div className="mt-0.5" title={mixed}>
                            {number}
                        </div>
                        <div className="absolute top-0.5 right-1">{fader}</div>
                    </>
                )}
            </div>
        </Menu>
    );
});

/** Reached by its key, not by tabbing: the card has the one stop. */
function Switch({ label, short, on, onPress }: { label: string; short: string; on: boolean; onPress: () => void }) {
    return (
        <button tabIndex={-1} aria-label={label} aria-pressed={on} title={`${label} (${short})`} className={`h-6 w-6 shrink-0 rounded-sm text-[11px] font-semibold ${on ? 'bg-ink text-well' : 'bg-well text-quiet hover:text-ink'}`} onClick={onPress}>
            {short}
        </button>
    );
}

/** What it is, and its masks. */
function Marks({ strip, accent }: { strip: Strip; accent: string }) {
    return (
        <div className="flex h-4 items-center gap-1" aria-hidden style={{ color: accent }}>
            <KindIcon kind={strip.kind} family={strip.family} size={14} />
            {strip.masks.slice(0, 3).map((mask) => (
                <MaskIcon key={mask.id} kind={mask.kind} isOff={mask.off} small />
            ))}
        </div>
    );
}

function Contribution({ picture, size, children }: { picture: Small | undefined; size: string; children?: React.ReactNode }) {
    return (
        <div className={`relative flex ${size} items-center justify-center overflow-hidden rounded-sm bg-black`}>
            <SmallPicture picture={picture} />
            {children}
        </div>
    );
}

function NameField({ name, onDone }: { name: string; onDone: (name: string | null) => void }) {
    const done = useRef(false);
    const finish = (value: string | null) => {
        if (!done.current) {
            done.current = true;
            onDone(value);
        }
    };
    return (
        <input
            autoFocus
            defaultValue={name}
            maxLength={80}
            aria-label="Name"
            className="w-full min-w-0 rounded-sm bg-well px-1 text-ink"
            onFocus={(event) => event.target.select()}
            onBlur={(event) => finish(event.target.value.trim())}
            onKeyDown={(event) => {
                event.stopPropagation();
                if (event.key === 'Enter') {
                    finish(event.currentTarget.value.trim());
                } else if (event.key === 'Escape') {
                    finish(null);
                }
            }}
        />
    );
}
