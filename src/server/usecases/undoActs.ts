import type { ActInTheWay, RowConflict } from '@contract/answers';
import { mayDo } from '@contract/permissions';
import type { PayloadOf } from '@core/acts';
import { acts } from '@core/acts';
import { type AnyRow, rowIn, rowsOf, type Workspace } from '@core/acts/changes';
import { type Obstacle, type Undoing, undoChanges } from '@core/acts/undoChanges';
import type { ChangedTable } from '@core/model/rows';
import { actsSince, readActs, type StoredAct } from '../persistence/acts';
import { removedRowsOf } from '../persistence/rowStore';
import type { Transaction } from '../persistence/scope';
import { Refusal, refused } from './answer';
import type { Environment } from './environment';

/** How often what stands in the way is looked for behind what stands in the way. */
const MOST_ROUNDS = 200;

/** The acts that a command takes back, latest first; refuses what is not there, is taken back already or too old. */
export async function actsToUndo(
  transaction: Transaction,
  payload: PayloadOf<'undo'>,
  projectId: string | null,
): Promise<StoredAct[]> {
  const ids = [...new Set([payload.actId, ...(payload.also ?? [])])];
  const found = await readActs(transaction, ids);
  if (found.length < ids.length || found.some((act) => act.projectId !== projectId))
    throw new Refusal(refused('notFound'));
  const { role, device } = transaction.scope;
  // Who may not do something does not take it back for others either.
  if (role === 'helper' && found.some((act) => !mayDo(role, act.kind) || act.device !== device))
    throw new Refusal(refused('forbidden'));
  const refuse = (act: StoredAct, accepted: string) =>
    new Refusal(refused('command.refused', { fields: [{ field: 'actId', value: act.id, accepted }] }));
  for (const act of found) {
    if (act.undone) throw refuse(act, 'an act that is not taken back yet');
    if (!act.present) throw refuse(act, 'an act of this version of Euporia; what is older stays as it is');
  }
  return found;
}

/** Ids for lines that reverse others, where the device sent too few. */
const spareIds = (environment: Environment) => Array.from({ length: 2000 }, () => environment.newId());

/** Ids of rows of the house that some acts touched: they are brought along, whatever else is loaded. */
export const touchedIds = (found: readonly StoredAct[]): string[] => [
  ...new Set(found.flatMap((act) => act.changes.map((change) => change.id))),
];

/** What acts change when they are taken back, or a refusal that says which later acts stand in the way. */
export async function decideUndo<W extends Workspace>(
  transaction: Transaction,
  rows: W,
  found: readonly StoredAct[],
  payload: PayloadOf<'undo'>,
  environment: Environment,
): Promise<Extract<Undoing<W>, { ok: true }>> {
  const reversalIds = [...payload.reversalIds, ...spareIds(environment)];
  const first = await simulate(transaction, rows, found, reversalIds, environment);
  if (first.ok) return first;
  if (first.obstacles.length === 0) throw new Refusal(refused('command.refused', { fields: first.problems }));
  throw await builtOn(transaction, rows, found, first.obstacles, first.problems, environment);
}

async function simulate<W extends Workspace>(
  transaction: Transaction,
  rows: W,
  found: readonly StoredAct[],
  reversalIds: readonly string[],
  environment: Environment,
): Promise<Undoing<W>> {
  const removed = new Map<ChangedTable, string[]>();
  for (const { changes } of found)
    for (const { table, id, op } of changes)
      if (op === 'remove') removed.set(table, [...(removed.get(table) ?? []), id]);
  const removedRows = new Map<string, AnyRow>();
  for (const [table, ids] of removed)
    for (const row of await removedRowsOf(transaction, table, ids, found[0]?.projectId ?? null))
      removedRows.set(`${table}:${row.id}`, row);
  return undoChanges(rows, found, removedRows, reversalIds, environment.nowMs());
}

/** The refusal of an act that others have built on: it names those that would have to be taken back with it. */
async function builtOn(
  transaction: Transaction,
  rows: Workspace,
  found: readonly StoredAct[],
  obstacles: readonly Obstacle[],
  problems: readonly { field: string; value: unknown; accepted: string }[],
  environment: Environment,
): Promise<Refusal> {
  const oldest = found.at(-1);
  const all = new Map(found.map((act) => [act.id, act]));
  const spare = spareIds(environment);
  let standing = obstacles;
  let solved = false;
  for (let round = 0; oldest && round < MOST_ROUNDS && !solved; round += 1) {
    const later = (await actsSince(transaction, oldest.id, standing)).filter(
      (act) => act.present && act.projectId === oldest.projectId,
    );
    const fresh = later.filter((act) => !all.has(act.id));
    if (fresh.length === 0) break;
    for (const act of fresh) all.set(act.id, act);
    const wanted = [...all.values()].sort((a, b) => b.atMs - a.atMs);
    const next = await simulate(transaction, rows, wanted, spare, environment);
    solved = next.ok;
    if (!next.ok) standing = next.obstacles;
  }
  const named = new Set(found.map((act) => act.id));
  const inTheWay = solved
    ? [...all.values()]
        .filter((act) => !named.has(act.id))
        .sort((a, b) => b.atMs - a.atMs)
        .map(
          (act): ActInTheWay => ({
            actId: act.id,
            title: acts.find(act.kind)?.act.title ?? 'Something brought in from a file',
            atMs: act.atMs,
            ownDevice: act.device === transaction.scope.device,
          }),
        )
    : [];
  return new Refusal(
    refused('undo.builtOn', {
      acts: inTheWay,
      conflicts: conflictsAt(rows, found, obstacles),
      fields:
        problems.length > 0
          ? [...problems]
          : standing.slice(0, 20).map(({ table, id }) => ({
              field: table,
              value: nameIn(rows, table, id),
              accepted: 'as the act left it',
            })),
    }),
  );
}

/** Both versions of the rows that were changed since the acts. */
function conflictsAt(rows: Workspace, found: readonly StoredAct[], obstacles: readonly Obstacle[]): RowConflict[] {
  const touched = new Map(
    found.flatMap((act) => act.changes.map((change) => [`${change.table}:${change.id}`, change] as const)),
  );
  return obstacles.slice(0, 50).flatMap(({ table, id }): RowConflict[] => {
    const change = touched.get(`${table}:${id}`);
    if (!change) return [];
    return [{ table, id, expected: change.version, theirs: rowIn(rows, table, id), mine: change.before }];
  });
}

function nameIn(rows: Workspace, table: ChangedTable, id: string): string {
  const row = table === 'project' ? null : rowsOf(rows, table).find((entry) => entry.id === id);
  return String(row?.name ?? id);
}
