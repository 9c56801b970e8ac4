import { createHash } from 'node:crypto';
import type { ImportedAnswer } from '@contract/answers';

import { PROJECT_FILE_VERSION, type ProjectFile } from '@core/formats/project/projectFile';
import { readProjectFileInParts } from '@core/formats/project/read';
import type { Database } from '../persistence/database';
import type { StudioScope, Transaction } from '../persistence/scope';
import { type AnswerWith, refused } from './answer';
import { copyFrom } from './copyFrom';
import type { Environment } from './environment';
import { onceByKey } from './onceByKey';
import { updateFrom } from './updateFrom';

export type ImportMode = 'copy' | 'update';
export type ImportAnswer = AnswerWith<ImportedAnswer>;

/** What an act that came from a file is called; it says by which version of the file. */
export const importKind = (mode: ImportMode): string => `import.${mode}.${PROJECT_FILE_VERSION}`;

/**
 * Imports a parsed project file, all or nothing, and once for a key. `copy` makes a project of its own; `update` brings
 * the project of the same id in the same studio to what the file says of it.
 * @param options `pictured`: what pictures a copy has, since a file carries none; `end`: is told at the end of the same
 * transaction
 */
export async function importProject(
  database: Database,
  scope: StudioScope,
  input: unknown,
  mode: ImportMode,
  key: string,
  environment: Environment,
  {
    pictured = async (file) => withoutPictures(file),
    end,
  }: {
    pictured?: (file: ProjectFile, transaction: Transaction) => Promise<ProjectFile>;
    end?: (transaction: Transaction, done: ImportedAnswer) => Promise<void>;
  } = {},
): Promise<ImportAnswer> {
  const read = await readProjectFileInParts(input, () => new Promise(setImmediate));
  if (!read.ok) return refused(read.code, { fields: read.errors });
  const bodyHash = createHash('sha256').update(mode).update(JSON.stringify(input)).digest('hex');
  return onceByKey(
    database,
    scope,
    key,
    bodyHash,
    async (transaction) =>
      mode === 'update'
        ? updateFrom(transaction, read.file, environment)
        : copyFrom(transaction, await pictured(read.file, transaction), environment.newId(), environment),
    end,
  );
}

/** Pictures do not travel in a file yet: what a file says of them is left out. */
export function withoutPictures(file: ProjectFile): ProjectFile {
  const { brief } = file.project;
  return {
    ...file,
    photos: [],
    sightings: file.sightings.map((row) => ({ ...row, photoId: null, tagPhotoId: null })),
    receipts: file.receipts.map((row) => ({ ...row, photoId: null })),
    pieces: file.pieces.map((piece) => ({ ...piece, photoId: null, cutOut: null })),
    inspirations: file.inspirations.map((row) => ({ ...row, photoId: null })),
    looks: file.looks.map((row) => ({ ...row, photo: row.photo && { ...row.photo, photoId: null } })),
    project: { ...file.project, brief: { ...brief, anchor: brief.anchor && { ...brief.anchor, photoId: null } } },
  };
}
