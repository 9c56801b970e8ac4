import { z } from 'zod';
import { id, localDate } from '../../model/fields';
import { seriesOf } from '../../model/values/billKinds';
import { projectAct, refuse } from '../act';
import { insert, update } from '../changes';

/**
 * Takes an invoice back by a credit note with the next number: the same lines, the other way round. What was paid counts
 * for what is billed next, and the lines can go on as a draft.
 */
export const cancelBill = projectAct({
  kind: 'cancelBill',
  title: 'Invoice taken back',
  payload: z.strictObject({ billId: id, creditNoteId: id, issuedOn: localDate, draftId: id.nullable() }),
  decide: (rows, { billId, creditNoteId, issuedOn, draftId }) => {
    const bill = rows.bills.find((row) => row.id === billId);
    if (bill?.kind !== 'invoice') return refuse('billId', billId, 'an invoice');
    if (rows.bills.some(({ cancelsId }) => cancelsId === billId))
      return refuse('billId', billId, 'an invoice that was not taken back yet');
    const lines = bill.body.lines.map((line) => ({ ...line, quantityThousandths: -line.quantityThousandths }));
    return [
      insert('bills', {
        id: creditNoteId,
        kind: 'creditNote',
        series: seriesOf('creditNote'),
        number: null,
        prefix: bill.prefix,
        issuedOn,
        doneOn: bill.doneOn,
        body: { ...bill.body, lines },
        deposits: [],
        cancelsId: billId,
      }),
      ...rows.clientPayments
        .filter((payment) => payment.billId === billId)
        .map((payment) => update('clientPayments', payment.id, { billId: null })),
      ...(draftId === null ? [] : [insert('billDrafts', { id: draftId, kind: 'invoice', body: bill.body })]),
    ];
  },
});
