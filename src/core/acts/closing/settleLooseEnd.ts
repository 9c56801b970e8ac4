import { z } from 'zod';
import { type EndWay, looseEnd } from '../../model/entities/looseEnd';
import { id } from '../../model/fields';
import type { LooseEndRow, ProjectRows } from '../../model/rows';
import { isRefusal, projectAct, refuse } from '../act';
import { insert, type RowChange, update } from '../changes';
import { withoutFind } from '../finds/findOptions';

const { about, what, dueOn, doneOn, way, note } = looseEnd.fields;

/** What was said before of the same thing; tasks of one's own are told apart by their id. */
function saidBefore(rows: ProjectRows, rowId: string, of: LooseEndRow['about']): LooseEndRow | undefined {
  return rows.looseEnds.find((row) =>
    of.kind === 'own' ? row.id === rowId : row.about.kind === of.kind && 'id' in row.about && row.about.id === of.id,
  );
}

/** Ways in which a thing leaves for nothing. */
const leavesForNothing: ReadonlySet<EndWay | null> = new Set<EndWay>(['give', 'away']);

/**
 * Says something of what is left to do: its day, what becomes of it, that it is done. What is not said stays as it was. A
 * find that was given away, or thrown away, is put away: what was paid for it stays in the books.
 */
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
    const nothing = { what: '', dueOn: null, doneOn: null, way: null, note: '' };
    const changes: RowChange[] = [
      known
        ? update('looseEnds', known.id, payload.values)
        : insert('looseEnds', { id: payload.id, about: payload.about, ...nothing, ...payload.values }),
    ];
    const { about: of, values } = payload;
    if (of.kind !== 'misfit' || !values.doneOn || !leavesForNothing.has(values.way ?? null)) return changes;
    const find = rows.finds.find((row) => row.id === of.id);
    if (!find) return refuse('about', of.id, 'a find that is still there');
    const gone = withoutFind(rows, find, true);
    return isRefusal(gone) ? gone : [...changes, ...gone, update('sightings', find.id, { archived: true })];
  },
});
