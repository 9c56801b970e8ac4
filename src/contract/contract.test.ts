import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { card, find, option, project, rows, slot } from '../core/fixtures/projectRows';
import type { ProjectRows } from '../core/plan/rows';
import { applyChanges, type RowChange } from './changes';
import { commands } from './commands';
import { isRefusal } from './commands/command';
import { projectFileJsonSchema } from './jsonSchema';
import { readProjectFile } from './projectFile';
import { tableNames } from './rows';

const at = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url));
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

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
  it.each(['demo/1-attic-bedroom.project.json', 'demo/2-market-stall.project.json'])(
    '%s satisfies the schema by an outside validator (ajv)',
    (path) => {
      const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(projectFileJsonSchema());
      const file = JSON.parse(readFileSync(at(path), 'utf8'));
      validate(file);
      expect(validate.errors ?? []).toEqual([]);
      expect(validate({ ...file, slots: [{ ...file.slots[0], quantity: 'two' }] })).toBe(false);
    },
  );

  it.each(['demo/1-attic-bedroom.project.json', 'demo/2-market-stall.project.json'])('%s can be read', (path) => {
    const read = readProjectFile(JSON.parse(readFileSync(at(path), 'utf8')));
    expect(read.ok ? [] : read.errors).toEqual([]);
  });
});

describe('every command', () => {
  it.each(commands.all.map((entry) => entry.id))('%s refuses an empty and an unknown field', (kind) => {
    const { payload } = commands.get(kind).definition;
    expect(payload.safeParse({ nobody: 1 }).success).toBe(false);
    expect(payload.safeParse(null).success).toBe(false);
  });

  it('has a title for the message that offers to undo it', () => {
    for (const { definition } of commands.all) expect(definition.title).toMatch(/^[A-Z].+/);
  });
});

/** Rows after a command, or the refusal. */
function after(before: ProjectRows, kind: string, payload: unknown): ProjectRows {
  const { definition } = commands.get(kind);
  const decision = definition.decide(before, definition.payload.parse(payload));
  if (isRefusal(decision)) throw new Error(decision.refused.accepted);
  return applyChanges(before, decision as RowChange[]);
}

describe('choosing', () => {
  const slotId = uuid(1);
  const base = rows({
    project: project({ id: uuid(9) }),
    slots: [slot(slotId, { quantity: 2 })],
    finds: [find(uuid(2), 1200), find(uuid(3), 900)],
    options: [
      option(uuid(4), slotId, 'asFound', { parts: [{ findId: uuid(2), offerId: null, pieces: 1 }] }),
      option(uuid(5), slotId, 'asFound', { parts: [{ findId: uuid(3), offerId: null, pieces: 1 }] }),
      option(uuid(6), slotId, 'buyNew'),
    ],
    colorCards: [card(uuid(7), 'Teal', '#2f5d62')],
  });
  const choose = (from: ProjectRows, optionId: string, count: number, n: number) =>
    after(from, 'choose', { slotId, optionId, count, fillId: uuid(n) });
  const fills = (of: ProjectRows) => of.fills.map((fill) => [fill.optionId, fill.count]);

  it('keeps what still fits beside it, and lets the rest give way', () => {
    const one = choose(base, uuid(4), 1, 20);
    const both = choose(one, uuid(5), 1, 21);
    expect(fills(both)).toEqual([
      [uuid(4), 1],
      [uuid(5), 1],
    ]);
    expect(fills(choose(both, uuid(6), 2, 22))).toEqual([[uuid(6), 2]]);
  });

  it('leaves its inputs untouched', () => {
    const frozen = Object.freeze({ ...base, fills: Object.freeze([]) as never });
    expect(() => choose(frozen, uuid(4), 1, 20)).not.toThrow();
    expect(frozen.fills).toEqual([]);
  });
});
