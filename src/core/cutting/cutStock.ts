import { cutBoards } from './cutBoards';
import { type CutProgress, FlatCut } from './cutFlat';
import type { CutLayout } from './layout';
import { partCount } from './part';
import type { CutQuestion } from './question';
import { resultOf } from './search';

/** Orders that a plan's layout is searched for: many of a few boxes, fewer of many, a handful of true outlines. */
const ROUNDS = { boxes: 4000, least: 60, most: 300, outlines: 24 } as const;

/** So few that nearly all their orders are tried. */
const FEW_PARTS = 6;

/** How many rounds a layout of a plan takes; the same question always takes the same. */
export function usualRounds({ stock, parts }: CutQuestion): number {
  if (stock.form === 'board') return 1;
  if (parts.some(({ part }) => part.outline !== null)) return ROUNDS.outlines;
  return Math.min(ROUNDS.most, Math.max(ROUNDS.least, Math.round(ROUNDS.boxes / Math.max(1, partCount(parts)))));
}

/**
 * A first layout at once: boxes by the usual order, outlines by their boxes. It can be cut as it is; a search may need less. Boards
 * are exact at once.
 */
export function cutQuickly(question: CutQuestion): CutLayout {
  return question.stock.form === 'board' ? cutBoards(question) : resultOf(new FlatCut(question, true).search(1));
}

/** The layout of a plan: as good as its rounds make it, and the same for the same question on every machine. */
export function cutStock(question: CutQuestion): CutLayout {
  return resultOf(searchCuts(question, usualRounds(question)));
}

/**
 * Searches a layout, saying every few rounds how far it is; whoever runs it may stop at any moment and keep the best.
 * It is never worse than the quick one.
 */
export function* searchCuts(question: CutQuestion, rounds: number): Generator<CutProgress, CutLayout> {
  if (question.stock.form === 'board' || partCount(question.parts) === 0) return cutBoardsOrNothing(question);
  const found = yield* new FlatCut(question, false).search(Math.max(2, rounds));
  const quick = cutQuickly(question);
  const best = isBetter(quick, found) ? { ...quick, isQuick: false } : found;
  if (best.isProven || partCount(question.parts) > FEW_PARTS) return best;
  // Of a handful every order is tried as it stands too: what sits best one by one may leave no room for the rest.
  const inOrder = resultOf(new FlatCut(question, false, true).search(Math.max(2, rounds)));
  return isBetter(inOrder, best) ? inOrder : best;
}

function cutBoardsOrNothing(question: CutQuestion): CutLayout {
  return question.stock.form === 'board' ? cutBoards(question) : resultOf(new FlatCut(question, true).search(1));
}

/** Whether a layout buys less than another, or as much and takes less of the house. */
export function isBetter(one: CutLayout, other: CutLayout): boolean {
  if (one.tooLarge.length !== other.tooLarge.length) return one.tooLarge.length < other.tooLarge.length;
  const [a, b] = [one.purchase, other.purchase];
  if (a.cash.likely !== b.cash.likely) return a.cash.likely < b.cash.likely;
  if (Math.abs(a.size - b.size) > 1e-6) return a.size < b.size;
  return one.ownedUsed < other.ownedUsed - 1e-6;
}
