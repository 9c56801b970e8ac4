import type { ActKind, PayloadOf } from '@core/acts';
import { rowIn, type Workspace } from '@core/acts/changes';
import { isTable } from '@core/model/entities';
import type { PieceRow } from '@core/model/rows';
import { type Decision, resolved } from './decisions';
import { foreseen } from './foreseen';
import { editedFields } from './laneChanges';
import { type OutboxEntry, withPieces } from './rowsAfter';
import type { SyncEngine } from './syncEngine';

/** Of an edit of one row: the fields that it changes, as its author saw them; null for anything else. */
function fieldsSeen(command: OutboxEntry['command'], rows: Workspace): Record<string, unknown> | null {
  const values = editedFields({ command });
  const [place, more] = Object.keys(command.expect);
  if (!values || place === undefined || more !== undefined) return null;
  const [table = '', id = ''] = place.split(':');
  const row = isTable(table) ? rowIn(rows, table, id) : null;
  return row && Object.fromEntries(Object.keys(values).map((field) => [field, row[field]]));
}

/**
 * Queues an act; `rows` are what its author saw, `along` what of the house it speaks of beyond them, `picture` what goes to
 * the server before it.
 */
export function typeAct<K extends ActKind>(
  engine: SyncEngine,
  scopeId: string,
  kind: K,
  payload: PayloadOf<K>,
  rows: Workspace,
  along: readonly PieceRow[] = [],
  picture: OutboxEntry['picture'] = undefined,
): OutboxEntry {
  const { expect, makes } = foreseen(withPieces(rows, along), kind, payload);
  const command = { key: crypto.randomUUID(), projectId: scopeId, kind, payload, expect };
  const seen = fieldsSeen(command, rows);
  return engine.enqueue({
    command,
    ...(seen ? { seen } : {}),
    ...(along.length > 0 ? { along } : {}),
    ...(makes.length > 0 ? { makes } : {}),
    ...(picture ? { picture } : {}),
  });
}

/** Sends a stuck command again, whole or some fields of it, against the rows as the server has them; or lets it go. */
export function decide(
  engine: SyncEngine,
  scopeId: string,
  key: string,
  decision: Decision,
  rows: Workspace,
): Promise<void> {
  // One key for what the tab sees and for what the device keeps.
  const fresh = crypto.randomUUID();
  return engine.alter(scopeId, (lane) => resolved(lane, key, decision, rows, () => fresh));
}
