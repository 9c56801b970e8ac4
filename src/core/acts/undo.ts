import { z } from 'zod';
import { id } from '../model/fields';
import { projectAct } from './act';

/**
 * Takes an act back: what it inserted goes, what it removed or changed returns, what it paid is reversed. `also` names
 * acts that built on it and are taken back with it. Decided where the acts are kept, see `undoChanges`.
 */
export const undo = projectAct({
  kind: 'undo',
  title: 'Undone',
  payload: z.strictObject({
    actId: id,
    also: z.array(id).max(200, 'at most 200 acts at once').default([]),
    reversalIds: z.array(id).max(500),
  }),
  decide: () => [],
});
