import type { WrittenFile } from '@core/formats/project/projectFile';
import { readProjectFileInParts } from '@core/formats/project/read';
import { writeProjectFile } from '@core/formats/project/write';
import type { Transaction } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';

/**
 * A project as a file that is known to be readable: it was read back, as an import would read it, before it goes out. A
 * file that nobody could open again is refused with its places; null where there is no such project.
 */
export async function exportProject(
  transaction: Transaction,
  projectId: string,
  environment: Environment,
): Promise<WrittenFile | null> {
  const rows = await projectRows(transaction, projectId);
  if (!rows) return null;
  const file = writeProjectFile(rows, new Date(environment.nowMs()).toISOString(), transaction.scope.studioId);
  const read = await readProjectFileInParts(file, () => new Promise(setImmediate));
  if (!read.ok) throw new Refusal(refused('file.notReadBack', { fields: read.errors }));
  return file;
}
