import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { supplyAmount } from '../../model/entities/supply';
import { id } from '../../model/fields';
import type { HouseRows, RowOf } from '../../model/rows';
import { projectAct } from '../act';
import { insert, type RowChange, update } from '../changes';
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
    /** What the price book learns of it: its pack at what was paid; it is of the supply, whatever it says. */
    pack: rowSchema('packs').nullable().optional(),
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
      ...learned(rows, payload.pack ?? null, base.id),
      ledgerLine(payload, 'payment', { kind: 'supply', id: base.id }, { sourceId }),
    ];
  },
});

/** The pack as it is in the price book from now on. */
function learned({ packs }: Pick<HouseRows, 'packs'>, pack: RowOf<'packs'> | null, supplyId: string): RowChange[] {
  if (pack === null) return [];
  const known = packs.find((row) => row.id === pack.id && row.supplyId === supplyId);
  return [
    known
      ? update('packs', known.id, { price: pack.price, seenOn: pack.seenOn, currency: pack.currency })
      : insert('packs', { ...pack, supplyId }),
  ];
}
