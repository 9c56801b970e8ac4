import { hexFromLab } from '@core/color/lab';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionPlan } from '@core/plan/computePlan';
import type { ProjectLocale } from './words';

/** The ways to fill a slot, as the board's columns say them. */
export const kindNames = {
  own: 'Own',
  asFound: 'As found',
  makeover: 'Makeover',
  make: 'Make',
  buyNew: 'Buy new',
} as const;

/** The board's columns; scratch building joins when there is something to compute for it. */
export const boardWays = ['own', 'asFound', 'makeover', 'buyNew'] as const;

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

/** The color an option's piece will have. */
export function edgeColor(option: OptionPlan): string {
  const { recipe, finds, offers } = option.model;
  const painted = recipe
    ? [...recipe.stacks.values()]
        .flat()
        .filter((entry) => entry.coats.hiding !== null || entry.leaves.color !== null)
        .at(-1)?.leaves.color
    : null;
  const color = painted ?? finds[0]?.color ?? offers[0]?.offer.color ?? null;
  return color ? hexFromLab(color) : '#d8d6cc';
}
