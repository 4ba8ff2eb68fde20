import type { Lens, Size } from '../session/camera';
import type { Shown } from './pictureLoop';

const held = new WeakMap<ImageData, { canvas: HTMLCanvasElement; bands: number; isWhole: boolean }>();

/** The pixels of a picture on a canvas of their own; of one that is coming, each band once. */
function canvasOf({ image, bands }: Shown): HTMLCanvasElement {
    let kept = held.get(image);
    if (!kept) {
        const canvas = document.createElement('canvas');
        canvas.width = image.width;
        canvas.height = image.height;
        kept = { canvas, bands: 0, isWhole: false };
        held.set(image, kept);
    }
    const context = kept.isWhole ? null : kept.canvas.getContext('2d');
    if (bands === null) {
        context?.putImageData(image, 0, 0);
        kept.isWhole = true;
    } else {
        bands.slice(kept.bands).forEach(([first, rows]) => context?.putImageData(image, 0, 0, 0, first, image.width, rows));
        kept.bands = bands.length;
    }
    return kept.canvas;
}

/** What lies on a canvas. */
const laid = new WeakMap<HTMLCanvasElement, readonly unknown[]>();

/** Lays the newest picture on the view's canvas, and over it what has come of the next one. */
export function paint(canvas: HTMLCanvasElement | null, shown: Shown | null, coming: Shown | null, lens: Lens, view: Size): void {
    const context = canvas?.getContext('2d');
    if (!canvas || !context || view.width === 0) {
        return;
    }
    const what = [shown, coming, lens, view];
    if (laid.get(canvas)?.every((part, at) => part === what[at])) {
        return;
    }
    laid.set(canvas, what);
    const density = globalThis.devicePixelRatio || 1;
    const width = Math.round(view.width * density);
    const height = Math.round(view.height * density);
    if (canvas.width !== width || canvas.height !== height) {
        canvas.width = width;
        canvas.height = height;
    }
    context.clearRect(0, 0, width, height);
    const lay = (picture: Shown) => {
        const { x, y, width: wide, height: high } = picture.window;
        context.imageSmoothingEnabled = picture.draft || lens.zoom * density < 2;
        context.drawImage(
            canvasOf(picture),
            (lens.origin[0] + x * lens.zoom) * density,
            (lens.origin[1] + y * lens.zoom) * density,
            Math.round(wide * lens.zoom * density),
            Math.round(high * lens.zoom * density),
        );
    };
    if (shown) {
        lay(shown);
    }
    if (coming) {
        // over what was there before: what has not come yet is clear
        lay(coming);
    } else if (shown) {
        performance.measure(shown.draft ? 'aumbrel draft' : 'aumbrel settled', { start: shown.since, end: performance.now() });
    }
}
