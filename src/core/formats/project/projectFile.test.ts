import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { tableNames } from '../../model/entities';
import { projectFileJsonSchema } from './jsonSchema';
import { readProjectFile } from './read';

const demoFiles = readdirSync(fileURLToPath(new URL('../../../../demo', import.meta.url)))
  .filter((name) => name.endsWith('.project.json'))
  .map((name) => `demo/${name}`);
const at = (path: string) => fileURLToPath(new URL(`../../../../${path}`, import.meta.url));

describe('the JSON Schema in docs', () => {
  it('is the one the code has (npm run docs writes it)', () => {
    expect(JSON.parse(readFileSync(at('docs/project-file.schema.json'), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(projectFileJsonSchema())),
    );
  });

  it('names every table of the file and allows no other', () => {
    const schema = projectFileJsonSchema() as { properties: Record<string, unknown>; additionalProperties: boolean };
    expect(Object.keys(schema.properties)).toEqual(expect.arrayContaining(['project', 'asOf', ...tableNames]));
    expect(schema.additionalProperties).toBe(false);
  });
});

describe('the demo files', () => {
  it('are there', () => expect(demoFiles.length).toBeGreaterThanOrEqual(3));

  it.each(demoFiles)('%s satisfies the schema by an outside validator (ajv)', (path) => {
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(projectFileJsonSchema());
    const file = JSON.parse(readFileSync(at(path), 'utf8'));
    validate(file);
    expect(validate.errors ?? []).toEqual([]);
    expect(validate({ ...file, slots: [{ ...file.slots[0], quantity: 'two' }] })).toBe(false);
  });

  it.each(demoFiles)('%s can be read', (path) => {
    const read = readProjectFile(JSON.parse(readFileSync(at(path), 'utf8')));
    expect(read.ok ? [] : read.errors).toEqual([]);
  });
});
