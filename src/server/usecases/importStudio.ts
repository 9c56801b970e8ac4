import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeReadableStream } from 'node:stream/web';
import type { Problem } from '@core/acts/act';
import { breachesOf, problemsOf } from '@core/acts/invariants';
import { problemsOfSchema } from '@core/acts/problems';
import {
  HOUSE_NAME,
  INDEX_NAME,
  partOf,
  readHousePart,
  readProjectPart,
  type StudioIndex,
  type StudioParts,
  studioIndex,
  studioProblems,
  type Tables,
} from '@core/formats/studio/studioFile';
import { writeOrder } from '@core/model/derive/references';
import { type ChangedTable, isHouseTable } from '@core/model/entities';
import { recordAct } from '../persistence/acts';
import type { Database } from '../persistence/database';
import { storePhoto } from '../persistence/photoBytes';
import { toggleRows } from '../persistence/rowStore';
import { inTransaction, studioScope, type Transaction } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { insertRows } from '../persistence/sql/insertRows';
import { addStudioIn, studioNames } from '../persistence/studios';
import { acceptPhoto } from './acceptPhoto';
import { Refusal, refused } from './answer';
import { type Archive, openArchive } from './archive';
import type { Environment } from './environment';
import { overLimits } from './withinLimits';

/** The most that one part with rows may be, and a picture, bytes. */
const MOST_ROWS_BYTES = 256 * 1024 * 1024;
const MOST_PHOTO_BYTES = 12 * 1024 * 1024;

const refuse = (fields: readonly Problem[]): Refusal => new Refusal(refused('fields.refused', { fields: [...fields] }));

/**
 * Makes a studio of its own of a file that one was saved to: everything in it, under the ids that it had. The one that is
 * open stays as it is. What does not hold together is refused as a whole, with its place.
 * @param body the archive as it comes
 * @returns the id of the new studio
 */
export async function importStudio(
  database: Database,
  body: ReadableStream<Uint8Array>,
  device: string,
  environment: Environment,
): Promise<string> {
  // An archive is read from its end: it has to lie somewhere whole.
  const folder = await mkdtemp(join(tmpdir(), 'euporia-studio-'));
  try {
    const path = join(folder, 'studio.zip');
    await pipeline(Readable.fromWeb(body as NodeReadableStream), createWriteStream(path));
    const archive = await openArchive(path);
    try {
      const { index, parts } = await readParts(archive);
      return await keep(database, index, parts, archive, device, environment);
    } finally {
      archive.close();
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function readJson(archive: Archive, name: string): Promise<unknown> {
  const bytes = await archive.read(name, MOST_ROWS_BYTES);
  try {
    return JSON.parse(bytes.toString('utf8'));
  } catch {
    throw refuse([{ field: name, value: null, accepted: 'well-formed JSON' }]);
  }
}

/** All rows, read and held against their schemas and each other. */
async function readParts(archive: Archive): Promise<{ index: StudioIndex; parts: StudioParts }> {
  for (const name of [INDEX_NAME, HOUSE_NAME])
    if (!archive.names.includes(name))
      throw refuse([{ field: name, value: null, accepted: 'a studio that Euporia saved, with this part in it' }]);
  const read = studioIndex.safeParse(await readJson(archive, INDEX_NAME));
  if (!read.success)
    throw refuse(problemsOfSchema(read.error, null).map((one) => ({ ...one, field: `${INDEX_NAME}: ${one.field}` })));
  const problems: Problem[] = [];
  const parts: StudioParts = { house: readHousePart(await readJson(archive, HOUSE_NAME), problems), projects: [] };
  for (const name of archive.names) {
    const part = partOf(name);
    if (part?.kind !== 'project' || problems.length > 0) continue;
    const project = readProjectPart(part.id, await readJson(archive, name), problems);
    if (project) parts.projects.push(project);
  }
  if (problems.length > 0) throw refuse(problems.slice(0, 20));
  const loose = studioProblems(parts, new Set(photosIn(archive).map(({ id }) => id)));
  if (loose.length > 0) throw refuse(loose);
  return { index: read.data, parts };
}

function photosIn(archive: Archive): { id: string; name: string }[] {
  return archive.names.flatMap((name) => {
    const part = partOf(name);
    return part?.kind === 'photo' ? [{ id: part.id, name }] : [];
  });
}

/** Writes all of it in one transaction: a studio is there whole, or not at all. */
async function keep(
  database: Database,
  index: StudioIndex,
  { house, projects }: StudioParts,
  archive: Archive,
  device: string,
  environment: Environment,
): Promise<string> {
  const studioId = environment.newId();
  const actId = environment.newId();
  return inTransaction(database, studioScope(studioId, device), async (transaction) => {
    await addStudioIn(transaction, freeName(index.name, await studioNames(transaction)));
    for (const { id, name } of photosIn(archive)) {
      const accepted = await acceptPhoto(name, await archive.read(name, MOST_PHOTO_BYTES), { keepsJpeg: true });
      if (!accepted.ok) throw refuse([accepted.error]);
      await storePhoto(transaction, id, accepted.photo);
    }
    for (const table of writeOrder()) {
      if (table === 'project')
        await insertRows(
          transaction,
          'project',
          projects.map(({ project }) => project),
          null,
          actId,
        );
      else if (isHouseTable(table)) await insertRows(transaction, table, house[table] ?? [], null, actId);
      else
        for (const { project, tables } of projects)
          await insertRows(transaction, table, tables[table] ?? [], project.id, actId);
    }
    await recordAct(transaction, { id: actId, kind: 'import.studio', projectId: null, changes: [] });
    await judge(transaction, house, projects);
    const gone = projects.filter(({ isRemoved }) => isRemoved).map(({ project }) => ({ id: project.id, version: 1 }));
    await toggleRows(transaction, 'project', gone, true, actId);
    return studioId;
  });
}

/** Refuses what no act would have left: too many of something, or a project that does not hold together. */
async function judge(transaction: Transaction, house: Tables, projects: StudioParts['projects']): Promise<void> {
  const filled = (tables: Tables) =>
    new Set(
      Object.entries(tables).flatMap(([table, rows]) => ((rows ?? []).length > 0 ? [table as ChangedTable] : [])),
    );
  const over = await overLimits(transaction, filled(house), null);
  if (over.length > 0) throw refuse(over);
  for (const { project, tables } of projects) {
    const full = await overLimits(transaction, filled(tables), project.id);
    if (full.length > 0) throw refuse(full);
    const rows = await projectRows(transaction, project.id);
    if (!rows) throw refuse([{ field: 'project', value: project.id, accepted: 'a whole project' }]);
    // A piece that broke while it was promised is a fact: only what an act can bring about is refused.
    const broken = breachesOf(rows).filter(({ weightIn }) => weightIn === undefined);
    if (broken.length > 0) throw refuse(problemsOf(broken).slice(0, 20));
  }
}

/** The name of the file's studio; with a number where one here is called so. */
function freeName(wanted: string, names: ReadonlySet<string>): string {
  if (!names.has(wanted)) return wanted;
  for (let n = 2; ; n += 1) {
    const name = `${wanted.slice(0, 110)} ${n}`;
    if (!names.has(name)) return name;
  }
}
