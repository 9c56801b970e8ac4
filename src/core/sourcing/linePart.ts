import { currencyExponent } from '../kernel/currencies.data';
import { parseLength } from '../kernel/parseLength';
import { parseMoney } from '../kernel/parseMoney';
import type { Price } from '../kernel/price';
import type { UnitSystem } from '../kernel/units';
import type { PriceLine } from '../pricing/priceStory';
import type { Measures } from '../surface/furnitureTemplate';
import { anyCount, isPlural, numberOf } from './lineNumbers';
import { headPhrase } from './pieceKindOf';

/** One part of a quick line with what it was understood as; `as` is null for a part that stays a note. */
export interface UnderstoodPart {
  text: string;
  as:
    | 'what it is'
    | 'how many'
    | 'price'
    | 'price in other money'
    | 'price line'
    | 'pack'
    | 'size'
    | 'material'
    | 'finish'
    | 'flaw'
    | 'how long it stays fresh'
    | 'when it comes'
    | null;
}

const percentOff = /\bhalf (?:off|price)(?: today)?\b|(\d{1,2}(?:[.,]\d+)?)\s*%\s*(?:off)?/;
const coupon = /\bcoupon\b/;

const length = String.raw`\d+(?:[.,/]\d+)?(?: \d+/\d+)?[½¼¾⅛⅜⅝⅞⅓⅔]?`;
const lengthUnit = `(?:mm|cm|m|inches|inch|in|feet|foot|ft|["”″'’′])`;
const measuresAnywhere = new RegExp(
  String.raw`${length}\s*${lengthUnit}?\s*(?:x|×|by)\s*${length}\s*${lengthUnit}?(?:\s*(?:x|×|by)\s*${length}\s*${lengthUnit}?)?(?![\p{L}\d])`,
  'u',
);
const lengthAnywhere = new RegExp(
  String.raw`(?<![\p{L}\d])(${length}\s*${lengthUnit}(?:\s*${length}\s*${lengthUnit})?)(?:\s*(tall|high|height|wide|width|across|long|deep|depth|diameter))?(?![\p{L}\d])`,
  'u',
);

function sizeOf(text: string, units: UnitSystem): number[] | null {
  const parts = text.trim().split(/\s*(?:x|×|by)\s*/);
  if (parts.length < 2 || parts.length > 3) return null;
  const unit = /(mm|cm|m|in|inches|ft|")\s*$/.exec(text)?.[1];
  const lengths = parts.map((part) =>
    parseLength(unit && /[\d\s/.,½¼¾]$/.test(part) ? `${part} ${unit}` : part, units),
  );
  return lengths.every((length) => length.ok) ? lengths.map((length) => (length.ok ? length.value : 0)) : null;
}

/** A stretch of a part that was understood. */
interface Span {
  from: number;
  to: number;
  as: UnderstoodPart['as'];
}

/** One part of a line while it is read: what is understood is taken out, what is left says what the thing is. */
export class LinePart {
  readonly spans: Span[] = [];
  /** The part in lower case, with what was understood blanked out. */
  text: string;

  readonly said: string;

  constructor(said: string) {
    this.said = said;
    this.text = said.toLowerCase();
    // Letters that change their length in lower case would shift every place.
    if (this.text.length !== said.length) this.text = said;
  }

  take(from: number, to: number, as: UnderstoodPart['as']): void {
    // Blanks at its ends may stand for what was taken before: that is not taken twice.
    const here = this.text.slice(from, to);
    const begins = from + here.length - here.trimStart().length;
    const ends = from + here.trimEnd().length;
    if (ends > begins) this.spans.push({ from: begins, to: ends, as });
    this.text = this.text.slice(0, from) + ' '.repeat(to - from) + this.text.slice(to);
  }

  takeMatch(pattern: RegExp, as: UnderstoodPart['as']): RegExpExecArray | null {
    const match = pattern.exec(this.text);
    if (match) this.take(match.index, match.index + match[0].length, as);
    return match;
  }

  /** The part cut at what was understood; what was not has no meaning yet. */
  pieces(): { text: string; as?: UnderstoodPart['as'] }[] {
    const found: { text: string; as?: UnderstoodPart['as'] }[] = [];
    let at = 0;
    const between = (to: number) => {
      const text = this.said.slice(at, to).trim();
      if (text !== '') found.push({ text });
    };
    for (const span of [...this.spans].sort((a, b) => a.from - b.from)) {
      between(span.from);
      const text = this.said.slice(span.from, span.to).trim();
      if (text !== '') found.push({ text, as: span.as });
      at = span.to;
    }
    between(this.said.length);
    return found;
  }
}

/** Takes a pack out of a part: "set of 4 plates", "frames, pack of 6". */
export function takePack(part: LinePart): number | null {
  const packed = part.takeMatch(
    new RegExp(String.raw`(?<![\p{L}\d])(?:a\s+)?(?:pack|set|lot|box|bunch|case) of (${anyCount})`, 'u'),
    'pack',
  );
  return packed ? numberOf(packed[1] ?? '') : null;
}

/** Takes a count from before the words for the thing: "3 lanterns", "a dozen frames", "pair of bookends". */
export function takeCount(part: LinePart): number | null {
  const last = /(?<=\S)\s+[x×]\s?(\d{1,3})\s*$/u.exec(part.text);
  if (last) {
    part.take(last.index, part.text.length, 'how many');
    return Number(last[1]);
  }
  const first = new RegExp(String.raw`^\s*(?:(\d{1,3})(?=\s*[x×]\s)|(${anyCount}))(\s*[x×])?\s+(?=[^\s\d/])`, 'u').exec(
    part.text,
  );
  const count = numberOf(first?.[1] ?? first?.[2] ?? '');
  if (!first || count === null || count < 1) return null;
  const said = (first[1] ?? first[2] ?? '').trim();
  if (said === 'a' || said === 'an') return null;
  const what = part.text.slice(first[0].length);
  // "5 shelf bookcase" is one bookcase: only what stands in the plural was counted.
  const counted = [...headPhrase(what).split(' '), ...(what.split(/\sof\s/)[0] ?? '').trim().split(/\s+/)];
  if (!first[3] && !/dozen|pair|couple/.test(said) && count > 1 && !counted.some(isPlural)) return null;
  part.take(0, first[0].length, 'how many');
  return count;
}

/** Words for a number that nobody counted, before what it is of. */
const some =
  /^\s*(?:some|several|a few|many|assorted|(?:a |one )?(?:bag|bagful|box|jar|basket|bowl|bundle|bunch|pile|heap|handful|stack|lot|load|set)s? of|lots of|loads of)\s+(?=[^\s\d])/;

/** Takes "a bag of", "several" and the like from before a plural: there are more than one, and nobody counted them. */
export function takeSome(part: LinePart): boolean {
  const match = some.exec(part.text);
  if (!match) return false;
  const what = part.text.slice(match[0].length);
  if (![...headPhrase(what).split(' '), ...what.trim().split(/\s+/).slice(0, 2)].some(isPlural)) return false;
  part.take(0, match[0].length, 'how many');
  return true;
}

/** Takes out what was taken off the price: a coupon, a markdown in percent, half off. */
export function takePriceLines(part: LinePart, currency: string): PriceLine[] {
  if (coupon.test(part.text)) {
    const percent = percentOff.exec(part.text);
    const figure = /(\d+(?:[.,]\d+)?)/.exec(part.text)?.[1];
    const value = Number((figure ?? '0').replace(',', '.'));
    const inMoney = /[$€£]/.test(part.text) ? parseMoney(figure ?? '', currency) : null;
    part.take(0, part.text.length, 'price line');
    if (percent) return [{ kind: 'couponPercent', percentThousandths: Math.round(value * 1000) }];
    if (inMoney?.ok) return [{ kind: 'couponMoney', amount: inMoney.value, by: 'store' }];
    return [{ kind: 'couponUnknown', value: Math.round(value * 1000) }];
  }
  const percent = part.takeMatch(percentOff, 'price line');
  if (!percent) return [];
  const off = percent[1] === undefined ? 50 : Number(percent[1].replace(',', '.'));
  return [{ kind: 'markdown', percentThousandths: Math.round(off * 1000) }];
}

/** Sums that are said loosely, in whole units of money: they stay ranges (what is meant is our own reading). */
const looseSums: readonly [RegExp, low: number, high: number][] = [
  [/\ba (?:couple|couple of) (?:dollars?|bucks?|euros?|pounds?|quid)\b/, 2, 3],
  [/\b(?:a few|some|several) (?:dollars?|bucks?|euros?|pounds?|quid)\b/, 3, 7],
  [/\bnext to nothing\b|\bpocket change\b|\bsmall change\b/, 0, 2],
];

/** Takes a loosely said sum out of a part: "a few dollars" is 3 to 7 of them, and stays a range. */
export function takeLooseSum(part: LinePart, currency: string): Price | null {
  const unit = 10 ** currencyExponent(currency);
  for (const [pattern, low, high] of looseSums)
    if (part.takeMatch(pattern, 'price')) return { state: 'stated', low: low * unit, high: high * unit };
  return null;
}

const carriage = '(?:delivery|delivered|shipping|shipped|postage|to deliver)';
const sum = String.raw`[$£€¥]?\s*(\d+(?:[.,]\d{1,2})?)\s*[€£]?`;
const carriageFirst = new RegExp(
  String.raw`(?:\bplus\s+|\+\s*|\band\s+)?\b${carriage}\s*(?:is|of|costs|for|:|at)?\s*${sum}(?!\s*(?:days?|weeks?))(?![\d])`,
);
const carriageLast = new RegExp(
  String.raw`(?:\bplus\s+|\+\s*|\band\s+)?(?<![\p{L}\d])${sum}\s*(?:for\s+)?${carriage}(?!\p{L})`,
  'u',
);
const carriageFree = new RegExp(
  String.raw`\b(?:free|no)\s+${carriage}\b|\b${carriage}\s+(?:is\s+)?(?:free|included)\b`,
);

/** Takes what bringing it costs out of a part: "plus $25 shipping", "delivery 18", "free delivery". */
export function takeDelivery(part: LinePart, currency: string): PriceLine[] {
  if (part.takeMatch(carriageFree, 'price line')) return [{ kind: 'delivery', amount: 0, taxed: false }];
  for (const pattern of [carriageFirst, carriageLast]) {
    const money = parseMoney(pattern.exec(part.text)?.[1] ?? '', currency);
    if (!money.ok) continue;
    part.takeMatch(pattern, 'price line');
    return [{ kind: 'delivery', amount: money.value, taxed: true }];
  }
  return [];
}

/** Takes the days until it comes out of a part: "comes in 2 weeks", "9 days delivery". */
export function takeLeadDays(part: LinePart): number | null {
  const match = part.takeMatch(
    new RegExp(
      String.raw`\b(?:comes|arrives|ships|delivered|delivery|lead time)(?:\s+(?:in|within|takes|of))?\s+(?<first>${anyCount})\s+(?<unit>days?|weeks?)\b|(?<![\p{L}\d])(?<last>${anyCount})[\s-]+(?<unit2>days?|weeks?)\s+(?:of\s+)?(?:delivery|shipping|lead time|wait)\b`,
      'u',
    ),
    'when it comes',
  );
  const { first, last, unit, unit2 } = match?.groups ?? {};
  const count = numberOf(first ?? last ?? '');
  if (count === null) return null;
  return Math.min(365, count * ((unit ?? unit2 ?? '').startsWith('week') ? 7 : 1));
}

/** Of so many bought some are free: "3 for 2", "buy 2 get 1", or the second is cheaper. */
export function takeBunchOffer(part: LinePart): PriceLine[] {
  const free = part.takeMatch(/\bbuy (\d+),? get (\d+)(?: free)?\b/, 'price line');
  if (free) return [{ kind: 'buyGet', buy: Number(free[1]), free: Number(free[2]) }];
  const forFewer = part.takeMatch(/\b(\d+) for the price of (\d+)\b/, 'price line');
  if (forFewer && Number(forFewer[1]) > Number(forFewer[2]))
    return [{ kind: 'buyGet', buy: Number(forFewer[2]), free: Number(forFewer[1]) - Number(forFewer[2]) }];
  if (part.takeMatch(/\b(?:the )?second (?:one )?(?:at |for )?half(?: (?:price|off))?\b/, 'price line'))
    return [{ kind: 'secondLess', percentThousandths: 50_000 }];
  return [];
}

/** Words for a direction, in full and as a tag has them, by the names that templates measure with. */
const directionWords = {
  widthMm: ['wide', 'width', 'across', 'diameter', 'w'],
  // What is long is wide, unless its width is said, too.
  lengthMm: ['long', 'length', 'l'],
  depthMm: ['deep', 'depth', 'd'],
  heightMm: ['tall', 'high', 'height', 'h'],
} as const;
const measureOf = new Map(
  Object.entries(directionWords).flatMap(([measure, words]) => words.map((word): [string, string] => [word, measure])),
);
const inFull = [...measureOf.keys()].filter((word) => word.length > 1).join('|');
const inShort = [...measureOf.keys()].filter((word) => word.length === 1).join('|');
/** "60 wide", "20 in deep", "34h"; or the direction first: "width 60 cm". */
const namedLength = new RegExp(
  String.raw`(?<![\p{L}\d.,/])(?:(${length}\s*${lengthUnit}\s*${length}(?=\s*${lengthUnit})|${length})(?:\s*-?(${lengthUnit}))?(?:\s*(?:in |-)?(${inFull})|\s?(${inShort}))|(width|depth|height|length|diameter)\s*:?\s*(?:of )?(${length})\s*(${lengthUnit})?)(?![\p{L}\d])`,
  'gu',
);
/** What stands between two lengths of one thing. */
const between = /^\s*(?:x|×|by|and|[.,/])?\s*$/;

/**
 * Takes lengths out that say their own direction, "60 wide 20 deep 34 high", "60w x 20d x 34h". A unit that only some of
 * them have holds for all. A letter alone names a direction only in a row of two or more: "2 h" may be hours.
 */
function takeNamedSizes(part: LinePart, units: UnitSystem): Measures {
  const runs: RegExpMatchArray[][] = [];
  let end = -1;
  for (const match of part.text.matchAll(namedLength)) {
    const last = runs[runs.length - 1];
    if (last && between.test(part.text.slice(end, match.index))) last.push(match);
    else runs.push([match]);
    end = match.index + match[0].length;
  }
  const measures: Measures = {};
  for (const run of runs) {
    const [first, last] = [run[0], run[run.length - 1]];
    if (first?.index === undefined || last?.index === undefined) continue;
    const isBare = run.length === 1 && first[2] === undefined && first[5] === undefined;
    // "5 tall vases" are five vases: a bare number before a direction is a length where nothing is named after it.
    if (isBare && (first[4] !== undefined || /^\s*\p{L}/u.test(part.text.slice(last.index + last[0].length)))) continue;
    const unit = run.flatMap((match) => match[2] ?? match[7] ?? [])[0] ?? '';
    const read = run.flatMap((match) => {
      const measure = measureOf.get(match[3] ?? match[4] ?? match[5] ?? '');
      const value = parseLength(`${match[1] ?? match[6]} ${match[2] ?? match[7] ?? unit}`.trim(), units);
      return measure !== undefined && value.ok ? [[measure, value.value] as const] : [];
    });
    if (read.length < run.length) continue;
    for (const [measure, value] of read) measures[measure] ??= value;
    part.take(first.index, last.index + last[0].length, 'size');
  }
  return measures;
}

/** Takes a size out of a part, "18 x 12", "24 in tall", "60 wide 20 deep", in mm by the names that templates measure with. */
export function takeSizes(part: LinePart, units: UnitSystem): Measures {
  const named = takeNamedSizes(part, units);
  if (Object.keys(named).length > 0) return named;
  const several = measuresAnywhere.exec(part.text);
  const size = several ? sizeOf(several[0], units) : null;
  if (several && size) {
    part.take(several.index, several.index + several[0].length, 'size');
    const [width = 0, second = 0, third] = size;
    return third === undefined
      ? { widthMm: width, heightMm: second, openWidthMm: width, openHeightMm: second }
      : { widthMm: width, depthMm: second, heightMm: third };
  }
  const one = lengthAnywhere.exec(part.text);
  const read = one ? parseLength(one[1] ?? '', units) : null;
  if (!one || !read?.ok) return {};
  part.take(one.index, one.index + one[0].length, 'size');
  if (one[2] === 'long') return { lengthMm: read.value };
  if (/^(wide|width|across|diameter)$/.test(one[2] ?? '')) return { widthMm: read.value };
  return /^(deep|depth)$/.test(one[2] ?? '') ? { depthMm: read.value } : { heightMm: read.value };
}
