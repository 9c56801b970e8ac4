import { MS_PER_MINUTE } from '../kernel/units';
import { linesInForce } from '../pricing/ledger';
import { ownHandsOf } from './model/optionModel';
import type { PlanModel, PlannedFill } from './model/planModel';
import { optionDates } from './optionDates';

/**
 * When a fill is usable. While something of it is to be fetched, awaited or worked: as {@link optionDates} has it, counted
 * from now. Once all of it is done: its last work and the curing after it, or the day on which it was paid, whichever is
 * later.
 * @returns epoch milliseconds; null where all of it is there and nobody noted since when
 */
export function usableMsOf(model: PlanModel, { model: option, count }: PlannedFill, asOfMs: number): number | null {
  const dates = optionDates(model, option, count, asOfMs);
  const isOpen = dates.leadDays > 0 || ownHandsOf(option, count).likely > 0 || dates.usableMs > asOfMs + MS_PER_MINUTE;
  if (isOpen) return dates.usableMs;
  const { finds, offers, option: row } = option;
  const { stepRuns, ledger } = model.rows;
  const worked = stepRuns.flatMap(({ recipeId, optionId, doneMs }) =>
    (recipeId !== null && recipeId === row.recipeId) || optionId === row.id ? (doneMs ?? []) : [],
  );
  const paid = new Set([...finds.map(({ pieceId }) => pieceId), ...offers.map(({ offer }) => offer.id)]);
  const settled = linesInForce(ledger).flatMap(({ kind, subject, atMs }) =>
    kind === 'payment' && paid.has(subject.id) ? atMs : [],
  );
  // What is neither paid nor ours yet has to be fetched: it is usable as soon as it is here.
  const isHere = finds.every(({ state }) => state === 'owned' || state === 'bought') && settled.length >= offers.length;
  if (!isHere) return dates.usableMs;
  const known = [...settled, ...worked.map((doneMs) => doneMs + curingMs(model, { model: option, count }, asOfMs))];
  return known.length === 0 ? null : Math.max(...known);
}

/** How long it takes from the last work on something until it is usable, milliseconds; 0 where nothing cures. */
function curingMs(model: PlanModel, { model: option, count }: PlannedFill, asOfMs: number): number {
  const { ready } = optionDates(model, model.asIfUntouched(option), count, asOfMs);
  if (!ready || ready.laid.length === 0) return 0;
  return Math.max(0, ready.usableMs - Math.max(...ready.laid.map(({ endMs }) => endMs)));
}
