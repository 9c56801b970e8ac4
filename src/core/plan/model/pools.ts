import type { SupplyUnit } from '../../catalog/consumables';
import type { StockFacts } from '../../catalog/stockFacts';
import { noParts, type PartBag, partsTimes, partsTogether } from '../../cutting/part';
import type { Offcut, Pin } from '../../cutting/question';
import type { Amount } from '../../kernel/amount';
import type { Price } from '../../kernel/price';
import type { FindRow, OfferRow, SupplyRow } from '../../model/rows';
import type { Tax } from '../../pricing/priceStory';
import type { Cutter } from './cutPurchase';

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
  /** The open trip that goes where it is sold, else the order that is sent from there; null where neither. */
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
  /** The packs that it is bought in: all that are known, or those of the place that the stylist chose. */
  packs: readonly SupplyPack[];
  /** All packs that are known. */
  offered: readonly SupplyPack[];
  /** What parts are cut from, with the leftovers of the house and what the stylist laid by hand; null where nothing is cut. */
  cut: StockFacts | null;
  offcuts: readonly Offcut[];
  pins: readonly Pin[];
  cutter: Cutter;
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

/**
 * A way that things come by, once for all that comes with it: a trip with its way and its fees, or an order that a place
 * sends.
 */
export interface TripPool {
  kind: 'trip';
  /** A trip's id, or the key of an order. */
  tripId: string;
  name: string;
  /** The place that sends the order; null for a trip. */
  sentBy: string | null;
  cash: Amount;
  /** On the way, in the shops and waiting, in millionths of a minute. */
  handsMicro: number;
}

/**
 * What is drawn from a pool: an amount that adds up, one that serves all who share, of which the largest counts, and parts
 * to cut, which are laid out together.
 */
export interface Drawn {
  amount: number;
  once: number;
  parts: PartBag;
}

export const nothingDrawn: Drawn = Object.freeze({ amount: 0, once: 0, parts: noParts });

/** Two draws on one pool together. */
export const drawnTogether = (a: Drawn, b: Drawn): Drawn => ({
  amount: a.amount + b.amount,
  once: Math.max(a.once, b.once),
  parts: partsTogether(a.parts, b.parts),
});

/** What a draw comes to: an amount, and parts to cut. */
export interface Total {
  amount: number;
  parts: PartBag;
}

/** An amount alone. */
export const totalOf = (amount: number): Total => ({ amount, parts: noParts });

/** What a draw comes to. */
export const totalDrawn = ({ amount, once, parts }: Drawn): Total => ({ amount: amount + once, parts });

/** Whether anything is drawn at all. */
export const isDrawn = ({ amount, parts }: Total): boolean => amount > 0 || parts.length > 0;

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
export function drawOf(kind: PoolKind, key: string, amount: number, once = 0, parts = noParts): Draw {
  return { poolId: `${kind} ${key}`, kind, key, amount, once, parts };
}

/** What a fill draws, its count in it. */
export function drawnBy({ kind, amount, once, parts }: Draw, count: number): Drawn {
  return { amount: growsWithCount[kind] ? amount * count : amount, once, parts: partsTimes(parts, count) };
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
