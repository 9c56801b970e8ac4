import type { ChangedTable } from '@contract/changes';
import type { StoredRow } from './rowStore';
import type { Transaction } from './scope';

/** What an act did to one row: as it was (null: it was not there) and as it became (null: removed). */
export interface ActChange {
  table: ChangedTable;
  id: string;
  before: StoredRow | null;
  after: StoredRow | null;
  /** Version of the stored row after the act, removed rows included. */
  version: number;
}

export interface Act {
  id: string;
  kind: string;
  projectId: string | null;
  changes: ActChange[];
}

/** Writes an act; it is never changed afterwards. */
export async function recordAct({ scope, manager }: Transaction, act: Act, undoesId: string | null): Promise<void> {
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
      changes: act.changes,
      undoes_id: undoesId,
    })
    .execute();
}

/** An act by its id, with whether it was taken back already. */
export async function readAct(
  { scope, manager }: Transaction,
  id: string,
): Promise<(Act & { undone: boolean }) | null> {
  const found: { id: string; kind: string; project_id: string | null; changes: ActChange[]; undone: boolean }[] =
    await manager.query(
      'select a.id, a.kind, a.project_id, a.changes, exists (select 1 from "act" u where u.studio_id = a.studio_id and u.undoes_id = a.id) as undone from "act" a where a.studio_id = $1 and a.id = $2',
      [scope.studioId, id],
    );
  const act = found[0];
  return act
    ? { id: act.id, kind: act.kind, projectId: act.project_id, changes: act.changes, undone: act.undone }
    : null;
}
