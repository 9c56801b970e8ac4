import { sameValue } from '../kernel/sameValue';
import { entityOf, isTable } from '../model/entities';
import type { ChangedTable } from '../model/rows';
import type { Problem } from './act';
import { type AnyRow, idOf, isProject, type RowChange, rowIn, rowsOf, type Workspace } from './changes';
import { newBreaches, problemsOf } from './invariants';
import { keptReferences } from './invariants/references';
import { after } from './rowsAfter';

/** What an act did to one row, as it is kept. Of a row that came or went the contents may be left out: they stand in its table. */
export interface KeptChange {
  table: ChangedTable;
  id: string;
  op: RowChange['op'];
  before: AnyRow | null;
  after: AnyRow | null;
  /** Version of the row after the act, removed rows included. */
  version: number;
}

/** An act as it is kept, with what it did. */
export interface KeptAct {
  id: string;
  changes: readonly KeptChange[];
}

/** A row that keeps an act from being taken back: it was changed since, or another row has come to need it. */
export interface Obstacle {
  table: ChangedTable;
  id: string;
}

export type Undoing<W extends Workspace> =
  | { ok: true; changes: RowChange[]; after: W }
  | { ok: false; obstacles: Obstacle[]; problems: Problem[] };

const withoutVersion = (row: AnyRow): unknown => ({ ...row, version: 0 });
const same = (a: AnyRow, b: AnyRow) => sameValue(withoutVersion(a), withoutVersion(b));

/** Rows by table and id, with what is changed on the way; an index for each table that is asked for. */
class RowBook {
  private readonly tables = new Map<ChangedTable, Map<string, AnyRow | null>>();
  private readonly reversals: Map<string, string>;
  private readonly rows: Workspace;
  /** Removed rows: a project that was removed is looked at all the same, and counts as gone. */
  private readonly removed: ReadonlyMap<string, AnyRow>;

  constructor(rows: Workspace, removed: ReadonlyMap<string, AnyRow>) {
    this.rows = rows;
    this.removed = removed;
    this.reversals = new Map(
      rowsOf(rows, 'ledger').flatMap((line) => (line.reversesId === null ? [] : [[String(line.reversesId), line.id]])),
    );
  }

  get(table: ChangedTable, id: string): AnyRow | null {
    return this.table(table).get(id) ?? null;
  }

  set(table: ChangedTable, id: string, row: AnyRow | null): void {
    this.table(table).set(id, row);
    if (table === 'ledger' && typeof row?.reversesId === 'string') this.reversals.set(row.reversesId, id);
  }

  /**
   * The end of the chain of lines that take one another back, beginning with a line: what has to be reversed so that the
   * line counts no more. Where it does not count already, `stands` is false.
   */
  endOfReversals(id: string): { last: string; stands: boolean } {
    const chain = [id];
    // No longer than there are reversals: a circle, which only a broken file could hold, ends there.
    while (chain.length <= this.reversals.size) {
      const next = this.reversals.get(chain.at(-1) ?? id);
      if (next === undefined) break;
      chain.push(next);
    }
    return { last: chain.at(-1) ?? id, stands: chain.length % 2 === 1 };
  }

  private table(table: ChangedTable): Map<string, AnyRow | null> {
    const known = this.tables.get(table);
    if (known) return known;
    const list =
      table === 'project' ? (isProject(this.rows) ? [this.rows.project as AnyRow] : []) : rowsOf(this.rows, table);
    const made = new Map<string, AnyRow | null>(
      list.map((row) => [row.id, this.removed.has(`${table}:${row.id}`) ? null : row]),
    );
    this.tables.set(table, made);
    return made;
  }
}

/** Ids of rows that ledger lines refer to, directly or through other rows. The ledger is for good, so they cannot go. */
export function bookedIds(rows: Workspace): ReadonlySet<string> {
  const booked = new Set<string>();
  const waiting = rowsOf(rows, 'ledger').flatMap((line) => keptReferences('ledger', line));
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (booked.has(next.id) || !isTable(next.table)) continue;
    booked.add(next.id);
    const row = rowIn(rows, next.table, next.id);
    if (row && next.table !== 'project') waiting.push(...keptReferences(next.table, row));
  }
  return booked;
}

/**
 * Takes acts back, the latest first: what they inserted goes, what they removed or changed returns, what they paid is
 * reversed by a line of its own. Refused where a row is no longer as the act left it, or where what is left would not
 * hold together; the rows that stand in the way are named.
 * @param acts the acts to take back, latest first
 * @param removed removed rows by `table:id`, as far as the acts removed them
 * @param reversalIds ids for the lines that reverse payments, in order
 */
export function undoChanges<W extends Workspace>(
  rows: W,
  acts: readonly KeptAct[],
  removed: ReadonlyMap<string, AnyRow>,
  reversalIds: readonly string[],
  atMs: number,
): Undoing<W> {
  const ids = [...reversalIds];
  const changes: RowChange[] = [];
  const obstacles: Obstacle[] = [];
  const book = new RowBook(rows, removed);
  const booked = bookedIds(rows);
  const take = (change: RowChange, row: AnyRow | null) => {
    changes.push(change);
    book.set(change.table, idOf(change), row);
  };
  for (const act of acts)
    for (const done of [...act.changes].reverse()) {
      const { table, id } = done;
      const here = book.get(table, id);
      const gone = removed.get(`${table}:${id}`) ?? null;
      if (table === 'ledger') {
        const { last, stands } = book.endOfReversals(id);
        const reversalId = ids.shift();
        if (!here || !stands) obstacles.push({ table, id: last });
        else if (reversalId === undefined)
          return {
            ok: false,
            obstacles: [],
            problems: [
              { field: 'reversalIds', value: reversalIds.length, accepted: 'an id for each line that is taken back' },
            ],
          };
        else {
          const row = { ...here, id: reversalId, version: 1, atMs, reversesId: last, note: '' };
          take({ table, op: 'insert', row }, row);
        }
        continue;
      }
      // A record stays: what speaks against it is another record.
      if (entityOf(table).record)
        return {
          ok: false,
          obstacles: [],
          problems: [{ field: entityOf(table).noun, value: id, accepted: 'to stay: what is sent is never taken away' }],
        };
      switch (done.op) {
        case 'insert':
        case 'restore':
          if (!here || !(done.after === null ? here.version === done.version : same(here, done.after)))
            obstacles.push({ table, id });
          else if (!booked.has(id)) take({ table, op: 'remove', id }, null);
          else {
            // The ledger refers to it, so the row stays; its values are set to what counts for nothing.
            const values = Object.fromEntries(
              Object.entries(entityOf(table).remains).filter(([field, value]) => !sameValue(here[field], value)),
            );
            if (Object.keys(values).length > 0)
              take({ table, op: 'update', id, values }, { ...here, ...values, version: here.version + 1 });
          }
          break;
        case 'remove':
          if (!here && gone) {
            const row = { ...gone, version: gone.version + 1 };
            take({ table, op: 'restore', row }, row);
          } else obstacles.push({ table, id });
          break;
        case 'update':
          if (here && done.before && done.after && same(here, done.after)) {
            const { id: _id, version: _version, ...values } = done.before;
            take({ table, op: 'update', id, values }, { ...here, ...values, version: here.version + 1 });
          } else obstacles.push({ table, id });
          break;
        default:
          done.op satisfies never;
      }
    }
  if (obstacles.length > 0) return { ok: false, obstacles, problems: [] };
  const present = after(rows, changes);
  const broken = newBreaches(rows, present);
  return broken.length > 0
    ? { ok: false, obstacles: broken.map(({ table, id }) => ({ table, id })), problems: problemsOf(broken) }
    : { ok: true, changes, after: present };
}
