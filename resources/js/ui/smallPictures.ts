import type { ContributionHead, Frame } from '../api/client';

/** The small pictures of an answer, by what they are named after: a strip, or a mode. */
export function picturesOf({ head: { columns, rows, strips }, pixels }: Frame<ContributionHead>): Map<string, ImageData> {
    const size = columns * rows * 4;
    return new Map(strips.map((id, at) => [id, new ImageData(pixels.slice(at * size, (at + 1) * size), columns, rows)]));
}
