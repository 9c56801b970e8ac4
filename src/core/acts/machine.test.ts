import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../fixtures/following';
import { project } from '../fixtures/projectRows';
import { throwAct, thrownKinds } from '../fixtures/randomActs';
import { emptyProject } from '../model/emptyRows';
import { tableNames } from '../model/entities';
import type { ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { type ActKind, acts } from '.';
import { type AnyRow, idOf, type RowChange, rowIn, rowsOf } from './changes';
import { actsForGood } from './forGood';
import { breachesOf } from './invariants';
import { perform } from './perform';
import { after } from './rowsAfter';
import { bookedIds, type KeptAct, type KeptChange, undoChanges } from './undoChanges';

const START = emptyProject(project({ id: uuid(1) }));
const numbers = () => fc.array(fc.nat(9999), { minLength: 6, maxLength: 12 });
/** A row of throws; long ones nearly always. */
const throws = () => fc.array(numbers(), { minLength: 1, maxLength: 80, size: 'max' });

/** An act as the server keeps it. */
function kept(before: ProjectRows, changes: readonly RowChange[], id: string): KeptAct {
  let at = before as ProjectRows;
  const done = changes.map((change): KeptChange => {
    const was = rowIn(at, change.table, idOf(change));
    at = apply(at, [change]);
    const now = change.op === 'remove' ? null : rowIn(at, change.table, idOf(change));
    return {
      table: change.table,
      id: idOf(change),
      op: change.op,
      before: was,
      after: now,
      version: (now ?? was)?.version ?? 1,
    };
  });
  return { id, changes: done };
}
const apply = (rows: ProjectRows, changes: readonly RowChange[]) => after(rows, changes);

/** Everything that is said, but for the books and what only they still name. */
const contents = (rows: ProjectRows, booked: ReadonlySet<string>) =>
  Object.fromEntries(
    tableNames
      .filter((table) => table !== 'ledger')
      .map((table) => [
        table,
        rowsOf(rows, table)
          .filter((row) => !booked.has(row.id))
          .map((row) => ({ ...row, version: 0 }))
          .sort((a, b) => (a.id < b.id ? -1 : 1)),
      ]),
  );

/**
 * Performs what the dice say, one after the other; what is refused changes nothing.
 * @param without acts that are not thrown here
 */
function play(throws: readonly (readonly number[])[], without: (kind: ActKind) => boolean = () => false) {
  let made = 100;
  const newId = () => {
    made += 1;
    return uuid(made);
  };
  let rows = START;
  const acts: { act: KeptAct; before: ProjectRows; kind: string }[] = [];
  const refused: string[] = [];
  for (const dice of throws) {
    const thrown = throwAct(rows, dice, newId, [uuid(1), uuid(2), uuid(101)]);
    if (!thrown || without(thrown.kind)) continue;
    const before = rows;
    const outcome = perform(rows, thrown.kind, thrown.payload);
    if (!outcome.ok) {
      refused.push(thrown.kind);
      // A refusal is said in words: a field and what would be accepted.
      for (const problem of outcome.problems) expect(problem.accepted.length).toBeGreaterThan(3);
      continue;
    }
    rows = outcome.after;
    acts.push({ act: kept(before, outcome.changes, newId()), before, kind: thrown.kind });
  }
  return { rows, acts, refused, newId };
}

/** Breaches that an act can bring about: a piece that broke while it was promised is a fact, not an act. */
const broken = (rows: ProjectRows) => breachesOf(rows).filter((breach) => breach.weightIn === undefined);

/** Acts whose outcome stays: they are not taken back, nor what they were made of. */
const staysForGood = (kind: ActKind) => actsForGood.has(kind);

describe('any acts, one after the other', () => {
  it('leave a workspace that holds together and can be planned', () => {
    fc.assert(
      fc.property(throws(), (thrown) => {
        const { rows } = play(thrown);
        expect(broken(rows)).toEqual([]);
        const { money } = computePlan(rows, 0).purse;
        expect(money.budget).toBe(
          money.spent + money.promised + money.planned.likely + money.keptBack.likely + money.free.likely,
        );
      }),
      { numRuns: 40, seed: 11 },
    );
  });

  it('are taken back one by one to where they began, and the ledger comes to nothing', () => {
    fc.assert(
      fc.property(throws(), (thrown) => {
        const { rows, acts, newId } = play(thrown, staysForGood);
        let present = rows;
        for (const { act, before } of [...acts].reverse()) {
          const removed = new Map<string, AnyRow>(
            act.changes.flatMap(({ table, id, op, before: was }) =>
              op === 'remove' && was ? [[`${table}:${id}`, { ...was, version: was.version + 1 }] as const] : [],
            ),
          );
          const undone = undoChanges(present, [act], removed, Array.from({ length: 9 }, newId), 1);
          if (!undone.ok) throw new Error(JSON.stringify([act, undone]));
          present = undone.after;
          const booked = bookedIds(present);
          expect(contents(present, booked)).toEqual(contents(before, booked));
        }
        expect(computePlan(present, 0).purse.money).toMatchObject({ spent: 0, promised: 0 });
        expect(broken(present)).toEqual([]);
      }),
      { numRuns: 25, seed: 12 },
    );
  });

  it('taken back out of order either hold together, or are refused with what stands in the way', () => {
    let refusals = 0;
    let undone = 0;
    fc.assert(
      fc.property(throws(), fc.nat(999), (thrown, which) => {
        const { rows, acts, newId } = play(thrown);
        const picked = acts[which % Math.max(1, acts.length)];
        if (!picked) return;
        const removed = new Map<string, AnyRow>(
          picked.act.changes.flatMap(({ table, id, op, before: was }) =>
            op === 'remove' && was && !rowIn(rows, table, id)
              ? [[`${table}:${id}`, { ...was, version: was.version + 1 }] as const]
              : [],
          ),
        );
        const result = undoChanges(rows, [picked.act], removed, Array.from({ length: 9 }, newId), 1);
        if (result.ok) {
          undone += 1;
          expect(broken(result.after).length).toBeLessThanOrEqual(broken(rows).length);
        } else {
          refusals += 1;
          expect(result.obstacles.length + result.problems.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 120, seed: 13 },
    );
    // Both happen, so neither half of the test is idle.
    expect(Math.min(refusals, undone)).toBeGreaterThan(5);
  });
});

describe('acts for good', () => {
  it('are refused to be taken back, whatever else was done, and say why', () => {
    let met = 0;
    fc.assert(
      fc.property(throws(), (thrown) => {
        const { rows, acts: done, newId } = play(thrown);
        for (const { act } of done.filter((one) => staysForGood(one.kind as ActKind))) {
          met += 1;
          const undone = undoChanges(rows, [act], new Map(), [newId()], 1);
          expect(undone).toMatchObject({ ok: false, problems: [{ field: 'bill' }] });
        }
      }),
      { numRuns: 120, seed: 14 },
    );
    expect(met).toBeGreaterThan(5);
    for (const kind of actsForGood) expect(acts.ids).toContain(kind);
  });
});

describe('the acts that are thrown', () => {
  it('are all but these: a new act is thrown too, or named here', () => {
    const others = acts.ids.filter((kind) => !thrownKinds.has(kind as ActKind));
    expect(others.sort()).toEqual(
      [
        // Begin and end a project, or take an act back: the machines do these themselves.
        ...['createProject', 'removeProject', 'undo'],
        // A picture needs its bytes first, which come by another road: the server's tests send both.
        ...['addPhoto', 'removePhoto', 'pairPhotos'],
      ].sort(),
    );
  });
});
