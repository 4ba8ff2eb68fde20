import { create } from 'zustand';

/** Where we are: the scenes wall at `/`, or a scene. */
export const useRoute = create<{ path: string }>(() => ({ path: window.location.pathname }));

export function go(path: string): void {
    window.history.pushState(null, '', path);
    useRoute.setState({ path });
}

window.addEventListener('popstate', () => useRoute.setState({ path: window.location.pathname }));
