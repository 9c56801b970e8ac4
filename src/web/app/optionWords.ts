import type { WhyOut } from '@core/balance/ways';
import { hexFromLab } from '@core/color/lab';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionKind } from '@core/model/rows';
import type { OptionPlan } from '@core/plan/computePlan';
import { finishedColor } from '@core/plan/finishedColor';
import type { ProjectLocale } from './words';

/** The ways to fill a slot, as the board's columns say them. */
export const kindNames = {
  own: 'Own',
  borrow: 'Borrow',
  asFound: 'As found',
  makeover: 'Makeover',
  make: 'Make',
  rent: 'Rent',
  buyNew: 'Buy new',
} as const satisfies Record<OptionKind, string>;

/** The board's columns, each with the kinds of ways that stand in it. */
export const boardColumns = [
  { title: 'Own or lent', kinds: ['own', 'borrow'] },
  { title: 'As found', kinds: ['asFound'] },
  { title: 'Makeover or make', kinds: ['makeover', 'make'] },
  { title: 'New or rented', kinds: ['buyNew', 'rent'] },
] as const satisfies readonly { title: string; kinds: readonly [OptionKind, ...OptionKind[]] }[];

/** Why ways stay out, by how many there are. */
export const outWords: Readonly<Record<WhyOut, string>> = {
  refused: 'refused',
  gone: 'passed, returned or sold',
  late: 'not ready before the reveal',
  unknownPrice: 'a price is unknown',
  nothingThere: 'nothing there to use',
  disliked: 'liked too little',
  excluded: 'among what the plan does without',
};

/** What the option comes to against the yardstick, in a few words. */
export function comparisonWords(
  option: OptionPlan,
  locale: Pick<ProjectLocale, 'currency'>,
): { words: string; good: boolean | null } {
  const { comparison } = option;
  const money = (minor: number) => formatMoney(Math.abs(minor), locale.currency, { cents: 'auto' });
  const round = (minor: number) =>
    formatMoney(Math.round(Math.abs(minor) / 100) * 100, locale.currency, { cents: 'auto' });
  // Where a price is only known to be over so much, what is saved or lost is a least.
  const least = 'bound' in comparison && comparison.bound !== 'exact' ? 'at least ' : '';
  switch (comparison.kind) {
    case 'noYardstick':
      return { words: 'nothing to compare with', good: null };
    case 'isYardstick':
      return { words: 'the yardstick', good: null };
    case 'unknownPrice':
      return { words: 'a price is unknown', good: null };
    case 'perHour':
      return comparison.perHour >= 0
        ? { words: `earns ${least}${round(comparison.perHour)} an hour`, good: option.beatsYardstick }
        : { words: `costs ${least}${round(comparison.perHour)} an hour`, good: false };
    case 'sameTime':
      return comparison.deltaCost >= 0
        ? { words: `saves ${least}${money(comparison.deltaCost)}`, good: true }
        : { words: `costs ${least}${money(comparison.deltaCost)} more`, good: false };
    case 'cheaperAndQuicker':
      return { words: 'cheaper and quicker', good: true };
    case 'savesTime':
      return {
        words: `saves ${formatMinutes(-comparison.deltaMinutes)} for ${least}${money(comparison.deltaCost)}`,
        good: option.beatsYardstick,
      };
    default:
      return comparison satisfies never;
  }
}

/** The color an option's piece will have, for the edge of its chip. */
export function edgeColor(option: OptionPlan): string {
  const color = finishedColor(option.model);
  return color ? hexFromLab(color) : '#d8d6cc';
}
