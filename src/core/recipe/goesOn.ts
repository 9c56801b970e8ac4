import type { PackSize } from '../catalog/coating';
import type { StockFacts } from '../catalog/stockFacts';
import type { Turn } from '../cutting/part';
import { SAME_MM } from '../cutting/question';
import { largestPiece } from '../technique/cover';

/** A part as its stock sees it. */
export interface Wanted {
  name: string;
  widthMm: number;
  lengthMm: number;
  turn: Turn;
}

/** A stock with how it is sold. */
export interface Sold {
  name: string;
  stock: StockFacts;
  packs: readonly PackSize[];
}

/** How long the longest pack of a stock is, mm; endless where it is cut off the bolt or comes by the sheet. */
export const longestPackMm = ({ stock, packs }: Sold): number =>
  stock.form === 'sheet' || stock.byTheStep || packs.length === 0
    ? Number.POSITIVE_INFINITY
    : Math.max(...packs.map(({ size }) => size * 1000)) - 2 * stock.marginMm;

/** Whether a part goes on a stock that is so long. A board's parts take its face, whatever their own width. */
export function goesOn({ widthMm, lengthMm, turn }: Wanted, { stock }: Sold, longestMm: number): boolean {
  const room = largestPiece(stock);
  const most = Math.min(room.lengthMm, longestMm) + SAME_MM;
  if (stock.form === 'board') return lengthMm <= most;
  const isIn = (across: number, along: number) => across <= room.widthMm + SAME_MM && along <= most;
  return isIn(widthMm, lengthMm) || (turn === 'free' && isIn(lengthMm, widthMm));
}
