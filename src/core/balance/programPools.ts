import { type PartBag, partCount } from '../cutting/part';
import { toMicro } from '../kernel/micro';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { drawsOfFills } from '../plan/drawTotals';
import { tripsOfPacks } from '../plan/model/poolCost';
import { type Draw, drawOf, growsWithCount, type Pool } from '../plan/model/pools';
import { type PurchaseStep, purchaseSteps } from './purchaseSteps';

/** What a way draws on one pool, in the pool's whole numbers. */
export interface WayDraw {
  pool: number;
  /** For each one of the slot's quantity. */
  each: number;
  /** As soon as the way is taken, however many it fills. */
  used: number;
  /** Shared with all others that draw: only the largest counts. */
  once: number;
}

/** What ways have in common, with what the fixed part of the plan draws on it already. */
export interface ProgramPool {
  id: string;
  pool: Pool;
  /** What the fixed part draws: an amount, and the largest of what is shared. */
  amount: number;
  once: number;
  /** No choice draws more in all. */
  most: number;
  /** A supply's purchases as a staircase of its need; null for what is no supply, or has too many steps. */
  steps: readonly PurchaseStep[] | null;
  /** The trips that its purchases are fetched on, by their place among the pools. */
  tripPools: ReadonlyMap<string, number>;
}

/**
 * The least that parts take of a stock, in millionths of the supply's unit: by area of sheets and rolls, by length of
 * boards. Their joint layout never comes to less.
 */
function leastOfParts(pool: Pool, parts: PartBag): number {
  if (pool.kind !== 'supply' || pool.cut === null || partCount(parts) === 0) return 0;
  const { cut } = pool;
  const sum = (of: (widthMm: number, lengthMm: number) => number) =>
    parts.reduce((total, { part, count }) => total + of(part.widthMm, part.lengthMm) * count, 0);
  if (cut.form === 'board') return toMicro(sum((_width, length) => length) / 1000);
  return toMicro(
    sum((width, length) => width * length) / (cut.widthMm * (cut.form === 'sheet' ? (cut.lengthMm ?? 1) : 1000)),
  );
}

/** Whether a pool costs nothing, however much is drawn: a tool that is owned, a find that is paid. */
function isFree(pool: Pool): boolean {
  switch (pool.kind) {
    case 'find':
      return pool.isSettled || pool.till.likely === 0;
    case 'order':
      return pool.isSettled;
    case 'tool':
      return pool.isOwned;
    case 'session':
      return pool.micro + pool.overheadMicro === 0;
    case 'supply':
      return pool.isAlways && pool.unitCost === null;
    case 'trip':
      return false;
    default:
      return pool satisfies never;
  }
}

/** Collects the pools of a program while its ways are compiled. */
export class ProgramPools {
  private readonly plan: Plan;
  private readonly places = new Map<string, number>();
  private readonly list: { id: string; pool: Pool; amount: number; once: number; mostOnce: number; most: number }[] =
    [];
  /** Whether parts to cut stand in it, by their least. */
  hasCuts = false;

  constructor(plan: Plan, fixed: readonly PlannedFill[]) {
    this.plan = plan;
    for (const { draw, drawn } of drawsOfFills(fixed).values()) {
      const entry = this.list[this.placeOf(draw) ?? -1];
      if (!entry) continue;
      entry.amount = drawn.amount + this.least(entry.pool, drawn.parts);
      entry.once = drawn.once;
      entry.mostOnce = drawn.once;
      entry.most = entry.amount;
    }
  }

  private placeOf(draw: Draw): number | undefined {
    const known = this.places.get(draw.poolId);
    if (known !== undefined) return known;
    const pool = this.plan.model.pool(draw);
    if (!pool) return undefined;
    const place = this.list.length;
    this.places.set(draw.poolId, place);
    this.list.push({ id: draw.poolId, pool, amount: 0, once: 0, mostOnce: 0, most: 0 });
    for (const tripId of tripsOfPacks(pool)) this.placeOf(drawOf('trip', tripId, 1));
    return place;
  }

  private least(pool: Pool, parts: PartBag): number {
    if (parts.length > 0) this.hasCuts = true;
    return leastOfParts(pool, parts);
  }

  /** What a way draws; nothing where the pool is not there, or costs nothing however much is drawn. */
  draw(draw: Draw): WayDraw[] {
    const pool = this.plan.model.pool(draw);
    if (!pool || isFree(pool)) return [];
    const place = this.placeOf(draw);
    const entry = this.list[place ?? -1];
    if (place === undefined || !entry) return [];
    const grows = growsWithCount[draw.kind];
    const each = (grows ? draw.amount : 0) + this.least(entry.pool, draw.parts);
    return [{ pool: place, each, used: grows ? 0 : draw.amount, once: draw.once }];
  }

  /** Takes note of what the ways of a slot can draw at the most. */
  noteSlot(ways: readonly { most: number; draws: readonly WayDraw[] }[], quantity: number): void {
    const most = new Map<number, number>();
    for (const way of ways)
      for (const { pool, each, used, once } of way.draws) {
        const own = each * way.most + used;
        const known = most.get(pool) ?? 0;
        most.set(pool, quantity === 1 ? Math.max(known, own) : known + own);
        const entry = this.list[pool];
        if (entry) entry.mostOnce = Math.max(entry.mostOnce, once);
      }
    for (const [pool, amount] of most) {
      const entry = this.list[pool];
      if (entry) entry.most += amount;
    }
  }

  /** The pools, each with its staircase. */
  finished(): ProgramPool[] {
    return this.list.map(({ id, pool, amount, once, most, mostOnce }): ProgramPool => {
      const trips = tripsOfPacks(pool).flatMap((tripId): [string, number][] => {
        const place = this.places.get(drawOf('trip', tripId, 1).poolId);
        return place === undefined ? [] : [[tripId, place]];
      });
      return {
        id,
        pool,
        amount,
        once,
        most: most + mostOnce,
        steps: pool.kind === 'supply' ? purchaseSteps(pool, most + mostOnce) : null,
        tripPools: new Map(trips),
      };
    });
  }
}
