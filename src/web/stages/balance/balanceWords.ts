import type { Goal } from '@core/balance/ask';
import type { ToldChange, ToldFill, ToldWayOut } from '@core/balance/toldPlan';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { MICRO } from '@core/kernel/micro';
import type { OptionKind } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { namesOfOptions } from '@core/plan/nameOfOption';
import { dateWords, type ProjectLocale } from '../../app/words';

type Money = Pick<ProjectLocale, 'currency'>;

/** Goals as they are chosen, and what each means. */
export const goalWords: Readonly<Record<Goal, { title: string; hint: string }>> = {
  bestLook: { title: 'Best look', hint: 'what you like most, within money and hours' },
  leastCash: { title: 'Least cash', hint: 'what is still to pay' },
  leastHours: { title: 'Least hours', hint: 'hands-on time' },
  leastCost: { title: 'Least cost', hint: 'cash, stash used, and hours at what yours is worth' },
};

/** A difference in money with its sign: "−$53.79", "+$4.10"; nothing where there is none. */
export const moreMoney = (minor: number, { currency }: Money): string =>
  minor === 0 ? '' : `${minor > 0 ? '+' : ''}${formatMoney(minor, currency)}`;

/** A difference in hands-on time with its sign. */
export function moreMinutes(micro: number): string {
  const minutes = Math.round(micro / MICRO);
  return minutes === 0 ? '' : `${minutes > 0 ? '+' : ''}${formatMinutes(minutes)}`;
}

const trimmed = (value: number): string => String(Math.round(value * 10) / 10);

/** Look value: a whole number where it is one. */
export const lookWords = trimmed;

/** A difference in look value with its sign, in words. */
export const moreLook = (by: number): string =>
  Math.abs(by) < 0.05 ? '' : `look ${by > 0 ? '+' : '−'}${trimmed(Math.abs(by))}`;

/** What a change adds to the plan: cash, hours, look; "changes nothing to pay or to do" where all is the same. */
export function differenceWords(
  { cash, handsMicro, look }: { cash: number; handsMicro: number; look: number },
  locale: Money,
): string {
  const words = [moreMoney(cash, locale), moreMinutes(handsMicro), moreLook(look)].filter((word) => word !== '');
  return words.length === 0 ? 'the same money, hours and look' : words.join(' · ');
}

/** Options by what a person calls them beside the others of their slot. */
function namesIn(
  plan: Plan,
  slotId: string,
): (fill: ToldFill) => { name: string; kind: OptionKind | null; find: string | null } {
  const options = plan.slot(slotId)?.options ?? [];
  const names = namesOfOptions(options.map(({ model }) => model));
  return ({ optionId }) => {
    const option = options.find((own) => own.option.id === optionId);
    return {
      name: names.get(optionId) ?? 'an option that is gone',
      kind: option?.option.kind ?? null,
      find: option?.model.finds[0]?.id ?? null,
    };
  };
}

const asWay: Readonly<Record<OptionKind, (name: string) => string>> = {
  borrow: (name) => `${name}, borrowed`,
  rent: (name) => `${name}, rented`,
  own: (name) => `${name}, from the house`,
  asFound: (name) => `${name}, as found`,
  makeover: (name) => `${name}, made over`,
  make: (name) => `${name}, made`,
  // What is called new already is not called so twice.
  buyNew: (name) => `${name.replace(/,? new$/, '')}, bought new`,
};

/** How a slot is filled: "Pine shelf, as found", "2 × lamp, bought new"; null where by nothing. */
export function fillWords(plan: Plan, slotId: string, fills: readonly ToldFill[]): string | null {
  if (fills.length === 0) return null;
  const named = namesIn(plan, slotId);
  const quantity = plan.slot(slotId)?.slot.quantity ?? 1;
  return fills
    .map((fill) => {
      const { name, kind } = named(fill);
      const words = kind === null ? name : asWay[kind](name);
      return quantity > 1 ? `${fill.count} × ${words}` : words;
    })
    .join(' and ');
}

/** What becomes of a slot: what it is filled with, and instead of what. */
export function changeWords(plan: Plan, { slotId, from, to }: ToldChange): { what: string; instead: string } {
  const slot = plan.slot(slotId)?.slot;
  const before = fillWords(plan, slotId, from);
  const now = fillWords(plan, slotId, to) ?? (slot?.importance === 'must' ? 'left open' : 'left out');
  return { what: now, instead: before === null ? '' : `instead of ${before}` };
}

/** What a change does to what is shared: a can that is not bought any more, one that others have open anyway. */
export function sharingWords({ noLonger, shared }: Pick<ToldChange, 'noLonger' | 'shared'>): string {
  const listed = (names: readonly string[]) => names.slice(0, 2).join(' and ').toLowerCase();
  return [
    noLonger.length > 0 ? `no ${listed(noLonger)} any more` : '',
    shared.length > 0 ? `shares ${listed(shared)} with others` : '',
  ]
    .filter((words) => words !== '')
    .join(' · ');
}

/** A way out where nothing fits, as a sentence. */
export function wayOutWords({ kind, by, minutes, revealDate }: ToldWayOut, locale: Money): string {
  switch (kind) {
    case 'moreMoney':
      return `With ${formatMoney(by, locale.currency)} more it fits into these hours.`;
    case 'moreHours':
      return `With ${formatMinutes(by)} more it fits into this money.`;
    case 'laterReveal':
      return `With the reveal on ${dateWords(revealDate ?? '')}, ${by} ${by === 1 ? 'day' : 'days'} later, it fits into both.`;
    case 'lessLook':
      return `With ${trimmed(by)} less of the look it fits into both.`;
    case 'moreOfBoth':
      return `No one thing is enough: it takes ${formatMoney(by, locale.currency)} and ${formatMinutes(minutes)} more, both.`;
    case 'lookBeyondAll':
      return `No plan looks as good as that, whatever it costs: the best there is has ${trimmed(by)} less.`;
    default:
      return kind satisfies never;
  }
}

/** How far a search may still be from the best, in the goal's own measure. */
export function canGainWords(goal: Goal, canGain: number, locale: Money): string {
  if (!Number.isFinite(canGain)) return '';
  switch (goal) {
    case 'bestLook':
      return `at most ${trimmed(canGain)} more of the look may be possible`;
    case 'leastHours':
      return `at most ${formatMinutes(canGain)} less may be possible`;
    case 'leastCash':
    case 'leastCost':
      return `at most ${formatMoney(Math.ceil(canGain), locale.currency)} less may be possible`;
    default:
      return goal satisfies never;
  }
}

/** A chance as one says it. */
export function oddsWords(chance: number): string {
  if (chance < 0.005) return 'hardly ever';
  if (chance > 0.995) return 'nearly always';
  if (chance < 0.05) return `1 time in ${Math.round(1 / chance)}`;
  return `${Math.max(1, Math.min(9, Math.round(chance * 10)))} times in 10`;
}
