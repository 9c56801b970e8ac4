import { type Piece, piecesOf } from './filler';
import type { CutLayout, LaidUnit, UnitOrigin } from './layout';
import { purchaseOfPacks, soldPacks } from './purchases';
import { type CutQuestion, MM_PER_M } from './question';
import { cutStrips, type StickKind } from './strips/cutStrips';

/** A board that may be cut: one of the house, or one that can be bought. */
interface Board extends StickKind {
  key: string;
  origin: UnitOrigin;
  wholeMm: number;
}

/**
 * Cuts lengths from boards at the least cost, exactly: what is in the house costs nothing, the rest is bought in the
 * lengths that are sold. Boards of unknown price are bought only where none has a price, and then by length.
 */
export function cutBoards(question: CutQuestion): CutLayout {
  const { stock, packs } = question;
  const pieces = piecesOf(question.parts);
  const sold = soldPacks(packs);
  const board = (key: string, origin: UnitOrigin, wholeMm: number, cost: number, limit: number): Board => ({
    key,
    origin,
    wholeMm,
    lengthMm: Math.max(0, wholeMm - 2 * stock.marginMm),
    cost,
    limit,
  });
  const boards: Board[] = question.offcuts.map(({ id, lengthMm, count }) =>
    board(`offcut:${id}`, { kind: 'offcut', id }, lengthMm, 0, count),
  );
  const owned = question.owned * MM_PER_M;
  if (owned > 0)
    boards.push(
      Number.isFinite(owned)
        ? board('house', { kind: 'house' }, owned, 0, 1)
        : board('house', { kind: 'house' }, Math.max(0, ...sold.map(({ size }) => size * MM_PER_M)), 0, pieces.length),
    );
  for (const { id, size, price } of sold)
    boards.push(
      board(
        `bought:${id}`,
        { kind: 'bought', packId: id },
        size * MM_PER_M,
        price === null ? Math.round(size * MM_PER_M) : Math.max(1, price.likely),
        Number.POSITIVE_INFINITY,
      ),
    );
  // Parts of one length are alike for the saw.
  const byLength = new Map<number, Piece[]>();
  for (const piece of pieces) {
    const length = Math.round(piece.part.lengthMm * 1000) / 1000;
    byLength.set(length, [...(byLength.get(length) ?? []), piece]);
  }
  const lengths = [...byLength.keys()].sort((a, b) => b - a);
  const answer = cutStrips({
    lengthsMm: lengths,
    demand: lengths.map((length) => byLength.get(length)?.length ?? 0),
    sticks: boards,
    kerfMm: stock.gapMm,
  });
  const waiting = new Map([...byLength].map(([length, list]) => [length, [...list]]));
  const numbers = new Map<string, number>();
  const units = answer.sticks.flatMap(({ stick, counts }): LaidUnit[] => {
    const of = boards[stick];
    if (!of) return [];
    const n = numbers.get(of.key) ?? 0;
    numbers.set(of.key, n + 1);
    const taken = counts.flatMap((count, part) => waiting.get(lengths[part] ?? 0)?.splice(0, count) ?? []);
    return [laidBoard({ ...of, key: `${of.key}:${n}` }, taken, question)];
  });
  const bought = new Map<string, number>();
  for (const { origin } of units)
    if (origin.kind === 'bought') bought.set(origin.packId, (bought.get(origin.packId) ?? 0) + 1);
  return {
    units,
    tooLarge: answer.tooLong.flatMap((part) => [
      ...new Set((byLength.get(lengths[part] ?? 0) ?? []).map(({ part: of }) => of.key)),
    ]),
    purchase: purchaseOfPacks(
      packs,
      packs.map(({ id }) => bought.get(id) ?? 0),
    ),
    ownedUsed: units
      .filter(({ origin }) => origin.kind === 'house')
      .reduce((sum, { lengthMm }) => sum + lengthMm / MM_PER_M, 0),
    isQuick: false,
    isProven: answer.isProven,
  };
}

/** The parts one behind the other, the longest first, with a kerf between; what is left at the end stays a board. */
function laidBoard(board: Board, pieces: readonly Piece[], { stock }: CutQuestion): LaidUnit {
  let at = stock.marginMm;
  const placed = pieces.map(({ part, nth }) => {
    const place = {
      partKey: part.key,
      nth,
      xMm: 0,
      yMm: at,
      widthMm: stock.widthMm,
      lengthMm: part.lengthMm,
      turnedDeg: 0 as const,
    };
    at += part.lengthMm + stock.gapMm;
    return place;
  });
  const rest = board.wholeMm - stock.marginMm - at;
  return {
    key: board.key,
    origin: board.origin,
    widthMm: stock.widthMm,
    lengthMm: board.wholeMm,
    usedMm: Math.min(board.wholeMm, at),
    placed,
    leftovers: rest >= stock.leastOffcutMm ? [{ xMm: 0, yMm: at, widthMm: stock.widthMm, lengthMm: rest }] : [],
  };
}
