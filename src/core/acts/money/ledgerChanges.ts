import { id, minorUnits, moment, oneOf, yesNo } from '../../model/fields';
import { newLedgerLine } from '../../model/newLedgerLine';
import type { LedgerRow, LedgerSubject, ProjectRows } from '../../model/rows';
import { foreignMoney } from '../../model/values/price';
import { standingSettlements } from '../../pricing/ledger';
import { type Decision, refuse } from '../act';
import { insert, type RowChange } from '../changes';

/** What every payment or promise says of itself. */
export const payment = {
  paid: minorUnits,
  /** It may have been more; with 0 it is not known at all. */
  atLeast: yesNo.optional(),
  /** It is a guess. */
  estimated: yesNo.optional(),
  /** What was paid in other money; `paid` is what that came to. */
  foreign: foreignMoney.nullable().optional(),
  ledgerId: id,
  atMs: moment,
};

/** Payload of what is ordered first and paid later; `reversalId` names the line that takes an open promise back. */
export const settlement = { ...payment, how: oneOf(['payment', 'promise']), reversalId: id.optional() };

interface Said {
  paid: number;
  atLeast?: boolean | undefined;
  estimated?: boolean | undefined;
  foreign?: LedgerRow['foreign'] | undefined;
  ledgerId: string;
  atMs: number;
}

/** What else is known of a line, beyond what was said of the payment. */
export type MoreOfLine = Partial<Pick<LedgerRow, 'sourceId' | 'receiptId' | 'pieces' | 'refundsId' | 'note'>>;

/** A new line of the ledger, for one thing. */
export function ledgerLine(
  said: Said,
  kind: LedgerRow['kind'],
  subject: LedgerSubject,
  more: MoreOfLine = {},
): RowChange {
  return insert('ledger', {
    ...newLedgerLine(said.ledgerId, kind, subject, said.paid, said.atMs),
    atLeast: said.atLeast ?? false,
    estimated: said.estimated ?? false,
    foreign: said.foreign ?? null,
    ...more,
  });
}

/** The line that takes another one back: its mirror image. */
export function reversalOf(line: LedgerRow, reversalId: string, atMs: number): RowChange {
  return insert('ledger', { ...line, id: reversalId, atMs, reversesId: line.id, note: '' });
}

/** The ledger's part of paying or promising one thing once: a payment takes the promise before it back. */
export function settle(
  rows: ProjectRows,
  said: Said & { how: 'payment' | 'promise'; reversalId?: string | undefined },
  field: string,
  name: string,
  subject: LedgerSubject,
  more: MoreOfLine = {},
): Decision {
  const open = standingSettlements(rows.ledger).filter(
    (line) => line.subject.kind === subject.kind && line.subject.id === subject.id,
  );
  if (open.some((line) => line.kind === 'payment')) return refuse(field, name, 'something that is not bought yet');
  const promise = open.find((line) => line.kind === 'promise');
  if (!promise) return [ledgerLine(said, said.how, subject, more)];
  if (said.how === 'promise') return refuse(field, name, 'something that is not ordered yet');
  if (said.reversalId === undefined)
    return refuse('reversalId', 'nothing', 'an id for the line that takes the promise back');
  return [reversalOf(promise, said.reversalId, said.atMs), ledgerLine(said, 'payment', subject, more)];
}
