import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { balanceRows } from '../../core/fixtures/balanceRows';
import { fill } from '../../core/fixtures/projectRows';
import { computePlan } from '../../core/plan/computePlan';
import { Planner, type PlanOf } from './planner';

const AS_OF = Date.UTC(2026, 10, 30, 12);
const made = balanceRows(3, { slots: 4, ways: 3, supplies: 6, orders: 1 });
/** The first way of each slot is chosen. */
const rows = {
  ...made,
  fills: made.slots.flatMap(({ id }) => {
    const way = made.options.find(({ slotId, recipeId }) => slotId === id && recipeId !== null);
    return way ? [fill(id, way.id)] : [];
  }),
};

beforeEach(() => {
  vi.useFakeTimers();
  // The page's clock: what it does bit by bit waits for its next turn.
  vi.stubGlobal('window', globalThis);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the planner of an open project', () => {
  it('tells how plans are made once what is chosen was computed, and makes the plan that everybody makes', async () => {
    const ready = vi.fn<(planOf: PlanOf) => void>();
    const planner = new Planner(ready);
    planner.begin(rows);
    expect(ready).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(100);
    expect(ready).toHaveBeenCalledTimes(1);
    const plan = ready.mock.calls[0]?.[0](rows, AS_OF);
    const other = computePlan(rows, AS_OF);
    expect(other.chosen.length).toBeGreaterThan(0);
    expect(plan?.purse).toEqual(other.purse);
    expect(plan?.findings).toEqual(other.findings);
  });

  it('is told once, whichever rows it goes on with', async () => {
    const ready = vi.fn<(planOf: PlanOf) => void>();
    const planner = new Planner(ready);
    const stop = planner.begin(rows);
    stop();
    await vi.advanceTimersByTimeAsync(100);
    expect(ready).not.toHaveBeenCalled();
    planner.begin(rows);
    await vi.advanceTimersByTimeAsync(100);
    planner.begin(rows);
    await vi.advanceTimersByTimeAsync(100);
    expect(ready).toHaveBeenCalledTimes(1);
  });
});
