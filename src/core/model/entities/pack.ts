import { defineEntity } from '../entity';
import { dateOrNothing, line, number, refersTo } from '../fields';
import { anyCurrency } from '../values/currency';
import { priceSchema } from '../values/price';
import { MOST_AMOUNT } from './supply';

/** A size that a supply is sold in. */
export const pack = defineEntity({
  table: 'packs',
  name: 'pack',
  noun: 'pack',
  owner: 'studio',
  travels: 'companion',
  snapshot: { along: 'supplyId' },
  indexed: [['supplyId']],
  fields: {
    supplyId: refersTo('supplies'),
    name: line(1, 80),
    size: number(0.001, MOST_AMOUNT, 'a pack size'),
    price: priceSchema,
    currency: anyCurrency,
    source: line(0, 120),
    /** Local date, or empty. */
    seenOn: dateOrNothing,
  },
});
