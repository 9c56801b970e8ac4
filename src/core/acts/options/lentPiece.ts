import type { PieceRow, ProjectRows } from '../../model/rows';
import { type Refusal, refuse } from '../act';

/** The borrowed piece among some finds whose owner was not asked yet: nothing borrowed is altered before. */
function lentPiece(rows: ProjectRows, findIds: readonly (string | null)[]): PieceRow | undefined {
  return findIds
    .map((findId) => rows.finds.find((row) => row.id === findId)?.pieceId)
    .map((pieceId) => rows.pieces.find((piece) => piece.id === pieceId))
    .find((piece) => piece && piece.borrowedFrom !== '' && !piece.mayAlter);
}

/** Refuses to alter what is only borrowed; null when all may be altered. */
export function refuseLent(rows: ProjectRows, findIds: readonly (string | null)[], field: string): Refusal | null {
  const lent = lentPiece(rows, findIds);
  return lent ? refuse(field, lent.name, `a piece of ours, or one that ${lent.borrowedFrom} lets us alter`) : null;
}
