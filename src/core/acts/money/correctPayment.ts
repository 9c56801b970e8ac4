import { z } from 'zod';
import { id } from '../../model/fields';
import { subjectName } from '../../plan/subjectName';
import { linesInForce } from '../../pricing/ledger';
import { projectAct, refuse } from '../act';
import { ledgerLine, payment, reversalOf } from './ledgerChanges';

/** Sets right what was paid or promised: the slip turned up, or the first figure was wrong. The old line is taken back. */
export const correctPayment = projectAct({
  kind: 'correctPayment',
  title: 'What was paid set right',
  payload: z.strictObject({ lineId: id, ...payment, reversalId: id }),
  decide: (rows, payload) => {
    const line = linesInForce(rows.ledger).find((row) => row.id === payload.lineId);
    if (!line || (line.kind !== 'payment' && line.kind !== 'promise'))
      return refuse('lineId', payload.lineId, 'a payment or an order that counts');
    if (linesInForce(rows.ledger).some((row) => row.refundsId === line.id))
      return refuse('lineId', subjectName(rows, line.subject), 'a payment of which nothing came back yet');
    const { kind, subject, sourceId, receiptId, pieces, note } = line;
    return [
      reversalOf(line, payload.reversalId, payload.atMs),
      ledgerLine(payload, kind, subject, { sourceId, receiptId, pieces, note }),
    ];
  },
});
