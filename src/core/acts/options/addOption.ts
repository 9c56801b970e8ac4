import { projectAct } from '../act';
import { newOption, newOptionChanges } from './newOptionChanges';

/** A new way to fill a slot, with whatever is new about it: the find, the offer, the recipe, the color. */
export const addOption = projectAct({
  kind: 'addOption',
  title: 'Option added',
  payload: newOption,
  decide: newOptionChanges,
});
