import { defineEntity } from '../entity';
import { line, localDate, oneOf } from '../fields';
import { looseEndSubject } from '../values/looseEndSubject';

/** What becomes of a thing that serves nowhere here. */
export const endWays = ['keep', 'elsewhere', 'give', 'sell', 'return', 'away'] as const;
export type EndWay = (typeof endWays)[number];

/**
 * What the stylist says of something that is left to do after the work: its day, what becomes of it, that it is done. What
 * is left follows from the books and the house; this row is there only where more was said.
 */
export const looseEnd = defineEntity(
  {
    table: 'looseEnds',
    name: 'loose_end',
    noun: 'loose end',
    owner: 'project',
    travels: 'always',
    most: { count: 400, per: 'project' },
    fields: {
      about: looseEndSubject,
      /** In the stylist's words; empty where it is named by what it is of. */
      what: line(0, 200),
      dueOn: localDate.nullable(),
      doneOn: localDate.nullable(),
      way: oneOf(endWays).nullable(),
      note: line(0, 400),
    },
  },
  // What is of nothing is told by its words alone.
  ({ about, what }) =>
    about.kind === 'own' && what === '' ? { field: 'what', accepted: 'what is to be done, in words' } : null,
);
