import { daysBetween } from '../calendar/localDates';
import { type DiscountInForce, rungOn } from '../pricing/discountPattern';

/** How likely it is that a thing is still there later: one of a kind, plenty on the shelf, or a season's shelf that empties. */
export type Availability = 'oneOfAKind' | 'plenty';

/** A day on which a thing will be cheaper: its price at the till then, minor units, and what makes it so. */
export interface CheaperDay {
  day: string;
  till: number;
  discounts: readonly DiscountInForce[];
}

/** What to do, with the figures that say so. Money in minor units. */
export type Advice =
  | { kind: 'buy'; best: WaitingFor | null }
  | ({ kind: 'wait' } & WaitingFor)
  /** Nothing else would fill the slot, so that nobody can say what losing the thing would cost. */
  | { kind: 'noAdvice' };

/** Waiting for one day: the price then, the chance that the thing is still there, and what waiting gains on average. */
export interface WaitingFor {
  day: string;
  till: number;
  /** 0 to 1. */
  chance: number;
  /** May be negative. */
  gain: number;
}

/** Days after which half of the things that are one of a kind are gone (a modelling choice of ours). */
const HALF_LIFE_DAYS = 7;
const PLENTY_CHANCE = 0.95;
/** What is left at each rung of a season's clearance (figures.md, 9: 100, 60, 30, 10 %; common practice). */
const rungChances = [1, 0.6, 0.3, 0.1] as const;
/** Waiting must gain more than this share of the price, and more than one unit of the money (a modelling choice). */
const LEAST_SHARE = 0.05;

const chanceAtRung = (rung: number) => rungChances[Math.min(rungChances.length - 1, Math.max(0, rung))] ?? 1;

/**
 * The chance that a thing seen today is still there on a later day: 2^(−days ÷ 7) for one of a kind, 0.95 where there is
 * plenty; where the price falls along a ladder, what is left on its rung.
 * @param discounts what will make it cheaper then
 */
export function chanceStillThere(
  availability: Availability,
  today: string,
  day: string,
  discounts: readonly DiscountInForce[] = [],
): number {
  const chances = discounts.flatMap(({ pattern: { terms } }) =>
    terms.kind === 'ladder' ? [chanceAtRung(rungOn(terms.rungs, day)) / chanceAtRung(rungOn(terms.rungs, today))] : [],
  );
  if (chances.length > 0) return Math.min(...chances);
  return availability === 'plenty' ? PLENTY_CHANCE : 2 ** (-Math.max(0, daysBetween(today, day)) / HALF_LIFE_DAYS);
}

/**
 * Wait or buy (definitions: a modelling choice). For each day on which the thing will be cheaper, no later than it is
 * needed: gain = a·(p₀ − p) − (1 − a)·max(0, n − p₀). Buy now unless a day's gain exceeds the greater of one unit of money
 * and 5 % of p₀; else wait for the day of the greatest gain, the earlier of equals.
 * @param of.till what it costs at the till today, minor units
 * @param of.nextBest cash added and stash used of the slot's next best way, else its yardstick; null where there is none
 * @param of.needBy the local date by which it must be bought; null where nothing presses
 * @param of.unit minor units of one unit of the money
 * @example 20.00, half off in 6 days, a = 0.552: n = 45.00 → −5.68, buy; n = 24.00 → +3.73, wait
 */
export function waitOrBuy(of: {
  till: number;
  today: string;
  needBy: string | null;
  availability: Availability;
  days: readonly CheaperDay[];
  nextBest: number | null;
  unit: number;
}): Advice {
  if (of.nextBest === null) return { kind: 'noAdvice' };
  const loss = Math.max(0, of.nextBest - of.till);
  let best: WaitingFor | null = null;
  for (const { day, till, discounts } of of.days) {
    if (day <= of.today || (of.needBy !== null && day > of.needBy) || till >= of.till) continue;
    const chance = chanceStillThere(of.availability, of.today, day, discounts);
    const gain = Math.round(chance * (of.till - till) - (1 - chance) * loss);
    if (best === null || gain > best.gain) best = { day, till, chance, gain };
  }
  const least = Math.max(of.unit, of.till * LEAST_SHARE);
  return best !== null && best.gain > least ? { kind: 'wait', ...best } : { kind: 'buy', best };
}
