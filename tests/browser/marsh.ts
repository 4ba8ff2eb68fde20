import type { Start } from './walk';

/*
 * The scenes as they came in, in small: plates of the demo, placed and nothing else. Places are in scene pixels.
 */

type Values = Record<string, unknown>;

const SIZE = { width: 640, height: 400 };

/** A plate called after its picture. */
const plate = (picture: string, name: string, values: Values = {}) => ({ id: picture.split('.')[0]!, name, kind: 'plate', values: { picture, ...values } });

/** The boardwalk by the ferry hut; its horizon is drawn. */
const boardwalk = (values: Values = {}) => plate('boardwalk.jpg', 'Boardwalk', { horizon: [[0, 197], [640, 197]], ...values });

const night = (exposure: number) => boardwalk({ exposure, drained: 35 });

/** A cut-out that stands with the middle of its lower edge at a place. */
const standing = (picture: string, [width, height]: [number, number], place: [number, number], values: Values = {}) => plate(picture, picture[0]!.toUpperCase() + picture.slice(1, -4), { place, pivot: [width / 2, height], ...values });

const scene = (title: string, strips: unknown[], plates: Start['plates'] = {}, size = SIZE): Start => ({ ...size, title, plates: { 'boardwalk.jpg': {}, ...plates }, scene: { strips } });

export const pilot = scene('The pilot', [boardwalk(), standing('figurehead.png', [250, 312], [250, 402])], { 'figurehead.png': { width: 250 } });

export const loft: Start = { width: 600, height: 400, title: 'The sail loft', plates: { 'loft.jpg': {} }, scene: { strips: [plate('loft.jpg', 'Loft', { exposure: -0.5 })] } };

export const causeway = scene('The causeway', [boardwalk()]);

export const bust: Start = {
    ...SIZE,
    title: 'The bust',
    plates: { 'figurehead.png': { width: 290 } },
    scene: { strips: [{ id: 'night', name: 'Night', kind: 'fill', mode: 'normal', values: { colour: '#0b0e14' } }, standing('figurehead.png', [290, 362], [320, 400], { exposure: -0.35 })] },
};

export const buoy = scene('The pierced buoy', [night(-2), standing('buoy.png', [280, 301], [320, 380], { exposure: -0.8 })], { 'buoy.png': { width: 280 } });

export const mud = scene('The mud at night', [night(-2.2), standing('figurehead.png', [150, 188], [470, 400], { exposure: -1.6, drained: 30 })], { 'figurehead.png': { width: 150 } });

export const stall = scene('The stall lamp', [night(-1.7)]);

export const poster: Start = { width: 480, height: 600, title: 'The ferry poster', plates: { 'poster.png': {} }, scene: { strips: [plate('poster.png', 'Poster')] } };

export const sails = scene('The bust outdoors', [boardwalk({ exposure: 0.2 }), standing('figurehead.png', [250, 312], [250, 402], { exposure: -0.5 })], { 'figurehead.png': { width: 250 } });

export const floats = scene('The floats', [night(-2.2), standing('floats.png', [260, 214], [320, 372], { exposure: -0.9 })], { 'floats.png': { width: 260 } });

export const heron = scene('The heron', [night(-0.4), standing('heron.png', [150, 240], [370, 345])], { 'heron.png': { width: 150 } });

export const rail = scene('The bust by the rail', [night(-1.7), standing('figurehead.png', [250, 312], [92, 404], { exposure: -1.3, drained: 30 })], { 'figurehead.png': { width: 250 } });

export const willow: Start = {
    ...SIZE,
    title: 'The boats under the willow',
    plates: { 'boats.jpg': {}, 'lantern.png': { width: 56 } },
    scene: { strips: [plate('boats.jpg', 'Boats'), standing('lantern.png', [56, 84], [452, 388])] },
};

export const wrongSide: Start = {
    width: 640,
    height: 427,
    title: 'The wrong side',
    plates: { 'loft.jpg': {}, 'figurehead.png': { width: 300 } },
    scene: { strips: [plate('loft.jpg', 'Loft', { exposure: 0, drained: 30 }), standing('figurehead.png', [300, 375], [290, 430], { exposure: 0.9 })] },
};

/** Its passes were rendered with it; its depth is said in distances of the lowest row. */
export const render: Start = {
    width: 640,
    height: 423,
    title: 'A render by the water',
    plates: { 'quay.jpg': {}, ...Object.fromEntries(['', '-normals', '-occlusion', '-depth'].map((pass) => [`crate${pass}.png`, { width: 230 }])) },
    scene: {
        strips: [
            plate('quay.jpg', 'Quay', { horizon: [[0, 127], [640, 127]], exposure: -0.65 }),
            standing('crate.png', [230, 190], [330, 372], { exposure: -0.4, normals: 'crate-normals.png', occlusion: 'crate-occlusion.png', depth: 'crate-depth.png', depthNear: 1.23, depthFar: 1.71 }),
        ],
    },
};

export const hut: Start = {
    width: 640,
    height: 431,
    title: 'The barometer',
    plates: { 'hutwall.jpg': {}, 'barometer.png': { width: 120 } },
    scene: {
        strips: [
            plate('hutwall.jpg', 'Hut', { exposure: -0.2 }),
            plate('barometer.png', 'Barometer', { place: [286, 232], pivot: [60, 70] }),
        ],
    },
};

export const shed: Start = {
    width: 640,
    height: 431,
    title: 'The pennant',
    plates: { 'shed.jpg': {}, 'pennant.png': { width: 380 } },
    scene: {
        strips: [
            plate('shed.jpg', 'Shed'),
            plate('pennant.png', 'Pennant', { place: [330, 200], pivot: [190, 134] }),
        ],
    },
};

export const beds: Start = { width: 640, height: 411, title: 'The oyster beds', plates: { 'beds.jpg': {} }, scene: { strips: [plate('beds.jpg', 'Beds')] } };

export const winch: Start = {
    width: 640,
    height: 423,
    title: 'The winch',
    plates: { 'quay.jpg': {}, 'winch.png': { width: 300 } },
    scene: {
        strips: [
            plate('quay.jpg', 'Quay', { horizon: [[0, 127], [640, 127]] }),
            plate('winch.png', 'Winch', { place: [330, 222], pivot: [150, 164] }),
        ],
    },
};

/** A circle as an outline, in pixels of a plate's picture. */
const circle = ([x, y]: [number, number], radius: number) => {
    const bow = 0.5523 * radius;
    const points: [number, number, number, number][] = [
        [0, -radius, bow, 0],
        [radius, 0, 0, bow],
        [0, radius, -bow, 0],
        [-radius, 0, 0, -bow],
    ];
    return { id: 'circle', kind: 'outline', on: 'plate', values: { path: points.map(([dx, dy, ox, oy]) => ({ at: [x + dx, y + dy], in: [-ox, -oy], out: [ox, oy] })) } };
};

/** A harbour view is cut to the porthole of a ship's side; the cat is not cut out yet. */
export const porthole: Start = {
    width: 600,
    height: 480,
    title: 'The porthole and the cat',
    plates: { 'boardwalk.jpg': { width: 360 }, 'hull.png': {}, 'cat.jpg': { width: 240 } },
    scene: {
        strips: [
            plate('hull.png', 'Hull', { exposure: -0.6, horizon: [[0, 221], [600, 221]] }),
            { id: 'harbour', name: 'Harbour', kind: 'plate', values: { picture: 'boardwalk.jpg', place: [90, 60], exposure: 1.8, stance: 'free' }, masks: [circle([183, 115], 99)] },
            plate('cat.jpg', 'Cat', { place: [300, 190], exposure: -0.2 }),
        ],
    },
};

export const toyBoat: Start = {
    width: 640,
    height: 427,
    title: 'The toy boat',
    plates: { 'tabletop.jpg': {}, 'toyboat.png': { width: 240 } },
    scene: {
        strips: [
            plate('tabletop.jpg', 'Tabletop', { horizon: [[0, 145], [640, 145]] }),
            plate('toyboat.png', 'Toy boat', { place: [360, 262], pivot: [120, 137] }),
        ],
    },
};
