import { placeOfName, weekdayNames } from '../calendar/dayNames';
import { dateAfter } from '../calendar/localDates';
import { DAY_PATTERN, parseDay } from '../calendar/parseDay';
import { weekdayCodes, weekdayFrom, weekdayOf } from '../calendar/recurrence';
import type { DiscountPattern, DiscountTerms, HoldsFor, Rung } from '../pricing/discountPattern';

/** A discount as a line says it; its id is the device's to make. */
export type SaidPattern = Omit<DiscountPattern, 'id'>;

const HALF = 50_000;
/** Days from one rung of a season's clearance to the next, where nobody said (figures.md, 9: common practice). */
const RUNG_DAYS = 7;

const weekdayWord = `(?:${weekdayNames.map((name) => `${name.slice(0, 3)}[a-z]*`).join('|')})`;
const weekdayList = `${weekdayWord}(?:(?:\\s*,\\s*|\\s+and\\s+|\\s*&\\s*)${weekdayWord})*`;
const ordinals = ['first', 'second', 'third', 'fourth', 'fifth'];
const ordinal = `(?:${ordinals.join('|')}|last|[1-5](?:st|nd|rd|th))`;

/** A line that is taken apart: what a search finds is taken out of it. */
class Rest {
  text: string;

  constructor(text: string) {
    this.text = ` ${text.trim()} `;
  }

  take(pattern: string): RegExpExecArray | null {
    const match = new RegExp(`(?<![\\p{L}\\p{N}])${pattern}(?![\\p{L}\\p{N}%])`, 'iu').exec(this.text);
    if (match) this.text = `${this.text.slice(0, match.index)} , ${this.text.slice(match.index + match[0].length)}`;
    return match;
  }
}

/** How much is off, in thousandths of a percent: "half off", "40 %", "a third off". */
function takePercent(rest: Rest): number | null {
  const percent = rest.take(String.raw`(\d+(?:[.,]\d+)?)\s*(?:%|percent|per cent)(?:\s*(?:off|less))?`);
  if (percent) return Math.round(Number((percent[1] ?? '').replace(',', '.')) * 1000);
  if (rest.take(String.raw`(?:at\s+)?(?:half(?:\s+(?:off|price))?|1\/2\s+off)`)) return HALF;
  if (rest.take(String.raw`(?:a|one)\s+third\s+off`)) return 33_333;
  if (rest.take(String.raw`(?:a|one)\s+quarter\s+off`)) return 25_000;
  return rest.take('(?:a|one)\\s+fifth\\s+off') ? 20_000 : null;
}

const percentList = String.raw`(\d+(?:\s*%)?(?:\s*(?:,\s*(?:then\s+)?|\s+then\s+|\s+and\s+|→|->|\/)\s*\d+(?:\s*%)?)+)\s*(?:%|percent)?(?:\s*off)?`;
const numbersIn = (text: string) => (text.match(/\d+/g) ?? []).map(Number);

/** A clearance in steps: "30, 50, 75 and 90 % off from Dec 26", or each step with its own day. */
function takeLadder(rest: Rest, today: string): DiscountTerms | null {
  const why = /\bclos(?:ing|es|e)\b/i.test(rest.text) ? ('closing' as const) : ('season' as const);
  const ownDays = [
    ...rest.text.matchAll(
      new RegExp(String.raw`(\d+)\s*%(?:\s*off)?\s*(?:from|on|starting)\s+(${DAY_PATTERN})`, 'giu'),
    ),
  ];
  const list = ownDays.length > 1 ? null : rest.take(percentList);
  if (ownDays.length < 2 && !list) return null;
  const until = takeUntil(rest, today);
  let rungs: Rung[];
  if (list) {
    const from = takeFrom(rest, today) ?? today;
    const every = rest.take(String.raw`(?:every|each)\s+(\d+)\s+days?`);
    const step = every ? Number(every[1]) : RUNG_DAYS;
    rungs = numbersIn(list[1] ?? '').map((percent, n) => ({
      from: dateAfter(from, n * step),
      percentThousandths: percent * 1000,
    }));
  } else {
    for (const { 0: whole } of ownDays) rest.text = rest.text.replace(whole, ' , ');
    rungs = ownDays.flatMap(([, percent, day]) => {
      const from = parseDay(day ?? '', today);
      return from === null ? [] : [{ from, percentThousandths: Number(percent) * 1000 }];
    });
    rungs.sort((a, b) => (a.from < b.from ? -1 : 1));
  }
  rest.take(String.raw`(?:season(?:al)?|after\s+the\s+season|clearance|closing(?:\s+down)?)(?:\s+sale)?`);
  return { kind: 'ladder', why, rungs, until };
}

function takeUntil(rest: Rest, today: string): string | null {
  const match = rest.take(`(?:until|till|through|ends?(?:\\s+on)?)\\s+(${DAY_PATTERN})`);
  return match ? parseDay(match[1] ?? '', today) : null;
}

/** From when a habit is counted: "next from Sunday", "from Nov 29", "beginning Monday", "last on Nov 15". */
function takeFrom(rest: Rest, today: string): string | null {
  const match = rest.take(
    `(?:next\\s+(?:time\\s+)?(?:from|on|is)|from|since|starting|beginning|next)\\s+(${DAY_PATTERN})`,
  );
  return match ? parseDay(match[1] ?? '', today) : null;
}

const codesOf = (text: string) =>
  [...text.matchAll(new RegExp(weekdayWord, 'giu'))]
    .map(([word]) => weekdayCodes[placeOfName(weekdayNames, word)])
    .filter((code) => code !== undefined);

/** Between two days that are said, both included; at most a year. */
function daysFromTo(from: string, to: string): string[] {
  const dates: string[] = [];
  for (let day = from; day <= to && dates.length < 366; day = dateAfter(day, 1)) dates.push(day);
  return dates;
}

/** When a discount holds. What says nothing of it holds every day. */
function takeTerms(rest: Rest, percentThousandths: number, today: string): DiscountTerms {
  const rule = (text: string, from: string, days: number): DiscountTerms => ({
    kind: 'rule',
    from,
    rule: text,
    days,
    until: takeUntil(rest, today),
    percentThousandths,
  });
  const dates = (list: string[]): DiscountTerms => ({ kind: 'dates', dates: list, percentThousandths });
  const nth = rest.take(
    `(?:on\\s+)?(?:the\\s+|every\\s+)?(${ordinal})\\s+(${weekdayWord})(?:\\s+(?:of|in)\\s+(?:the|every|each|a)\\s+month|\\s+(?:every|each)\\s+month|\\s+monthly)`,
  );
  if (nth) {
    const said = (nth[1] ?? '').toLowerCase();
    const which = said === 'last' ? -1 : ordinals.indexOf(said) + 1 || Number.parseInt(said, 10);
    return rule(`FREQ=MONTHLY;BYDAY=${which}${codesOf(nth[2] ?? '')[0]}`, today, 1);
  }
  const monthDays = rest.take(
    String.raw`(?:on\s+)?the\s+((?:\d{1,2}(?:st|nd|rd|th)?(?:\s*,\s*|\s+and\s+)?)+)\s+of\s+(?:the|every|each)\s+month`,
  );
  const ofMonth = monthDays ? numbersIn(monthDays[1] ?? '').filter((day) => day >= 1 && day <= 31) : [];
  if (ofMonth.length > 0) return rule(`FREQ=MONTHLY;BYMONTHDAY=${ofMonth.join(',')}`, today, 1);
  const otherDays = rest.take(`(?:on\\s+)?every\\s+(other|second|third|\\d+(?:nd|rd|th)?)\\s+(${weekdayWord})`);
  if (otherDays) {
    const [code = 'MO'] = codesOf(otherDays[2] ?? '');
    const from = takeFrom(rest, today) ?? weekdayFrom(today, weekdayCodes.indexOf(code) + 1);
    return rule(`FREQ=WEEKLY;INTERVAL=${intervalOf(otherDays[1])};BYDAY=${code}`, from, 1);
  }
  const weeks = rest.take(
    String.raw`every\s+(other|second|third|\d+)\s*(?:nd|rd|th)?\s+weeks?|(?:in\s+)?alternate\s+weeks`,
  );
  if (weeks) {
    const from = takeFrom(rest, today) ?? thisWeek(today);
    return rule(`FREQ=WEEKLY;INTERVAL=${intervalOf(weeks[1])};BYDAY=${weekdayCodes[weekdayOf(from) - 1]}`, from, 7);
  }
  if (rest.take(String.raw`(?:on\s+|at\s+)?(?:every\s+|the\s+)?weekends?`) && !/this/i.test(rest.text))
    return rule('FREQ=WEEKLY;BYDAY=SA,SU', today, 1);
  const weekdays =
    rest.take(`(?:on\\s+|every\\s+|each\\s+)(${weekdayList})(?<=s|${weekdayWord})`) ??
    rest.take(`(${weekdayList})(?<=days)`);
  if (weekdays && (/\bevery|each\b/i.test(weekdays[0]) || /days\b/i.test(weekdays[0])))
    return rule(`FREQ=WEEKLY;BYDAY=${[...new Set(codesOf(weekdays[1] ?? ''))].join(',')}`, today, 1);
  if (weekdays) return dates([weekdayFrom(today, weekdayCodes.indexOf(codesOf(weekdays[1] ?? '')[0] ?? 'MO') + 1)]);
  if (rest.take('this\\s+week')) return dates(daysFromTo(today, dateAfter(thisWeek(today), 6)));
  const stretch = rest.take(`(?:from\\s+)?(${DAY_PATTERN})\\s*(?:to|until|till|through|–|-)\\s*(${DAY_PATTERN})`);
  if (stretch) {
    const to = parseDay(stretch[2] ?? '', today) ?? today;
    // A stretch that goes on today began before: its first day is the last of that name before its end.
    return dates(daysFromTo(parseDay(stretch[1] ?? '', dateAfter(to, -360)) ?? to, to));
  }
  const until = takeUntil(rest, today);
  if (until !== null)
    return {
      kind: 'rule',
      from: takeFrom(rest, today) ?? today,
      rule: 'FREQ=DAILY',
      days: 1,
      until,
      percentThousandths,
    };
  const day = rest.take(`(?:on\\s+|only\\s+)?(${DAY_PATTERN})(?:\\s+only)?`);
  const date = day ? parseDay(day[1] ?? '', today) : null;
  if (date !== null) return dates([date]);
  rest.take('(?:every\\s+day|daily|always)');
  return rule('FREQ=DAILY', today, 1);
}

const thisWeek = (today: string) => dateAfter(today, 1 - weekdayOf(today));

function intervalOf(said: string | undefined): number {
  if (said === undefined || /other|second/i.test(said)) return 2;
  return /third/i.test(said) ? 3 : Math.max(1, Math.min(99, Number.parseInt(said, 10)));
}

/** What a price tag is called. */
export const TAG_WORD = String.raw`(?:colou?r(?:ed)?\s+)?(?:tags?|tickets?|labels?|stickers?)`;

/** A word that may be a color: none of those that say how often, from when or how much. */
const COLOR = String.raw`(?!(?:a|an|one|each|every|per|weekly|from|next|since|half|now|then|starting|beginning)\b)\p{L}+`;

/** The last such weekday, today or before. */
const lastWeekday = (today: string, code: (typeof weekdayCodes)[number]) =>
  weekdayFrom(dateAfter(today, -6), weekdayCodes.indexOf(code) + 1);

/** Colors of tags that take turns: "tags by turns: blue, green, red, weekly from Monday". */
function takeRotation(rest: Rest, today: string): HoldsFor | null {
  const each = String.raw`(?:weekly|(?:a|one|each|every|per)\s+week(?:\s+each)?|every\s+${weekdayWord}|every\s+\d+\s+(?:days?|weeks?))`;
  const turns = rest.take(
    String.raw`(?:one\s+)?(?:${TAG_WORD}\s+)?(?:colou?rs?\s+)?(?:by\s+turns?|take\s+turns|in\s+turn|rotat(?:e|es|ing|ion)|chang(?:e|es|ing)|of\s+the\s+week)(?:\s+(${each}))?\s*[:,]?\s*(${COLOR}(?:(?:\s*,\s*(?:then\s+|and\s+)?|\s+and\s+|\s+then\s+)${COLOR})+)`,
  );
  const colors = (turns?.[2] ?? '')
    .split(/\s*,\s*(?:then\s+|and\s+)?|\s+and\s+|\s+then\s+/)
    .map((color) => color.trim().toLowerCase())
    .filter((color) => color !== '');
  if (colors.length < 2) return null;
  const said = turns?.[1] ?? rest.take(each)?.[0] ?? '';
  rest.take('each');
  const [, count = '1', unit = 'week'] = /(\d+)\s+(day|week)/i.exec(said) ?? [];
  const isDays = unit.toLowerCase() === 'day';
  const [day] = codesOf(said);
  // Where colors change on a weekday, the first of them has hung since the last one of these; by days, since today.
  const began = day === undefined ? (isDays ? today : thisWeek(today)) : lastWeekday(today, day);
  rest.take(TAG_WORD);
  return {
    kind: 'rotation',
    colors,
    from: takeFrom(rest, today) ?? began,
    periodDays: Math.max(1, Number(count) * (isDays ? 1 : 7)),
  };
}

const filler =
  /\b(?:off|on|in|at|the|a|an|all|is|are|of|for|with|sale|price|prices|discount|clearance|and|each|every|time|now|only|when|to|their|its)\b|[,.;:()–-]/giu;

/** What a discount holds for: what is left of the line once its amount and its days are taken. */
function holdsForOf(rest: Rest): HoldsFor {
  const tag =
    rest.take(String.raw`(\p{L}+)[-\s]+${TAG_WORD}`) ?? rest.take(String.raw`${TAG_WORD}\s+(?:in|of)\s+(\p{L}+)`);
  if (tag) return { kind: 'color', color: (tag[1] ?? '').toLowerCase() };
  if (rest.take('(?:everything|storewide|store-wide|the\\s+whole\\s+(?:shop|store))')) return { kind: 'everything' };
  const word = rest.text.replace(filler, ' ').replace(/\s+/g, ' ').trim().toLowerCase();
  return word === '' ? { kind: 'everything' } : { kind: 'word', word: word.slice(0, 60) };
}

/**
 * A discount as a person says it: "blue tags half off this week", "frames half off every other week, next from Sunday",
 * "25 % off on Tuesdays", "everything 10 % off first Saturday of the month, on top", "half off, tags by turns: blue,
 * green, red from Monday", "clearance 30, 50, 75 % from Dec 26".
 * @param today the shop's local date, from which days without a year are counted
 * @returns null where the line does not say how much is off
 */
export function readPatternLine(line: string, today: string): SaidPattern | null {
  const rest = new Rest(line);
  const stacks =
    rest.take(
      String.raw`(?:,\s*)?(?:on\s+top(?:\s+of\s+(?:that|others?|everything))?|as\s+well|stacks?|extra|also)`,
    ) !== null;
  const ladder = takeLadder(rest, today);
  if (ladder) return { holdsFor: holdsForOf(rest), terms: ladder, stacks };
  const percent = takePercent(rest);
  if (percent === null || percent <= 0 || percent > 100_000) return null;
  const rotation = takeRotation(rest, today);
  const terms = takeTerms(rest, percent, today);
  return { holdsFor: rotation ?? holdsForOf(rest), terms, stacks };
}
