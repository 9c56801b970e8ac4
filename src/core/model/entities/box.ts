import { defineEntity } from '../entity';
import { line, localDate, paragraph } from '../fields';

/**
 * A box in which things sleep. Its name stands on its label and in the pieces that lie in it (`pieces.box`); it is never
 * renamed, since the label could not follow.
 */
export const box = defineEntity({
  table: 'boxes',
  name: 'box',
  noun: 'box',
  owner: 'studio',
  travels: 'never',
  most: { count: 1000, per: 'studio' },
  unique: [['name']],
  fields: {
    name: line(1, 60),
    /** Where it stands. */
    shelf: line(0, 60),
    /** How what lies in it is protected. */
    protection: line(0, 120),
    note: paragraph(0, 1000),
    /** When it was looked into last, and when it should be next. */
    checkedOn: localDate.nullable(),
    lookAgainOn: localDate.nullable(),
  },
});
