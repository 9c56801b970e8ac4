import type { ProjectFile } from '@contract/projectFile';
import { writeProjectFile } from '@contract/projectFile';
import type { ProjectRows } from '@core/plan/rows';
import type { Database } from '../persistence/database';
import { inTransaction, type StudioScope } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { notFound } from './answer';
import { copyFrom, type ImportAnswer } from './importProject';
import type { Surroundings } from './surroundings';

export type CopyKind = 'duplicate' | 'nextSeason';

/** Same spots, slots open again: nothing chosen, found, bought or photographed comes along. */
function nextSeason(file: ProjectFile): ProjectFile {
  return {
    ...file,
    project: {
      ...file.project,
      revealDate: null,
      brief: { ...file.project.brief, weeks: [], beforePhoto: 'wanted', anchor: null, splurge: null },
    },
    spots: file.spots.map((spot) => ({ ...spot, tasks: spot.tasks.map((task) => ({ ...task, done: false })) })),
    slots: file.slots.map((slot) => ({ ...slot, star: null, leftOut: false })),
    finds: [],
    pieces: [],
    offers: [],
    options: [],
    fills: [],
    recipes: [],
    ledger: [],
    overrides: file.overrides.filter((row) => !row.scope.startsWith('recipe:')),
    acknowledgments: [],
    inspirations: [],
    photos: [],
  };
}

/** What a duplicate keeps beyond a project file: its photos and what refers to them. */
function withPhotos(file: ProjectFile, rows: ProjectRows): ProjectFile {
  return {
    ...file,
    photos: rows.photos,
    inspirations: rows.inspirations,
    project: { ...file.project, brief: rows.project.brief },
  };
}

/**
 * Copies a project within its studio under a new name. The new project's id is made by the device: the same request
 * again gives the same copy.
 */
export async function copyProject(
  database: Database,
  scope: StudioScope,
  projectId: string,
  wish: { id: string; kind: CopyKind; name: string },
  around: Surroundings,
): Promise<ImportAnswer> {
  return inTransaction(database, scope, async (transaction) => {
    const present = await projectRows(transaction, wish.id);
    if (present)
      return { status: 200, body: { projectId: wish.id, name: present.project.name, mode: 'copy' as const } };
    const rows = await projectRows(transaction, projectId);
    if (!rows) return notFound();
    const file = writeProjectFile(rows, new Date(around.nowMs()).toISOString(), scope.studioId);
    const copy = wish.kind === 'duplicate' ? withPhotos(file, rows) : nextSeason(file);
    return copyFrom(transaction, { ...copy, project: { ...copy.project, name: wish.name } }, around, wish.id);
  });
}
