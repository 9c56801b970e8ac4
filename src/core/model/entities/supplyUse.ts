import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, localDate, refersTo } from '../fields';
import { storedOffcut } from '../values/stock';
import { supplyAmount } from './supply';

/** An amount that a job took from a supply; a record of what it was used on. */
export const supplyUse = defineEntity({
  table: 'supplyUses',
  name: 'supply_use',
  noun: 'use of a supply',
  owner: 'studio',
  travels: 'referred',
  snapshot: 'linked',
  indexed: [['supplyId']],
  fields: {
    supplyId: refersTo('supplies'),
    what: line(1, 200),
    amount: supplyAmount(0),
    onDate: localDate,
    /** Leftovers that were cut into, and those that were left; null where nothing was cut. */
    cut: z.strictObject({ taken: z.array(storedOffcut).max(80), left: z.array(storedOffcut).max(80) }).nullable(),
  },
});
