import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct, refuse } from '../act';
import { insert } from '../changes';
import { MOST_IN_LOOK, supportsFirst } from './lookChanges';

/** A look with what stands in it from the beginning: from the sketch, as a copy of another one, or empty. */
export const addLook = projectAct({
  kind: 'addLook',
  title: 'Look added',
  titleFor: ({ row }) => `Look added: ${row.name}`,
  payload: z.strictObject({
    row: rowSchema('looks'),
    pieces: z.array(rowSchema('lookPieces')).max(MOST_IN_LOOK, `at most ${MOST_IN_LOOK} pieces in a look`),
  }),
  decide: (_rows, { row, pieces }) => {
    const stray = pieces.find((piece) => piece.lookId !== row.id);
    return stray
      ? refuse('lookPieces', stray.lookId, 'pieces of this look')
      : [insert('looks', row), ...supportsFirst(pieces).map((piece) => insert('lookPieces', piece))];
  },
});
