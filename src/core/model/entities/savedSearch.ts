import { defineEntity } from '../entity';
import { line } from '../fields';

/** A search of the stash kept by name; the query as the address line of the house writes it. */
export const savedSearch = defineEntity({
  table: 'searches',
  name: 'saved_search',
  noun: 'kept search',
  owner: 'studio',
  travels: 'never',
  snapshot: 'none',
  fields: { name: line(1, 80), query: line(0, 1000) },
});
