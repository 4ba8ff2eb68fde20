import { create } from 'zustand';
import type { Order } from './arranged';
import { ORDERS } from './arranged';

type Standing = { order: Order; search: string; folder: string | null; scrolled: number };

const KEPT = 'aumbrel wall';

function kept(): Standing {
    const plain: Standing = { order: 'touched', search: '', folder: null, scrolled: 0 };
    try {
        const read = JSON.parse(sessionStorage.getItem(KEPT) ?? '{}') as Partial<Standing> | null;
        return {
            order: read?.order !== undefined && read.order in ORDERS ? read.order : plain.order,
            search: typeof read?.search === 'string' ? read.search : '',
            folder: typeof read?.folder === 'string' ? read.folder : null,
            scrolled: typeof read?.scrolled === 'number' ? read.scrolled : 0,
        };
    } catch {
        return plain;
    }
}

/** Where one stands at the wall: kept for as long as this window is, so that one comes back to where one was. */
export const useStanding = create<Standing & { set: (change: Partial<Standing>) => void }>((set, get) => ({
    ...kept(),
    set: (change) => {
        // another view of the wall begins at its top
        set({ ...('search' in change || 'folder' in change || 'order' in change ? { scrolled: 0 } : {}), ...change });
        const { order, search, folder, scrolled } = get();
        try {
            sessionStorage.setItem(KEPT, JSON.stringify({ order, search, folder, scrolled }));
        } catch {
            // without storage one begins at the top
        }
    },
}));
