import { z } from 'zod';
import { benchPlan } from '../../model/entities/benchPlan';
import { id } from '../../model/fields';
import { projectAct } from '../act';
import { insert, type RowChange, remove, update } from '../changes';

const { madeAtMs, placed } = benchPlan.fields;

/** Keeps a bench plan, in the place of the one that was kept before; what is planned anew starts from it. */
export const keepBench = projectAct({
  kind: 'keepBench',
  title: 'Bench plan kept',
  titleFor: ({ why }) =>
    ({ kept: 'Bench plan kept', moved: 'Moved on the bench', better: 'The better plan kept' })[why],
  payload: z.strictObject({ id, madeAtMs, placed, why: z.enum(['kept', 'moved', 'better']) }),
  decide: (rows, payload) => {
    const [known, ...others] = [...rows.benchPlans].sort((a, b) => b.madeAtMs - a.madeAtMs);
    // Tasks of what was removed elsewhere meanwhile are not planned any more.
    const ids = new Set([...rows.recipes, ...rows.spots, ...rows.options].map((row) => row.id));
    const there = payload.placed.filter(({ recipeId, spotId, optionId }) =>
      [recipeId, spotId, optionId].every((one) => one === null || ids.has(one)),
    );
    const values = { madeAtMs: payload.madeAtMs, placed: there };
    const changes: RowChange[] = others.map((row) => remove('benchPlans', row.id));
    changes.push(
      known
        ? update('benchPlans', known.id, values)
        : insert('benchPlans', { id: payload.id, kind: 'kept', ...values }),
    );
    return changes;
  },
});
