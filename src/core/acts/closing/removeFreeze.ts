import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';

/** Takes away a plan that was frozen by hand; the one from when work began stays, since all is held against it. */
export const removeFreeze = projectAct({
  kind: 'removeFreeze',
  title: 'Frozen plan removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const freeze = rows.planFreezes.find((row) => row.id === payload.id);
    if (!freeze) return refuse('id', payload.id, 'a frozen plan that is still there');
    return freeze.why === 'workBegan'
      ? refuse('id', 'the plan when work began', 'a plan that was frozen by hand')
      : [remove('planFreezes', freeze.id)];
  },
});
