import { splitAmount } from '../kernel/money';

/** One piece of a lot: its own price where it has one, else what it weighs in the rest. Minor units. */
export interface LotPiece {
  own: number | null;
  /** What it counts for beside the others; 1 for each splits the rest evenly. */
  weight: number;
}

/**
 * What each piece of a lot cost: pieces with a price of their own first, the rest evenly or by weight, largest remainder
 * (definitions: lot). Where the own prices come to more than the lot, or to less with nothing else in it, they are taken
 * in proportion: what the pieces come to is always what was paid.
 * @param total what was paid for all of them, minor units
 * @returns one price for each piece, in order; none for no pieces
 * @example 3.50 over three → 1.17, 1.17, 1.16
 */
export function splitLot(total: number, pieces: readonly LotPiece[]): number[] {
  if (pieces.length === 0) return [];
  const owned = pieces.reduce((sum, { own }) => sum + (own ?? 0), 0);
  const others = pieces.filter(({ own }) => own === null);
  if (owned > total || others.length === 0)
    return splitAmount(
      total,
      pieces.map(({ own, weight }) => own ?? (owned > 0 ? 0 : weight)),
    );
  const shares = splitAmount(
    total - owned,
    others.map(({ weight }) => weight),
  );
  // The shares stand in the order of the pieces that have no price of their own.
  const rest = shares[Symbol.iterator]();
  return pieces.map(({ own }) => own ?? rest.next().value ?? 0);
}
