import { createHash } from 'node:crypto';
import type { CopyKind } from '@contract/endpoints';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { writeProjectFile } from '@core/formats/project/write';
import { withFinds } from '@core/model/finds';
import type { ProjectRows } from '@core/model/rows';
import type { Database } from '../persistence/database';
import type { StudioScope } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { Refusal, refused } from './answer';
import { copyFrom } from './copyFrom';
import type { Environment } from './environment';
import type { ImportAnswer } from './importProject';
import { onceByKey } from './onceByKey';

/** The same day of the next year; the last day of February for a leap day. */
function aYearLater(date: string | null): string | null {
  if (date === null) return null;
  const next = `${Number(date.slice(0, 4)) + 1}${date.slice(4)}`;
  return next.endsWith('-02-29') ? `${next.slice(0, 4)}-02-28` : next;
}

/** Same spots, slots open again: nothing chosen, found, bought or photographed comes along. */
function nextSeason(file: ProjectFile): ProjectFile {
  return {
    ...file,
    project: {
      ...file.project,
      revealDate: file.project.brief.comesAgain ? aYearLater(file.project.revealDate) : null,
      standsUntil: null,
      archivedOn: null,
      workshop: { ...file.project.workshop, exceptions: [] },
      brief: {
        ...file.project.brief,
        weeks: [],
        beforePhoto: 'wanted',
        beforePhotoWhy: '',
        leavingDate: null,
        anchor: null,
        splurge: null,
      },
    },
    spots: file.spots.map((spot) => ({ ...spot, tasks: spot.tasks.map((task) => ({ ...task, done: false })) })),
    slots: file.slots.map((slot) => ({ ...slot, star: null, leftOut: false, locked: false })),
    sightings: [],
    finds: [],
    pieces: [],
    offers: [],
    options: [],
    fills: [],
    plans: [],
    recipes: [],
    ledger: [],
    supplyUses: [],
    overrides: file.overrides.filter((row) => !row.scope.startsWith('recipe:')),
    acknowledgments: [],
    inspirations: [],
    photos: [],
    weatherDays: [],
    benchPlans: [],
    planFreezes: [],
    looseEnds: [],
    stepRuns: [],
    logEntries: [],
  };
}

/** The same for another room: what holds of this one alone stays here: its days, its occasion, its damp and its heat. */
function pattern(file: ProjectFile, room: string): ProjectFile {
  const season = nextSeason(file);
  const { household, brief } = season.project;
  return {
    ...season,
    project: {
      ...season.project,
      room,
      revealDate: null,
      household: {
        ...household,
        outdoors: false,
        damp: false,
        heatNear: false,
        foodNear: false,
        buildingWorks: false,
        cordReachMm: null,
      },
      brief: { ...brief, occasion: '', comesAgain: false },
    },
  };
}

/** How each kind of copy is made. */
const copied: Readonly<Record<CopyKind, (file: ProjectFile, rows: ProjectRows, room: string) => ProjectFile>> = {
  duplicate: (file, rows) => withPhotos(file, rows),
  nextSeason: (file) => nextSeason(file),
  pattern: (file, _rows, room) => pattern(file, room),
};

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
 * Copies a project within its studio under a new name. The new project's id is made by the device and is the key of the
 * request too: asked twice, even at once, it gives the same copy.
 */
export async function copyProject(
  database: Database,
  scope: StudioScope,
  projectId: string,
  request: { id: string; kind: CopyKind; name: string; room?: string | undefined },
  environment: Environment,
): Promise<ImportAnswer> {
  const bodyHash = createHash('sha256')
    .update(JSON.stringify([projectId, request]))
    .digest('hex');
  return onceByKey(database, scope, request.id, bodyHash, async (transaction) => {
    const rows = await projectRows(transaction, projectId);
    if (!rows) throw new Refusal(refused('notFound'));
    const file = withFinds(writeProjectFile(rows, new Date(environment.nowMs()).toISOString(), scope.studioId));
    const copy = copied[request.kind](file, rows, request.room ?? '');
    return copyFrom(
      transaction,
      { ...copy, project: { ...copy.project, name: request.name } },
      request.id,
      environment,
    );
  });
}
