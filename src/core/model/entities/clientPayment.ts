import { defineEntity } from '../entity';
import { line, localDate, minorUnits, refersTo } from '../fields';

/** What the client paid: before an invoice was written, or for one. */
export const clientPayment = defineEntity({
  table: 'clientPayments',
  name: 'client_payment',
  noun: 'payment of the client',
  owner: 'project',
  travels: 'never',
  most: { count: 500, per: 'project' },
  fields: {
    onDate: localDate,
    amount: minorUnits,
    what: line(0, 120),
    /** The invoice that it counts for; null while it is a deposit for what is still to be billed. */
    billId: refersTo('bills').nullable(),
  },
});
