import type { Problem } from '../../acts/act';
import { rowsOf } from '../../acts/changes';
import { breachesOf } from '../../acts/invariants';
import { problemsOfSchema } from '../../acts/problems';
import { type ChangedTable, rowEntities } from '../../model/entities';
import { withFinds } from '../../model/finds';
import type { ProjectRows } from '../../model/rows';
import {
  MOST_ROWS,
  PROJECT_FILE_FORMAT,
  PROJECT_FILE_VERSION,
  type ProjectFile,
  projectFileSchema,
  type WrittenFile,
} from './projectFile';
import { upgradeFile } from './upgrades';

export type ReadFile =
  | { ok: true; file: ProjectFile }
  | { ok: false; code: 'file.unreadable' | 'file.newer'; errors: Problem[] };

/** Problems that are told at once. */
const SHOWN = 50;

/** Rows that are looked at before others get their turn. */
const AT_ONCE = 500;

/** Reads in steps: whoever runs it may do something else at each `yield`. */
function* reading(input: unknown): Generator<void, ReadFile> {
  const refuse = (...errors: Problem[]): ReadFile => ({ ok: false, code: 'file.unreadable', errors });
  if (input === null || typeof input !== 'object' || Array.isArray(input))
    return refuse({
      field: '(all)',
      value: input === null ? null : typeof input,
      accepted: 'a JSON object written by Euporia',
    });
  const head = input as { format?: unknown; formatVersion?: unknown };
  if (head.format !== PROJECT_FILE_FORMAT)
    return refuse({ field: 'format', value: head.format ?? null, accepted: `"${PROJECT_FILE_FORMAT}"` });
  if (typeof head.formatVersion === 'number' && head.formatVersion > PROJECT_FILE_VERSION) {
    return {
      ok: false,
      code: 'file.newer',
      errors: [
        {
          field: 'formatVersion',
          value: head.formatVersion,
          accepted: `at most ${PROJECT_FILE_VERSION}; update Euporia to read it`,
        },
      ],
    };
  }
  const present = upgradeFile(input as Record<string, unknown>);
  yield;
  // The long lists are read row by row, the rest of the file as a whole around them.
  const problems: Problem[] = [];
  const lists: Record<string, unknown[]> = {};
  for (const { table, row } of rowEntities) {
    const list = present[table];
    if (!Array.isArray(list) || list.length > MOST_ROWS) continue;
    const read: unknown[] = [];
    for (const [n, entry] of list.entries()) {
      if (n % AT_ONCE === AT_ONCE - 1) yield;
      const parsed = row.safeParse(entry);
      if (parsed.success) read.push(parsed.data);
      else if (problems.length < SHOWN)
        problems.push(
          ...problemsOfSchema(parsed.error, entry).map((problem) => ({
            ...problem,
            field: [table, String(n), ...(problem.field === '(all)' ? [] : [problem.field])].join('.'),
          })),
        );
    }
    lists[table] = read;
  }
  const hollow = { ...present, ...Object.fromEntries(Object.keys(lists).map((table) => [table, []])) };
  const parsed = projectFileSchema.safeParse(hollow);
  if (!parsed.success) problems.unshift(...problemsOfSchema(parsed.error, present));
  if (problems.length > 0 || !parsed.success) return refuse(...problems.slice(0, SHOWN));
  yield;
  const file = withFinds({ ...parsed.data, ...lists } as unknown as WrittenFile);
  yield;
  const errors = rowProblems(file);
  return errors.length > 0 ? refuse(...errors.slice(0, SHOWN)) : { ok: true, file };
}

/**
 * Reads a project file from parsed JSON. Refuses another format, a newer version, bad fields, repeated ids and
 * references that point nowhere, each with its place in the file. Older versions are brought up first.
 */
export function readProjectFile(input: unknown): ReadFile {
  const steps = reading(input);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The same, with a pause every few hundred rows: a large file keeps nobody else waiting. */
export async function readProjectFileInParts(input: unknown, pause: () => Promise<void>): Promise<ReadFile> {
  const steps = reading(input);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await pause();
  }
}

/** What keeps a project's rows from being read: each problem with its place in the file. */
export function rowProblems(rows: ProjectRows): Problem[] {
  const places = new Map<string, string>();
  const placeOf = (table: ChangedTable, id: string): string => {
    const key = `${table}:${id}`;
    const known = places.get(key);
    if (known !== undefined) return known;
    if (table === 'project') return 'project';
    rowsOf(rows, table).forEach((row, index) => {
      places.set(`${table}:${row.id}`, `${table}.${index}`);
    });
    return places.get(key) ?? table;
  };
  return breachesOf(rows)
    .filter((breach) => breach.tolerated !== true)
    .map(({ table, id, path, value, accepted }) => ({
      field: [placeOf(table, id), ...path].join('.'),
      value,
      accepted,
    }));
}
