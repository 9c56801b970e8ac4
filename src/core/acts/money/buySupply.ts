import { z } from 'zod';
import { UNIT_PRICE_SCALE } from '../../kernel/money';
import { rowSchema } from '../../model/entities';
import { MOST_AMOUNT, MOST_UNIT_COST, supplyAmount } from '../../model/entities/supply';
import type { SupplyRow } from '../../model/rows';
import { projectAct, refuse } from '../act';
import { insert, update } from '../changes';
import { sameSupply } from '../supplies/sameSupply';
import { ledgerLine, payment } from './ledgerChanges';

/** What a unit costs on average after a purchase; what was there at an unknown cost does not make it cheaper. */
function unitCostAfter(before: SupplyRow, amount: number, paid: number): number {
  const there = before.stash.state === 'none' || before.unitCostMillionths === null ? 0 : before.stash.amount;
  const worth = (there * (before.unitCostMillionths ?? 0)) / UNIT_PRICE_SCALE + paid;
  return Math.min(MOST_UNIT_COST, Math.round((worth / (there + amount)) * UNIT_PRICE_SCALE));
}

/** Whole packs bought: the ledger pays, the stash grows, the unit cost becomes what was paid on average, where that is known. */
export const buySupply = projectAct({
  kind: 'buySupply',
  title: 'Supply bought',
  payload: z.strictObject({ supply: rowSchema('supplies'), amount: supplyAmount(0.001), ...payment }),
  decide: (rows, payload) => {
    const { supply } = payload;
    // A supply that another device made meanwhile, under its own id, is the same supply.
    const known =
      rows.supplies.find((row) => row.id === supply.id) ?? rows.supplies.find((row) => sameSupply(row, supply));
    const base = known ?? supply;
    const total = (base.stash.state === 'none' ? 0 : base.stash.amount) + payload.amount;
    if (total > MOST_AMOUNT)
      return refuse('amount', payload.amount, `so much that there are at most ${MOST_AMOUNT} then`);
    const bought = {
      stash: base.stash.state === 'always' ? base.stash : { state: 'exact' as const, amount: total },
      unitCostMillionths: payload.atLeast ? base.unitCostMillionths : unitCostAfter(base, payload.amount, payload.paid),
    };
    return [
      known ? update('supplies', known.id, bought) : insert('supplies', { ...supply, ...bought }),
      ledgerLine(payload, 'payment', { kind: 'supply', id: base.id }),
    ];
  },
});
