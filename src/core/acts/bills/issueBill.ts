import { z } from 'zod';
import { id, localDate } from '../../model/fields';
import { seriesOf } from '../../model/values/billKinds';
import { projectAct, refuse } from '../act';
import { insert, remove, update } from '../changes';

/**
 * Makes a draft a bill that can be sent: what it says is kept for good, and it gets the next number of its series where
 * all bills of the studio are known. What the client paid before counts for an invoice.
 */
export const issueBill = projectAct({
  kind: 'issueBill',
  title: 'Bill made out',
  payload: z.strictObject({ draftId: id, billId: id, issuedOn: localDate, doneOn: localDate.nullable() }),
  decide: (rows, { draftId, billId, issuedOn, doneOn }) => {
    const draft = rows.billDrafts.find((row) => row.id === draftId);
    if (!draft) return refuse('draftId', draftId, 'a draft that is still there');
    const { kind, body } = draft;
    if (body.from === '') return refuse('from', '', 'your name and address');
    if (body.to === '') return refuse('to', '', 'the name and address of whoever pays');
    if (body.lines.length === 0) return refuse('lines', 0, 'at least one line');
    const deposits = kind === 'invoice' ? rows.clientPayments.filter((payment) => payment.billId === null) : [];
    return [
      insert('bills', {
        id: billId,
        kind,
        series: seriesOf(kind),
        number: null,
        prefix: rows.letterheads[0]?.prefix ?? '',
        issuedOn,
        doneOn,
        body,
        deposits: deposits.map(({ onDate, amount, what }) => ({ onDate, amount, what })),
        cancelsId: null,
      }),
      ...deposits.map((payment) => update('clientPayments', payment.id, { billId })),
      remove('billDrafts', draftId),
    ];
  },
});
