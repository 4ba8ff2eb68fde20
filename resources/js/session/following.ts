import { isTakingIn } from '../ui/takingIn';
import { useEffect } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { Refused } from '../api/client';
import type { Gestures } from './gestures';
import { useWaiting } from './outbox';

/** How often the server is asked whether somebody else has changed the scene. */
const LOOK_EVERY_MS = 2500;

/**
 * Keeps a scene that is open in step with what is written elsewhere: takes over what was left unwritten, looks for edits of
 * other windows now and then and whenever this one is looked at again, and warns before something would be lost.
 */
export function useFollowing(sceneId: string, gestures: Gestures): void {
    const queries = useQueryClient();
    useEffect(() => {
        gestures.outbox.adopt();
        const look = () => {
            if (document.visibilityState !== 'visible') {
                return;
            }
            gestures.outbox.adopt();
            gestures.catchUp().catch((error: unknown) => {
                if (error instanceof Refused && error.status === 404) {
                    // deleted in another window: the screen says so
                    void queries.refetchQueries({ queryKey: ['scene', sceneId] });
                }
            });
        };
        const back = () => {
            gestures.outbox.hurry();
            look();
        };
        const leaving = (event: BeforeUnloadEvent) => {
            if (useWaiting.getState().atRisk || isTakingIn()) {
                event.preventDefault();
            }
        };
        const timer = window.setInterval(look, LOOK_EVERY_MS);
        window.addEventListener('focus', back);
        window.addEventListener('online', back);
        document.addEventListener('visibilitychange', look);
        window.addEventListener('beforeunload', leaving);
        return () => {
            window.clearInterval(timer);
            window.removeEventListener('focus', back);
            window.removeEventListener('online', back);
            document.removeEventListener('visibilitychange', look);
            window.removeEventListener('beforeunload', leaving);
        };
    }, [sceneId, gestures, queries]);
}
