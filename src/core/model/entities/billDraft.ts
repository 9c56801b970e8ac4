import { defineEntity } from '../entity';
import { billBody, kindOfDraft } from '../values/bill';

/** A quote or an invoice while it is written: it has no number yet, and can be thrown away. */
export const billDraft = defineEntity({
  table: 'billDrafts',
  name: 'bill_draft',
  noun: 'draft of a bill',
  owner: 'project',
  travels: 'never',
  most: { count: 50, per: 'project' },
  fields: { kind: kindOfDraft, body: billBody },
});
