/** How the room is divided; remembered by this browser. */
export type Arrangement = {
    /** Whether the desk shows all that it has; otherwise it is low. */
    deskOpen: boolean;
    /** Whether bench and desk are folded away. */
    folded: boolean;
    /** Whether the compass is open, as the hand has left it; null lets it open when something disagrees or a direction is worked on. */
    compassOpen: boolean | null;
};

const KEPT = 'aumbrel arrangement';

const plain: Arrangement = { deskOpen: false, folded: false, compassOpen: null };

/** As it was left; what is kept and makes no sense counts for nothing. */
export function kept(): Arrangement {
    try {
        const read: unknown = JSON.parse(localStorage.getItem(KEPT) ?? '{}');
        const { deskOpen, folded, compassOpen } = { ...plain, ...(typeof read === 'object' ? read : {}) };
        return { deskOpen: deskOpen === true, folded: folded === true, compassOpen: typeof compassOpen === 'boolean' ? compassOpen : null };
    } catch {
        return plain;
    }
}

export function keep(arrangement: Arrangement): void {
    try {
        localStorage.setItem(KEPT, JSON.stringify(arrangement));
    } catch {
        // a browser that keeps nothing still works
    }
}
