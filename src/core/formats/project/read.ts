import type { Problem } from '../../acts/act';
import type { AnyRow } from '../../acts/changes';
import { breachesOf } from '../../acts/invariants';
import { problemsOfSchema } from '../../acts/problems';
import { withFinds } from '../../model/finds';
import type { ProjectRows } from '../../model/rows';
import {
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

/**
 * Reads a project file from parsed JSON. Refuses another format, a newer version, bad fields, repeated ids and
 * references that point nowhere, each with its place in the file. Older versions are brought up first.
 */
export function readProjectFile(input: unknown): ReadFile {
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
  const parsed = projectFileSchema.safeParse(present);
  if (!parsed.success) return refuse(...problemsOfSchema(parsed.error, present).slice(0, SHOWN));
  const file = withFinds(parsed.data as unknown as WrittenFile);
  const errors = rowProblems(file);
  return errors.length > 0 ? refuse(...errors.slice(0, SHOWN)) : { ok: true, file };
}

/** What keeps a project's rows from being read: each problem with its place in the file. */
export function rowProblems(rows: ProjectRows): Problem[] {
  const places = new Map<string, string>();
  const placeOf = (table: string, id: string): string => {
    const key = `${table}:${id}`;
    const known = places.get(key);
    if (known !== undefined) return known;
    if (table === 'project') return 'project';
    const list = (rows as unknown as Record<string, readonly AnyRow[]>)[table] ?? [];
    list.forEach((row, index) => {
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
