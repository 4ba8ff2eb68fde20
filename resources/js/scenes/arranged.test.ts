import { expect, test } from 'vitest';
import type { SceneCard } from '../api/types';
import { arranged, freeName } from './arranged';

const card = (id: string, title: string, more: Partial<SceneCard> = {}): SceneCard => ({ id, title, width: 100, height: 50, revision: 1, touched: `2026-01-0${id}`, made: `2025-01-0${id}`, strips: Number(id), folder: null, deleted: null, ...more });

const all = [card('1', 'Marsh 10', { folder: 'Market' }), card('2', 'marsh 9', { width: 900 }), card('3', 'Ferry hut', { folder: 'Market', touched: '2025-06-01' }), card('4', 'Boardwalk', { folder: 'Day' })];

const ids = (scenes: SceneCard[]) => scenes.map((scene) => scene.id);

test('folders come first, each with what lies in it; a folder shows only that', () => {
    const { folders, scenes } = arranged(all, 'touched', '', null);
    expect(folders.map(({ name, scenes }) => [name, ids(scenes)])).toEqual([
        ['Day', ['4']],
        ['Market', ['1', '3']],
    ]);
    expect(ids(scenes)).toEqual(['2']);
    expect(ids(arranged(all, 'made', '', 'Market').scenes)).toEqual(['3', '1']);
    expect(arranged(all, 'made', '', 'Market').folders).toEqual([]);
});

test('a search goes through everything, by every word', () => {
    expect(ids(arranged(all, 'title', ' MARSH ', 'Day').scenes)).toEqual(['2', '1']);
    expect(ids(arranged(all, 'title', 'market hut', null).scenes)).toEqual(['3']);
    expect(arranged(all, 'title', 'eel', null).scenes).toEqual([]);
});

test('scenes go by name as people count, by size, by strips', () => {
    const flat = all.map((scene) => ({ ...scene, folder: null }));
    expect(ids(arranged(flat, 'title', '', null).scenes)).toEqual(['4', '3', '2', '1']);
    expect(ids(arranged(flat, 'size', '', null).scenes)[0]).toBe('2');
    expect(ids(arranged(flat, 'strips', '', null).scenes)).toEqual(['4', '3', '2', '1']);
});

test('a new folder has a name of its own', () => {
    expect(freeName('Folder', [])).toBe('Folder');
    expect(freeName('Folder', ['Folder', 'Folder 2'])).toBe('Folder 3');
});
