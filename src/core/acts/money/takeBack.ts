import { z } from 'zod';
import { supplyAmount } from '../../model/entities/supply';
import { id, minorUnits, moment, paragraph, wholeNumber } from '../../model/fields';
import type { LedgerRow, ProjectRows } from '../../model/rows';
import { linesInForce, takenBack } from '../../pricing/ledger';
import { type Decision, isRefusal, projectAct, refuse } from '../act';
import { remove, update } from '../changes';
import { putAwayFinds } from '../finds/findOptions';
import { ledgerLine } from './ledgerChanges';

/** What leaves with the money that came back: the piece or some of it, the choice of an order, a part of a supply. */
function whatLeaves(rows: ProjectRows, payment: LedgerRow, pieces: number | null, amount: number): Decision {
  const { kind, id: subjectId } = payment.subject;
  switch (kind) {
    case 'piece': {
      const piece = rows.pieces.find((row) => row.id === subjectId);
      if (piece && pieces !== null && piece.count > pieces)
        return [update('pieces', piece.id, { count: piece.count - pieces })];
      const leaving = putAwayFinds(
        rows,
        rows.finds.filter((find) => find.pieceId === subjectId),
      );
      if (isRefusal(leaving)) return leaving;
      const gone = piece?.inHouse ? [update('pieces', piece.id, { inHouse: false })] : [];
      return [...leaving, ...gone];
    }
    case 'offer': {
      const options = new Set(
        rows.options.filter(({ parts }) => parts.some(({ offerId }) => offerId === subjectId)).map((row) => row.id),
      );
      return pieces === null
        ? rows.fills.filter((fill) => options.has(fill.optionId)).map((fill) => remove('fills', fill.id))
        : [];
    }
    case 'supply': {
      const supply = rows.supplies.find((row) => row.id === subjectId);
      if (!supply || amount === 0 || supply.stash.state !== 'exact') return [];
      const left = supply.stash.amount - amount;
      return [
        update('supplies', supply.id, {
          stash: left > 0 ? { state: 'exact', amount: left } : { state: 'none', amount: 0 },
        }),
      ];
    }
    case 'tool':
    case 'delivery':
    case 'fee':
    case 'deposit':
      return [];
    default:
      return kind satisfies never;
  }
}

/**
 * Money that came back for something paid: it was returned, wholly or some of its pieces, or a deposit was given back. The
 * line refers to its payment. What goes back leaves the plan: the ways that use it, the order's choice, the supply's amount.
 */
export const takeBack = projectAct({
  kind: 'takeBack',
  title: 'Taken back',
  payload: z.strictObject({
    paymentId: id,
    refund: minorUnits,
    /** How many pieces went back; null for all of it. */
    pieces: wholeNumber(1, 1_000_000, 'pieces').nullable(),
    /** How much of a supply went back, in its own unit; 0 where it is none. */
    amount: supplyAmount(0),
    note: paragraph(0, 400),
    ledgerId: id,
    atMs: moment,
  }),
  decide: (rows, payload) => {
    const payment = linesInForce(rows.ledger).find((row) => row.id === payload.paymentId);
    if (payment?.kind !== 'payment') return refuse('paymentId', payload.paymentId, 'a payment that counts');
    const back = takenBack(rows.ledger).get(payment.id);
    if (back?.isWhole) return refuse('paymentId', payment.amount, 'something that did not go back already');
    const most = payment.amount - (back?.amount ?? 0);
    if (payload.refund > most && !payment.atLeast)
      return refuse('refund', payload.refund, `at most the ${most} that was paid for it`);
    const left = payment.pieces === null ? null : payment.pieces - (back?.pieces ?? 0);
    if (payload.pieces !== null && left !== null && payload.pieces > left)
      return refuse('pieces', payload.pieces, `at most the ${left} that are left`);
    const isAll = payload.pieces === null || payload.pieces === left;
    const leaves = whatLeaves(rows, payment, isAll ? null : payload.pieces, payload.amount);
    if (isRefusal(leaves)) return leaves;
    const { subject, sourceId } = payment;
    const said = { paid: payload.refund, ledgerId: payload.ledgerId, atMs: payload.atMs };
    return [
      ...leaves,
      ledgerLine(said, 'refund', subject, {
        sourceId,
        refundsId: payment.id,
        pieces: isAll ? null : payload.pieces,
        note: payload.note,
      }),
    ];
  },
});
