import type { KeptChange } from '@core/acts/undoChanges';
import type { ChangedTable } from '@core/model/rows';
import { In, IsNull, Not } from 'typeorm';
import { actEntity, type StoredActRow } from './entities';
import type { Transaction } from './scope';

/** The shape of the rows that acts written now speak of; older ones are kept and cannot be taken back. */
const SHAPE = 5;
/** The most acts that are looked through behind one that is to be taken back. */
const MOST_SINCE = 200;

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
    .into(actEntity)
    .values({
      studioId: scope.studioId,
      id: act.id,
      projectId: act.projectId,
      device: scope.device,
      kind: act.kind,
      shape: SHAPE,
      changes: act.changes,
      undoesId: first ?? null,
      alsoUndoes: also,
    })
    .updateEntity(false)
    .execute();
}

/** Acts by their ids, the latest first. */
export async function readActs({ scope, manager }: Transaction, ids: readonly string[]): Promise<StoredAct[]> {
  const { entities, raw } = await manager
    .createQueryBuilder(actEntity, 'a')
    .addSelect((query) => query.select('count(*) > 0').from(actEntity, 'u').where(TAKES_BACK), 'undone')
    .where({ studioId: scope.studioId, id: In(ids) })
    .orderBy({ 'a.createdAt': 'DESC', 'a.id': 'ASC' })
    .getRawAndEntities<{ undone: boolean }>();
  return entities.map((act, n) => storedAct(act, raw[n]?.undone === true));
}

/** Acts since another that touched some rows and were not taken back, nor take others back; the latest first. */
export async function actsSince(
  transaction: Transaction,
  actId: string,
  places: readonly { table: ChangedTable; id: string }[],
): Promise<StoredAct[]> {
  const { scope, manager } = transaction;
  const found = await manager
    .createQueryBuilder(actEntity, 'a')
    .where({ studioId: scope.studioId, id: Not(actId), undoesId: IsNull() })
    .andWhere(
      (query) =>
        `a.createdAt >= ${query.subQuery().select('b.createdAt').from(actEntity, 'b').where('b.studioId = :studioId and b.id = :actId').getQuery()}`,
      { studioId: scope.studioId, actId },
    )
    .andWhere(
      'exists (select 1 from jsonb_array_elements(cast(:touched as jsonb)) place where a.changes @> place.value)',
      {
        touched: JSON.stringify(places.map(({ table, id }) => [{ table, id }])),
      },
    )
    .andWhere((query) => `not exists ${query.subQuery().select('1').from(actEntity, 'u').where(TAKES_BACK).getQuery()}`)
    .orderBy({ 'a.createdAt': 'DESC', 'a.id': 'ASC' })
    .limit(MOST_SINCE)
    .getMany();
  return found.map((act) => storedAct(act, false));
}

/** Whether an act "u" takes the act "a" back, by itself or beside another. */
const TAKES_BACK = 'u.studioId = a.studioId and (u.undoesId = a.id or jsonb_exists(u.alsoUndoes, cast(a.id as text)))';

const storedAct = (act: StoredActRow, undone: boolean): StoredAct => ({
  id: act.id,
  kind: act.kind,
  projectId: act.projectId,
  device: act.device,
  changes: act.changes as readonly KeptChange[],
  atMs: act.createdAt.getTime(),
  present: act.shape === SHAPE,
  undone,
});

/** On which device the last act of a project was done, with whose it is; null where nothing was done yet. */
export async function lastDeviceOf({ scope, manager }: Transaction, projectId: string): Promise<string | null> {
  const last = await manager.findOne(actEntity, {
    select: { studioId: true, id: true, device: true },
    where: { studioId: scope.studioId, projectId },
    order: { createdAt: 'desc' },
  });
  return last?.device ?? null;
}
