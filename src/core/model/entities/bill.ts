import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, localDate, refersTo, wholeNumber } from '../fields';
import { billBody, kindOfBill, paidBefore, seriesOfBill } from '../values/bill';
import { seriesOf } from '../values/billKinds';

/**
 * A bill as it was sent: a record that stays, with a number that no other has. The number is given where all bills of the
 * studio are known; until then it is null.
 */
export const bill = defineEntity(
  {
    table: 'bills',
    name: 'bill',
    noun: 'bill',
    owner: 'project',
    travels: 'never',
    record: true,
    most: { count: 500, per: 'project' },
    unique: [['series', 'number'], ['cancelsId']],
    fields: {
      kind: kindOfBill,
      series: seriesOfBill,
      number: wholeNumber(1, 999_999_999, 'a number').nullable(),
      /** What stands before the number. */
      prefix: line(0, 20),
      issuedOn: localDate,
      /** When what it asks for was done; null where nobody said. */
      doneOn: localDate.nullable(),
      body: billBody,
      deposits: z.array(paidBefore).max(100, 'at most 100 payments'),
      /** The invoice that a credit note takes back. */
      cancelsId: refersTo('bills').nullable(),
    },
  },
  ({ kind, series }) => (series === seriesOf(kind) ? null : { field: 'series', accepted: 'the series of its kind' }),
  ({ kind, cancelsId }) =>
    (kind === 'creditNote') === (cancelsId !== null)
      ? null
      : { field: 'cancelsId', accepted: 'an invoice for a credit note, and for nothing else' },
);
