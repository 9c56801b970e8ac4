import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { supplyAmount } from '../../model/entities/supply';
import { id } from '../../model/fields';
import { projectAct } from '../act';
import { insert, update } from '../changes';
import { sameSupply } from '../supplies/sameSupply';
import { boughtSupply } from './boughtSupply';
import { ledgerLine, payment } from './ledgerChanges';

/** Whole packs bought: the ledger pays, the stash grows, the unit cost becomes what was paid on average, where that is known. */
export const buySupply = projectAct({
  kind: 'buySupply',
  title: 'Supply bought',
  payload: z.strictObject({
    supply: rowSchema('supplies'),
    amount: supplyAmount(0.001),
    sourceId: id.nullable().optional(),
    ...payment,
  }),
  decide: (rows, payload) => {
    const { supply, sourceId = null } = payload;
    // A supply that another device made meanwhile, under its own id, is the same supply.
    const known =
      rows.supplies.find((row) => row.id === supply.id) ?? rows.supplies.find((row) => sameSupply(row, supply));
    const base = known ?? supply;
    const bought = boughtSupply(base, payload.amount, payload.atLeast ? null : payload.paid);
    if ('refused' in bought) return bought;
    return [
      known ? update('supplies', known.id, bought) : insert('supplies', { ...supply, ...bought }),
      ledgerLine(payload, 'payment', { kind: 'supply', id: base.id }, { sourceId }),
    ];
  },
});
