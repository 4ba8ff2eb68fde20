import type { ContributionHead, Frame } from '../api/client';

/** A small picture, and by how much it was brightened. */
export type Small = { image: ImageData; factor: number };

/** The small pictures of an answer, by what they are named after: a strip, or a mode. */
export function picturesOf({ head: { columns, rows, strips, factors }, pixels }: Frame<ContributionHead>): Map<string, Small> {
    const size = columns * rows * 4;
    return new Map(strips.map((id, at) => [id, { image: new ImageData(pixels.slice(at * size, (at + 1) * size), columns, rows), factor: factors?.[at] ?? 1 }]));
}
