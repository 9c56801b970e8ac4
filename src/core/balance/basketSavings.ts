import { grouped } from '../kernel/grouped';
import { amountOfPrice } from '../kernel/price';
import { sourceName } from '../model/sourceName';
import type { Plan } from '../plan/computePlan';
import { purchaseOf } from '../plan/model/poolCost';
import type { FindPool, SupplyPool } from '../plan/model/pools';
import { placeName } from '../plan/tripQuestion';
import { offerDelivery } from '../pricing/offer';
import type { PriceLine } from '../pricing/priceStory';
import { reckonSlip, type SlipLine, type SlipOffer } from '../pricing/slip';

/** What several things bought together at one place save over what the purse counts, which prices each by itself. */
export interface BasketSaving {
  sourceId: string;
  place: string;
  /** A promotion over several pieces, an order that is large enough to be sent for nothing, several orders sent as one. */
  kind: 'promotion' | 'freeDelivery' | 'oneOrder';
  /** The promotion as its tags say it; null for a delivery. */
  promotion: Promotion | null;
  /** What it holds for, by name. */
  things: readonly string[];
  savedMinor: number;
}

type Promotion = Extract<PriceLine, { kind: 'buyGet' | 'secondLess' | 'couponMoney' | 'couponPercent' }>;

/** A promotion as a receipt with several lines takes it. */
interface Said {
  promotion: Promotion;
  offer: SlipOffer;
  leastSpend: number | null;
}

/** A find on the list, with what its tag says. */
interface Tagged {
  pool: FindPool;
  line: SlipLine;
  said: Said;
}

/** A promotion that may come to more over several pieces; null for what is reckoned piece by piece anyway. */
function promotionOf(line: PriceLine): Said | null {
  switch (line.kind) {
    case 'buyGet':
      return { promotion: line, offer: { kind: 'buyGet', buy: line.buy, free: line.free }, leastSpend: null };
    case 'secondLess': {
      const { percentThousandths } = line;
      return { promotion: line, offer: { kind: 'secondLess', percentThousandths }, leastSpend: null };
    }
    case 'couponMoney': {
      const { amount, by, leastSpend } = line;
      return leastSpend === undefined ? null : { promotion: line, offer: { kind: 'money', amount, by }, leastSpend };
    }
    case 'couponPercent': {
      const { percentThousandths, leastSpend } = line;
      return leastSpend === undefined
        ? null
        : { promotion: line, offer: { kind: 'percent', percentThousandths }, leastSpend };
    }
    default:
      return null;
  }
}

/**
 * The find as a line of one receipt with others: its tag, its markdowns. Null where its price is more than that and the
 * promotion: a fee, a second coupon, a price that is a guess between two.
 */
function taggedFind(pool: FindPool): Tagged | null {
  const { id, story } = pool.find;
  const tag = amountOfPrice(story.tag);
  const [only, ...more] = story.lines.filter(({ kind }) => kind !== 'markdown');
  const said = only && more.length === 0 ? promotionOf(only) : null;
  if (!said || tag.atLeast || tag.low !== tag.high) return null;
  const markdowns = story.lines.flatMap((line) => (line.kind === 'markdown' ? [line.percentThousandths] : []));
  return {
    pool,
    said,
    line: { id, price: tag.likely, quantity: story.quantity, markdowns, tax: story.tax, isFee: false },
  };
}

/** Promotions that several finds of one place share: reckoned anew as one receipt. */
function promotions(plan: Plan): BasketSaving[] {
  const tagged = plan.sums.lines.flatMap(({ pool }) =>
    pool.kind === 'find' && !pool.isSettled ? (taggedFind(pool) ?? []) : [],
  );
  const alike = grouped(tagged, ({ pool: { find }, said }) =>
    JSON.stringify([find.sourceId, find.story.rounding, said]),
  );
  return [...alike.values()].flatMap((of): BasketSaving[] => {
    const [first] = of;
    const sourceId = first?.pool.find.sourceId ?? null;
    if (!first || sourceId === null || of.length < 2) return [];
    const { said } = first;
    const byThemselves = of.reduce((sum, { pool }) => sum + pool.till.likely, 0);
    const together = reckonSlip({
      lines: of.map(({ line }) => line),
      discounts: [{ id: 'promotion', offer: said.offer, lineIds: null, leastSpend: said.leastSpend }],
      tax: first.pool.tax,
      rounding: first.pool.find.story.rounding,
      paid: null,
    }).total;
    if (together >= byThemselves) return [];
    return [
      {
        sourceId,
        place: sourceName(plan.rows.sources, sourceId),
        kind: 'promotion',
        promotion: said.promotion,
        things: of.map(({ pool }) => pool.find.name),
        savedMinor: byThemselves - together,
      },
    ];
  });
}

/** What is bought of a supply at a place: its packs at their price tags, without the tax that is added. */
function goodsAt(pool: SupplyPool, drawn: Parameters<typeof purchaseOf>[1], place: string): number {
  return purchaseOf(pool, drawn).packs.reduce((sum, { id, count }) => {
    const pack = pool.packs.find((known) => known.id === id);
    return pack && placeName(pack.source) === place ? sum + amountOfPrice(pack.price).likely * count : sum;
  }, 0);
}

/** Orders that are large enough to be sent for nothing. */
function freeDeliveries(plan: Plan): BasketSaving[] {
  return plan.rows.sources.flatMap(({ id, name, delivers }): BasketSaving[] => {
    if (!delivers || delivers.freeFrom === null) return [];
    const paid =
      plan.sums.lines.find(({ pool }) => pool.kind === 'trip' && pool.sentBy === name)?.cost.cash.likely ?? 0;
    if (paid === 0) return [];
    const bought = plan.sums.lines.flatMap(({ pool, drawn }) => {
      const goods = pool.kind === 'supply' ? goodsAt(pool, drawn, placeName(name)) : 0;
      return goods > 0 ? [{ name: pool.kind === 'supply' ? pool.name : '', goods }] : [];
    });
    const sum = bought.reduce((total, { goods }) => total + goods, 0);
    if (sum < delivers.freeFrom) return [];
    return [
      {
        sourceId: id,
        place: name,
        kind: 'freeDelivery',
        promotion: null,
        things: bought.map((one) => one.name),
        savedMinor: paid,
      },
    ];
  });
}

/** Offers of one place that are each reckoned with a delivery of their own: sent together, the dearest one is paid. */
function oneOrders(plan: Plan): BasketSaving[] {
  const orders = plan.sums.lines.flatMap(({ pool }) => {
    if (pool.kind !== 'order' || pool.isSettled || pool.offer.sourceId === null) return [];
    const delivery = offerDelivery(pool.offer, pool.tax).likely;
    return delivery > 0 ? [{ sourceId: pool.offer.sourceId, name: pool.offer.name, delivery }] : [];
  });
  const bySource = grouped(orders, ({ sourceId }) => sourceId);
  return [...bySource].flatMap(([sourceId, together]): BasketSaving[] => {
    if (together.length < 2) return [];
    const fees = together.map(({ delivery }) => delivery);
    return [
      {
        sourceId,
        place: sourceName(plan.rows.sources, sourceId),
        kind: 'oneOrder',
        promotion: null,
        things: together.map(({ name }) => name),
        savedMinor: fees.reduce((sum, fee) => sum + fee, 0) - Math.max(...fees),
      },
    ];
  });
}

/**
 * What the chosen things that are still to be bought save when they are bought together, beyond the purse: the figures
 * price every piece by itself, so that what one choice costs never hangs on the rest of a basket. It is said, and counted
 * when it was paid.
 */
export function basketSavings(plan: Plan): BasketSaving[] {
  return [...promotions(plan), ...freeDeliveries(plan), ...oneOrders(plan)];
}
