import { type AnyRow, type RowChange, rowIn, rowsOf } from '@core/acts/changes';
import { judge } from '@core/acts/perform';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { sameValue } from '@core/kernel/sameValue';
import { withReferences, writeOrder } from '@core/model/derive/references';
import { withWhatStayedBehind } from '@core/model/derive/travel';
import { type ChangedTable, entityOf, isHouseTable, type TableName, tableNames } from '@core/model/entities';
import type { ProjectRows } from '@core/model/rows';
import { recordAct } from '../persistence/acts';
import { lockProject, raiseRevision } from '../persistence/projects';
import { removedRowsOf } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';
import { projectRows } from '../persistence/snapshots';
import { takenIds } from '../persistence/sql/pointers';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';
import { type ImportAnswer, importKind } from './importProject';
import { joinHouse } from './joinHouse';
import { placementConflicts } from './placementConflicts';
import { overLimits, tablesGrown } from './withinLimits';
import { writeChanges } from './writeChanges';

/** A file's rows under the ids that they have here, without what the house has already; new ids where one is somebody else's. */
async function underIdsOfHere(
  transaction: Transaction,
  file: ProjectFile,
  rows: ProjectRows,
  joined: ReadonlyMap<string, string>,
  environment: Environment,
): Promise<Record<string, AnyRow[]>> {
  const ids = new Map(joined);
  const tables = Object.fromEntries(
    tableNames.map((table) => [table, (file[table] as readonly AnyRow[]).filter((row) => !joined.has(row.id))]),
  );
  const newIds: string[] = [];
  for (const table of tableNames)
    for (const row of tables[table] ?? []) if (!ids.has(row.id) && !rowIn(rows, table, row.id)) newIds.push(row.id);
  const taken = await takenIds(transaction, newIds);
  // A row that this project had once comes back as itself; any other taken id is that of another project or table.
  for (const table of tableNames) {
    const asked = (tables[table] ?? []).filter((row) => taken.has(row.id)).map((row) => row.id);
    for (const row of await removedRowsOf(transaction, table, asked, rows.project.id)) taken.delete(row.id);
  }
  for (const id of taken) ids.set(id, environment.newId());
  const renamed = (table: ChangedTable, row: AnyRow): AnyRow => ({
    ...withReferences(table, row, ({ id }) => ids.get(id) ?? id),
    id: ids.get(row.id) ?? row.id,
  });
  return Object.fromEntries(
    tableNames.map((table) => [table, (tables[table] ?? []).map((row) => renamed(table, row))]),
  );
}

/** What the file says of a row, with what only this studio knows: its pictures, and what was really done and taken. */
function withWhatIsKnown(table: ChangedTable, wanted: AnyRow, present: AnyRow | null): AnyRow {
  const row = present ? withWhatStayedBehind(table, wanted, present) : wanted;
  // What was done and taken off the shelf stands in records of the house, which no file changes.
  return table === 'recipes' ? { ...row, doneOn: present?.doneOn ?? null, uses: present?.uses ?? [] } : row;
}

/** Whether rows of a table are in no file: what this project has of them stays. */
const stays = (table: TableName): boolean => !isHouseTable(table) && entityOf(table).travels === 'never';

/** What brings a project to what a file says of it. */
async function changesFor(
  transaction: Transaction,
  wanted: Record<string, AnyRow[]>,
  file: ProjectFile,
  rows: ProjectRows,
): Promise<RowChange[]> {
  const changes: RowChange[] = [];
  const edit = (table: ChangedTable, before: AnyRow, after: AnyRow) => {
    const values = Object.fromEntries(
      Object.entries(after).filter(
        ([field, value]) => field !== 'id' && field !== 'version' && !sameValue(before[field], value),
      ),
    );
    if (Object.keys(values).length > 0) changes.push({ table, op: 'update', id: before.id, values });
  };
  const present = rows.project as AnyRow;
  edit('project', present, withWhatIsKnown('project', file.project as AnyRow, present));
  const order = writeOrder().filter((table): table is TableName => table !== 'project');
  // What goes goes first, from what points to what is pointed to.
  const paid = new Set(rows.ledger.map((line) => line.subject.id));
  for (const table of [...order].reverse()) {
    if (isHouseTable(table) || entityOf(table).record || stays(table)) continue;
    const kept = new Set((wanted[table] ?? []).map((row) => row.id));
    for (const row of rowsOf(rows, table))
      if (!kept.has(row.id) && !paid.has(row.id) && !paid.has(String(row.pieceId)))
        changes.push({ table, op: 'remove', id: row.id });
  }
  for (const table of order) {
    if (stays(table)) continue;
    const list = wanted[table] ?? [];
    const removed = new Map(
      (
        await removedRowsOf(
          transaction,
          table,
          list.filter((row) => !rowIn(rows, table, row.id)).map((row) => row.id),
          rows.project.id,
        )
      ).map((row) => [row.id, row]),
    );
    for (const row of list) {
      const here = rowIn(rows, table, row.id);
      const gone = removed.get(row.id);
      const known = withWhatIsKnown(table, row, here ?? gone ?? null);
      if (here) {
        // The ledger is a record, and the house belongs to all projects: a file adds to them and changes nothing there.
        if (!entityOf(table).record && !isHouseTable(table)) edit(table, here, known);
      } else if (gone) {
        changes.push({ table, op: 'restore', row: { ...gone, version: gone.version + 1 } });
        if (!isHouseTable(table)) edit(table, gone, known);
      } else changes.push({ table, op: 'insert', row: { ...known, version: 1 } });
    }
  }
  return changes;
}

/**
 * Brings a project to what a file of the same studio says of it, as one act that can be taken back. Rows of the project
 * change, come and go; those of the house are only added; what was paid, done and photographed stays as it is.
 */
export async function updateFrom(
  transaction: Transaction,
  file: ProjectFile,
  environment: Environment,
): Promise<ImportAnswer> {
  const { studioId } = transaction.scope;
  const projectId = file.project.id;
  const joined = await joinHouse(transaction, file, file.studioId === studioId);
  const rows =
    file.studioId === studioId && (await lockProject(transaction, projectId))
      ? await projectRows(transaction, projectId, { alsoIds: [...joined.values()] })
      : null;
  if (!rows)
    throw new Refusal(
      refused('notFound', {
        fields: [
          {
            field: 'project.id',
            value: projectId,
            accepted: 'a project of this studio; import it as a copy instead',
          },
        ],
      }),
    );
  const wanted = await underIdsOfHere(transaction, file, rows, joined, environment);
  const outcome = judge(rows, await changesFor(transaction, wanted, file, rows));
  if (!outcome.ok) throw new Refusal(refused('command.refused', { fields: outcome.problems }));
  const answer = { projectId, name: outcome.after.project.name, mode: 'update' as const };
  if (outcome.changes.length === 0) return { status: 200, body: { ...answer, actId: null } };
  const actId = environment.newId();
  const kept = await writeChanges(transaction, rows, outcome.changes, projectId, actId);
  await recordAct(transaction, { id: actId, kind: importKind('update'), projectId, changes: kept });
  const over = await overLimits(transaction, tablesGrown(kept), projectId);
  const fields = [...over, ...(await placementConflicts(transaction, outcome.after, kept))];
  if (fields.length > 0) throw new Refusal(refused('command.refused', { fields }));
  await raiseRevision(transaction, projectId, new Set(kept.map((change) => change.table)));
  return { status: 200, body: { ...answer, actId } };
}
