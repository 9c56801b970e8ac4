import { weekdayNames } from '../calendar/dayNames';
import { dateAfter, daysBetween } from '../calendar/localDates';
import { recurrenceDates, ruleParts, weekdayCodes, weekdayOf } from '../calendar/recurrence';
import { sayDay, shortDate } from '../calendar/sayDay';
import { listed } from '../kernel/listed';
import {
  colorInTurn,
  type DiscountInForce,
  type DiscountPattern,
  type HoldsFor,
  percentOn,
  wantedColor,
} from '../pricing/discountPattern';

/** How far ahead a next day is looked for: a year and a bit. */
const LOOK_AHEAD_DAYS = 400;
const ordinals = ['', 'first', 'second', 'third', 'fourth', 'fifth'];

/** So much off, as one says it: "half off", "40 % off". */
export function percentOffWords(percentThousandths: number): string {
  if (percentThousandths === 50_000) return 'half off';
  return `${Math.round(percentThousandths / 100) / 10} % off`;
}

function holdsForWords(holdsFor: HoldsFor, today: string): string {
  switch (holdsFor.kind) {
    case 'everything':
      return 'everything';
    case 'word':
      return holdsFor.word;
    case 'color':
      return `${holdsFor.color} tags`;
    case 'rotation': {
      const turn = colorInTurn(holdsFor, today);
      const order = `tags by turns (${holdsFor.colors.join(', ')}`;
      const pace = holdsFor.periodDays === 7 ? 'a week each' : `${holdsFor.periodDays} days each`;
      return turn === null
        ? `${order}, ${pace}, from ${sayDay(holdsFor.from, today)})`
        : `${turn} tags now, ${order}, ${pace})`;
    }
    default:
      return holdsFor satisfies never;
  }
}

/** A day of a month as one says it: 1st, 2nd, 23rd, 11th. */
function ordinalOf(day: number): string {
  const isTeen = day >= 11 && day <= 13;
  return `${day}${isTeen ? 'th' : (['th', 'st', 'nd', 'rd'][day % 10] ?? 'th')}`;
}

const weekdayOfCode = (code: string) => weekdayNames[weekdayCodes.indexOf(code.slice(-2) as 'MO')] ?? '';
const often = (interval: number, one: string) =>
  interval === 1 ? `every ${one}` : interval === 2 ? `every other ${one}` : `every ${interval} ${one}s`;

/** How a rule is said, without its next day. */
function ruleWords(rule: string, days: number): string {
  const { freq, interval, days: codes, monthDays } = ruleParts(rule);
  if (freq === 'DAILY') return interval === 1 ? 'always' : often(interval, 'day');
  if (freq === 'WEEKLY') {
    if (days >= 7 || codes.length === 0) return interval === 1 ? 'always' : often(interval, 'week');
    const list = listed(codes.map((code) => `${weekdayOfCode(code)}${interval === 1 ? 's' : ''}`));
    return interval === 1 ? `on ${list}` : often(interval, list);
  }
  const months = interval === 1 ? 'of the month' : `of ${often(interval, 'month')}`;
  if (codes.length > 0)
    return `on the ${listed(
      codes.map((code) => {
        const nth = Number.parseInt(code, 10);
        return `${nth === -1 ? 'last' : ordinals[nth]} ${weekdayOfCode(code)}`;
      }),
    )} ${months}`;
  return `on the ${listed(monthDays.map((day) => (day === -1 ? 'last day' : ordinalOf(day))))} ${months}`;
}

/**
 * The first day on or after another on which a pattern holds and did not hold the day before; null where it always holds
 * or never does again.
 */
export function nextBeginning({ terms }: DiscountPattern, from: string): string | null {
  switch (terms.kind) {
    case 'rule': {
      const [next] = recurrenceDates(terms.rule, terms.from, from, dateAfter(from, LOOK_AHEAD_DAYS));
      return next === undefined || (terms.until !== null && next > terms.until) ? null : next;
    }
    case 'dates':
      return [...terms.dates].sort().find((date) => date >= from) ?? null;
    case 'ladder':
      return terms.rungs.find((rung) => rung.from >= from)?.from ?? null;
    default:
      return terms satisfies never;
  }
}

/** The last day of the time that holds today. */
function lastDayNow(terms: Extract<DiscountPattern['terms'], { kind: 'rule' }>, today: string): string | null {
  const began = recurrenceDates(terms.rule, terms.from, dateAfter(today, 1 - terms.days), today).at(-1);
  return began === undefined ? null : dateAfter(began, terms.days - 1);
}

/** Dates in words, stretches of days put together: "Nov 27 to Nov 30", "Dec 3 and Dec 5". */
function datesWords(dates: readonly string[], today: string): string {
  const stretches: [string, string][] = [];
  for (const date of [...dates].sort()) {
    const last = stretches.at(-1);
    if (last && daysBetween(last[1], date) === 1) last[1] = date;
    else stretches.push([date, date]);
  }
  return listed(
    stretches.map(([from, to]) => {
      if (from === to) return sayDay(from, today);
      return from === today && daysBetween(from, to) + weekdayOf(from) === 7
        ? 'this week'
        : `${sayDay(from, today)} to ${sayDay(to, today)}`;
    }),
  );
}

/**
 * A discount pattern as a person says it, seen from a day: "half off frames, every other week, next from Sunday".
 * @param today the shop's local date
 */
export function patternWords(pattern: DiscountPattern, today: string): string {
  const { terms, holdsFor, stacks } = pattern;
  const top = stacks ? ', on top of others' : '';
  const what = holdsForWords(holdsFor, today);
  switch (terms.kind) {
    case 'rule': {
      const often = ruleWords(terms.rule, terms.days);
      const isRare = ruleParts(terms.rule).interval > 1 || ruleParts(terms.rule).freq === 'MONTHLY';
      const next = isRare ? nextBeginning(pattern, dateAfter(today, 1)) : null;
      const now = isRare && percentOn(pattern, today) !== null ? lastDayNow(terms, today) : null;
      const when = [
        often === 'always' && terms.until !== null ? '' : often,
        now === null ? '' : now === today ? 'today' : `now until ${sayDay(now, today)}`,
        next === null ? '' : `${terms.days > 1 ? 'next from' : 'next'} ${sayDay(next, today)}`,
        terms.from > today && !isRare ? `from ${sayDay(terms.from, today)}` : '',
        terms.until === null ? '' : `until ${sayDay(terms.until, today)}`,
      ];
      return `${[`${percentOffWords(terms.percentThousandths)} ${what}`, ...when.filter((word) => word !== '' && word !== 'always')].join(', ')}${top}`;
    }
    case 'dates':
      return `${percentOffWords(terms.percentThousandths)} ${what}, ${datesWords(terms.dates, today)}${top}`;
    case 'ladder': {
      const steps = terms.rungs.map(
        ({ from, percentThousandths }) => `${Math.round(percentThousandths / 1000)} % from ${shortDate(from, today)}`,
      );
      const until = terms.until === null ? '' : `, until ${shortDate(terms.until, today)}`;
      return `${terms.why === 'closing' ? 'closing sale' : 'clearance'}: ${what} ${steps.join(', ')}${until}${top}`;
    }
    default:
      return terms satisfies never;
  }
}

/** What holds on a day, short enough for a chip: "blue tags −50 %". */
export function chipWords({ pattern, percentThousandths }: DiscountInForce, day: string): string {
  const { holdsFor } = pattern;
  const off = `−${Math.round(percentThousandths / 100) / 10} %`;
  if (holdsFor.kind === 'everything') return off;
  if (holdsFor.kind === 'word') return `${holdsFor.word} ${off}`;
  const color = wantedColor(pattern, day);
  return `${color ?? 'tag'} tags ${off}`;
}
