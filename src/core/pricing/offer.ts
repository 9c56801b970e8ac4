import { type Amount, addAmounts, exactly, mapAmount, nothing } from '../kernel/amount';
import { percentOf } from '../kernel/money';
import { amountOfPrice, type Price } from '../kernel/price';
import type { Tax } from './priceStory';

/** The price of something sold new: per pack, with delivery once an order. Money in minor units. */
export interface OfferPrice {
  price: Price;
  /** Null while nobody knows. */
  delivery: number | null;
  deliveryTaxed: boolean;
  /** Pieces that one pack holds. */
  pieces: number;
}

/**
 * Adds tax to one price tag, rounded by itself; nothing is added where prices include it.
 * @param amount minor units; each end is taxed and rounded by itself
 */
export function withTax(amount: Amount, tax: Tax): Amount {
  if (tax.included || tax.percentThousandths === 0) return amount;
  return mapAmount(amount, (minor) => minor + percentOf(minor, tax.percentThousandths));
}

/** One pack of an offer with its tax. */
export function offerPackPrice(offer: OfferPrice, tax: Tax): Amount {
  return withTax(amountOfPrice(offer.price), tax);
}

/** The delivery of one order with its tax. */
export function offerDelivery(offer: OfferPrice, tax: Tax): Amount {
  if (offer.delivery === null) return { ...nothing, atLeast: true };
  return offer.deliveryTaxed ? withTax(exactly(offer.delivery), tax) : exactly(offer.delivery);
}

/**
 * What an order of `count` pieces costs: whole packs, each rounded by itself, and one delivery. Zero pieces cost nothing.
 * @param count pieces; a pack that is not full is paid whole
 * @returns minor units, "at least" where a price is not known
 */
export function offerCash(offer: OfferPrice, count: number, tax: Tax): Amount {
  if (count <= 0) return exactly(0);
  const packs = Math.ceil(count / Math.max(1, offer.pieces));
  return addAmounts(
    mapAmount(offerPackPrice(offer, tax), (minor) => minor * packs),
    offerDelivery(offer, tax),
  );
}
