import type { AnyRow } from '@core/acts/changes';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { type Reference, withReferences, writeOrder } from '@core/model/derive/references';
import { type ChangedTable, isTable, tableNames } from '@core/model/entities';
import { recordAct } from '../persistence/acts';
import { copyPhotoBytes } from '../persistence/photoBytes';
import { raiseRevision } from '../persistence/projects';
import type { Transaction } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { insertRows } from '../persistence/sql/insertRows';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';
import { type ImportAnswer, importKind } from './importProject';
import { joinHouse } from './joinHouse';
import { overLimits } from './withinLimits';

/**
 * Fills of a file that draw on pieces which are in the house already: they stay behind in a copy, since a piece is in
 * one place at a time and the project that is copied may have promised it. The ways to fill the slot come along.
 */
function fillsOfPieces(file: ProjectFile, joined: ReadonlyMap<string, string>): ReadonlySet<string> {
  const finds = new Set(file.sightings.filter((find) => joined.has(find.pieceId)).map((find) => find.id));
  const options = new Set(
    file.options
      .filter((option) => option.parts.some((part) => part.findId !== null && finds.has(part.findId)))
      .map((option) => option.id),
  );
  return new Set(file.fills.filter((fill) => options.has(fill.optionId)).map((fill) => fill.id));
}

/**
 * Writes a file's rows under new ids as a project of its own. Rows of the house that mean something that is here
 * already are joined to it; nothing that is here changes.
 */
export async function copyFrom(
  transaction: Transaction,
  given: ProjectFile,
  projectId: string,
  environment: Environment,
): Promise<ImportAnswer> {
  const sameStudio = given.studioId === transaction.scope.studioId;
  const joined = await joinHouse(transaction, given, sameStudio);
  // What a makeover took off this shelf was taken once, whatever is copied.
  const file: ProjectFile = sameStudio
    ? { ...given, supplyUses: [], recipes: given.recipes.map((recipe) => ({ ...recipe, uses: [] })) }
    : given;
  const tables = file as unknown as Record<string, readonly AnyRow[]>;
  const ids = new Map<string, string>([[file.project.id, projectId], ...joined]);
  for (const table of tableNames)
    for (const row of tables[table] ?? []) if (!ids.has(row.id)) ids.set(row.id, environment.newId());
  const promised = fillsOfPieces(file, joined);
  const actId = environment.newId();
  const renamed = ({ table, id }: Reference) => (isTable(table) || table === 'photoBytes' ? (ids.get(id) ?? id) : id);
  const copied = (table: ChangedTable, row: AnyRow): AnyRow => ({
    ...withReferences(table, row, renamed),
    id: ids.get(row.id) ?? row.id,
    version: 1,
  });
  for (const photo of file.photos) await copyPhotoBytes(transaction, photo.id, ids.get(photo.id) ?? photo.id);
  const project = copied('project', file.project as AnyRow);
  const written: Record<string, AnyRow[]> = {};
  for (const table of writeOrder()) {
    const rows =
      table === 'project'
        ? [project]
        : (tables[table] ?? [])
            .filter((row) => !joined.has(row.id) && !promised.has(row.id))
            .map((row) => copied(table, row));
    await insertRows(transaction, table, rows, projectId, actId);
    written[table] = rows;
  }
  const grown = new Set(
    Object.keys(written)
      .filter(isTable)
      .filter((table) => (written[table]?.length ?? 0) > 0),
  );
  const over = await overLimits(transaction, grown, projectId);
  if (over.length > 0) throw new Refusal(refused('command.refused', { fields: over }));
  // The rows stand in their tables; taking the copy back takes the project away, as removing it does.
  await recordAct(transaction, {
    id: actId,
    kind: importKind('copy'),
    projectId,
    changes: [{ table: 'project', id: projectId, op: 'insert', before: null, after: null, version: 1 }],
  });
  const rows = await projectRows(transaction, projectId);
  if (!rows) throw new Error('a project that was just written is not there');
  await raiseRevision(transaction, projectId, grown);
  return { status: 200, body: { projectId, name: rows.project.name, mode: 'copy', actId } };
}
