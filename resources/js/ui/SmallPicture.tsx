import { useEffect, useRef } from 'react';
import { figure } from './words';
import type { Small } from './smallPictures';

/** A small picture of what a strip adds, in whatever holds it; by how much it was brightened is said where the pointer rests. */
export function SmallPicture({ picture }: { picture: Small | undefined }) {
    const canvas = useRef<HTMLCanvasElement>(null);
    useEffect(() => {
        const element = canvas.current;
        if (element && picture) {
            element.width = picture.image.width;
            element.height = picture.image.height;
            element.getContext('2d')?.putImageData(picture.image, 0, 0);
        }
    }, [picture]);
    return <canvas ref={canvas} className="h-full w-full object-contain" title={picture && picture.factor > 1 ? `Brightened ${figure(picture.factor, 0.1)} times` : undefined} aria-hidden />;
}
