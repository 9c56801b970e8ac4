import { partsTogether } from '../cutting/part';
import type { PlannedFill } from './model/planModel';
import { type Draw, type Drawn, drawnBy, drawnTogether, nothingDrawn, type Total, totalDrawn } from './model/pools';

/** What a pool is drawn on, slot by slot. */
interface PoolTotal {
  draw: Draw;
  bySlot: Map<string, Drawn>;
  total: Drawn;
  /** The slot that draws most at once and what the others draw at most; known once asked for. */
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

  private add(draw: Draw, slotId: string, drawn: Drawn): void {
    const known = this.totals.get(draw.poolId);
    if (!known) {
      this.totals.set(draw.poolId, { draw, bySlot: new Map([[slotId, drawn]]), total: drawn, most: null });
      return;
    }
    known.bySlot.set(slotId, drawnTogether(known.bySlot.get(slotId) ?? nothingDrawn, drawn));
    known.total = drawnTogether(known.total, drawn);
  }

  /** The pools that anything is drawn from, with the total. */
  *all(): Generator<{ draw: Draw; total: Total }> {
    for (const { draw, total } of this.totals.values()) yield { draw, total: totalDrawn(total) };
  }

  /** Total drawn from a pool. */
  of(poolId: string): Total {
    return totalDrawn(this.totals.get(poolId)?.total ?? nothingDrawn);
  }

  /** What all slots but one draw from a pool. */
  without(slotId: string, { poolId }: Pick<Draw, 'poolId'>): Drawn {
    const known = this.totals.get(poolId);
    if (!known) return nothingDrawn;
    const own = known.bySlot.get(slotId);
    if (own === undefined) return known.total;
    known.most ??= mostOf(known.bySlot);
    return {
      amount: known.total.amount - own.amount,
      once: known.most.slotId === slotId ? known.most.others : known.total.once,
      parts: partsTogether(known.total.parts, own.parts, -1),
    };
  }
}

function mostOf(bySlot: ReadonlyMap<string, Drawn>): { slotId: string; others: number } {
  let [slotId, most, others] = ['', -1, 0];
  for (const [slot, { once }] of bySlot) {
    if (once > most) {
      others = Math.max(others, most);
      [slotId, most] = [slot, once];
    } else others = Math.max(others, once);
  }
  return { slotId, others };
}

/** What some fills draw from each pool together, by the pool's id. */
export function drawsOfFills(fills: readonly PlannedFill[]): Map<string, { draw: Draw; drawn: Drawn }> {
  const drawn = new Map<string, { draw: Draw; drawn: Drawn }>();
  for (const { model, count } of fills)
    for (const draw of model.draws) {
      const known = drawn.get(draw.poolId);
      const amount = drawnBy(draw, count);
      if (known) known.drawn = drawnTogether(known.drawn, amount);
      else drawn.set(draw.poolId, { draw, drawn: amount });
    }
  return drawn;
}
