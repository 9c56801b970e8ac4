import { z } from 'zod';
import { rowLists, rowSchema, tableNames } from '../../model/entities';
import type { ProjectRows, StoredRows } from '../../model/rows';
import { PROJECT_FILE_VERSION } from './fileVersion';

export { PROJECT_FILE_VERSION };

export const PROJECT_FILE_FORMAT = 'euporia.project';
export const PROJECT_FILE_LIMIT = 50 * 1024 * 1024;
/** The most rows of one table that a file may hold. */
export const MOST_ROWS = 30_000;

const moment = z
  .string()
  .refine(
    (value) =>
      /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/.test(value) && !Number.isNaN(Date.parse(value)),
    { error: 'a moment like 2026-06-01T09:00:00-04:00' },
  );

/** What a file says of itself beside its rows. */
interface FileHead {
  format: typeof PROJECT_FILE_FORMAT;
  formatVersion: typeof PROJECT_FILE_VERSION;
  coreVersion: string;
  figuresVersion: string;
  /** Which studio wrote it; a file of the same studio may update its project. */
  studioId: string;
  asOf: string;
}

/** A project with every studio row it refers to, by value. Cross-field rules (references, fills within quantities) are not in its JSON Schema. */
export const projectFileSchema = z.strictObject({
  format: z.literal(PROJECT_FILE_FORMAT, { error: `"${PROJECT_FILE_FORMAT}"` }),
  formatVersion: z.literal(PROJECT_FILE_VERSION, { error: `${PROJECT_FILE_VERSION}` }),
  coreVersion: z.string().max(40),
  figuresVersion: z.string().max(40),
  studioId: z.string().max(60),
  asOf: moment,
  project: rowSchema('project'),
  ...rowLists(tableNames, MOST_ROWS),
});

/** A file as it is written: rows as they are stored. */
export type WrittenFile = FileHead & StoredRows;
/** A file as it was read: with the finds that its rows make. */
export type ProjectFile = FileHead & ProjectRows;
