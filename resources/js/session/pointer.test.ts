import { beforeEach, expect, test } from 'vitest';
import { afterChoosing, drawingOf, fits, markingOf, MOVES, pickingOf, pivots, placingOf, sphereOf, toolOf, type Pointer } from './pointer';
import { useWork, work } from './store';

const lamp = { of: 'source', kind: 'lamp', line: null, above: null } as const;

/** Everything that the pointer can be given to do, and what it is when it has it. */
const GIVEN: [() => void, Pointer][] = [
    [() => work.takeTool('paint'), { does: 'tool', tool: 'paint' }],
    [() => work.pickColour({ tones: 'a' }), { does: 'pick', picking: { tones: 'a' } }],
    [() => work.place(lamp), { does: 'place', placing: lamp }],
    [() => work.mark('floor'), { does: 'mark', marking: 'floor' }],
    [() => work.draw('horizon'), { does: 'draw', drawing: 'horizon' }],
    [() => work.turnSphere('a'), { does: 'sphere', plate: 'a' }],
    [() => work.fit(true), { does: 'fit' }],
    [() => work.pivot(true), { does: 'pivot' }],
];

const ENDED: (() => void)[] = [() => work.takeTool('move'), () => work.pickColour(null), () => work.place(null), () => work.mark(null), () => work.draw(null), () => work.turnSphere(null), () => work.fit(false), () => work.pivot(false)];

beforeEach(() => {
    work.choose(null);
    work.takeTool('move');
});

test('whatever it is given after whatever else, it does that alone', () => {
    for (const [first] of GIVEN) {
        for (const [second, does] of GIVEN) {
            first();
            second();
            const state = useWork.getState();
            expect(state.pointer).toEqual(does);
            const all = [toolOf(state) !== 'move', pickingOf(state), placingOf(state), markingOf(state), drawingOf(state), sphereOf(state), fits(state), pivots(state)];
            expect(all.filter(Boolean)).toHaveLength(1);
        }
    }
});

test('a lamp can be placed after a colour was to be picked', () => {
    work.pickColour({ thing: 'a', parameter: 'colour' });
    work.place(lamp);
    expect(placingOf(useWork.getState())).toEqual(lamp);
    expect(pickingOf(useWork.getState())).toBeNull();
});

test('what ends gives the pointer back, and ends nothing else', () => {
    GIVEN.forEach(([give, does], at) => {
        ENDED.forEach((end, other) => {
            give();
            end();
            // a tool is taken by hand, whatever the pointer did before
            expect(useWork.getState().pointer).toEqual(at === other || other === 0 ? MOVES : does);
        });
    });
});

test('choosing another strip ends what belonged to the one before, and keeps the tool', () => {
    for (const [, pointer] of GIVEN) {
        const isKept = pointer.does === 'tool';
        expect(afterChoosing(pointer, false)).toEqual(isKept ? pointer : MOVES);
        expect(afterChoosing(pointer, true)).toEqual(pointer.does === 'pick' || pointer.does === 'place' ? MOVES : pointer);
    }
});
