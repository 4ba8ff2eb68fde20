import { afterEach, expect, test, vi } from 'vitest';
import { keep, kept } from './arrangement';

function storage(text: string | null) {
    const items = new Map(text === null ? [] : [['aumbrel arrangement', text]]);
    vi.stubGlobal('localStorage', { getItem: (name: string) => items.get(name) ?? null, setItem: (name: string, value: string) => items.set(name, value) });
}

afterEach(() => vi.unstubAllGlobals());

test('an arrangement is kept as it was left', () => {
    storage(null);
    expect(kept()).toEqual({ deskOpen: false, folded: false, compassOpen: null });
    keep({ deskOpen: true, folded: false, compassOpen: false });
    expect(kept()).toEqual({ deskOpen: true, folded: false, compassOpen: false });
});

test.each(['{', 'null', '[]', '7', '{"deskOpen":"yes","folded":1,"compassOpen":{}}'])('what makes no sense counts for nothing: %s', (text) => {
    storage(text);
    expect(kept()).toEqual({ deskOpen: false, folded: false, compassOpen: null });
});

test('a browser that keeps nothing still works', () => {
    vi.stubGlobal('localStorage', undefined);
    keep({ deskOpen: true, folded: true, compassOpen: true });
    expect(kept()).toEqual({ deskOpen: false, folded: false, compassOpen: null });
});
