import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert, update } from '../changes';

/** Puts a figure of one's own in the place of the tables', for the project, a recipe or a supply. */
export const setOverride = projectAct({
  kind: 'setOverride',
  title: 'Assumption changed',
  payload: z.strictObject({ override: rowSchema('overrides') }),
  decide: (rows, { override }) => {
    const known = rows.overrides.find((row) => row.key === override.key && row.scope === override.scope);
    return [
      known
        ? update('overrides', known.id, { value: override.value, note: override.note })
        : insert('overrides', override),
    ];
  },
});
