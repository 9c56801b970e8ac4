import { isRefusal, projectAct } from '../act';
import { insert } from '../changes';
import { bookReceipt, receiptPayload } from './receiptChanges';

/**
 * A receipt with all its lines at once: a payment for each thing on it, which together come to what was paid, to the minor
 * unit; with the finds and supplies that are new by it.
 */
export const recordReceipt = projectAct({
  kind: 'recordReceipt',
  title: 'Receipt kept',
  payload: receiptPayload,
  decide: (rows, payload) => {
    const booked = bookReceipt(rows, payload);
    // The receipt stands before the payments that name it.
    return isRefusal(booked) ? booked : [insert('receipts', payload.receipt), ...booked];
  },
});
