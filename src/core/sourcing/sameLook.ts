import { type Amount, mapAmount } from '../kernel/amount';
import { mostOf } from '../model/finds';
import { taxAt } from '../model/sourceName';
import type { OptionPlan, Plan } from '../plan/computePlan';
import { nameOfOption } from '../plan/nameOfOption';
import { offerCash } from '../pricing/offer';
import { piecesBought } from '../pricing/priceStory';
import { receiptOf } from '../pricing/receipt';

/** One way to buy the same look, as it is sold: delivered, with tax. Money in minor units. */
export interface RankedOffer {
  optionId: string;
  name: string;
  sourceId: string | null;
  /** What buying enough for the slot comes to. */
  total: Amount;
  /** Pieces that are bought with it, and those of them that serve the slot. */
  bought: number;
  usable: number;
  /** Total ÷ the pieces that serve, rounded; null where none does. */
  each: Amount | null;
  /** How much one costs more than the cheapest that is known; null for that one, and where a price is not known. */
  more: number | null;
  dream: boolean;
}

/** What an option costs as it is sold, made over or not: the shop's price of its finds and offers. */
function asSold(plan: Plan, { model, option }: OptionPlan): Omit<RankedOffer, 'more'> | null {
  const { rows } = plan;
  const { currency } = rows.project;
  const [find] = model.finds;
  const [part] = model.offers;
  if (part) {
    const { offer, pieces } = part;
    const needed = model.slot.quantity * pieces;
    const packs = Math.ceil(needed / Math.max(1, offer.pieces));
    const total = offerCash(offer, needed, taxAt(rows, offer.sourceId));
    return {
      optionId: option.id,
      name: offer.name,
      sourceId: offer.sourceId,
      total,
      bought: packs * Math.max(1, offer.pieces),
      usable: needed,
      // What is over serves nobody: the price is divided by what is needed.
      each: mapAmount(total, (minor) => Math.round(minor / needed)),
      dream: offer.dream,
    };
  }
  if (!find || find.state === 'owned') return null;
  const usable = Math.min(mostOf(find), model.slot.quantity);
  const total = receiptOf(find.story, currency, taxAt(rows, find.sourceId)).total;
  return {
    optionId: option.id,
    name: nameOfOption(model),
    sourceId: find.sourceId,
    total,
    bought: piecesBought(find.story),
    usable: Number.isFinite(usable) ? usable : find.count,
    each: usable > 0 ? mapAmount(total, (minor) => Math.round(minor / usable)) : null,
    dream: false,
  };
}

/**
 * The same look at several prices: what a slot's options cost as they are sold, for each piece that serves, delivered and
 * with tax; the cheapest first, dreams beside them, unknown prices last. Each find and offer stands once.
 */
export function sameLook(plan: Plan, slotId: string): RankedOffer[] {
  const seen = new Set<string>();
  const offers = (plan.slot(slotId)?.options ?? []).flatMap((option): Omit<RankedOffer, 'more'>[] => {
    const sold = option.option.kind === 'buyNew' || option.option.kind === 'asFound' ? asSold(plan, option) : null;
    const key = option.model.offers[0]?.offer.id ?? option.model.finds[0]?.id ?? '';
    if (!sold || seen.has(key)) return [];
    seen.add(key);
    return [sold];
  });
  const priceOf = ({ each }: Pick<RankedOffer, 'each'>) => (each === null || each.atLeast ? null : each.likely);
  const [cheapest = null] = offers
    .filter(({ dream }) => !dream)
    .flatMap((offer) => priceOf(offer) ?? [])
    .sort((a, b) => a - b);
  return offers
    .map((offer): RankedOffer => {
      const price = priceOf(offer);
      return { ...offer, more: price === null || cheapest === null || price === cheapest ? null : price - cheapest };
    })
    .sort(
      (a, b) =>
        (priceOf(a) ?? Number.MAX_SAFE_INTEGER) - (priceOf(b) ?? Number.MAX_SAFE_INTEGER) ||
        (a.name < b.name ? -1 : a.name > b.name ? 1 : 0),
    );
}
