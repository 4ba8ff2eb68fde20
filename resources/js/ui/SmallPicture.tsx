import { useEffect, useRef } from 'react';

/** A small picture of what a strip adds, in whatever holds it; with a filter when it is to be shown otherwise than it is. */
export function SmallPicture({ picture, filter }: { picture: ImageData | undefined; filter?: string }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    useEffect(() => {
        const element = canvas.current;
        if (element && picture) {
            element.width = picture.width;
            element.height = picture.height;
            element.getContext('2d')?.putImageData(picture, 0, 0);
        }
    }, [picture]);
    return <canvas ref={canvas} className="h-full w-full object-contain" style={{ filter }} aria-hidden />;
}
