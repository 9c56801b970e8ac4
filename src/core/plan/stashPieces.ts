import { blankSighting } from '../model/blankSighting';
import { type FindRow, findOf } from '../model/finds';
import type { PieceRow } from '../model/rows';
import { plainStory } from '../pricing/priceStory';

/** A piece of the stash as a find of a project: ours already, free, as many as there are. */
export function findFromPiece(id: string, piece: PieceRow): FindRow {
  const sighting = {
    id,
    version: 1,
    pieceId: piece.id,
    ...blankSighting,
    state: 'owned' as const,
    story: plainStory({ state: 'free' }),
  };
  return findOf(sighting, piece, 'owned');
}
