import { useEffect, useState } from 'react';

/** Whether something has been so for a while, in ms: what is soon over is not worth a word. */
export function useLasting(is: boolean, ms: number): boolean {
    const [lasts, setLasts] = useState(false);
    useEffect(() => {
        const timer = window.setTimeout(() => setLasts(is), is ? ms : 0);
        return () => window.clearTimeout(timer);
    }, [is, ms]);
    return is && lasts;
}
