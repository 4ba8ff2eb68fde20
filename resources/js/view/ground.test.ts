import { expect, test } from 'vitest';
import type { Point, Strip } from '../api/types';
import { groundOf, mapped } from '../session/ground';
import { noHold, snapped } from './handles/snap';

const scene = { width: 1600, height: 1000 };

const lens = (zoom: number) => ({ zoom, origin: [0, 0] as Point });

const box = (x: number, y: number, width: number, height: number): Point[] => [[x, y], [x + width, y], [x + width, y + height], [x, y + height]];

test('a plate snaps by its edges and its middle to those of the scene', () => {
    // five pixels off the left edge, at a zoom of one
    expect(snapped(box(100, 300, 200, 100), [-95, 40], scene, lens(1), noHold())).toEqual({ by: [-100, 40], guides: { x: 0, y: null } });
    expect(snapped(box(100, 300, 200, 100), [597, 146], scene, lens(1), noHold())).toEqual({ by: [600, 150], guides: { x: 800, y: 500 } });
    expect(snapped(box(100, 300, 200, 100), [1304, 605], scene, lens(1), noHold())).toEqual({ by: [1300, 600], guides: { x: 1600, y: 1000 } });
});

test('how near is near goes by the screen, not by the scene', () => {
    expect(snapped(box(100, 300, 200, 100), [-80, 40], scene, lens(0.3), noHold()).by[0]).toBe(-100);
    expect(snapped(box(100, 300, 200, 100), [-95, 40], scene, lens(4), noHold()).by[0]).toBe(-95);
});

test('of two lines the nearer one holds', () => {
    // as wide as half the scene: left edge to 0 and middle to a quarter are different, only the first is a line
    expect(snapped(box(3, 0, 800, 10), [0, 0], scene, lens(1), noHold()).by).toEqual([-3, 0]);
    expect(snapped(box(404, 495, 800, 10), [0, 0], scene, lens(1), noHold())).toEqual({ by: [-4, 0], guides: { x: 800, y: 500 } });
});

test('perspective divides', () => {
    const map = [1, 0, 10, 0, 2, 20, 0, 0.01, 1];
    expect(mapped(map, [5, 0])).toEqual([15, 20]);
    expect(mapped(map, [5, 100])).toEqual([7.5, 110]);
});

const plate = (toScene: number[], toPlate: number[]) => ({ maps: { toScene, toPlate } }) as unknown as Strip;

test('a mask on the scene lies as it is; one on a plate follows the plate', () => {
    const half = plate([0.5, 0, 100, 0, 0.5, 50, 0, 0, 1], [2, 0, -200, 0, 2, -100, 0, 0, 1]);
    const onScene = groundOf(half, 'scene');
    expect([onScene.toScene([7, 8]), onScene.fromScene([7, 8]), onScene.scale([7, 8])]).toEqual([[7, 8], [7, 8], 1]);
    const onPlate = groundOf(half, 'plate');
    expect([onPlate.toScene([40, 20]), onPlate.fromScene([120, 60]), onPlate.scale([120, 60])]).toEqual([[120, 60], [40, 20], 0.5]);
});

test('in perspective a pixel of the ground is larger nearby than far away', () => {
    const tilted = plate([1, 0, 0, 0, 1, 0, 0, 0.002, 1], [1, 0, 0, 0, 1, 0, 0, -0.002, 1]);
    const ground = groundOf(tilted, 'plate');
    expect(ground.fromScene(ground.toScene([120, 80]))[0]).toBeCloseTo(120);
    expect(ground.scale([100, 10])).toBeGreaterThan(ground.scale([100, 200]));
});
