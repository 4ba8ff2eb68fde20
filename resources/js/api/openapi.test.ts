import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Validator } from '@seriousme/openapi-schema-validator';
import { expect, test } from 'vitest';

/* The description of the API against the published schema of OpenAPI 3.1 (spec.openapis.org/oas/3.1/schema). */

const document = JSON.parse(readFileSync(join(import.meta.dirname, '../../../docs/openapi.json'), 'utf8')) as { openapi: string; paths: Record<string, unknown> };

test('it is one by the published schema', async () => {
    const found = await new Validator().validate(document);
    expect(found.errors ?? null).toBeNull();
    expect(found.valid).toBe(true);
});

test('what breaks the schema is seen', async () => {
    const broken = { ...document, paths: { '/scenes': { get: { responses: { wrong: 3 } } } } };
    expect((await new Validator().validate(broken)).valid).toBe(false);
});
