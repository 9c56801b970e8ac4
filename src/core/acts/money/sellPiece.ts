import { z } from 'zod';
import { id, minorUnits, moment, paragraph } from '../../model/fields';
import { linesInForce } from '../../pricing/ledger';
import { isRefusal, projectAct, refuse } from '../act';
import { update } from '../changes';
import { putAwayFinds } from '../finds/findOptions';
import { ledgerLine } from './ledgerChanges';

/** Sells something of ours: what it brought is income of this project, and the piece leaves the house and the plan. */
export const sellPiece = projectAct({
  kind: 'sellPiece',
  title: 'Sold',
  payload: z.strictObject({ pieceId: id, income: minorUnits, note: paragraph(0, 400), ledgerId: id, atMs: moment }),
  decide: (rows, payload) => {
    const piece = rows.pieces.find((row) => row.id === payload.pieceId);
    const finds = rows.finds.filter((find) => find.pieceId === payload.pieceId);
    const isOurs = piece?.inHouse || finds.some(({ state }) => state === 'bought' || state === 'owned');
    if (!piece || !isOurs) return refuse('pieceId', piece?.name ?? payload.pieceId, 'a piece that is ours');
    if (piece.borrowedFrom !== '') return refuse('pieceId', piece.name, 'a piece that is not borrowed');
    if (linesInForce(rows.ledger).some(({ kind, subject }) => kind === 'saleIncome' && subject.id === piece.id))
      return refuse('pieceId', piece.name, 'a piece that is not sold yet');
    const leaving = putAwayFinds(rows, finds);
    if (isRefusal(leaving)) return leaving;
    const said = { paid: payload.income, ledgerId: payload.ledgerId, atMs: payload.atMs };
    return [
      ...leaving,
      ...(piece.inHouse ? [update('pieces', piece.id, { inHouse: false })] : []),
      ledgerLine(said, 'saleIncome', { kind: 'piece', id: piece.id }, { note: payload.note }),
    ];
  },
});
