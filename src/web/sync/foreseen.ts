import { idOf, rowIn, type Workspace } from '@core/acts/changes';
import { perform } from '@core/acts/perform';
import { type OutboxEntry, withPieces } from './rowsAfter';

/** The rows a decision would change, with the versions their author sees, and the ids of those that it makes. */
export function foreseen(
  rows: Workspace,
  kind: string,
  payload: unknown,
): { expect: Record<string, number>; makes: string[] } {
  const expect: Record<string, number> = {};
  const makes: string[] = [];
  if (kind === 'createProject') return { expect, makes };
  const outcome = perform(rows, kind, payload);
  if (!outcome.ok) return { expect, makes };
  for (const change of outcome.changes) {
    if (change.op === 'insert') {
      makes.push(change.row.id);
      continue;
    }
    const before = rowIn(rows, change.table, idOf(change));
    if (before) expect[`${change.table}:${before.id}`] = before.version;
  }
  return { expect, makes };
}

/** The rows a decision would change, with the versions their author sees. */
export const expectedVersions = (rows: Workspace, kind: string, payload: unknown): Record<string, number> =>
  foreseen(rows, kind, payload).expect;

/** Rows with every waiting command applied; what is refused or in conflict is shown beside the rows, not in them. */
export function withWaiting<W extends Workspace>(rows: W, entries: readonly OutboxEntry[]): W {
  let result = rows;
  for (const { command, state, along } of entries) {
    if (state !== 'waiting') continue;
    const outcome = perform(withPieces(result, along), command.kind, command.payload);
    if (outcome.ok) result = outcome.after;
  }
  return result;
}
