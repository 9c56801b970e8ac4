import type { KeptChange } from '@core/acts/undoChanges';
import type { ChangedTable } from '@core/model/rows';
import type { Transaction } from './scope';

/** The shape of the rows that acts written now speak of; older ones are kept and cannot be taken back. */
const SHAPE = 2;

export interface Act {
  id: string;
  kind: string;
  projectId: string | null;
  changes: readonly KeptChange[];
}

export interface StoredAct extends Act {
  device: string;
  atMs: number;
  /** Whether its rows are of the shape that is kept now. */
  present: boolean;
  /** Whether it was taken back already. */
  undone: boolean;
}

/** Writes an act; it is never changed afterwards. `undoes` are the acts that it takes back. */
export async function recordAct(
  { scope, manager }: Transaction,
  act: Act,
  undoes: readonly string[] = [],
): Promise<void> {
  const [first, ...also] = undoes;
  await manager
    .createQueryBuilder()
    .insert()
    .into('act')
    .values({
      studio_id: scope.studioId,
      id: act.id,
      project_id: act.projectId,
      device: scope.device,
      kind: act.kind,
      shape: SHAPE,
      changes: act.changes,
      undoes_id: first ?? null,
      also_undoes: also,
    })
    .execute();
}

const ACT_SQL = `select a.id, a.kind, a.project_id as "projectId", a.device, a.changes, a.shape = ${SHAPE} as present,
    (extract(epoch from a.created_at) * 1000)::float8 as "atMs",
    exists (select 1 from "act" u where u.studio_id = a.studio_id and (u.undoes_id = a.id or u.also_undoes @> jsonb_build_array(a.id::text))) as undone
  from "act" a`;

/** Acts by their ids, the latest first. */
export function readActs({ scope, manager }: Transaction, ids: readonly string[]): Promise<StoredAct[]> {
  return manager.query(`${ACT_SQL} where a.studio_id = $1 and a.id = any($2) order by a.created_at desc, a.id`, [
    scope.studioId,
    ids,
  ]);
}

/** Acts since another that touched some rows and were not taken back, nor take others back; the latest first. */
export function actsSince(
  { scope, manager }: Transaction,
  actId: string,
  places: readonly { table: ChangedTable; id: string }[],
): Promise<StoredAct[]> {
  const touched = JSON.stringify(places.map(({ table, id }) => [{ table, id }]));
  return manager.query(
    `select * from (${ACT_SQL}
       where a.studio_id = $1 and a.id <> $2 and a.undoes_id is null
         and a.created_at >= (select b.created_at from "act" b where b.studio_id = $1 and b.id = $2)
         and exists (select 1 from jsonb_array_elements($3::jsonb) place where a.changes @> place.value)
     ) found where not found.undone order by "atMs" desc, id limit 200`,
    [scope.studioId, actId, touched],
  );
}
