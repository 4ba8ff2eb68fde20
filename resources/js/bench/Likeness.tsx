import type { Scene, Strip } from '../api/types';
import { Action } from '../controls/Action';
import { ChoiceField } from '../controls/ChoiceField';
import { Section } from '../controls/Section';
import type { Gestures } from '../session/gestures';
import { everyStrip, isLight } from '../session/strips';
import { work } from '../session/store';

const LINE = 'a line';

/** A strip mirrored, or given another one's look, or the rest of the picture brought along a light: each in one action. */
export function Likeness({ scene, strip, gestures }: { scene: Scene; strip: Strip; gestures: Gestures }) {
    const others = everyStrip(scene.strips).filter((other) => other.id !== strip.id && other.family !== 'group');
    const plates = others.filter((other) => other.family === 'plate');
    return (
        <Section of={strip.kind} title="Likeness" open={false}>
            <ChoiceField
                label="Mirror about"
                value=""
                choices={[
                    { value: '', label: '…' },
                    { value: 'picture', label: 'the picture’s middle' },
                    ...plates.map((plate) => ({ value: `plate ${plate.id}`, label: `the middle of ${plate.name}` })),
                    { value: LINE, label: 'a line that I draw' },
                ]}
                onSet={(about) => {
                    if (about === LINE) {
                        work.mark('mirror');
                    } else if (about !== '') {
                        void gestures.mirror(strip.id, about.startsWith('plate ') ? { plate: about.slice(6) } : {});
                    }
                }}
            />
            <ChoiceField label="Look of" value="" choices={[{ value: '', label: '…' }, ...others.map((other) => ({ value: other.id, label: other.name }))]} onSet={(from) => from !== '' && void gestures.takeLook(strip.id, from)} />
            {strip.family === 'plate' && (
                <div className="flex flex-wrap gap-1.5 pt-0.5">
                    <Action label="As its neighbours" title="Its colours brought to those of what lies around it, and its grain where that is weaker: a strip for each" onPress={() => void gestures.asNeighbours(strip.id)} />
                    <Action label="Its neighbours as it" title="What lies under it brought to its colours and contrast, in darks, mids and lights" onPress={() => void gestures.neighboursLike(strip.id)} />
                    <Action label="Grain as its neighbours" title="Its grain brought to that of what lies around it, as it is measured" onPress={() => void gestures.grainAlike(strip.id)} />
                </div>
            )}
            {isLight(strip) && (
                <div className="pt-0.5">
                    <Action label="Bring the rest along" title="The rest of the picture warmed or cooled toward this light: a group of ordinary strips under it" onPress={() => void gestures.bringAlong(strip.id)} />
                </div>
            )}
        </Section>
    );
}
