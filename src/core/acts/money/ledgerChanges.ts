import { id, minorUnits, moment, oneOf, yesNo } from '../../model/fields';
import type { LedgerSubject, ProjectRows } from '../../model/rows';
import { linesInForce } from '../../pricing/ledger';
import { type Decision, refuse } from '../act';
import { insert, type RowChange } from '../changes';

/** What every payment or promise says of itself. */
export const payment = {
  paid: minorUnits,
  /** It may have been more; with 0 it is not known at all. */
  atLeast: yesNo.optional(),
  ledgerId: id,
  atMs: moment,
};

/** Payload of what is ordered first and paid later; `reversalId` names the line that takes an open promise back. */
export const settlement = { ...payment, how: oneOf(['payment', 'promise']), reversalId: id.optional() };

interface Said {
  paid: number;
  atLeast?: boolean | undefined;
  ledgerId: string;
  atMs: number;
}

/** A new line of the ledger, for one thing. */
export function ledgerLine(
  said: Said,
  kind: 'payment' | 'promise',
  subject: LedgerSubject,
  reversesId: string | null = null,
): RowChange {
  return insert('ledger', {
    id: said.ledgerId,
    kind,
    amount: said.paid,
    atLeast: said.atLeast ?? false,
    atMs: said.atMs,
    subject,
    reversesId,
    note: '',
  });
}

/** The ledger's part of paying or promising one thing once: a payment takes the promise before it back. */
export function settle(
  rows: ProjectRows,
  said: Said & { how: 'payment' | 'promise'; reversalId?: string | undefined },
  field: string,
  name: string,
  subject: LedgerSubject,
): Decision {
  const open = linesInForce(rows.ledger).filter(
    (line) => line.subject.kind === subject.kind && line.subject.id === subject.id,
  );
  if (open.some((line) => line.kind === 'payment')) return refuse(field, name, 'something that is not bought yet');
  const promise = open.find((line) => line.kind === 'promise');
  if (!promise) return [ledgerLine(said, said.how, subject)];
  if (said.how === 'promise') return refuse(field, name, 'something that is not ordered yet');
  if (said.reversalId === undefined)
    return refuse('reversalId', 'nothing', 'an id for the line that takes the promise back');
  const reversal = { ...said, ledgerId: said.reversalId, paid: promise.amount, atLeast: promise.atLeast };
  return [ledgerLine(reversal, 'promise', subject, promise.id), ledgerLine(said, 'payment', subject)];
}
