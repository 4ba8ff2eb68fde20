import { expect, test } from '@playwright/test';
import { bust, buoy, floats, heron, porthole, poster, rail, sails, toyBoat } from './marsh';
import { luma, Walk, type Seen } from './walk';

/*
 * Whole jobs on things that shine or are shone on, walked by hand and counted. What their numbers must do (order, ratio, side) is
 * common practice, no source.
 */

// each has a scene of its own
test.describe.configure({ mode: 'parallel' });

test('5, two stall lights on the bust: drained, one line between two gels that never double nor leave a gap', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 5, name: 'Two stall lights on the bust', allowed: 7, ends: 'the two never double nor leave a gap; the line between them is one handle' }, bust);
    await walk.point([320, 200]);
    await walk.unfold('Base');
    await walk.type('Drained colour', 88);
    await walk.add(/^Split pair/);
    const line = (await walk.strips()).find(({ kind }) => kind === 'wash')!.masks[0]!.values;
    await walk.handle('To', [356, 226]);
    const [first, second] = (await walk.strips()).filter(({ kind }) => kind === 'wash');
    expect(first!.masks[0]!.values.to).not.toEqual(line.to);
    expect(second).toMatchObject({ complements: first!.id, masks: [], confinedTo: 'figurehead' });
    const after = await walk.ends();
    // one side is warm, the other cold
    expect(after.warmth([275, 220], 8)).toBeGreaterThan(50);
    expect(after.warmth([392, 190], 6)).toBeLessThan(-50);
    // across the line no gap: every place of the forehead is as bright as its own modelling and the gels let it be, with no dark seam
    const share = (x: number) => after.luma([x, 110], 2) / walk.before.luma([x, 110], 2);
    const shares = Array.from({ length: 19 }, (_, k) => share(275 + 5 * k));
    shares.forEach((here, k) => k > 0 && k < 18 && expect(here).toBeGreaterThan(0.75 * Math.min(shares[0]!, shares[18]!)));
    shares.forEach((here) => expect(here).toBeLessThan(1.25 * Math.max(shares[0]!, shares[18]!)));
    // what is dark stays dark: the gels go by its own tones
    expect(after.luma([40, 40], 8)).toBeCloseTo(walk.before.luma([40, 40], 8), 0);
});

test('6, the porthole and the cat: cut out with its whiskers, in the colours of the place, the planks lit by the porthole', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 6, name: 'The porthole and the cat', allowed: 11, ends: 'the cat is cut out with its whiskers, agrees in colour and grain, and the porthole lights the planks' }, porthole);
    await walk.point([420, 380]);
    await walk.button('Colour area');
    await walk.point([340, 400], 'Alt');
    await walk.unfold('Likeness');
    await walk.button('As its neighbours');
    await walk.button('Stage');
    await walk.button('By the drawn horizon');
    await walk.button('Place a lamp');
    await walk.point([273, 176]);
    await walk.takeConsequence(/^Glow of/);
    const strips = await walk.strips();
    expect(strips.find(({ kind }) => kind === 'match')).toMatchObject({ confinedTo: 'cat', values: { toward: 'what lies around' } });
    expect(strips.find(({ id }) => id === 'cat')!.masks).toMatchObject([{ kind: 'colour area' }]);
    const after = await walk.ends();
    // the cloth behind it is gone, at its border too
    for (const place of [[320, 220], [520, 215], [303, 300], [470, 200]] as [number, number][]) {
        expect(walk.before.warmth(place, 1)).toBeGreaterThan(50);
        expect(after.warmth(place, 1), `${place}`).toBeLessThan(25);
    }
    // its whiskers stand out, three on either side: down a column one crosses them
    const crossed = (x: number) => {
        const column = Array.from({ length: 40 }, (_, k) => after.at(x, 262 + k)[1]);
        return column.filter((green, k) => k > 1 && k < 38 && green > column[k - 2]! + 8 && green > column[k + 2]! + 8 && green >= column[k - 1]! && green > column[k + 1]!).length;
    };
    expect(crossed(470)).toBe(3);
    expect(crossed(371)).toBeGreaterThanOrEqual(2);
    // the planks are lit under the porthole, and less the further away
    const share = (place: [number, number]) => after.luma(place, 6) / walk.before.luma(place, 6);
    expect(share([273, 450])).toBeGreaterThan(1.3 * share([590, 410]));
    expect(after.warmth([273, 450], 6)).toBeGreaterThan(walk.before.warmth([273, 450], 6));
    // the porthole is what is brightest
    const brightest = after.brightest([10, 10, 580, 460]);
    expect(Math.hypot(brightest.at[0] - 273, brightest.at[1] - 175)).toBeLessThan(100);
    // the cat throws its shadow away from it, and its rim lies on its side
    expect(share([530, 462])).toBeLessThan(share([590, 462]) + 0.02);
});

test('7, the pierced buoy: all openings glow as one strip, and three strengths are kept', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 7, name: 'The pierced buoy', allowed: 12, ends: 'all openings glow as one strip and three strengths are kept as snapshots' }, buoy);
    await walk.add(/^Glow Something/);
    await walk.choose('Shines', 'what is drawn');
    await walk.button('Colour area');
    await walk.point([357, 209]);
    await walk.type('Tolerance', 8);
    await walk.key('Shift+N');
    await walk.type('Level', -1.5);
    await walk.key('Shift+N');
    await walk.type('Level', 0.6);
    await walk.key('Shift+N');
    const { snapshots } = (await (await page.request.get(`/api/scenes/${walk.id}`)).json()) as { snapshots: { name: string }[] };
    expect(snapshots.map(({ name }) => name)).toEqual(['Snapshot', 'Snapshot 2', 'Snapshot 3']);
    expect((await walk.strips()).filter(({ kind }) => kind === 'glow')).toHaveLength(1);
    const after = await walk.ends();
    // big stars, small ones, slots: hot and pale
    for (const opening of [[357, 209], [292, 190], [293, 289], [333, 290]] as [number, number][]) {
        expect(after.luma(opening, 1), `${opening}`).toBeGreaterThan(200);
        expect(walk.before.luma(opening, 1)).toBeLessThan(30);
    }
    // the iron between them takes the colour, and is darker than they are
    const iron = after.mean([325, 215], 3);
    expect(iron[0] - iron[2]).toBeGreaterThan(walk.before.warmth([325, 215]) + 15);
    expect(luma(iron)).toBeLessThan(160);
    // its bloom reaches far, and falls on its way
    const lift = (x: number) => after.luma([x, 240], 5) - walk.before.luma([x, 240], 5);
    expect(lift(450)).toBeGreaterThan(lift(520));
    expect(lift(520)).toBeGreaterThan(lift(600) - 0.5);
    expect(lift(520)).toBeGreaterThan(2);
});

test('13, the ferry poster: panes that glow without leaking, and the same in fog', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 13, name: 'The ferry poster', allowed: 9, ends: 'both versions are kept; the halo falls outward; the heart is brightest' }, poster);
    await walk.add(/^Glow Something/);
    await walk.choose('Shines', 'what is drawn');
    await walk.button('Colour area');
    await walk.point([221, 173]);
    await walk.key('Shift+N');
    const clear = await walk.strip('glow');
    await walk.add(/^Haze A veil/, [[240, 590], [240, 60]]);
    expect(clear.masks).toMatchObject([{ kind: 'colour area', on: 'emitter', values: { reach: 'everywhere' } }]);
    const { snapshots } = (await (await page.request.get(`/api/scenes/${walk.id}`)).json()) as { snapshots: unknown[] };
    expect(snapshots).toHaveLength(1);
    const after = await walk.ends();
    // the panes are what is brightest, all three of them
    const brightest = after.brightest([40, 40, 400, 260]);
    expect(brightest.at[0]).toBeGreaterThan(208);
    expect(brightest.at[0]).toBeLessThan(272);
    expect(brightest.at[1]).toBeGreaterThan(146);
    expect(brightest.at[1]).toBeLessThan(202);
    for (const x of [219, 234, 259]) {
        expect(after.luma([x, 160], 2)).toBeGreaterThan(210);
    }
    // nothing else shines: the paper of the tower is veiled, not lit
    expect(after.luma([240, 350], 3)).toBeLessThan(walk.before.luma([240, 350], 3) + 25);
    // its halo falls outward over the printed rays, whose pattern stays
    const lift = (x: number) => after.luma([x, 175], 4) - walk.before.luma([x, 175], 4);
    expect(lift(290)).toBeGreaterThan(lift(340));
    expect(lift(340)).toBeGreaterThan(lift(420) - 2);
    // the bars between the panes stay darker than these
    expect(after.luma([230, 170], 0)).toBeLessThan(after.luma([219, 170], 1));
});

test('15, a toy boat in a tabletop marsh: dodge and burn, a bright spot brought down, the background toward the subject, mist', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 15, name: 'A toy boat in a tabletop marsh', allowed: 16, ends: 'the readings are quiet' }, toyBoat);
    const boat = page.locator('[data-strip="toyboat"]');
    await walk.add(/^Paint Lighter/);
    await walk.drag([[310, 232], [350, 250], [410, 240]], 12);
    await walk.add(/^Paint Lighter/);
    await walk.type('Level', -1.2);
    await walk.drag([[105, 378], [130, 372], [155, 376]], 12);
    await walk.press(boat);
    await walk.unfold('Clean the edge');
    await walk.type('Soften', 0.7);
    await walk.unfold('Likeness');
    await walk.button('Its neighbours as it');
    await walk.add(/^Smoke/);
    await walk.press(boat);
    await walk.button('Cast its shadows');
    await expect(page.getByRole('button', { name: 'No readings' })).toBeVisible();
    const strips = await walk.strips();
    expect(strips.map(({ kind }) => kind)).toEqual(['plate', 'match', 'smoke', 'group', 'cast', 'contact', 'plate', 'paint', 'paint']);
    const after = await walk.ends();
    const lift = (place: [number, number], reach = 3) => after.luma(place, reach) - walk.before.luma(place, reach);
    // the sail was dodged, the boat's hull was not
    expect(lift([350, 244])).toBeGreaterThan(8);
    expect(Math.abs(lift([420, 318]))).toBeLessThan(8);
    // the white pebbles were brought down, and are no greyer than they were
    const pebbles: [number, number, number, number] = [70, 345, 120, 70];
    const [was, is] = [walk.before.brightest(pebbles), after.brightest(pebbles)];
    expect(is.luma).toBeLessThan(0.85 * was.luma);
    // the blue sky was pulled toward the warm boat
    const around = [[80, 60], [560, 60], [300, 30]] as [number, number][];
    const warmth = (seen: typeof after) => around.reduce((sum, place) => sum + seen.warmth(place, 8) / around.length, 0);
    expect(warmth(after)).toBeGreaterThan(warmth(walk.before) + 4);
    // where it touches there is a dark seam
    const under = Array.from({ length: 26 }, (_, k) => after.luma([360, 322 + k], 1) / walk.before.luma([360, 322 + k], 1));
    expect(Math.min(...under)).toBeLessThan(0.8);
});

test('16, the net float: hard white with its own detail, highlights strengthened, spill around it', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 16, name: 'The net floats', allowed: 9, ends: 'what shines is brightest' }, floats);
    await walk.point([270, 320]);
    await walk.unfold('Base');
    await walk.type('Exposure', 1.6);
    await walk.type('Drained colour', 85);
    await walk.addAll(/^Bloom/, /^Glow Something/);
    await walk.choose('Shines', "a plate's bright tones");
    await walk.type('Temperature', 6500);
    const after = await walk.ends();
    const brightest = after.brightest([20, 20, 600, 360]);
    expect(Math.hypot(brightest.at[0] - 320, brightest.at[1] - 290)).toBeLessThan(130);
    // its own detail is there: the rope stays darker than the glass beside it, and what lies around is lit
    expect(after.luma([265, 336], 1)).toBeLessThan(after.luma([240, 310], 3) - 10);
    expect(after.luma([200, 350], 5)).toBeGreaterThan(walk.before.luma([200, 350], 5) + 2);
    // white: neither warm nor cold is added
    const [r, , b] = after.mean([200, 350], 5).map((value, channel) => value - walk.before.mean([200, 350], 5)[channel]!);
    expect(Math.abs(r! - b!)).toBeLessThan(0.5 * Math.max(r!, b!));
});

test('17, glass floats: a halo in more than one colour behind them, frosty light over all', async ({ page }) => {
    const walk = await Walk.begin(page, { number: 17, name: 'Glass floats', allowed: 7, ends: 'one ramp edits the halo' }, floats);
    await walk.addAll(/^Leak/, /^Halo/);
    await walk.press(page.locator('[data-strip][aria-label^="Leak"]'));
    await walk.choose('Texture', 'clouds');
    await walk.choose('Colours', 'its own');
    const halo = await walk.strip('halo');
    expect(halo.values.of).toBe('floats');
    expect((halo.values.ramp as unknown[]).length).toBeGreaterThan(1);
    const after = await walk.ends();
    // it falls outward from the glass, and changes its colour on the way
    const lift = (x: number) => after.luma([x, 330], 2) - walk.before.luma([x, 330], 2);
    expect(lift(212)).toBeGreaterThan(lift(180));
    expect(Math.abs(after.warmth([214, 330], 1) - after.warmth([188, 330], 1))).toBeGreaterThan(4);
});

test('18, stray light: an uneven dark edge by a texture, a leak that lights the bust in another scene, and one that is recoloured in a third', async ({ page }) => {
    const scenes = ['Stray light of an old box camera', 'Stray light on the bust', 'Stray light in another colour'];
    const edge = await Walk.begin(page, { number: 18, name: scenes[0]!, allowed: 8, ends: 'there is no veil and no edge in the frame', scenes }, heron);
    await edge.add(/^Vignette/);
    await edge.button('Texture');
    expect((await edge.strip('vignette')).masks).toMatchObject([{ kind: 'radial' }, { kind: 'texture' }]);
    const lit = await edge.another(rail);
    await lit.add(/^Leak/);
    const tinted = await lit.another(sails);
    await tinted.add(/^Leak/);
    await tinted.choose('Colours', 'one colour');
    const [dark, bright, cold] = (await tinted.allEnd()) as [Seen, Seen, Seen];
    // the edge is darker than it was, not everywhere as much, and the middle is as it was
    const share = (place: [number, number]) => dark.luma(place, 5) / edge.before.luma(place, 5);
    const around = ([[14, 14], [14, 200], [14, 386], [320, 12], [626, 14], [626, 200], [626, 386]] as [number, number][]).map(share);
    expect(Math.min(...around)).toBeLessThan(0.8);
    expect(Math.max(...around) / Math.min(...around)).toBeGreaterThan(1.15);
    expect(share([320, 215])).toBeGreaterThan(0.97);
    // the bust is lit from the side of the leak, and far from it nothing is veiled
    const gain = (place: [number, number]) => bright.luma(place, 4) - lit.before.luma(place, 4);
    expect(gain([40, 180])).toBeGreaterThan(12);
    expect(gain([40, 180])).toBeGreaterThan(2 * gain([110, 200]));
    expect(Math.abs(gain([520, 340]))).toBeLessThan(1);
    // colder by its colour, least where it is bright already
    expect(cold.warmth([20, 200], 8)).toBeLessThan(tinted.before.warmth([20, 200], 8) - 10);
    // no edge in the frame: from column to column neither steps by more than grain and picture did
    for (const [after, before] of [[bright, lit.before], [cold, tinted.before]] as const) {
        for (let x = 8; x < 620; x += 8) {
            const step = (seen: Seen) => seen.luma([x, 60], 3) - seen.luma([x + 8, 60], 3);
            expect(Math.abs(step(after) - step(before))).toBeLessThan(26);
        }
    }
});
