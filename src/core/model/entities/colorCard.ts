import { defineEntity } from '../entity';
import { line } from '../fields';
import { lab } from '../values/surface';

/** A color with a name; the identity of a colored supply. */
export const colorCard = defineEntity({
  table: 'colorCards',
  name: 'color_card',
  noun: 'color',
  owner: 'studio',
  travels: 'referred',
  keptWhile: 'a color that no palette, slot, recipe or supply shows',
  fields: { name: line(1, 80), lab },
});
