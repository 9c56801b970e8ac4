import type { ProjectRows } from '@core/model/rows';
import { snapshotTag } from '../persistence/projects';
import type { Transaction } from '../persistence/scope';
import { taggedRows } from '../persistence/snapshots';
import { KnownPieces } from './knownPieces';
import { KnownProjects } from './knownProjects';
import { KnownSnapshots } from './knownSnapshots';

/** What a server remembers of what it read and wrote; the database says whether it still holds. */
export interface Known {
  readonly projects: KnownProjects;
  readonly pieces: KnownPieces;
  readonly snapshots: KnownSnapshots;
}

/** The rows of a project as they are now, with their tag, read where this server does not know them; null where it is gone. */
export async function rowsNow(
  { projects }: Pick<Known, 'projects'>,
  transaction: Transaction,
  projectId: string,
): Promise<{ rows: ProjectRows; tag: string } | null> {
  const tag = await snapshotTag(transaction, projectId);
  if (tag === null) return null;
  const known = projects.take(projectId, tag);
  if (known) return { rows: known, tag };
  const state = await taggedRows(transaction, projectId);
  if (state) projects.keep(projectId, state.tag, state.rows);
  return state;
}

/** Nothing remembered yet. */
export const nothingKnown = (): Known => ({
  projects: new KnownProjects(),
  pieces: new KnownPieces(),
  snapshots: new KnownSnapshots(),
});
