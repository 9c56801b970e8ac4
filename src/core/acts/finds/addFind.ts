import { z } from 'zod';
import type { ProjectRows } from '../../model/rows';
import { type Decision, projectAct } from '../act';
import { insert, type RowChange } from '../changes';
import { type FindPayload, findSchema, partsOfFind } from './findFields';

/** What a new find adds: its sighting, and its piece where that is new too. */
export function newFindChanges(rows: ProjectRows, find: FindPayload): RowChange[] {
  const { piece, sighting } = partsOfFind(find, rows.project.currency);
  const isHere = rows.pieces.some((row) => row.id === piece.id);
  return [...(isHere ? [] : [insert('pieces', piece)]), insert('sightings', sighting)];
}

/** Something that was seen. */
export const addFind = projectAct({
  kind: 'addFind',
  title: 'Find added',
  payload: z.strictObject({ row: findSchema }),
  decide: (rows, payload): Decision => newFindChanges(rows, payload.row),
});
