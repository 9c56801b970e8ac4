import type { AnyRow } from '@core/acts/changes';
import type { ChangedTable } from '@core/model/entities';
import type { Transaction } from '../scope';
import { physicalColumns, postgresTypes, specOf, toStored } from '../tables';
import { statement } from './statement';

/*
 * New rows. By hand, since a file brings ten thousand of them: a few hundred go in one statement as one value, where a
 * query builder binds each of their forty columns by itself and takes more than twice as long.
 */

/** Rows written with one statement. */
const AT_ONCE = 500;

/** The statement that inserts a list of rows ($3) into a table. $1: studio, $2: act, $4: project, for its own tables. */
function insertSql(table: ChangedTable): string {
  const spec = specOf(table);
  const columns = physicalColumns(spec);
  const names = columns.map(({ column }) => `"${column}"`).join(', ');
  const typed = columns.map(({ property, type }) => `"${property}" ${postgresTypes[type]}`).join(', ');
  const values = columns.map(({ property }) => `"${property}"`).join(', ');
  const owner = spec.owner === 'project' ? { column: ', project_id', value: ', $4::uuid' } : { column: '', value: '' };
  // Rows are listed by when they came: those that come together keep their order by a microsecond each.
  return `insert into "${spec.name}" (studio_id, id, version, act_id, created_at, ${names}${owner.column})
    select $1, id, 1, $2, statement_timestamp() + ordinality * interval '1 microsecond', ${values}${owner.value}
    from rows from (jsonb_to_recordset($3::jsonb) as (id uuid, ${typed})) with ordinality`;
}

/** Inserts rows of one table at version 1, a few hundred at a time. An id that is taken, even by a removed row, throws. */
export async function insertRows(
  transaction: Transaction,
  table: ChangedTable,
  rows: readonly AnyRow[],
  projectId: string | null,
  actId: string,
): Promise<void> {
  const spec = specOf(table);
  const isOfProject = spec.owner === 'project';
  if (isOfProject && projectId === null) throw new Error(`${spec.name} belongs to projects`);
  const sql = insertSql(table);
  for (let at = 0; at < rows.length; at += AT_ONCE) {
    const list = rows.slice(at, at + AT_ONCE).map((row) => ({ id: row.id, ...toStored(spec, row) }));
    const { studioId } = transaction.scope;
    const values = [studioId, actId, JSON.stringify(list), ...(isOfProject ? [projectId] : [])];
    await statement(transaction, sql, values);
  }
}
