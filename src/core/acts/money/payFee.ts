import { z } from 'zod';
import { id, line } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { ledgerLine, payment } from './ledgerChanges';

/** Money for no thing of its own: a fee, parking, or a deposit for something borrowed. */
export const payFee = projectAct({
  kind: 'payFee',
  title: 'Payment noted',
  payload: z.strictObject({
    what: line(1, 400),
    /** The borrowed piece that a deposit was left for; null for a fee. */
    depositFor: id.nullable(),
    sourceId: id.nullable(),
    ...payment,
  }),
  decide: (rows, payload) => {
    const { depositFor, sourceId, what } = payload;
    if (depositFor !== null && !rows.pieces.some((piece) => piece.id === depositFor))
      return refuse('depositFor', depositFor, 'a piece of this project or of the house');
    const subject =
      depositFor === null
        ? { kind: 'fee' as const, id: rows.project.id }
        : { kind: 'deposit' as const, id: depositFor };
    return [ledgerLine(payload, 'payment', subject, { sourceId, note: what })];
  },
});
