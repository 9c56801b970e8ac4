import { z } from 'zod';
import { projectAct } from '../act';
import { MOST_IN_LOOK, moveChanges, placeOfPiece } from './lookChanges';

/** Pieces of a look put elsewhere, in one act: what stands on something goes with it. */
export const movePieces = projectAct({
  kind: 'movePieces',
  title: 'Moved',
  payload: z.strictObject({
    places: z.array(placeOfPiece).min(1, 'at least one piece').max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces`),
  }),
  decide: (rows, payload) => moveChanges(rows, payload.places),
});
