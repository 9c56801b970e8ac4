import type { PayloadOf } from '@core/acts';
import type { PieceRow, ProjectRows, SlotRow } from '@core/model/rows';
import { findFromPiece } from '@core/plan/stashPieces';
import { plainOption } from './newOption';

/** What fills a slot with a piece of the house: its find and option if the project has them already, else new ones. */
export function fillWithPiece(
  rows: ProjectRows,
  slot: SlotRow,
  piece: PieceRow,
  free: number,
  today: string,
): PayloadOf<'usePiece'> {
  const known = rows.finds.find((find) => find.pieceId === piece.id);
  const find = known ?? findFromPiece(crypto.randomUUID(), piece);
  const option =
    rows.options.find(
      (candidate) =>
        candidate.slotId === slot.id &&
        candidate.kind === 'own' &&
        candidate.parts.some((part) => part.findId === find.id),
    ) ?? plainOption(slot.id, find, known === undefined).option;
  return {
    slotId: slot.id,
    pieceId: piece.id,
    count: Math.max(1, Math.min(slot.quantity, free)),
    find,
    option,
    fillId: crypto.randomUUID(),
    gap:
      piece.standsAt === ''
        ? null
        : { id: crypto.randomUUID(), version: 1, place: piece.standsAt, what: piece.name, sinceOn: today, done: false },
  };
}
