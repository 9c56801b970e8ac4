import { z } from 'zod';
import { houseAct, refuse } from '../act';
import { update } from '../changes';

/** Resets what the log taught of a kind of work: only what comes from now on counts. The lines stay in the log. */
export const forgetFactor = houseAct({
  kind: 'forgetFactor',
  title: 'Learned factor reset',
  payload: z.strictObject({ work: z.string().min(1, 'a kind of work').max(80, 'a kind of work') }),
  decide: (rows, { work }) => {
    const lines = rows.logEntries.filter((entry) => entry.work === work && entry.counts);
    return lines.length === 0
      ? refuse('work', work, 'a kind of work of which the log has taught something')
      : lines.map((entry) => update('logEntries', entry.id, { counts: false }));
  },
});
