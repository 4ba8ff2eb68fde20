import { expect, test } from 'vitest';
import { away, FOOT, seen, toward } from './tilted';

test('a place of a plane is found again where it is seen', () => {
    for (const place of [[0, 0], [1, 0], [-0.3, 0.7], [0.2, -0.9]] as [number, number][]) {
        const back = away(FOOT.mids, toward(FOOT.mids, place));
        expect(back[0]).toBeCloseTo(place[0]);
        expect(back[1]).toBeCloseTo(place[1]);
    }
});

test('a peg is pulled the way in which the colours lie', () => {
    // Oklab's axes of full red, green and blue (Ottosson 2020), and where shifts toward them lie
    const lies: [number, [number, number]][] = [[0, [0.225, 0.126]], [120, [-0.234, 0.179]], [240, [-0.032, -0.312]]];
    for (const [turn, [a, b]] of lies) {
        const [x, y] = toward(FOOT.mids, [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)]);
        const [u, v] = seen(0.52, a, b);
        const [pulled, coloured] = [Math.atan2(y - FOOT.mids[1], x - FOOT.mids[0]), Math.atan2(v - FOOT.mids[1], u - FOOT.mids[0])];
        const apart = Math.abs(Math.atan2(Math.sin(pulled - coloured), Math.cos(pulled - coloured)));
        expect((apart * 180) / Math.PI).toBeLessThan(12);
    }
});
