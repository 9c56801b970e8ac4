import { Readable } from 'node:stream';
import { PROJECT_FILE_VERSION } from '@core/formats/project/fileVersion';
import {
  HOUSE_NAME,
  houseTableNames,
  INDEX_NAME,
  photoName,
  projectPartName,
  projectTableNames,
  STUDIO_FORMAT,
  type StudioIndex,
} from '@core/formats/studio/studioFile';
import type { TableName } from '@core/model/entities';
import { CORE_VERSION } from '@core/plan/version';
import yazl from 'yazl';
import type { Database } from '../persistence/database';
import { readPhoto } from '../persistence/photoBytes';
import { reading, type StudioScope, type Transaction } from '../persistence/scope';
import { photoIds, projectsToKeep, rowsOfTable } from '../persistence/studioRows';
import { studioName } from '../persistence/studios';
import type { Environment } from './environment';

/** A studio as one file that comes as it is written; pictures are read one by one. */
export interface WrittenStudio {
  name: string;
  stream: ReadableStream<Uint8Array>;
}

/**
 * Everything of a studio as one open file: the house, all projects, all pictures. Rows are those of one moment; a picture
 * never changes.
 */
export async function exportStudio(
  database: Database,
  scope: StudioScope,
  environment: Environment,
): Promise<WrittenStudio> {
  const zip = new yazl.ZipFile();
  const name = await database.source.transaction('REPEATABLE READ', async (manager) => {
    const transaction: Transaction = { scope, manager };
    const called = await studioName(transaction);
    const index: StudioIndex = {
      format: STUDIO_FORMAT,
      formatVersion: PROJECT_FILE_VERSION,
      coreVersion: CORE_VERSION,
      exportedAt: new Date(environment.nowMs()).toISOString(),
      name: called,
    };
    const add = (path: string, json: unknown) => zip.addBuffer(Buffer.from(JSON.stringify(json, null, 1)), path);
    add(INDEX_NAME, index);
    const tables = async (names: readonly TableName[], projectId: string | null) => {
      const read: Record<string, unknown> = {};
      for (const table of names) read[table] = await rowsOfTable(transaction, table, projectId);
      return read;
    };
    add(HOUSE_NAME, await tables(houseTableNames, null));
    for (const { row, isRemoved } of await projectsToKeep(transaction))
      add(projectPartName(row.id), { project: row, isRemoved, ...(await tables(projectTableNames, row.id)) });
    return called;
  });
  const transaction = reading(database, scope);
  for (const id of await photoIds(transaction))
    zip.addReadStreamLazy(photoName(id), { compress: false }, (done) => {
      readPhoto(transaction, id, 'full').then(
        (photo) => done(null, Readable.from([photo?.content ?? Buffer.alloc(0)])),
        (error: unknown) => done(error, Readable.from([])),
      );
    });
  zip.end();
  return { name, stream: Readable.toWeb(zip.outputStream as Readable) as ReadableStream<Uint8Array> };
}
