import type { PlannedFill } from './model/planModel';
import { type Draw, drawsCombine, growsWithCount } from './model/pools';

/** What a fill draws, its count in it. */
export function drawnBy(draw: Draw, count: number): number {
  return growsWithCount[draw.kind] ? draw.amount * count : draw.amount;
}

/** Two draws on one pool together. */
export function combine(kind: Draw['kind'], a: number, b: number): number {
  return drawsCombine[kind] === 'sum' ? a + b : Math.max(a, b);
}

/** What a pool is drawn on, slot by slot. */
interface PoolTotal {
  draw: Draw;
  bySlot: Map<string, number>;
  total: number;
  /** The slot that draws most and what the others draw at most; known once asked for. */
  most: { slotId: string; others: number } | null;
}

/**
 * What a set of fills draws from each pool, all together and without one slot. Draws are whole numbers, so a total less
 * one slot's part is exactly the rest.
 */
export class DrawTotals {
  private readonly totals = new Map<string, PoolTotal>();

  constructor(fills: readonly PlannedFill[]) {
    for (const { model, count } of fills)
      for (const draw of model.draws) this.add(draw, model.slot.id, drawnBy(draw, count));
  }

  private add(draw: Draw, slotId: string, drawn: number): void {
    const known = this.totals.get(draw.poolId);
    if (!known) {
      this.totals.set(draw.poolId, { draw, bySlot: new Map([[slotId, drawn]]), total: drawn, most: null });
      return;
    }
    known.bySlot.set(slotId, combine(draw.kind, known.bySlot.get(slotId) ?? 0, drawn));
    known.total = combine(draw.kind, known.total, drawn);
  }

  /** The pools that anything is drawn from, with the total. */
  *all(): Generator<{ draw: Draw; total: number }> {
    yield* this.totals.values();
  }

  /** Total drawn from a pool. */
  of(poolId: string): number {
    return this.totals.get(poolId)?.total ?? 0;
  }

  /** What all slots but one draw from a pool. */
  without(slotId: string, draw: Pick<Draw, 'poolId' | 'kind'>): number {
    const known = this.totals.get(draw.poolId);
    if (!known) return 0;
    const own = known.bySlot.get(slotId);
    if (own === undefined) return known.total;
    if (drawsCombine[draw.kind] === 'sum') return known.total - own;
    known.most ??= mostOf(known.bySlot);
    return known.most.slotId === slotId ? known.most.others : known.total;
  }
}

function mostOf(bySlot: ReadonlyMap<string, number>): { slotId: string; others: number } {
  let [slotId, most, others] = ['', -1, 0];
  for (const [slot, drawn] of bySlot) {
    if (drawn > most) {
      others = Math.max(others, most);
      [slotId, most] = [slot, drawn];
    } else others = Math.max(others, drawn);
  }
  return { slotId, others };
}

/** What some fills draw from each pool together, by the pool's id. */
export function drawsOfFills(fills: readonly PlannedFill[]): Map<string, { draw: Draw; drawn: number }> {
  const drawn = new Map<string, { draw: Draw; drawn: number }>();
  for (const { model, count } of fills)
    for (const draw of model.draws) {
      const known = drawn.get(draw.poolId);
      const amount = drawnBy(draw, count);
      if (known) known.drawn = combine(draw.kind, known.drawn, amount);
      else drawn.set(draw.poolId, { draw, drawn: amount });
    }
  return drawn;
}
