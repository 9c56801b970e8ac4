import { z } from 'zod';
import { source } from '../../model/entities/source';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { type RowChange, update } from '../changes';

/** Changes a place. The price book names places as they were written: a new name goes there too. */
export const editSource = houseAct({
  kind: 'editSource',
  title: 'Place changed',
  payload: z.strictObject({ id, values: z.strictObject(source.fields).partial() }),
  decide: (rows, payload) => {
    const before = rows.sources.find((row) => row.id === payload.id);
    if (!before) return refuse('id', payload.id, 'a place that is still there');
    const changes: RowChange[] = [update('sources', payload.id, payload.values)];
    const { name } = payload.values;
    if (name === undefined || name === before.name) return changes;
    for (const table of ['packs', 'priceNotes'] as const)
      for (const row of rows[table])
        if (row.source === before.name) changes.push(update(table, row.id, { source: name }));
    return changes;
  },
});
