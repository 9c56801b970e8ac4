import { dateAfter, daysBetween } from '../calendar/localDates';
import { recurrenceDates } from '../calendar/recurrence';
import { PERCENT_SCALE } from '../kernel/money';

/** What a discount holds for. The colors of a rotation take turns, each for so many days, the first from `from` on. */
export type HoldsFor =
  | { kind: 'everything' }
  | { kind: 'word'; word: string }
  | { kind: 'color'; color: string }
  | { kind: 'rotation'; colors: string[]; from: string; periodDays: number };

/** One step of a ladder: from this local date on, so much off. */
export interface Rung {
  from: string;
  percentThousandths: number;
}

/**
 * When a discount holds and how much it is, in the shop's local days: again and again by a rule of RFC 5545, each time
 * for so many days; on listed dates; or in steps that grow, after a season or until a shop has closed.
 */
export type DiscountTerms =
  | { kind: 'rule'; from: string; rule: string; days: number; until: string | null; percentThousandths: number }
  | { kind: 'dates'; dates: string[]; percentThousandths: number }
  | { kind: 'ladder'; why: 'season' | 'closing'; rungs: Rung[]; until: string | null };

/** A discount that a shop gives by habit. `stacks`: it is given on top of another one. */
export interface DiscountPattern {
  id: string;
  holdsFor: HoldsFor;
  terms: DiscountTerms;
  stacks: boolean;
}

/** What a pattern is asked of: what the thing is called, and the color of its tag where it has one. */
export interface TaggedThing {
  words: string;
  tagColor: string | null;
}

/** The rung that a ladder stands on, on a day; -1 before its first. */
export function rungOn(rungs: readonly Rung[], day: string): number {
  return rungs.reduce((at, rung, n) => (rung.from <= day ? n : at), -1);
}

/**
 * What a pattern takes off on a local day, whatever it holds for.
 * @returns thousandths of a percent, or null on a day on which it does not hold
 */
export function percentOn({ terms }: DiscountPattern, day: string): number | null {
  switch (terms.kind) {
    case 'rule': {
      if (terms.until !== null && day > terms.until) return null;
      const began = recurrenceDates(terms.rule, terms.from, dateAfter(day, 1 - terms.days), day);
      return began.length > 0 ? terms.percentThousandths : null;
    }
    case 'dates':
      return terms.dates.includes(day) ? terms.percentThousandths : null;
    case 'ladder':
      return terms.until !== null && day > terms.until
        ? null
        : (terms.rungs[rungOn(terms.rungs, day)]?.percentThousandths ?? null);
    default:
      return terms satisfies never;
  }
}

/** The color whose turn it is on a day; null before the rotation began. */
export function colorInTurn(
  { colors, from, periodDays }: Extract<HoldsFor, { kind: 'rotation' }>,
  day: string,
): string | null {
  const days = daysBetween(from, day);
  return days < 0 ? null : (colors[Math.floor(days / periodDays) % colors.length] ?? null);
}

/** The color that a pattern asks a tag to have on a day; null where it asks for none, or none has its turn. */
export function wantedColor({ holdsFor }: DiscountPattern, day: string): string | null {
  if (holdsFor.kind === 'color') return holdsFor.color;
  return holdsFor.kind === 'rotation' ? colorInTurn(holdsFor, day) : null;
}

/** What a word is called when there are several. */
const plurals = (word: string) => [`${word}s`, `${word}es`, word.replace(/y$/, 'ies')];
const isSameWord = (a: string, b: string) => a === b || plurals(a).includes(b) || plurals(b).includes(a);
const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether a pattern holds for a thing on a day, by its words or the color of its tag. */
export function holdsForThing(pattern: DiscountPattern, thing: TaggedThing, day: string): boolean {
  const { holdsFor } = pattern;
  switch (holdsFor.kind) {
    case 'everything':
      return true;
    case 'word': {
      const said = wordsOf(thing.words);
      return wordsOf(holdsFor.word).every((wanted) => said.some((word) => isSameWord(word, wanted)));
    }
    case 'color':
    case 'rotation': {
      const wanted = wantedColor(pattern, day);
      return wanted !== null && thing.tagColor !== null && thing.tagColor.toLowerCase() === wanted.toLowerCase();
    }
    default:
      return holdsFor satisfies never;
  }
}

/** A discount in force: what it takes off, and the pattern that says so. */
export interface DiscountInForce {
  pattern: DiscountPattern;
  percentThousandths: number;
}

/** The discounts of a shop that hold on a day, whatever they hold for; those of more first. */
export function discountsOn(patterns: readonly DiscountPattern[], day: string): DiscountInForce[] {
  return patterns
    .flatMap((pattern): DiscountInForce[] => {
      const percentThousandths = percentOn(pattern, day);
      return percentThousandths === null ? [] : [{ pattern, percentThousandths }];
    })
    .sort((a, b) => b.percentThousandths - a.percentThousandths);
}

/**
 * What a shop takes off a thing on a day: the largest of the discounts that do not stack, and all that do. They multiply;
 * the price is rounded once, by whoever reckons it.
 * @example half off for blue tags, and a fifth off everything that stacks: 100.00 → 40.00
 */
export function discountsFor(patterns: readonly DiscountPattern[], thing: TaggedThing, day: string): DiscountInForce[] {
  const inForce = discountsOn(patterns, day).filter(({ pattern }) => holdsForThing(pattern, thing, day));
  const [largest] = inForce.filter(({ pattern }) => !pattern.stacks);
  return inForce.filter((discount) => discount.pattern.stacks || discount === largest);
}

/**
 * What is left of a price when several discounts multiply.
 * @returns the share that is paid, in thousandths of a percent and not rounded: 50 % and 20 % → 40 000
 */
export function shareAfter(discounts: readonly { percentThousandths: number }[]): number {
  return discounts.reduce(
    (share, { percentThousandths }) => (share * (PERCENT_SCALE - percentThousandths)) / PERCENT_SCALE,
    PERCENT_SCALE,
  );
}

/**
 * The days within a stretch, both ends included, on which what a shop takes off a thing begins or changes for the better.
 * @returns the day with the discounts that hold then, in order
 */
export function betterDays(
  patterns: readonly DiscountPattern[],
  thing: TaggedThing,
  first: string,
  last: string,
): { day: string; discounts: DiscountInForce[] }[] {
  const days: { day: string; discounts: DiscountInForce[] }[] = [];
  let before = shareAfter([]);
  for (let day = first; day <= last; day = dateAfter(day, 1)) {
    const discounts = discountsFor(patterns, thing, day);
    const share = shareAfter(discounts);
    if (share < before) days.push({ day, discounts });
    before = share;
  }
  return days;
}
