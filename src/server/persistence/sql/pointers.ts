import type { ChangedTable } from '@core/model/entities';
import type { Transaction } from '../scope';
import { pointersInto, tableSpecs } from '../tables';
import { statement } from './statement';

/*
 * Questions to all tables at once. By hand, since one statement answers for two dozen tables, and since ids also stand
 * inside parameter shapes, where no relation of an entity reaches.
 */

const TAKEN_SQL = tableSpecs
  .map((spec) => `select id from "${spec.name}" where studio_id = $1 and id = any($2)`)
  .join(' union ');

/** Those of some ids that any row of the studio has already, removed ones included. */
export async function takenIds(transaction: Transaction, ids: readonly string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set();
  const found = await statement<{ id: string }>(transaction, TAKEN_SQL, [transaction.scope.studioId, ids]);
  return new Set(found.map((row) => row.id));
}

/** Those of some rows of a table that a live row of any project, or of the house, still points to. */
export async function stillPointedTo(
  transaction: Transaction,
  table: ChangedTable,
  ids: readonly string[],
): Promise<string[]> {
  const ways = pointersInto(table).map(({ spec, column, nested }) => {
    const points = nested ? `position(c.id::text in x."${column}"::text) > 0` : `x."${column}" = c.id`;
    return `exists (select 1 from "${spec.name}" x where x.studio_id = $1 and x.deleted_at is null and ${points})`;
  });
  if (ids.length === 0 || ways.length === 0) return [];
  const found = await statement<{ id: string }>(
    transaction,
    `select c.id from unnest($2::uuid[]) c(id) where ${ways.join(' or ')}`,
    [transaction.scope.studioId, ids],
  );
  return found.map((row) => row.id);
}
