import { ledgerKinds } from '../../pricing/ledger';
import { defineEntity } from '../entity';
import { line, minorUnits, moment, oneOf, refersTo, yesNo } from '../fields';
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
  },
});
