import { defineEntity } from '../entity';
import { billTerms } from '../values/bill';

/** What stands on all bills of the studio: who bills, at which rate, with which tax. There is one. */
export const letterhead = defineEntity({
  table: 'letterheads',
  name: 'letterhead',
  noun: 'letterhead',
  owner: 'studio',
  travels: 'never',
  most: { count: 1, per: 'studio' },
  fields: { ...billTerms },
});
