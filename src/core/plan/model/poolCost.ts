import { type Amount, nothing } from '../../kernel/amount';
import { fromMicro, MICRO } from '../../kernel/micro';
import { multiplyDivideRound } from '../../kernel/money';
import { cheapestPacks, type PackPurchase } from '../../pricing/cheapestPacks';
import { offerCash } from '../../pricing/offer';
import { cutPurchaseOf } from './cutPurchase';
import { isDrawn, type Pool, type SupplyPool, type Total } from './pools';

/** Whether what is already paid or promised counts in full (P of the definitions) or not at all (C). */
export type CashView = 'full' | 'toGo';

/** What a total draw on a pool comes to. */
export interface PoolCost {
  cash: Amount;
  /** Value of the stash that it takes, in millionths of a minor unit. */
  stashMicro: number;
  /** Hands-on time in millionths of a minute, overhead in it. */
  handsMicro: number;
}

const purchases = new WeakMap<SupplyPool, Map<number, PackPurchase>>();

/**
 * The cheapest whole packs for what the stash does not cover; the same need gives the same purchase. What is cut is laid
 * out first.
 * @param need total need, in millionths of the supply's unit, and parts
 */
export function purchaseOf(pool: SupplyPool, need: Total): PackPurchase {
  return cutPurchaseOf(pool, need)?.purchase ?? purchaseOfAmount(pool, need.amount);
}

function purchaseOfAmount(pool: SupplyPool, needMicro: number): PackPurchase {
  const short = Math.max(0, needMicro - pool.stashMicro);
  let known = purchases.get(pool);
  if (!known) {
    known = new Map();
    purchases.set(pool, known);
  }
  let purchase = known.get(short);
  if (!purchase) {
    const choices = pool.packs.map((pack) => ({ id: pack.id, size: pack.size, price: pack.till }));
    purchase = cheapestPacks(fromMicro(short), choices);
    known.set(short, purchase);
  }
  return purchase;
}

/** The open trips that go where any pack of a supply is sold. */
export function tripsOfPacks(pool: Pool | undefined): string[] {
  return pool?.kind === 'supply' ? pool.packs.flatMap(({ tripId }) => tripId ?? []) : [];
}

/**
 * The open trips on which a supply is fetched: those that go where the packs are sold that the need takes. Like the packs,
 * they follow from the total need alone.
 */
export function tripsPulled(pool: Pool, need: Total): string[] {
  if (pool.kind !== 'supply' || tripsOfPacks(pool).length === 0) return [];
  const bought = new Set(purchaseOf(pool, need).packs.map(({ id }) => id));
  return [...new Set(pool.packs.flatMap(({ id, tripId }) => (tripId !== null && bought.has(id) ? [tripId] : [])))];
}

/** What a need takes of the stash, in millionths of the supply's unit. */
export function stashTaken(pool: SupplyPool, need: Total): number {
  return cutPurchaseOf(pool, need)?.stashMicro ?? Math.min(need.amount, pool.stashMicro);
}

/** What a need takes in all, in millionths of the supply's unit: what is cut, by what comes off sheet, roll or board. */
export function neededMicro(pool: SupplyPool, need: Total): number {
  return cutPurchaseOf(pool, need)?.needMicro ?? need.amount;
}

/** Value of the stash that a need takes, in millionths of a minor unit, at what it cost, else at what replacing it costs. */
export function stashValueOf(pool: SupplyPool, need: Total): number {
  if (pool.unitCost === null) return 0;
  return multiplyDivideRound(stashTaken(pool, need), pool.unitCost.millionths, MICRO);
}

/**
 * What a total draw comes to; nothing drawn costs nothing.
 * @param drawn uses of a find or tool, pieces of an order, millionths of a supply's unit and parts to cut, sessions
 */
export function poolCost(pool: Pool, drawn: Total, view: CashView = 'toGo'): PoolCost {
  if (!isDrawn(drawn)) return free;
  switch (pool.kind) {
    case 'find':
      return view === 'toGo' && pool.isSettled ? free : { ...free, cash: pool.till };
    case 'order':
      return view === 'toGo' && pool.isSettled
        ? free
        : { ...free, cash: offerCash(pool.offer, drawn.amount, pool.tax) };
    case 'supply':
      return { ...free, cash: purchaseOf(pool, drawn).cash, stashMicro: stashValueOf(pool, drawn) };
    case 'session':
      return { ...free, handsMicro: drawn.amount * (pool.micro + pool.overheadMicro) };
    case 'tool':
      return pool.isOwned ? free : { ...free, cash: pool.price };
    case 'trip':
      return { ...free, cash: pool.cash, handsMicro: pool.handsMicro };
    default:
      return pool satisfies never;
  }
}

const free: PoolCost = Object.freeze({ cash: nothing, stashMicro: 0, handsMicro: 0 });
