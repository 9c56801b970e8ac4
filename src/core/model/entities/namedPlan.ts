import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, paragraph, refersTo, yesNo } from '../fields';
import { fillCount } from './fill';

/** How a plan that was kept fills a slot. */
const keptChoice = z.strictObject({
  slotId: refersTo('slots'),
  leftOut: yesNo,
  fills: z.array(z.strictObject({ optionId: refersTo('options'), count: fillCount })).max(30, 'at most 30 options'),
});
export type KeptChoice = z.output<typeof keptChoice>;

/** A whole plan under a name of its own: what every slot is filled with. It can be looked at and taken again. */
export const namedPlan = defineEntity({
  table: 'plans',
  name: 'named_plan',
  noun: 'plan',
  owner: 'project',
  travels: 'always',
  most: { count: 40, per: 'project' },
  unique: [['name']],
  fields: {
    name: line(1, 80),
    note: paragraph(0, 1000),
    choices: z.array(keptChoice).max(100, 'at most 100 slots'),
  },
});
