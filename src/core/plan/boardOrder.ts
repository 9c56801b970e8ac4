import { severityRank, worstSeverity } from '../kernel/finding';
import type { Importance } from '../model/rows';
import type { SlotPlan } from './slotPlan';

/** What the board can be narrowed to. */
export const boardFilters = ['all', 'open', 'settled', 'lookAgain'] as const;
export type BoardFilter = (typeof boardFilters)[number];

/** What the board can be put in order by. */
export const boardSorts = ['number', 'importance', 'cash', 'hours', 'day'] as const;
export type BoardSort = (typeof boardSorts)[number];

const rankOf: Readonly<Record<Importance, number>> = { must: 0, wanted: 1, nice: 2 };

const chosenOf = ({ options }: SlotPlan) => options.filter(({ chosen }) => chosen);

/**
 * Whether a choice is worth another look: it is refused or warned of, a price of it is unknown, or what it is held against
 * is the better deal.
 */
export const wantsAnotherLook = (slot: SlotPlan): boolean =>
  chosenOf(slot).some(
    (option) =>
      severityRank[worstSeverity(option.findings) ?? 'note'] >= severityRank.warn ||
      option.cashAdded.atLeast ||
      option.beatsYardstick === false,
  );

const passes: Readonly<Record<BoardFilter, (slot: SlotPlan) => boolean>> = {
  all: () => true,
  open: ({ open }) => open > 0,
  settled: ({ open }) => open === 0,
  lookAgain: wantsAnotherLook,
};

const sum = (slot: SlotPlan, of: (option: SlotPlan['options'][number]) => number): number =>
  chosenOf(slot).reduce((total, option) => total + of(option), 0);

/** By what a slot stands first: the smaller comes before. */
const keyOf: Readonly<Record<BoardSort, (slot: SlotPlan) => number>> = {
  number: () => 0,
  importance: ({ slot }) => rankOf[slot.importance],
  cash: (slot) => -sum(slot, ({ cashAdded }) => cashAdded.likely),
  hours: (slot) => -sum(slot, ({ hoursAdded }) => hoursAdded.likely),
  day: (slot) => -Math.max(0, ...chosenOf(slot).map(({ usableMs }) => usableMs)),
};

/** The slots of the board as they are asked for; equal ones by number. */
export function boardOrder(slots: readonly SlotPlan[], filter: BoardFilter, sort: BoardSort): SlotPlan[] {
  const shown = slots.filter(passes[filter]);
  const keys = new Map(shown.map((slot) => [slot, keyOf[sort](slot)]));
  return [...shown].sort((a, b) => (keys.get(a) ?? 0) - (keys.get(b) ?? 0) || a.slot.number - b.slot.number);
}
