import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct, refuse } from '../act';
import { insert } from '../changes';

/** Keeps what the plan comes to now, to be held against how it turns out. */
export const freezePlan = projectAct({
  kind: 'freezePlan',
  title: 'Plan frozen as it is',
  payload: z.strictObject({ row: rowSchema('planFreezes') }),
  decide: (rows, { row }) =>
    row.plan.currency === rows.project.currency
      ? [insert('planFreezes', row)]
      : refuse('plan.currency', row.plan.currency, `the currency of the project, ${rows.project.currency}`),
});
