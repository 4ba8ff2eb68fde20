// Writes an EXR file by a general-purpose library: node exr.mjs FILE COMPRESSION TYPE WIDTH HEIGHT; and the bits of its halves, or its floats, from the top as JSON to the output.
import { writeFileSync } from 'node:fs';
import { DataTexture, DataUtils, FloatType, HalfFloatType, RGBAFormat } from 'three';
import { EXRExporter, NO_COMPRESSION, PIZ_COMPRESSION, RLE_COMPRESSION, ZIP_COMPRESSION, ZIPS_COMPRESSION } from 'three/examples/jsm/exporters/EXRExporter.js';

const [, , file, compression, type, across, down] = process.argv;
const [width, height] = [Number(across), Number(down)];
const half = type === 'half';
const values = Array.from({ length: 4 * width * height }, (_, at) => (at % 4 === 3 ? 1 : Math.sin(at * 0.37) ** 2 * 2 ** ((at % 23) - 12)));
const data = half ? Uint16Array.from(values, DataUtils.toHalfFloat) : Float32Array.from(values);
const texture = new DataTexture(data, width, height, RGBAFormat, half ? HalfFloatType : FloatType);
const bytes = await new EXRExporter().parse(texture, {
    type: half ? HalfFloatType : FloatType,
    compression: { none: NO_COMPRESSION, zips: ZIPS_COMPRESSION, zip: ZIP_COMPRESSION, piz: PIZ_COMPRESSION, rle: RLE_COMPRESSION }[compression],
});
writeFileSync(file, bytes);
// the library's textures begin at the bottom
const rows = Array.from({ length: height }, (_, y) => Array.from(data.slice(4 * width * (height - 1 - y), 4 * width * (height - y))));
process.stdout.write(JSON.stringify(rows));
