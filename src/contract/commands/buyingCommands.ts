import { UNIT_PRICE_SCALE } from '@core/kernel/money';
import type { ProjectRows } from '@core/plan/rows';
import { linesInForce } from '@core/pricing/ledger';
import { z } from 'zod';
import { id, minorUnits, moment, number, oneOf } from '../accept';
import { insert, type RowChange, update } from '../changes';
import { tableSchemas } from '../rows';
import { type Decision, defineCommand, isRefusal, refuse } from './command';

/** What every payment or promise says of itself. */
const payment = { paid: minorUnits, ledgerId: id, atMs: moment };

/** A new line of the ledger, for one thing. */
function ledgerLine(
  said: { paid: number; ledgerId: string; atMs: number },
  kind: 'payment' | 'promise',
  what: { findId: string } | { offerId: string } | { supplyId: string },
  reversesId: string | null = null,
): RowChange {
  return insert('ledger', {
    findId: null,
    offerId: null,
    supplyId: null,
    ...what,
    id: said.ledgerId,
    kind,
    amount: said.paid,
    atMs: said.atMs,
    reversesId,
    note: '',
  });
}

/** Payload of what is ordered first and paid later; `reversalId` names the line that takes an open promise back. */
const settlement = { ...payment, how: oneOf(['payment', 'promise']), reversalId: id.optional() };

/** The ledger's part of paying or promising one thing once: a payment takes the promise before it back. */
function settle(
  rows: ProjectRows,
  said: { paid: number; ledgerId: string; atMs: number; how: 'payment' | 'promise'; reversalId?: string | undefined },
  name: string,
  what: { findId: string } | { offerId: string },
): Decision {
  const [field, thing] = Object.entries(what)[0] as ['findId' | 'offerId', string];
  const open = linesInForce(rows.ledger).filter((line) => line[field] === thing);
  if (open.some((line) => line.kind === 'payment')) return refuse(field, name, 'something that is not bought yet');
  const promise = open.find((line) => line.kind === 'promise');
  if (!promise) return [ledgerLine(said, said.how, what)];
  if (said.how === 'promise') return refuse(field, name, 'something that is not ordered yet');
  if (said.reversalId === undefined)
    return refuse('reversalId', 'nothing', 'an id for the line that takes the promise back');
  const reversal = { ...said, ledgerId: said.reversalId, paid: promise.amount };
  return [ledgerLine(reversal, 'promise', what, promise.id), ledgerLine(said, 'payment', what)];
}

/** Whole packs bought: the ledger pays, the stash grows, the unit cost becomes what was paid on average. */
export const buySupply = defineCommand({
  kind: 'buySupply',
  title: 'Supply bought',
  payload: z.strictObject({
    supply: tableSchemas.supplies,
    amount: number(0.001, 1_000_000, 'an amount'),
    ...payment,
  }),
  decide: (rows, payload) => {
    const { supply } = payload;
    const known = rows.supplies.find((row) => row.id === supply.id);
    const base = known ?? supply;
    const before = base.stash.state === 'none' ? 0 : base.stash.amount;
    const total = before + payload.amount;
    const worth = (before * (base.unitCostMillionths ?? 0)) / UNIT_PRICE_SCALE + payload.paid;
    const bought = {
      ...base,
      stash: { state: 'exact' as const, amount: total },
      unitCostMillionths: Math.round((worth / total) * UNIT_PRICE_SCALE),
    };
    const { id: supplyId, version: _version, ...values } = bought;
    return [
      known ? update('supplies', supplyId, values) : insert('supplies', bought),
      ledgerLine(payload, 'payment', { supplyId }),
    ];
  },
});

export const buyFind = defineCommand({
  kind: 'buyFind',
  title: 'Bought',
  payload: z.strictObject({ findId: id, ...settlement }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.findId);
    if (!find) return refuse('findId', payload.findId, 'a find of this project');
    if (find.state === 'bought' || find.state === 'owned')
      return refuse('findId', find.name, 'a find that is not bought yet');
    const settled = settle(rows, payload, find.name, { findId: find.id });
    return isRefusal(settled)
      ? settled
      : [update('finds', find.id, { state: payload.how === 'payment' ? 'bought' : 'promised' }), ...settled];
  },
});

export const orderOffer = defineCommand({
  kind: 'orderOffer',
  title: 'Ordered',
  payload: z.strictObject({ offerId: id, ...settlement }),
  decide: (rows, payload) => {
    const offer = rows.offers.find((row) => row.id === payload.offerId);
    if (!offer) return refuse('offerId', payload.offerId, 'an offer of this project');
    return settle(rows, payload, offer.name, { offerId: offer.id });
  },
});
