import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import type { FitPiece } from './fitRanking';

/** Colors nearer than this ΔE00 count as the same in a room (modelling choice). */
export const SAME_COLOR = 6;

/** Colors whose differences are remembered; the slots of a project want the same few. */
const MOST_COLORS = 64;

const keyOf = ({ L, a, b }: Lab) => `${L} ${a} ${b}`;

/**
 * The pieces that are ranked, with the color differences that were computed for them before. Those are what takes time:
 * with ten thousand pieces and a handful of colors it is tens of milliseconds, and slot after slot asks for the same.
 */
export class RankedPieces<P extends FitPiece = FitPiece> {
  readonly pieces: readonly P[];
  /** By wanted color: the difference of each piece, NaN while nobody asked. */
  private readonly differences: Map<string, Float64Array>;
  private byId: ReadonlyMap<string, P> | null = null;

  constructor(pieces: readonly P[], differences: Map<string, Float64Array> = new Map()) {
    this.pieces = pieces;
    this.differences = differences;
  }

  /** A piece by its id. */
  find(id: string): P | undefined {
    this.byId ??= new Map(this.pieces.map((piece) => [piece.id, piece]));
    return this.byId.get(id);
  }

  /**
   * How far pieces lie from a color, by their place in the list.
   * @returns ΔE00 of the nearer of color and accent, the accent counting as farther by what still is the same; null
   *   where the piece's color is not known
   */
  differenceTo(wanted: Lab): (place: number) => number | null {
    const key = keyOf(wanted);
    const known = this.differences.get(key) ?? new Float64Array(this.pieces.length).fill(Number.NaN);
    // The color asked for last stands last; the first is the one to be forgotten.
    this.differences.delete(key);
    this.differences.set(key, known);
    const [oldest] = this.differences.keys();
    if (this.differences.size > MOST_COLORS && oldest !== undefined) this.differences.delete(oldest);
    return (place) => {
      const piece = this.pieces[place];
      if (!piece) return null;
      const before = known[place] ?? Number.NaN;
      if (!Number.isNaN(before)) return before;
      const difference = pieceDifference(piece, wanted);
      if (difference !== null) known[place] = difference;
      return difference;
    };
  }

  /** The same with some pieces changed, new or gone; what was computed for the others stays. */
  with(changed: readonly P[], gone: ReadonlySet<string>): RankedPieces<P> {
    const anew = new Set(changed.map((piece) => piece.id));
    const kept: number[] = [];
    for (const [place, { id }] of this.pieces.entries()) if (!anew.has(id) && !gone.has(id)) kept.push(place);
    const pieces = [...kept.map((place) => this.pieces[place] as P), ...changed];
    const differences = new Map<string, Float64Array>();
    for (const [key, before] of this.differences) {
      const after = new Float64Array(pieces.length).fill(Number.NaN);
      for (const [place, from] of kept.entries()) after[place] = before[from] ?? Number.NaN;
      differences.set(key, after);
    }
    return new RankedPieces(pieces, differences);
  }
}

/** How far a piece lies from a color; null where its color is not known. */
export function pieceDifference(piece: FitPiece, wanted: Lab): number | null {
  if (piece.color === null) return null;
  const whole = ciede2000(piece.color, wanted);
  return piece.accent === null ? whole : Math.min(whole, ciede2000(piece.accent, wanted) + SAME_COLOR);
}
