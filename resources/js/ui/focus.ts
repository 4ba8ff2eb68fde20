let last: HTMLElement | null = null;

const ASIDE = 'input, textarea, select, [role="dialog"], [role="menu"], [data-radix-popper-content-wrapper]';

/** Remembers where the focus was before it went into a field, a sheet or a menu. */
export function watchFocus(): () => void {
    const onFocus = ({ target }: FocusEvent) => {
        if (target instanceof HTMLElement && !target.closest(ASIDE)) {
            last = target;
        }
    };
    document.addEventListener('focusin', onFocus);
    return () => document.removeEventListener('focusin', onFocus);
}

/** The focus goes back to where one was, or to the picture. */
export function focusBack(): void {
    const view = document.querySelector<HTMLElement>('[data-view]');
    (last?.isConnected ? last : view)?.focus({ preventScroll: true });
}
