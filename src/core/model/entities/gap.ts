import { defineEntity } from '../entity';
import { line, localDate, yesNo } from '../fields';

/** A place that something was taken from, to be filled again. */
export const gap = defineEntity({
  table: 'gaps',
  name: 'gap',
  noun: 'gap',
  owner: 'studio',
  travels: 'never',
  snapshot: 'none',
  fields: { place: line(1, 120), what: line(0, 200), sinceOn: localDate, done: yesNo },
});
