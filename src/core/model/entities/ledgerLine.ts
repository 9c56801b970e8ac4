import { ledgerKinds } from '../../pricing/ledger';
import { defineEntity } from '../entity';
import { line, minorUnits, moment, oneOf, refersTo, wholeNumber, yesNo } from '../fields';
import { foreignMoney } from '../values/price';
import { subjectSchema } from '../values/subject';

/** One line of the ledger: what moved money, for what. */
export const ledgerLine = defineEntity({
  table: 'ledger',
  name: 'ledger_line',
  noun: 'ledger line',
  owner: 'project',
  travels: 'always',
  most: { count: 30_000, per: 'studio' },
  record: true,
  unique: [['reversesId']],
  fields: {
    kind: oneOf(ledgerKinds),
    amount: minorUnits,
    /** Whether it may have been more: the slip is lost, or nobody remembers; an amount of 0 is then simply not known. */
    atLeast: yesNo,
    atMs: moment,
    subject: subjectSchema,
    reversesId: refersTo('ledger').nullable(),
    note: line(0, 400),
    /** The place that the money went to or came from. */
    sourceId: refersTo('sources').nullable(),
    /** The receipt that it stands on. */
    receiptId: refersTo('receipts').nullable(),
    /** Whether the amount is a guess. */
    estimated: yesNo,
    /** How many pieces it is for; null for all there are. */
    pieces: wholeNumber(1, 1_000_000, 'pieces').nullable(),
    /** The payment that a refund is of. */
    refundsId: refersTo('ledger').nullable(),
    /** What was paid in other money; the amount is what that came to. */
    foreign: foreignMoney.nullable(),
  },
});
