import { expect, test } from '@playwright/test';
import { hut, shed } from './marsh';
import { Walk } from './walk';

/*
 * Whole jobs on something that hangs on a wall, walked by hand and counted. What their numbers must do (order, ratio, side) is
 * common practice, no source.
 */

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

test('11, the barometer in the ferry hut: pool, ellipse, shadows and bezel of one lamp, which all go along with it', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 11, name: 'The barometer in the ferry hut', allowed: 14, ends: 'moving the lamp moved all of it' }, hut);
    await walk.button('Stage');
    await walk.button('Straight on');
    await walk.point([286, 232]);
    await walk.button('Cast its shadows');
    await walk.button('Place a lamp');
    await walk.point([310, 70]);
    await walk.type('Level', 0.8);
    await walk.takeConsequence(/^Close pool/, /^Glow of/, /^Edge of/);
    const hung = async () => (await walk.strips()).filter(({ source }) => source);
    const before = await hung();
    expect(before.map(({ kind }) => kind)).toEqual(['wall', 'spot-onto', 'spot-onto', 'spot-onto', 'rim', 'chamfer', 'glow']);
    expect((await walk.strips()).filter(({ kind, source }) => !source && ['wall', 'contact'].includes(kind))).toHaveLength(2);
    await walk.drag([[310, 70], [286, 66]]);
    for (const [at, strip] of (await hung()).entries()) {
        expect(strip.inForce, strip.name).not.toEqual(before[at]!.inForce);
    }
    const after = await walk.ends();
    const lift = (place: [number, number], reach = 4) => after.luma(place, reach) - walk.before.luma(place, reach);
    // the ellipse under the lamp is the brightest of the wall, and warm; the room around is lowered
    expect(after.luma([262, 112], 3)).toBeGreaterThan(after.luma([262, 172], 3) + 15);
    expect(after.warmth([262, 112], 3)).toBeGreaterThan(walk.before.warmth([262, 112], 3) + 25);
    for (const corner of [[20, 400], [620, 400], [620, 40]] as [number, number][]) {
        expect(lift(corner, 8)).toBeLessThan(-2);
    }
    // its shadow falls away from the lamp: under it, hardly above it
    const shade = (y: number) => after.luma([286, y], 1) / walk.before.luma([286, y], 1);
    expect(shade(288)).toBeLessThan(0.8 * shade(312));
    // inside filled: through the ring by which it hangs no light comes
    expect(after.luma([286, 178], 0)).toBeLessThan(after.luma([262, 178], 2));
    // the bezel catches the light above, not below
    expect(after.luma([286, 194], 1)).toBeGreaterThan(1.25 * after.luma([286, 276], 1));
    expect(walk.before.luma([286, 194], 1)).toBeLessThan(1.25 * walk.before.luma([286, 276], 1));
});

test('12, the pennant in the boat shed: spotlit with the relief of its weave, a chamfered frame, turned in perspective', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 12, name: 'The pennant in the boat shed', allowed: 11, ends: 'the weave, the frame, its shadow and the wall answer one lamp, and the pennant is turned in perspective' }, shed);
    await walk.button('Stage');
    await walk.button('Straight on');
    await walk.button('Place a lamp');
    await walk.point([320, 24]);
    await walk.takeConsequence(/^Relief of/, /^Edge of/);
    await walk.point([330, 200]);
    await walk.handle('Corner 2', [508, 88], 'Shift');
    await walk.handle('Corner 3', [508, 312], 'Shift');
    const [relief, pool] = [await walk.strip('relief'), (await walk.strips()).find(({ kind, confinedTo }) => kind === 'spot-onto' && confinedTo === 'pennant')!];
    expect(relief.values).toMatchObject({ of: 'pennant', heights: 'a plate' });
    expect(relief.source).toBe(pool.source);
    const after = await walk.ends();
    // the wall is lowered and drained, except where the lamp throws its softer pool
    const drained = (place: [number, number]) => {
        const [of, was] = [after, walk.before].map((seen) => seen.mean(place, 8)).map((rgb) => Math.max(...rgb) - Math.min(...rgb));
        return of! / was!;
    };
    expect(after.luma([600, 300], 8)).toBeLessThan(0.75 * walk.before.luma([600, 300], 8));
    expect(drained([592, 118])).toBeLessThan(0.8);
    const share = (place: [number, number]) => after.luma(place, 5) / walk.before.luma(place, 5);
    expect(share([320, 50])).toBeGreaterThan(1.5 * share([600, 300]));
    // the linen is brighter than all of the wall, and brightest under the lamp
    const linen = (...place: [number, number]) => after.luma(place, 3);
    expect(linen(330, 116)).toBeGreaterThan(linen(196, 280) + 20);
    expect(linen(196, 280)).toBeGreaterThan(after.brightest([20, 20, 110, 380]).luma);
    // its weave answers the lamp above it: threads across the light stand out more beside those along it than they did
    const across = (seen: typeof after) => {
        const places = Array.from({ length: 600 }, (_, k) => [380 + (k % 60), 276 + Math.floor(k / 60)] as const);
        const steps = (dx: number, dy: number) => places.reduce((sum, [x, y]) => sum + (seen.luma([x + dx, y + dy], 0) - seen.luma([x, y], 0)) ** 2, 0);
        return steps(0, 1) / steps(1, 0);
    };
    expect(across(after)).toBeGreaterThan(1.2 * across(walk.before));
    // the frame catches the light above, and throws a shadow below
    expect(after.luma([320, 82], 1)).toBeGreaterThan(1.3 * after.luma([320, 314], 1));
    const under = Array.from({ length: 24 }, (_, k) => after.luma([200, 312 + k], 1) / walk.before.luma([200, 312 + k], 1));
    expect(Math.min(...under)).toBeLessThan(0.8 * under.at(-1)!);
});
