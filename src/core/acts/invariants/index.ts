import { createRegistry } from '../../kernel/registry';
import { type ChangedTable, entityOf, isTable } from '../../model/entities';
import type { Problem } from '../act';
import { type AnyRow, rowIn, type Workspace } from '../changes';
import type { Breach } from './invariant';
import { ledgerHolds } from './ledgerHolds';
import { looksHold } from './looksHold';
import { oneOfAKind } from './oneOfAKind';
import { pieceCapacity } from './pieceCapacity';
import { nameOf, references } from './references';
import { shelfHolds } from './shelfHolds';
import { slotCapacity } from './slotCapacity';

export type { Breach } from './invariant';

/** What holds after every act, undo and import. */
export const invariants = createRegistry('invariants', [
  references,
  oneOfAKind,
  slotCapacity,
  pieceCapacity,
  ledgerHolds,
  shelfHolds,
  looksHold,
]);

const known = new WeakMap<Workspace, readonly Breach[]>();

/** Every breach in a workspace; remembered by the workspace's identity. */
export function breachesOf(rows: Workspace): readonly Breach[] {
  const before = known.get(rows);
  if (before) return before;
  const found = invariants.all.flatMap((invariant) => invariant.breaches(rows));
  known.set(rows, found);
  return found;
}

/**
 * Breaches that an act adds or makes worse. What was broken before, for instance by an older file, does not stand in the
 * way of other work.
 */
export function newBreaches(before: Workspace, after: Workspace): Breach[] {
  // Places are compared by row and path, since the words for them may change with the act.
  const key = ({ table, id, path, target }: Breach) => `${table} ${id} ${path.join('.')} ${target?.id ?? ''}`;
  const weights = new Map<string, number>();
  for (const breach of breachesOf(before)) weights.set(key(breach), (weights.get(key(breach)) ?? 0) + breach.weight);
  return breachesOf(after)
    .filter((breach) => breach.weight > (breach.weightIn?.(before) ?? weights.get(key(breach)) ?? 0))
    .map((breach) => aboutTheRemoval(before, breach));
}

/** When an act removes a row that others still refer to, the message is about removing it, not about the reference. */
function aboutTheRemoval(before: Workspace, breach: Breach): Breach {
  const { target } = breach;
  if (!target || !isTable(target.table)) return breach;
  const gone = rowIn(before, target.table, target.id);
  return gone ? { ...breach, ...stillNeeded(target.table, gone) } : breach;
}

/** The refusal of a removal because something still refers to the row. */
export function stillNeeded(table: ChangedTable, row: AnyRow): Problem {
  const { name, keptWhile } = entityOf(table);
  const called = nameOf(row) === row.id ? '' : ` (this is “${nameOf(row)}”)`;
  return {
    field: name.replace(/_([a-z])/g, (_, letter: string) => letter.toUpperCase()),
    value: row.id,
    accepted: `${keptWhile}${called}`,
  };
}

/** Breaches as refused fields. */
export const problemsOf = (breaches: readonly Breach[]): Problem[] =>
  breaches.slice(0, 20).map(({ field, value, accepted }) => ({ field, value, accepted }));
