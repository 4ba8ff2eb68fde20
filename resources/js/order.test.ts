import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { expect, test } from 'vitest';

/*
 * The folders of the interface have an order: each imports only from those before it. `docs/architecture.md` says why.
 */
const ORDER = ['api', 'generated', 'ui', 'pen', 'session', 'controls', 'readings', 'compass', 'bench', 'desk', 'scope', 'view', 'compare', 'export', 'rigs', 'scenes', 'screen'];

const root = resolve(import.meta.dirname);

const files = (folder: string): string[] =>
    readdirSync(folder).flatMap((name) => {
        const path = join(folder, name);
        return statSync(path).isDirectory() ? files(path) : /\.tsx?$/.test(name) ? [path] : [];
    });

test('folders import from those below', () => {
    const folders = readdirSync(root).filter((name) => statSync(join(root, name)).isDirectory());
    expect([...folders].sort()).toEqual([...ORDER].sort());
    const wrong: string[] = [];
    let looked = 0;
    for (const file of files(root)) {
        const own = relative(root, file).split('/')[0] ?? '';
        for (const [, name] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
            const other = relative(root, resolve(dirname(file), name ?? '')).split('/')[0] ?? '';
            looked++;
            if (other !== own && ORDER.includes(own) && ORDER.indexOf(other) >= ORDER.indexOf(own)) {
                wrong.push(`${relative(root, file)} imports ${name}`);
            }
        }
    }
    expect(wrong).toEqual([]);
    expect(looked).toBeGreaterThan(150);
});

test('the state changes through named actions only', () => {
    const outside = files(root).filter((file) => !relative(root, file).startsWith('session/') && !file.endsWith('order.test.ts'));
    expect(outside.filter((file) => /useWork\.setState|from '[./]+session\/slice'/.test(readFileSync(file, 'utf8'))).map((file) => relative(root, file))).toEqual([]);
});
