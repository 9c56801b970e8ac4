import type { SlotRow } from '../model/rows';
import type { OptionModel } from '../plan/model/optionModel';
import { costOfFigures } from './ask';
import { type Choice, type ChoiceFigures, drawsOf } from './choice';
import type { BalanceProgram } from './program';
import { Tally } from './tally';

/** An option, and for how many of its slot. */
export interface Filled {
  model: OptionModel;
  count: number;
}

/** A slot that is filled in another way, and what that changes in the whole plan. */
export interface SlotChange {
  slot: SlotRow;
  from: readonly Filled[];
  to: readonly Filled[];
  /** What the plan comes to more, given the changes before it; sums of all changes are the whole difference. */
  difference: ChoiceFigures;
  /** Supplies and tools that nothing draws on any more, and what is now drawn on together with others, by their names. */
  noLonger: readonly string[];
  shared: readonly string[];
}

/** Figures less other figures. */
export const figuresLess = (a: ChoiceFigures, b: ChoiceFigures): ChoiceFigures => ({
  cash: a.cash - b.cash,
  handsMicro: a.handsMicro - b.handsMicro,
  stashMicro: a.stashMicro - b.stashMicro,
  look: a.look - b.look,
});

export const plainFigures = ({ cash, handsMicro, stashMicro, look }: ChoiceFigures): ChoiceFigures => ({
  cash,
  handsMicro,
  stashMicro,
  look,
});

const same = (a: readonly number[] = [], b: readonly number[] = []) => a.every((count, n) => count === b[n]);

const filledBy = (program: BalanceProgram, slot: number, counts: readonly number[]): Filled[] =>
  (program.slots[slot]?.ways ?? []).flatMap(({ model }, w) => {
    const count = counts[w] ?? 0;
    return count > 0 ? [{ model, count }] : [];
  });

/**
 * The changes that lead from one choice to another, the one that helps most first, each with what it adds to those before
 * it: together they are the whole difference.
 */
export function changesBetween(program: BalanceProgram, from: Choice, to: Choice): SlotChange[] {
  const hourValue = program.plan.rows.project.hourValue ?? 0;
  const tally = new Tally(program, from);
  const slotOf = new Map(program.plan.slots.map(({ slot }) => [slot.id, slot]));
  const open = new Set(program.slots.flatMap((_slot, s) => (same(from[s], to[s]) ? [] : [s])));
  const changes: SlotChange[] = [];
  while (open.size > 0) {
    const before = plainFigures(tally);
    let best: { s: number; difference: ChoiceFigures; cost: number } | null = null;
    for (const s of open) {
      tally.set(s, to[s] ?? []);
      const difference = figuresLess(plainFigures(tally), before);
      tally.set(s, from[s] ?? []);
      const cost = costOfFigures(difference, hourValue);
      if (!best || cost < best.cost) best = { s, difference, cost };
    }
    if (!best) break;
    const { s, difference } = best;
    open.delete(s);
    const totals = () => drawsOf(program, tally.counts).map(({ amount, once }) => amount + once);
    const drawnBefore = totals();
    tally.set(s, to[s] ?? []);
    const drawn = totals();
    const named = (places: readonly number[]) => [...new Set(places.flatMap((n) => nameOfPool(program, n) ?? []))];
    const own = new Set(
      (program.slots[s]?.ways ?? []).flatMap((way, w) =>
        (to[s]?.[w] ?? 0) > 0 ? way.draws.map(({ pool }) => pool) : [],
      ),
    );
    const slot = slotOf.get(program.slots[s]?.slotId ?? '');
    if (!slot) continue;
    changes.push({
      slot,
      from: filledBy(program, s, from[s] ?? []),
      to: filledBy(program, s, to[s] ?? []),
      difference,
      noLonger: named(drawnBefore.flatMap((total, n) => (total > 0 && drawn[n] === 0 ? [n] : []))),
      shared: named(
        [...own].filter(
          (n) => (drawnBefore[n] ?? 0) > 0 && program.pools[n]?.pool.kind === 'supply' && !isOwned(program, n),
        ),
      ),
    });
  }
  return changes;
}

/** What a change speaks of by name: what has to be bought once for several. */
function nameOfPool(program: BalanceProgram, n: number): string | null {
  const pool = program.pools[n]?.pool;
  if (!pool) return null;
  if (pool.kind === 'supply') return pool.isAlways ? null : pool.name;
  if (pool.kind === 'tool') return pool.isOwned ? null : pool.name;
  return null;
}

const isOwned = (program: BalanceProgram, n: number): boolean => {
  const pool = program.pools[n]?.pool;
  return pool?.kind === 'supply' && (pool.isAlways || pool.stashMicro >= (program.pools[n]?.most ?? 0));
};
