import { z } from 'zod';
import type { Problem } from '../../acts/act';
import type { AnyRow } from '../../acts/changes';
import { problemsOfSchema } from '../../acts/problems';
import { referencesOf } from '../../model/derive/references';
import { allEntities, type ChangedTable, entityOf, rowEntities, type TableName } from '../../model/entities';
import { UUID_PATTERN } from '../../model/fields';
import { PROJECT_FILE_VERSION } from '../project/fileVersion';

/**
 * A studio as one open file: a ZIP archive (PKWARE APPNOTE) of JSON and pictures.
 *
 * - `studio.json`: what it is, in which version, when it was written;
 * - `house.json`: the tables that all projects share;
 * - `projects/<id>.json`: each project with its tables;
 * - `photos/<id>.jpg`: each picture, once.
 */
export const STUDIO_FORMAT = 'euporia.studio';
export const INDEX_NAME = 'studio.json';
export const HOUSE_NAME = 'house.json';
export const projectPartName = (id: string): string => `projects/${id}.json`;
export const photoName = (id: string): string => `photos/${id}.jpg`;

const PROJECT_PART = new RegExp(`^projects/(${UUID_PATTERN})\\.json$`);
const PHOTO = new RegExp(`^photos/(${UUID_PATTERN})\\.(?:jpe?g|png|webp)$`);

/** What a part of the archive is, by its name; null for what does not belong there, which is left out. */
export function partOf(name: string): { kind: 'index' | 'house' } | { kind: 'project' | 'photo'; id: string } | null {
  if (name === INDEX_NAME) return { kind: 'index' };
  if (name === HOUSE_NAME) return { kind: 'house' };
  const project = PROJECT_PART.exec(name)?.[1];
  if (project !== undefined) return { kind: 'project', id: project };
  const photo = PHOTO.exec(name)?.[1];
  return photo === undefined ? null : { kind: 'photo', id: photo };
}

/** What the archive says of itself. */
export const studioIndex = z.object({
  format: z.literal(STUDIO_FORMAT, { error: STUDIO_FORMAT }),
  formatVersion: z
    .int({ error: 'a version number' })
    .min(17, 'version 17 or later')
    .max(PROJECT_FILE_VERSION, `version ${PROJECT_FILE_VERSION} at most: a newer Euporia wrote it`),
  coreVersion: z.string().max(40),
  exportedAt: z.string().max(40),
  name: z.string().trim().min(1, 'text of 1 to 120 characters').max(120, 'text of 1 to 120 characters'),
});
export type StudioIndex = z.output<typeof studioIndex>;

/** Rows by table. */
export type Tables = { [T in TableName]?: AnyRow[] };

/** One project of a studio, with its own tables. */
export interface StudioProject {
  project: AnyRow;
  /** Removed, and kept because bills of it were sent. */
  isRemoved: boolean;
  tables: Tables;
}

/** All of a studio but its pictures. */
export interface StudioParts {
  house: Tables;
  projects: StudioProject[];
}

/** The tables of the house, and those of a project. */
export const houseTableNames = rowEntities.filter(({ owner }) => owner === 'studio').map(({ table }) => table);
export const projectTableNames = rowEntities.filter(({ owner }) => owner === 'project').map(({ table }) => table);

/** The most problems that are told at once. */
const MOST_TOLD = 20;

const isObject = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

function readTables(
  file: string,
  json: Record<string, unknown>,
  names: readonly TableName[],
  problems: Problem[],
): Tables {
  const tables: Tables = {};
  for (const table of names) {
    const rows = json[table] ?? [];
    if (!Array.isArray(rows)) {
      problems.push({ field: `${file}: ${table}`, value: null, accepted: 'a list of rows' });
      continue;
    }
    const { row: schema } = entityOf(table);
    const read: AnyRow[] = [];
    for (const [n, row] of rows.entries()) {
      const parsed = schema.safeParse(row);
      if (parsed.success) read.push(parsed.data as AnyRow);
      else
        for (const problem of problemsOfSchema(parsed.error, row).slice(0, 2))
          problems.push({ ...problem, field: `${file}: ${table}.${n}.${problem.field}` });
      if (problems.length >= MOST_TOLD) return tables;
    }
    tables[table] = read;
  }
  return tables;
}

/** Reads the house's part; what is wrong is added to the problems, with its place. */
export function readHousePart(json: unknown, problems: Problem[]): Tables {
  if (isObject(json)) return readTables(HOUSE_NAME, json, houseTableNames, problems);
  problems.push({ field: HOUSE_NAME, value: null, accepted: 'an object with a list for each table' });
  return {};
}

/** Reads a project's part; null where its project is not one. */
export function readProjectPart(id: string, json: unknown, problems: Problem[]): StudioProject | null {
  const file = projectPartName(id);
  if (!isObject(json)) {
    problems.push({ field: file, value: null, accepted: 'an object with a project and a list for each table' });
    return null;
  }
  const parsed = entityOf('project').row.safeParse(json.project);
  if (!parsed.success) {
    for (const problem of problemsOfSchema(parsed.error, json.project).slice(0, 2))
      problems.push({ ...problem, field: `${file}: project.${problem.field}` });
    return null;
  }
  const project = parsed.data as AnyRow;
  if (project.id !== id) {
    problems.push({ field: `${file}: project.id`, value: project.id, accepted: 'the id in its name' });
    return null;
  }
  return { project, isRemoved: json.isRemoved === true, tables: readTables(file, json, projectTableNames, problems) };
}

/**
 * What does not hold together in a studio: an id that is there twice, a row that points to one that is neither in its
 * project nor in the house, a picture that is missing.
 */
export function studioProblems({ house, projects }: StudioParts, photoIds: ReadonlySet<string>): Problem[] {
  const problems: Problem[] = [];
  const places = new Map<string, string>();
  const note = (table: ChangedTable, row: AnyRow, place: string) => {
    const known = places.get(row.id);
    if (known !== undefined)
      problems.push({ field: `${place}: ${table}`, value: row.id, accepted: `an id that is not also in ${known}` });
    else places.set(row.id, place);
  };
  const all: { place: string; table: ChangedTable; row: AnyRow }[] = [];
  const collect = (place: string, tables: Tables) => {
    for (const [table, rows] of Object.entries(tables) as [TableName, AnyRow[]][])
      for (const row of rows) all.push({ place, table, row });
  };
  collect(HOUSE_NAME, house);
  for (const { project, tables } of projects) {
    const place = projectPartName(project.id);
    all.push({ place, table: 'project', row: project });
    collect(place, tables);
  }
  // A picture is a row and bytes under one id; whatever else shares an id with another is wrong.
  for (const { place, table, row } of all) if (entityOf(table).idRefersTo === null) note(table, row, place);
  const there = new Map<string, string>(all.map(({ place, table, row }) => [`${table}:${row.id}`, place]));
  for (const { place, table, row } of all) {
    if (problems.length >= MOST_TOLD) break;
    for (const { path, table: to, id, isOnce } of referencesOf(table, row)) {
      if (isOnce) continue;
      const found = to === 'photoBytes' ? (photoIds.has(id) ? HOUSE_NAME : undefined) : there.get(`${to}:${id}`);
      if (found === place || found === HOUSE_NAME) continue;
      problems.push({
        field: `${place}: ${table}, ${row.id}: ${path.join('.')}`,
        value: id,
        accepted:
          to === 'photoBytes' ? 'a picture of the archive' : `a ${nounOf(to)} of the same project, or of the house`,
      });
    }
  }
  return problems.slice(0, MOST_TOLD);
}

const nounOf = (table: string): string => allEntities.find((entity) => entity.table === table)?.noun ?? table;
