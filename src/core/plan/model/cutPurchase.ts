import { cutChecked } from '../../cutting/checked';
import type { CutLayout } from '../../cutting/layout';
import { partsKey, wholeParts } from '../../cutting/part';
import type { CutQuestion, Offcut } from '../../cutting/question';
import { addAmounts } from '../../kernel/amount';
import { fromMicro, MICRO, toMicro } from '../../kernel/micro';
import { cheapestPacks, type PackPurchase } from '../../pricing/cheapestPacks';
import type { SupplyPool, Total } from './pools';

/** Answers how parts are cut, with a layout that passed its check: at once in full, or with a first layout while a better one is searched elsewhere. */
export type Cutter = (question: CutQuestion) => CutLayout;

/** What a draw on a stock comes to once its parts are laid out. */
export interface CutPurchase {
  purchase: PackPurchase;
  layout: CutLayout;
  /** What it takes of the stash, in millionths of the supply's unit; leftovers count by their share of a unit. */
  stashMicro: number;
  /**
   * What it takes of whole units, of the stash and of what is bought, in millionths of the supply's unit: sheets, of a
   * roll the length that comes off, of boards their whole length.
   */
  wholeMicro: number;
  /** What it takes in all: whole units, and leftovers by their share of one. */
  needMicro: number;
}

/** Every cut in full at once: the server's, the command line's, and what the page arrives at. */
export const cutInFull: Cutter = cutChecked;

const known = new WeakMap<SupplyPool, Map<string, CutPurchase>>();

/**
 * The question that a draw on a stock asks: all parts of the plan together, from leftovers first, then from what is
 * whole in the house, then from what is sold.
 * @returns null where the supply is not cut, or nothing is cut from it
 */
export function cutQuestionOf(pool: SupplyPool, total: Total): CutQuestion | null {
  if (pool.cut === null || total.parts.length === 0) return null;
  return {
    stock: pool.cut,
    parts: wholeParts(total.parts),
    offcuts: pool.offcuts,
    // What is counted or measured off is taken first: no layout can do with less of it.
    owned: pool.isAlways ? Number.POSITIVE_INFINITY : fromMicro(Math.max(0, pool.stashMicro - total.amount)),
    packs: pool.packs.map(({ id, size, till }) => ({ id, size, price: till })),
    pins: pool.pins,
    seed: 1,
  };
}

/**
 * What a draw on a stock comes to; the same parts give the same layout.
 * @returns null where nothing is cut from it: then its amount alone decides
 */
export function cutPurchaseOf(pool: SupplyPool, total: Total): CutPurchase | null {
  const question = cutQuestionOf(pool, total);
  if (question === null) return null;
  let layouts = known.get(pool);
  if (!layouts) {
    layouts = new Map();
    known.set(pool, layouts);
  }
  const key = `${total.amount} ${partsKey(wholeParts(total.parts))}`;
  let found = layouts.get(key);
  if (!found) {
    found = purchased(pool, total, question, pool.cutter(question));
    layouts.set(key, found);
  }
  return found;
}

function purchased(pool: SupplyPool, total: Total, question: CutQuestion, layout: CutLayout): CutPurchase {
  const short = Math.max(0, total.amount - (pool.isAlways ? total.amount : pool.stashMicro));
  const measured = Math.min(total.amount, pool.stashMicro);
  const offcuts = offcutUnits(question, layout);
  const whole = total.amount + toMicro(layout.ownedUsed) + boughtMicro(pool, layout);
  return {
    purchase: together(pool, layout, fromMicro(short)),
    layout,
    stashMicro: measured + toMicro(layout.ownedUsed) + toMicro(offcuts),
    wholeMicro: whole,
    needMicro: whole + toMicro(offcuts),
  };
}

/** What is taken of bought units, in millionths of the supply's unit. */
function boughtMicro(pool: SupplyPool, layout: CutLayout): number {
  const bought = layout.units.filter(({ origin }) => origin.kind === 'bought');
  if (pool.cut?.form === 'sheet') return bought.length * MICRO;
  const side = pool.cut?.form === 'board' ? 'lengthMm' : 'usedMm';
  return toMicro(bought.reduce((sum, unit) => sum + unit[side] / 1000, 0));
}

/** Packs for the layout, and for what is measured off beyond the stash. */
function together(pool: SupplyPool, layout: CutLayout, short: number): PackPurchase {
  if (short <= 0) return layout.purchase;
  const packs = pool.packs.map(({ id, size, till }) => ({ id, size, price: till }));
  const bought = layout.units.filter(({ origin }) => origin.kind === 'bought').length;
  if (pool.cut?.form === 'sheet') return cheapestPacks(bought + short, packs);
  const beside = cheapestPacks(short, packs);
  const counts = new Map(layout.purchase.packs.map((pack) => [pack.id, { ...pack }]));
  for (const pack of beside.packs) {
    const entry = counts.get(pack.id);
    if (entry) entry.count += pack.count;
    else counts.set(pack.id, { ...pack });
  }
  return {
    packs: [...counts.values()],
    cash: addAmounts(layout.purchase.cash, beside.cash),
    size: layout.purchase.size + beside.size,
  };
}

/** The leftovers that a layout cuts into, as shares of a whole unit: by area, of a board or a roll in meters. */
function offcutUnits({ stock, offcuts }: CutQuestion, { units }: CutLayout): number {
  const sizes = new Map<string, Offcut>(offcuts.map((offcut) => [offcut.id, offcut]));
  return units.reduce((sum, { origin }) => {
    const offcut = origin.kind === 'offcut' ? sizes.get(origin.id) : undefined;
    if (!offcut) return sum;
    if (stock.form === 'board') return sum + offcut.lengthMm / 1000;
    const areaMm2 = offcut.widthMm * offcut.lengthMm;
    return sum + areaMm2 / (stock.widthMm * (stock.form === 'sheet' ? (stock.lengthMm ?? 1) : 1000));
  }, 0);
}
