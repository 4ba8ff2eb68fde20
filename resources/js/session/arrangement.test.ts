import { afterEach, expect, test, vi } from 'vitest';
import { keep, kept, plain } from './arrangement';

function storage(text: string | null) {
    const items = new Map(text === null ? [] : [['aumbrel arrangement', text]]);
    vi.stubGlobal('localStorage', { getItem: (name: string) => items.get(name) ?? null, setItem: (name: string, value: string) => items.set(name, value) });
}

afterEach(() => vi.unstubAllGlobals());

test('an arrangement is kept as it was left', () => {
    storage(null);
    expect(kept()).toEqual(plain);
    const left = { ...plain, deskOpen: true, compassOpen: false, foldedGroups: ['a'], sections: { 'spot Reach': false }, brush: { ...plain.brush, size: 0.2, letsIn: false } };
    keep(left);
    expect(kept()).toEqual(left);
});

test.each([
    '{',
    'null',
    '[]',
    '7',
    '{"deskOpen":"yes","folded":1,"compassOpen":{},"foldedGroups":{},"sections":[],"brush":null,"pick":7,"letters":"on"}',
    '{"foldedGroups":[7,null],"sections":{"x":"open"},"brush":{"size":"wide","hardness":null,"more":1},"pick":[]}',
])('what makes no sense counts for nothing: %s', (text) => {
    storage(text);
    expect(kept()).toEqual(plain);
});

test('what is kept from before something was added stays', () => {
    storage('{"deskOpen":true,"folded":false,"compassOpen":true}');
    expect(kept()).toEqual({ ...plain, deskOpen: true, compassOpen: true });
});

test('a browser that keeps nothing still works', () => {
    vi.stubGlobal('localStorage', undefined);
    keep({ ...plain, deskOpen: true });
    expect(kept()).toEqual(plain);
});
