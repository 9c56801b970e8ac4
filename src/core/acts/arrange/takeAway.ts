import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { MOST_IN_LOOK, removePlacements } from './lookChanges';

/** Pieces taken out of their look; what stood on them comes down. */
export const takeAway = projectAct({
  kind: 'takeAway',
  title: 'Taken out of the look',
  payload: z.strictObject({ ids: z.array(id).min(1, 'at least one piece').max(MOST_IN_LOOK) }),
  decide: (rows, payload) => {
    const gone = payload.ids.find((one) => !rows.lookPieces.some((row) => row.id === one));
    return gone
      ? refuse('ids', gone, 'pieces that are still in the look')
      : removePlacements(rows, (row) => payload.ids.includes(row.id));
  },
});
