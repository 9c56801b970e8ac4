import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { isRefusal, projectAct, refuse } from '../act';
import { insert } from '../changes';
import { MOST_IN_LOOK, moveChanges, placeOfPiece, supportsFirst } from './lookChanges';

/** Pieces put into a look. */
export const placePieces = projectAct({
  kind: 'placePieces',
  title: 'Placed in the look',
  payload: z.strictObject({
    rows: z
      .array(rowSchema('lookPieces'))
      .min(1, 'at least one piece')
      .max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces in a look`),
    /** What moves along: what is set on a new piece. */
    places: z.array(placeOfPiece).max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces`).default([]),
  }),
  decide: (rows, payload) => {
    const stray = payload.rows.find(({ lookId }) => !rows.looks.some((look) => look.id === lookId));
    if (stray) return refuse('rows', stray.lookId, 'a look that is still there');
    const full = payload.rows.find(({ lookId }) => {
      const inIt = (row: { lookId: string }) => row.lookId === lookId;
      return rows.lookPieces.filter(inIt).length + payload.rows.filter(inIt).length > MOST_IN_LOOK;
    });
    if (full) return refuse('rows', payload.rows.length, `at most ${MOST_IN_LOOK} pieces in a look`);
    const moves = moveChanges(rows, payload.places);
    return isRefusal(moves)
      ? moves
      : [...supportsFirst(payload.rows).map((row) => insert('lookPieces', row)), ...moves];
  },
});
