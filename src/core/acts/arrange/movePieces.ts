import { z } from 'zod';
import { lookPiece } from '../../model/entities/lookPiece';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { MOST_IN_LOOK } from './lookChanges';

const { xMm, footMm, frontMm, onId, layer } = lookPiece.fields;

/** Pieces of a look put elsewhere, in one act: what stands on something goes with it. */
export const movePieces = projectAct({
  kind: 'movePieces',
  title: 'Moved',
  payload: z.strictObject({
    places: z
      .array(z.strictObject({ id, xMm, footMm, frontMm, onId, layer }))
      .min(1, 'at least one piece')
      .max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces`),
  }),
  decide: (rows, payload) => {
    const gone = payload.places.find((place) => !rows.lookPieces.some((row) => row.id === place.id));
    return gone
      ? refuse('places', gone.id, 'pieces that are still in the look')
      : payload.places.map(({ id: placementId, ...place }) => update('lookPieces', placementId, place));
  },
});
