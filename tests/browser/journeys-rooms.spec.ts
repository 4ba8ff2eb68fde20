import { expect, test } from '@playwright/test';
import { loft, render, wrongSide } from './marsh';
import { Walk } from './walk';

/*
 * Whole jobs with a stage: a wall, a lamp in a room, a render by the water; walked by hand and counted. What their numbers must do
 * (order, ratio, side) is common practice, no source.
 */

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

test('2, shutters in the sail loft: the wall marked once, light of shutters lies on it in perspective', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 2, name: 'Shutters in the sail loft', allowed: 8, ends: 'the light lies on the wall, which was marked once, with two softnesses and one strength' }, loft);
    await walk.button('Stage');
    await walk.button('Four corners');
    await walk.drag([[202, 89], [376, 97]]);
    await walk.drag([[378, 235], [202, 231]]);
    await walk.addAll(/^Vignette/, /^Pattern/);
    await walk.choose('Through', 'blinds');
    const pattern = await walk.strip('pattern');
    expect(pattern.values.surface).not.toBeNull();
    const after = await walk.ends();
    const lift = (x: number, y: number) => after.luma([x, y], 1) - walk.before.luma([x, y], 1);
    // stripes: down a column of the chart it goes up and down
    const column = Array.from({ length: 50 }, (_, k) => lift(290, 100 + 3 * k));
    const turns = column.filter((value, k) => k > 1 && (value - column[k - 1]!) * (column[k - 1]! - column[k - 2]!) < -0.5).length;
    expect(turns).toBeGreaterThan(3);
    expect(Math.max(...column)).toBeGreaterThan(25);
    // hottest on the chart, and the corners darker
    const brightest = after.brightest([20, 20, 560, 360]);
    expect(brightest.at[0]).toBeGreaterThan(200);
    expect(brightest.at[0]).toBeLessThan(380);
    for (const corner of [[12, 12], [588, 12], [12, 388], [588, 388]] as [number, number][]) {
        expect(after.luma(corner, 6)).toBeLessThan(walk.before.luma(corner, 6));
    }
});

test('20, the wrong side: a bust lit from the wrong side, its own light exchanged, its shadow and its rim', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 20, name: 'The wrong side', allowed: 8, ends: 'the compass agrees; nobody sees that it was lit otherwise' }, wrongSide);
    const faces = { left: [245, 190], right: [335, 190] } as Record<string, [number, number]>;
    expect(walk.before.luma(faces.left!, 8)).toBeGreaterThan(walk.before.luma(faces.right!, 8));
    await walk.point([290, 200]);
    await walk.button('Estimate');
    await walk.button('Place a lamp');
    await walk.point([480, 130]);
    await walk.takeConsequence();
    await walk.point([290, 200]);
    await walk.unfold('Own light');
    await walk.button('Relight');
    const { compass, strips } = await walk.scene();
    expect(compass.arcs).toEqual([]);
    const kinds = (await walk.strips()).map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(['key light', 'rim', 'cast']));
    expect(strips.length).toBeGreaterThan(2);
    const after = await walk.ends();
    expect(after.luma(faces.right!, 8)).toBeGreaterThan(after.luma(faces.left!, 8));
    // and toward the lamp in its colour
    const warm = (place: [number, number]) => after.warmth(place, 4) / after.luma(place, 4);
    expect(warm([370, 150])).toBeGreaterThan(1.15 * warm(faces.left!));
});

test('21, a render by the water: key, skylight, shadow, haze at its distance, and the light walked around it', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 21, name: 'A render by the water', allowed: 9, ends: 'the light was walked around it' }, render);
    await walk.button('Place a lamp');
    await walk.point([420, 110]);
    await walk.takeConsequence(/^Key light/);
    await walk.addAll(/^Skylight/, /^Haze by distance/);
    await walk.type('Amount', 20);
    const key = await walk.strip('key light');
    await walk.drag([[420, 110], [196, 150]]);
    expect((await walk.strip('key light')).inForce).not.toEqual(key.inForce);
    const after = await walk.ends();
    // the lamp stands on the left now: so does what it lights of the body, and its colour
    const [left, front] = [[243, 290], [372, 300]] as const;
    expect(after.warmth(left, 3) - walk.before.warmth(left, 3)).toBeGreaterThan(after.warmth(front, 3) - walk.before.warmth(front, 3));
    // what is far is veiled more than the render in front
    const veil = (place: readonly [number, number]) => after.luma(place, 3) - walk.before.luma(place, 3);
    expect(veil([60, 128])).toBeGreaterThan(veil([560, 400]));
});
