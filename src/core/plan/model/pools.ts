import type { SupplyUnit } from '../../catalog/consumables';
import type { Amount } from '../../kernel/amount';
import type { Price } from '../../kernel/price';
import type { FindRow, OfferRow, SupplyRow } from '../../model/rows';
import type { Tax } from '../../pricing/priceStory';

/**
 * What options have in common. Each pool's cost follows from the total that is drawn from it, so whatever several
 * options share (a can, a delivery, a set-up, a saw) is counted once.
 */
export type Pool = FindPool | OrderPool | SupplyPool | SessionPool | ToolPool | TripPool;
export type PoolKind = Pool['kind'];

/** A find, paid once however many options use it; what is drawn is how often it is used. */
export interface FindPool {
  kind: 'find';
  find: FindRow;
  /** What it comes to at the till, and the tax that holds there unless its own story says otherwise. */
  till: Amount;
  tax: Tax;
  /** Whether it is paid, promised or owned, so that only leaving it unused remains a choice. */
  isSettled: boolean;
}

/** An offer: whole packs and one delivery an order; pieces are drawn. */
export interface OrderPool {
  kind: 'order';
  offer: OfferRow;
  tax: Tax;
  isSettled: boolean;
}

/** A pack as it can be bought: its shelf price and where that is from. */
export interface SupplyPack {
  id: string;
  name: string;
  size: number;
  price: Price;
  source: string;
  /** Price at the till, tax in it; null when unknown. */
  till: Amount | null;
  /** The open trip that goes where it is sold; null where none does. */
  tripId: string | null;
}

/** A supply with its stash and packs, from its row or from the tables while there is none; millionths are drawn. */
export interface SupplyPool {
  kind: 'supply';
  key: string;
  row: SupplyRow | null;
  name: string;
  color: { L: number; a: number; b: number } | null;
  unit: SupplyUnit;
  /** What there is of it, in its unit and in millionths. */
  stash: number;
  stashMicro: number;
  /** Whether nobody counts it: there is always enough of it, and the stash has no number. */
  isAlways: boolean;
  packs: SupplyPack[];
  /** Whether the pack prices are the tables' estimates. */
  isEstimated: boolean;
  /** Millionths of a minor unit for each unit of supply at the likely price, for valuing the stash; null while unknown. */
  unitCost: { millionths: number; from: 'paid' | 'replace' } | null;
}

/** Set-up and clean-up of a supply: as many sessions as the most coats that any option gives. */
export interface SessionPool {
  kind: 'session';
  key: string;
  /** One session, in millionths of a minute, and the overhead on it. */
  micro: number;
  overheadMicro: number;
}

/** A tool, bought once for all that need it, unless it is owned. */
export interface ToolPool {
  kind: 'tool';
  toolId: string;
  name: string;
  isOwned: boolean;
  price: Amount;
}

/** A trip that fetches things: its way and its fees, once for all that it fetches. */
export interface TripPool {
  kind: 'trip';
  tripId: string;
  name: string;
  cash: Amount;
  /** On the way, in the shops and waiting, in millionths of a minute. */
  handsMicro: number;
}

/** What is drawn from a pool: an amount that adds up, and one that serves all who share, of which the largest counts. */
export interface Drawn {
  amount: number;
  once: number;
}

export const nothingDrawn: Drawn = Object.freeze({ amount: 0, once: 0 });

/** Two draws on one pool together. */
export const drawnTogether = (a: Drawn, b: Drawn): Drawn => ({
  amount: a.amount + b.amount,
  once: Math.max(a.once, b.once),
});

/** What a draw comes to. */
export const totalDrawn = ({ amount, once }: Drawn): number => amount + once;

/**
 * What one option draws from a pool. Pieces and supplies grow with how many of the slot it fills; sessions, and what they
 * leave in tray and nap, are there once.
 */
export interface Draw extends Drawn {
  /** The pool's kind and key together. */
  poolId: string;
  kind: PoolKind;
  key: string;
}

/** A draw of one option. */
export function drawOf(kind: PoolKind, key: string, amount: number, once = 0): Draw {
  return { poolId: `${kind} ${key}`, kind, key, amount, once };
}

/** Whether the amount of a draw grows with the count of a fill. */
export const growsWithCount: Readonly<Record<PoolKind, boolean>> = {
  find: false,
  order: true,
  supply: true,
  session: false,
  tool: false,
  trip: false,
};
