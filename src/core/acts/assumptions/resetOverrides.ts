import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct } from '../act';
import { remove } from '../changes';

/** Removes overrides, so that the tables' figures count again; an override that is gone already is ignored. */
export const resetOverrides = projectAct({
  kind: 'resetOverrides',
  title: 'Assumptions reset',
  payload: z.strictObject({ ids: z.array(id).max(500) }),
  decide: (rows, payload) =>
    rows.overrides.filter((row) => payload.ids.includes(row.id)).map((row) => remove('overrides', row.id)),
});
