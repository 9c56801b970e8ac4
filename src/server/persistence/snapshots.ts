import { presentRows } from '@core/formats/project/presentRows';
import type { TableName } from '@core/model/entities';
import type { HouseRows, ProjectRows, SlotRow, StoredRows } from '@core/model/rows';
import { entityFor } from './entities';
import type { Transaction } from './scope';
import { HOUSE_SQL, SNAPSHOT_SQL, SPOKEN_OF_SQL } from './sql/snapshot';
import { statement } from './sql/statement';
import { fromStored, specOf } from './tables';

/** JSON text of rows, passed on as it is, with the tag of the state that they are of. */
export interface SnapshotText {
  body: string;
  tag: string;
}

/** The revision of a project and that of its studio's shared rows. */
export interface Revisions {
  revision: number;
  studioRevision: number;
}

/** The tag of a project's state. */
export const projectTag = (at: Revisions) => `${at.revision}.${at.studioRevision}`;

/** The tag of the house's state. */
export const tagOfHouse = (revision: number) => `house.${revision}`;

/** The house as JSON text with its tag, pieces only as far as asked for. */
export async function houseText(transaction: Transaction, pieceIds: readonly string[] = []): Promise<SnapshotText> {
  const { studioId } = transaction.scope;
  const [row] = await statement<{ body: string; revision: number }>(transaction, HOUSE_SQL, [studioId, pieceIds]);
  if (!row) throw new Error('the studio of this scope is not there');
  return { body: row.body, tag: tagOfHouse(row.revision) };
}

/** The house's rows, parsed. */
export async function houseRows(transaction: Transaction, pieceIds: readonly string[]): Promise<HouseRows> {
  const { studioId: _studio, locale: _locale, ...rows } = JSON.parse((await houseText(transaction, pieceIds)).body);
  return rows as HouseRows;
}

/** Which rows a snapshot brings beyond the project's own. */
export interface SnapshotOptions {
  /** Rows of the house by their ids, as far as the project does not speak of them yet. */
  alsoIds?: readonly string[];
  /** Whether a removed project is read too. */
  removedToo?: boolean;
}

/** A project's snapshot as JSON text, or null when there is no such project. */
export async function snapshotText(
  transaction: Transaction,
  projectId: string,
  { alsoIds = [], removedToo = false }: SnapshotOptions = {},
): Promise<SnapshotText | null> {
  const [row] = await statement<Revisions & { body: string }>(transaction, SNAPSHOT_SQL, [
    transaction.scope.studioId,
    projectId,
    alsoIds,
    removedToo,
  ]);
  return row ? { body: row.body, tag: projectTag(row) } : null;
}

/** The same without the rows of some tables: those that whoever asks is not shown. */
export function withoutTables<T extends SnapshotText | null>(text: T, tables: readonly TableName[]): T {
  if (text === null || tables.length === 0) return text;
  const rows = JSON.parse(text.body) as Record<string, unknown>;
  for (const table of tables) if (table in rows) rows[table] = [];
  return { ...text, body: JSON.stringify(rows) };
}

/** A project's rows, parsed, with their finds; and the tag of the state that they are of. */
export async function taggedRows(
  transaction: Transaction,
  projectId: string,
  options: SnapshotOptions = {},
): Promise<{ rows: ProjectRows; tag: string } | null> {
  const text = await snapshotText(transaction, projectId, options);
  return text && { rows: presentRows(JSON.parse(text.body) as StoredRows), tag: text.tag };
}

/** A project's rows, parsed, with their finds. */
export async function projectRows(
  transaction: Transaction,
  projectId: string,
  options: SnapshotOptions = {},
): Promise<ProjectRows | null> {
  return (await taggedRows(transaction, projectId, options))?.rows ?? null;
}

/** One slot with what a ranking for it asks of its project, without the rest of the snapshot; null when it is not there. */
export async function slotForRanking(
  { scope, manager }: Transaction,
  projectId: string,
  slotId: string,
): Promise<(Pick<ProjectRows, 'project' | 'colorCards' | 'spots'> & { slot: SlotRow }) | null> {
  const { studioId } = scope;
  const [project, slot, spots, colorCards] = await Promise.all([
    manager.findOneBy(entityFor('project'), { studioId, id: projectId }),
    manager.findOneBy(entityFor('slots'), { studioId, projectId, id: slotId }),
    manager.findBy(entityFor('spots'), { studioId, projectId }),
    manager.findBy(entityFor('colorCards'), { studioId }),
  ]);
  if (!project || !slot) return null;
  return {
    project: fromStored(specOf('project'), project) as ProjectRows['project'],
    slot: fromStored(specOf('slots'), slot) as SlotRow,
    spots: spots.map((spot) => fromStored(specOf('spots'), spot)) as ProjectRows['spots'],
    colorCards: colorCards.map((card) => fromStored(specOf('colorCards'), card)) as ProjectRows['colorCards'],
  };
}

/** Whether any of some ids is a row of the house that a project's rows hold only when they speak of it. */
export async function speaksOfHouse(transaction: Transaction, ids: readonly string[]): Promise<boolean> {
  if (ids.length === 0) return false;
  return (await statement(transaction, SPOKEN_OF_SQL, [transaction.scope.studioId, ids])).length > 0;
}
