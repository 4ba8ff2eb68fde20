import { expect, test } from '@playwright/test';
import { beds, causeway, mud, pilot, sails, stall, willow, winch } from './marsh';
import { Walk } from './walk';

/*
 * Whole jobs in the open, walked by hand and counted. What their numbers must do (order, ratio, side) is common practice, no source.
 */

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

test('1, low sun behind the pilot: a sun, what belongs to it, the rest along; all of it follows when it is moved', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 1, name: 'Low sun behind the pilot', allowed: 9, ends: 'the sun was moved afterwards: rim, spill and warmth followed' }, pilot);
    await walk.button('Place a sun');
    await walk.point([372, 150]);
    await walk.takeConsequence();
    await walk.press(page.locator('[data-strip][aria-label^="The sun itself"]'));
    await walk.unfold('Likeness');
    await walk.button('Bring the rest along');
    const [rim, sun] = [await walk.strip('rim'), await walk.strip('sun')];
    // its mark can be dragged, whatever is chosen
    await walk.drag([[372, 150], [330, 166]]);
    // rim and disc hang on the source that was moved
    expect((await walk.strip('rim')).inForce.azimuth).not.toBe(rim.inForce.azimuth);
    const [x, y] = (await walk.strip('sun')).inForce.centre as [number, number];
    expect(Math.hypot(x - walk.in(330), y - walk.in(166))).toBeLessThan(walk.in(2));
    expect(sun.inForce.centre).not.toEqual([x, y]);
    const after = await walk.ends();
    // it glares from behind: the head covers the disc's left, and its light spills over the edge of the head
    const [sky, edge] = [[352, 166], [318, 200]] as [number, number][];
    expect(after.luma(sky!)).toBeGreaterThan(walk.before.luma(sky!) + 40);
    expect(after.warmth(edge!, 2)).toBeGreaterThan(walk.before.warmth(edge!, 2) + 30);
    // paler inside, redder outside: of what it adds, less is green the further out
    const green = (x: number) => {
        const [red, of] = [0, 1].map((channel) => after.mean([x, 164], 1)[channel]! - walk.before.mean([x, 164], 1)[channel]!);
        return of! / red!;
    };
    expect(green(344)).toBeGreaterThan(green(354) + 0.05);
    // bright tones were warmed, the dark water is a little cool still
    expect(after.warmth([270, 390], 6)).toBeGreaterThan(walk.before.warmth([270, 390], 6) + 10);
    expect(after.warmth([60, 260], 8)).toBeLessThan(0);
});

test('3, the winch without a shadow: three legs at different depths, light from the right, stones that stay readable', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 3, name: 'The winch without a shadow', allowed: 8, ends: 'the shadow starts at all feet, softens and thins with distance, and the stones stay readable' }, winch);
    await walk.button('Stage');
    await walk.button('Horizon and contact row');
    await walk.drag([[120, 345], [540, 345]]);
    await walk.point([330, 200]);
    await walk.button('Find its feet');
    await walk.button('Cast its shadows');
    await walk.press(page.locator('[data-strip][aria-label^="Shadow of Winch"]'));
    await walk.handle('Tip', [120, 400]);
    const cast = await walk.strip('cast');
    expect((cast.values as { azimuth: number }).azimuth).toBeLessThan(80);
    const after = await walk.ends();
    const share = ([x, y]: [number, number], reach = 1) => after.luma([x, y], reach) / walk.before.luma([x, y], reach);
    // it starts at each foot: within two pixels beside it the ground is dark
    for (const [x, y] of [[225, 341], [344, 309], [428, 348]] as const) {
        const beside = Array.from({ length: 10 }, (_, k) => share([x - 10 + k, y + 2], 0));
        expect(Math.min(...beside), `the foot at ${x}, ${y}`).toBeLessThan(0.72);
    }
    // on the other side of the feet there is none
    for (const [x, y] of [[246, 341], [362, 309], [448, 348]] as const) {
        expect(share([x, y])).toBeGreaterThan(0.95);
    }
    // it thins and softens on its way: darkest near the feet
    const near = Math.min(...Array.from({ length: 40 }, (_, k) => share([190 + k, 346], 0)));
    const far = Math.min(...Array.from({ length: 60 }, (_, k) => share([90 + k, 398], 1)));
    expect(far).toBeGreaterThan(near + 0.08);
    expect(far).toBeLessThan(0.97);
    // the stones in it can be read: as coarse as they were, of their brightness
    const coarse = (seen: typeof after) => {
        const lumas = Array.from({ length: 400 }, (_, k) => seen.luma([215 + (k % 40), 352 + Math.floor(k / 40)], 0));
        const mean = lumas.reduce((sum, value) => sum + value / lumas.length, 0);
        return Math.sqrt(lumas.reduce((sum, value) => sum + (value - mean) ** 2 / lumas.length, 0)) / mean;
    };
    expect(coarse(after)).toBeGreaterThan(0.8 * coarse(walk.before));
});

test('4, drizzle on the causeway: haze from above, thinner in the darks, a post cut free, a muted tint, punch', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 4, name: 'Drizzle on the causeway', allowed: 6, reached: 7, ends: 'haze comes from above and is thinner in the darks, the post is free of it, and all has a muted tint' }, causeway);
    await walk.addAll(/^Tint/, /^Contrast/, /^Haze A veil/);
    await walk.drag([[320, 20], [320, 330]]);
    await walk.key('p');
    await walk.drag([[63, 312], [63, 384]]);
    const haze = await walk.strip('haze');
    expect(haze.masks).toMatchObject([{ kind: 'strokes', values: { strokes: [{}] } }]);
    const after = await walk.ends();
    const lifted = (place: [number, number], reach = 3) => after.luma(place, reach) - walk.before.luma(place, reach);
    // it thins downward
    expect(lifted([500, 40], 8)).toBeGreaterThan(lifted([40, 260], 8) + 10);
    // the dark wood under that sky is lifted less than the sky around it
    expect(lifted([60, 189], 2)).toBeLessThan(0.5 * lifted([60, 140], 8));
    // muted: what was blue is nearer to grey
    expect(Math.abs(after.warmth([320, 60], 10))).toBeLessThan(Math.abs(walk.before.warmth([320, 60], 10)));
});

test('8, willow light: three exposures of one picture, light and dapples painted between them on the boats, and a lantern is lit', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 8, name: 'Willow light on the boats', allowed: 8, ends: 'after the first action nothing was needed but painting, and the lantern is lit' }, willow);
    await walk.point([300, 60]);
    await walk.unfold('Base');
    await walk.button('Trio');
    const over = (await walk.strips()).filter(({ kind }) => kind === 'plate');
    expect(over.length).toBeGreaterThanOrEqual(4);
    // the brush is in hand: light lies along the near boat, and along the white one
    await walk.drag([[30, 350], [190, 320], [345, 290]], 24);
    await walk.drag([[370, 252], [480, 275], [612, 308]], 24);
    // and a lamp is lit in the lantern
    await walk.press(page.locator('[data-strip="lantern"]'));
    await walk.add(/^Glow Something/);
    const after = await walk.ends();
    // where nothing was painted it is two stops under, where it was it is lighter than around
    const grass = after.luma([250, 380], 6) / walk.before.luma([250, 380], 6);
    expect(grass).toBeLessThan(0.75);
    for (const side of [[180, 322], [480, 278]] as const) {
        expect(after.luma(side, 5) / walk.before.luma(side, 5)).toBeGreaterThan(1.25 * grass);
    }
});

test('9, the searchlight over the mud: a coloured beam with midges and mist, and once more across the bust, its face left clear', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 9, name: 'The searchlight over the mud', allowed: 12, ends: 'light, midges and mist change colour together' }, mud);
    await walk.add(/^Beam/, [[221, 98], [330, 370]]);
    await walk.key('d');
    await walk.handle('Target', [600, 330]);
    await walk.press(walk.bench.getByRole('radio', { name: 'swatch' }));
    await walk.colour('Colour: swatch', '#7ad7ff');
    await walk.key('p');
    await walk.drag([[462, 268], [470, 310]]);
    const beams = (await walk.strips()).filter(({ kind }) => kind === 'beam');
    expect(beams).toHaveLength(2);
    const after = await walk.ends();
    // one is warm, the other cold all along, specks and mist too
    expect(after.warmth([262, 190], 6)).toBeGreaterThan(15);
    for (const at of [0.25, 0.4, 0.5]) {
        expect(after.warmth([221 + at * 379, 98 + at * 232], 5)).toBeLessThan(-5);
    }
    // it ends before the ground that it is drawn to
    const warm = (y: number) => after.luma([221 + ((y - 98) / 272) * 109, y], 4) - walk.before.luma([221 + ((y - 98) / 272) * 109, y], 4);
    expect(warm(390)).toBeLessThan(0.35 * warm(230));
    // the face is clear beside what the beam lights of the bust
    const bust = (place: [number, number]) => after.luma(place, 2) - walk.before.luma(place, 2);
    expect(bust([465, 290])).toBeLessThan(0.5 * bust([418, 240]));
});

test("10, the stall lamp's cone: narrow above, gone before the ground, soft sides", async ({ page }) => {
    const walk = await Walk.begin(page, { number: 10, name: 'The stall lamp’s cone', allowed: 4, ends: 'the cone is narrow above, gone before the ground and soft at its sides' }, stall);
    await walk.add(/^Beam/, [[221, 100], [226, 330]]);
    const after = await walk.ends();
    const lift = (x: number, y: number) => after.luma([x, y], 2) - walk.before.luma([x, y], 2);
    const axis = [150, 210, 270, 330].map((y) => Math.max(...[-8, -4, 0, 4, 8].map((dx) => lift(223 + dx, y))));
    // brightest above, falling on its way, and hardly anything at its foot
    expect(axis[0]).toBeGreaterThan(axis[1]!);
    expect(axis[1]).toBeGreaterThan(axis[2]!);
    expect(axis[2]).toBeGreaterThan(axis[3]!);
    expect(lift(226, 350)).toBeLessThan(0.1 * axis[0]!);
    // the further down, the wider
    const width = (y: number) => Array.from({ length: 60 }, (_, k) => 2 * k).filter((dx) => lift(224 + dx, y) > 0.3 * lift(224, y)).length;
    expect(width(130)).toBeLessThan(width(200));
    expect(width(200)).toBeLessThan(width(260) + 1);
    // no side is a step: over two pixels it falls by less than half of what it has
    for (let dx = 2; dx < 60; dx += 2) {
        const [here, there] = [after.luma([224 + dx, 200], 0), after.luma([226 + dx, 200], 0)];
        expect(here - there).toBeLessThan(0.5 * axis[1]!);
    }
});

test('14, soft back light: the average colour of the picture from behind, the bust clear, grain over it, the face up', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 14, name: 'Soft back light', allowed: 9, ends: 'the face is the brightest of the bust, and the light belongs to the scene' }, sails);
    await walk.addAll(/^Grain/, /^Paint Lighter/);
    await walk.drag([[215, 170], [228, 200], [215, 230]]);
    // what is added while the backdrop is chosen lies behind the bust
    await walk.press(page.locator('[data-strip="boardwalk"]'));
    await walk.add(/^Spot A cone/, [[634, 6], [240, 250]]);
    await walk.button('Colour: average of the scene');
    const spot = await walk.strip('spot');
    expect(spot.values.colour).toHaveProperty('swatch');
    const after = await walk.ends();
    // the light lies behind the bust: its neck is as it was but for grain, the air beside it is lit
    expect(after.luma([420, 120], 8)).toBeGreaterThan(walk.before.luma([420, 120], 8) + 15);
    expect(Math.abs(after.luma([240, 300], 6) - walk.before.luma([240, 300], 6))).toBeLessThan(8);
    // the face comes up
    expect(after.luma([218, 200], 8)).toBeGreaterThan(walk.before.luma([218, 200], 8) + 4);
    expect(after.luma([218, 200], 8)).toBeGreaterThan(after.luma([240, 300], 8));
});

test('19, green dusk over the oyster beds: sky and mud darkened by two ramps, coloured haze from a corner, the beds left clear', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 19, name: 'Green dusk over the oyster beds', allowed: 9, ends: 'direction, reach, colour and strength of the haze are one handle each, and both ramps stay' }, beds);
    await walk.add(/^Sky and ground/);
    await walk.colour('Ramp: its colour', '#4d6b5e');
    // it is drawn to where the beds begin
    await walk.add(/^Haze A veil/, [[636, 4], [400, 200]]);
    await walk.colour('Ramp: its colour', '#b9e8b0');
    const [sky, ground] = (await walk.strips()).filter(({ kind }) => kind === 'fill');
    expect([sky!.name, ground!.name]).toEqual(['Sky', 'Ground']);
    expect((sky!.values.stops as { colour: string }[]).map(({ colour }) => colour)).toEqual(['#4d6b5e', '#4d6b5e']);
    const after = await walk.ends();
    const share = (place: [number, number], reach = 8) => after.luma(place, reach) / walk.before.luma(place, reach);
    // the sky is darkest above, the mud below; in the distance hardly anything changes
    expect(share([60, 20])).toBeLessThan(0.6);
    expect(share([60, 20])).toBeLessThan(share([60, 100]));
    expect(share([320, 395])).toBeLessThan(share([320, 260]) - 0.1);
    // slate green above: green over both others, which were even
    const [red, green, blue] = after.mean([60, 20], 10);
    expect(green!).toBeGreaterThan(Math.max(red!, blue!));
    // the haze comes from its corner and is green
    const lit = (x: number) => after.luma([x, 60], 6) / walk.before.luma([x, 60], 6);
    expect(lit(620)).toBeGreaterThan(lit(420));
    expect(lit(420)).toBeGreaterThan(lit(220) - 0.02);
    const [r, g, b] = after.mean([610, 60], 8);
    expect(g! - Math.max(r!, b!)).toBeGreaterThan(15);
    // the beds have hardly any of it
    const greener = (place: [number, number]) => {
        const [of, was] = [after.mean(place, 5), walk.before.mean(place, 5)];
        return of[1] / of[0] - was[1] / was[0];
    };
    for (const bed of [[150, 300], [440, 256], [560, 345]] as [number, number][]) {
        expect(greener(bed)).toBeLessThan(0.4 * greener([610, 60]));
    }
});
