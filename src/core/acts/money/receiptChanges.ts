import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { id, moment } from '../../model/fields';
import type { LedgerSubject, ProjectRows, ReceiptRow } from '../../model/rows';
import { splitLot } from '../../pricing/lot';
import { reckonSlip } from '../../pricing/slip';
import { type Decision, isRefusal, refuse } from '../act';
import { insert, type RowChange, update } from '../changes';
import { newFindChanges } from '../finds/addFind';
import { findSchema } from '../finds/findFields';
import { boughtSupply } from './boughtSupply';
import { ledgerLine, settle } from './ledgerChanges';

/** A receipt with what is new by it, and ids for the lines of the ledger that follow from it. */
export const receiptPayload = z.strictObject({
  receipt: rowSchema('receipts'),
  /** Things on it that were not seen before. */
  finds: z.array(findSchema).max(100, 'at most 100 finds'),
  supplies: z.array(rowSchema('supplies')).max(100, 'at most 100 supplies'),
  /** Ids for the lines of the ledger: one for each thing on the receipt, in its order, and as many that take promises back. */
  ledgerIds: z.array(id).max(1000, 'at most 1000 ids'),
  reversalIds: z.array(id).max(1000, 'at most 1000 ids'),
  atMs: moment,
});

/** A thing on a receipt with what was paid for it, minor units. */
export interface BoughtThing {
  subject: LedgerSubject;
  pieces: number;
  /** How much of a supply, in its own unit. */
  amount: number;
  paid: number;
  what: string;
}

/** What each thing on a receipt came to, to the minor unit: its line's total, shared by the things of a lot. */
export function thingsOn(receipt: ReceiptRow): BoughtThing[] {
  const reckoned = new Map(reckonSlip(receipt).lines.map((line) => [line.id, line.total]));
  return receipt.lines.flatMap(({ id: lineId, what, subjects }) => {
    const prices = splitLot(
      reckoned.get(lineId) ?? 0,
      subjects.map(({ own, pieces, weight }) => ({ own, weight: weight ?? pieces })),
    );
    return subjects.map(({ subject, pieces, amount }, n) => ({ subject, pieces, amount, what, paid: prices[n] ?? 0 }));
  });
}

/** What else becomes of a thing that was bought: a supply fills the stash, a tool is owned. */
function afterBuying(rows: ProjectRows, thing: BoughtThing): RowChange[] | Decision {
  const { kind, id: subjectId } = thing.subject;
  if (kind === 'tool') return [update('tools', subjectId, { owned: true, wear: 'good' })];
  if (kind !== 'supply') return [];
  const supply = rows.supplies.find((row) => row.id === subjectId);
  if (!supply) return refuse('lines', thing.what, 'a supply that is still there');
  if (thing.amount <= 0) return [];
  const bought = boughtSupply(supply, thing.amount, thing.paid);
  return 'refused' in bought ? bought : [update('supplies', subjectId, bought)];
}

/**
 * What keeping a receipt changes beside its own row: a payment for each thing on it, the finds and supplies that are new by
 * it, what is in the stash then.
 * @param rows without any payment of this receipt
 */
export function bookReceipt(rows: ProjectRows, payload: z.output<typeof receiptPayload>): Decision {
  const { receipt, finds, supplies, ledgerIds, reversalIds, atMs } = payload;
  const things = thingsOn(receipt);
  if (ledgerIds.length < things.length)
    return refuse('ledgerIds', ledgerIds.length, 'an id for each thing on the receipt');
  const added = [
    ...finds.flatMap((find) => newFindChanges(rows, find)),
    ...supplies.map((supply) => insert('supplies', supply)),
  ];
  // The rows as they are with what is new by the receipt, and with what its earlier lines bought.
  const book = new Map([...rows.supplies, ...supplies].map((supply) => [supply.id, supply]));
  const changes: RowChange[] = added;
  for (const [n, thing] of things.entries()) {
    const present = { ...rows, supplies: [...book.values()] };
    const bought = afterBuying(present, thing);
    if (isRefusal(bought)) return bought;
    changes.push(...bought);
    for (const change of bought)
      if (change.op === 'update' && change.table === 'supplies') {
        const before = book.get(change.id);
        if (before) book.set(change.id, { ...before, ...change.values });
      }
    const said = { paid: thing.paid, ledgerId: ledgerIds[n] as string, atMs, how: 'payment' as const };
    const more = { sourceId: receipt.sourceId, receiptId: receipt.id, pieces: thing.pieces, note: thing.what };
    const isOnce = thing.subject.kind === 'piece' || thing.subject.kind === 'offer';
    const lines = isOnce
      ? settle(rows, { ...said, reversalId: reversalIds[n] }, 'lines', thing.what, thing.subject, more)
      : [ledgerLine(said, 'payment', thing.subject, more)];
    if (isRefusal(lines)) return lines;
    changes.push(...lines);
  }
  return changes;
}
