import type { Point, Scene, Wall } from '../api/types';
import { Action, Forget } from '../controls/Action';
import { LightColourField } from '../controls/LightColourField';
import { NumberField } from '../controls/NumberField';
import { Row } from '../controls/Row';
import { Section } from '../controls/Section';
import type { Gestures } from '../session/gestures';
import { AMBIENT, STAGE } from '../session/things';
import { markingOf, useWork, work, type Marking } from '../session/store';
import { byHorizon, drawnHorizon } from '../session/floor';
import { withWallStraightOn } from '../session/walls';
import { thingHand } from './hands';

const HINTS: Partial<Record<Marking, string>> = {
    floor: 'Draw a line on the floor where things stand, from one side to the other.',
    square: 'Click the four corners of something square on the floor.',
    wall: 'Click the four corners of the wall, or draw its upper and its lower edge.',
    foot: 'Draw the line where the wall meets the floor.',
};

function Mark({ what, label, title }: { what: Marking; label: string; title: string }) {
    const marking = useWork(markingOf);
    return <Action label={label} title={title} pressed={marking === what} onPress={() => work.mark(marking === what ? null : what)} />;
}

/** Floor, walls and camera of the scene, and the light of the room. */
export function StageBench({ scene, gestures }: { scene: Scene; gestures: Gestures }) {
    const marking = useWork(markingOf);
    const { floor, walls = [], focal, lines } = scene.stage;
    const set = (values: Record<string, unknown>, label: string) => void gestures.change(STAGE, { values: values as never }, label);
    const levels: Point = [-12, 6];
    const drawn = drawnHorizon(scene);
    return (
        <>
            <header className="border-b border-line px-3.5 py-2">
                <h2 className="font-semibold">Stage</h2>
            </header>
            <Section of="stage" title="Floor">
                <div className="flex flex-wrap gap-1.5">
                    <Mark what="floor" label="Horizon and contact row" title="A line where things stand; the horizon is then dragged" />
                    <Mark what="square" label="By a square" title="Four corners of something square that lies on the floor" />
                    {!floor && drawn !== null && <Action label="By the drawn horizon" title="With the horizon that was drawn on the picture, and the contact row where what is lowest stands" onPress={() => set({ floor: byHorizon(scene, drawn) }, 'Mark the floor')} />}
                    {floor && <Forget label="Forget the floor" onPress={() => set({ floor: null }, 'Forget the floor')} />}
                </div>
                {marking && <p className="pt-1 text-quiet">{HINTS[marking]}</p>}
                {floor && lines.horizon !== null && (
                    <p className="pt-1 text-quiet">
                        Horizon at <span className="font-mono text-[12px]">{lines.horizon.toFixed(0)} px</span>
                        {floor.corners ? ', found from the square' : ''}
                    </p>
                )}
                <NumberField
                    label="Focal length"
                    value={focal ?? null}
                    unit="px"
                    least={Math.ceil(scene.width / 10)}
                    most={scene.width * 100}
                    step={1}
                    whenEmpty={`${lines.focal.toFixed(0)} px`}
                    rest={null}
                    hand={thingHand<number | null>(STAGE, gestures, 'Focal length', (value) => ({ values: { focal: value } }))}
                />
            </Section>
            <Section of="stage" title="Walls">
                <div className="flex flex-wrap gap-1.5">
                    <Mark what="wall" label="Four corners" title="Click the corners of the wall, or draw two of its edges" />
                    <Action label="Straight on" title="The whole picture is a wall, seen straight on" onPress={() => set({ walls: withWallStraightOn(scene) }, 'Mark a wall')} />
                    {floor && <Mark what="foot" label="Foot line" title="Draw where it meets the floor; its height is then dragged" />}
                </div>
                {walls.map((wall, at) => (
                    <WallRow key={wall.id} wall={wall} onRename={(name) => set({ walls: walls.map((other, k) => (k === at ? { ...other, name } : other)) }, 'Rename the wall')} onForget={() => set({ walls: walls.filter((_, k) => k !== at) }, 'Forget the wall')} />
                ))}
            </Section>
            <Section of="stage" title="Ambient" note="of the room or sky">
                <NumberField
                    label="Level"
                    value={scene.ambient.level}
                    unit="stops"
                    signed
                    least={levels[0]}
                    most={levels[1]}
                    step={0.05}
                    rest={-2.5}
                    hand={thingHand<number | null>(AMBIENT, gestures, 'Ambient', (level) => ({ level: level ?? -2.5 }))}
                />
                {scene.ambient.colour ? (
                    <div className="flex items-start">
                        <div className="min-w-0 flex-1">
                            <LightColourField
                                parameter={{ name: 'colour', label: 'Colour', type: 'light colour', section: '', unit: '', least: 0, most: 0, step: 1, default: null, optional: true, choices: [], shownWhen: {}, whenEmpty: '', says: 'The colour of the light that is everywhere' }}
                                value={scene.ambient.colour}
                                scene={scene}
                                strip={{ id: AMBIENT, kind: 'ambient', values: {} }}
                                gestures={gestures}
                                hand={thingHand(AMBIENT, gestures, 'Colour of the ambient', (colour) => ({ values: { colour } }))}
                            />
                        </div>
                        <Forget label="The scene's white again" onPress={() => void gestures.change(AMBIENT, { values: { colour: null } }, 'Ambient')} />
                    </div>
                ) : (
                    <Row label="Colour">
                        <span className="text-quiet">the scene’s white</span>
                        <Action label="Own" onPress={() => void gestures.change(AMBIENT, { values: { colour: { kelvin: 7500 } } }, 'Colour of the ambient')} />
                    </Row>
                )}
            </Section>
        </>
    );
}

function WallRow({ wall, onRename, onForget }: { wall: Wall; onRename: (name: string) => void; onForget: () => void }) {
    return (
        <div className="flex items-center gap-1 pt-1">
            <input
                key={wall.name}
                aria-label={`Name of ${wall.name}`}
                className="h-6 min-w-0 flex-1 rounded-sm bg-well px-2"
                defaultValue={wall.name}
                maxLength={80}
                onBlur={(event) => event.target.value.trim() !== '' && event.target.value.trim() !== wall.name && onRename(event.target.value.trim())}
                onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="text-[12px] text-quiet">{wall.corners ? 'by corners' : 'by its foot'}</span>
            <Forget label={`Forget ${wall.name}`} onPress={onForget} />
        </div>
    );
}
