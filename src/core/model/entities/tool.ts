import { tools } from '../../catalog/tools';
import { defineEntity } from '../entity';
import { oneOf, registered, yesNo } from '../fields';

/** A tool of the table, and whether it is owned. */
export const tool = defineEntity({
  table: 'tools',
  name: 'tool',
  noun: 'tool',
  owner: 'studio',
  travels: 'always',
  unique: [['toolId']],
  fields: {
    toolId: registered(tools),
    owned: yesNo,
    /** How much life is left in it, where that matters. */
    wear: oneOf(['good', 'worn', 'replace']),
  },
});
