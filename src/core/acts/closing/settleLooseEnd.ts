import { z } from 'zod';
import { looseEnd } from '../../model/entities/looseEnd';
import { id } from '../../model/fields';
import type { LooseEndRow, ProjectRows } from '../../model/rows';
import { projectAct } from '../act';
import { insert, update } from '../changes';

const { about, what, dueOn, doneOn, way, note } = looseEnd.fields;

/** What was said before of the same thing; tasks of one's own are told apart by their id. */
function saidBefore(rows: ProjectRows, rowId: string, of: LooseEndRow['about']): LooseEndRow | undefined {
  return rows.looseEnds.find((row) =>
    of.kind === 'own' ? row.id === rowId : row.about.kind === of.kind && 'id' in row.about && row.about.id === of.id,
  );
}

/** Says something of what is left to do: its day, what becomes of it, that it is done. What is not said stays as it was. */
export const settleLooseEnd = projectAct({
  kind: 'settleLooseEnd',
  title: 'Noted',
  titleFor: ({ title }) => title || 'Noted',
  payload: z.strictObject({
    id,
    about,
    /** What the message says of it. */
    title: what.default(''),
    values: z.strictObject({ what, dueOn, doneOn, way, note }).partial(),
  }),
  decide: (rows, payload) => {
    const known = saidBefore(rows, payload.id, payload.about);
    if (known) return [update('looseEnds', known.id, payload.values)];
    const nothing = { what: '', dueOn: null, doneOn: null, way: null, note: '' };
    return [insert('looseEnds', { id: payload.id, about: payload.about, ...nothing, ...payload.values })];
  },
});
