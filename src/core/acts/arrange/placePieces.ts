import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { id } from '../../model/fields';
import { isRefusal, projectAct, refuse } from '../act';
import { insert } from '../changes';
import { floorChanges, mostCarriers } from './floorChanges';
import { MOST_IN_LOOK, moveChanges, placeOfPiece, supportsFirst } from './lookChanges';

/** Pieces put into a look. */
export const placePieces = projectAct({
  kind: 'placePieces',
  title: 'Placed in the look',
  payload: z.strictObject({
    rows: z.array(rowSchema('lookPieces')).max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces in a look`),
    /** What moves along: what is set on a new piece. */
    places: z.array(placeOfPiece).max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces`).default([]),
    /**
     * A spot that was the top of furniture and shows its floor from now on, with that furniture for each of its looks; the
     * pieces and the places above are as they are then.
     */
    floor: z
      .strictObject({
        spotId: id,
        carriers: z.array(rowSchema('lookPieces')).max(mostCarriers, `at most ${mostCarriers} looks`),
      })
      .optional(),
  }),
  decide: (rows, payload) => {
    if (payload.rows.length === 0 && payload.floor === undefined) return refuse('rows', '', 'at least one piece');
    const stray = payload.rows.find(({ lookId }) => !rows.looks.some((look) => look.id === lookId));
    if (stray) return refuse('rows', stray.lookId, 'a look that is still there');
    const full = payload.rows.find(({ lookId }) => {
      const inIt = (row: { lookId: string }) => row.lookId === lookId;
      return rows.lookPieces.filter(inIt).length + payload.rows.filter(inIt).length > MOST_IN_LOOK;
    });
    if (full) return refuse('rows', payload.rows.length, `at most ${MOST_IN_LOOK} pieces in a look`);
    const carriers = payload.floor?.carriers ?? [];
    const moves = moveChanges({ ...rows, lookPieces: [...rows.lookPieces, ...carriers] }, payload.places);
    if (isRefusal(moves)) return moves;
    const shown = payload.floor ? floorChanges(rows, payload.floor) : [];
    if (isRefusal(shown)) return shown;
    return [...shown, ...supportsFirst(payload.rows).map((row) => insert('lookPieces', row)), ...moves];
  },
});
