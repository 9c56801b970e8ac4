import { defineEntity } from '../entity';
import { line, localDate, yesNo } from '../fields';
import { lengthMm, placeMm } from '../values/surface';

/** A hole in a wall, for whoever hangs something there next. */
export const hole = defineEntity({
  table: 'holes',
  name: 'hole',
  noun: 'hole',
  owner: 'studio',
  travels: 'never',
  most: { count: 2000, per: 'studio' },
  fields: {
    /** The place and its wall, in the words of who made it. */
    place: line(1, 200),
    /** From where it was measured, and how far to the right of it. */
    edge: line(1, 80),
    fromEdgeMm: placeMm,
    /** Above the floor. */
    heightMm: lengthMm,
    /** What hung there, with what. */
    what: line(0, 200),
    madeOn: localDate,
    filled: yesNo,
  },
});
