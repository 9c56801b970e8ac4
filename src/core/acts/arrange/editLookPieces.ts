import { z } from 'zod';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { editPayload } from '../rowActs';
import { MOST_IN_LOOK } from './lookChanges';

/** Several pieces of a look changed in one act: acrylic instead of glass in all three frames. */
export const editLookPieces = projectAct({
  kind: 'editLookPieces',
  title: 'Changed in the look',
  payload: z.strictObject({
    edits: z
      .array(editPayload('lookPieces'))
      .min(1, 'at least one piece')
      .max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces`),
  }),
  decide: (rows, payload) => {
    const gone = payload.edits.find((edit) => !rows.lookPieces.some((row) => row.id === edit.id));
    return gone
      ? refuse('edits', gone.id, 'pieces that are still in the look')
      : payload.edits.map(({ id, values }) => update('lookPieces', id, values));
  },
});
