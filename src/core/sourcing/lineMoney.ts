import { currencyExponent } from '../kernel/currencies.data';
import { parseMoney } from '../kernel/parseMoney';
import { anyCount, anyNumber, numberOf, numberWords } from './lineNumbers';

/** Money found in a line: where it stands, how much it is, and whether it is meant for each of several. */
export interface LineMoney {
  from: number;
  to: number;
  minor: number;
  /** For each, for all together, or nobody said. */
  per: 'each' | 'all' | null;
  /** How many it is for, where that stands before it: "3 for $10", "5/$2". */
  count: number | null;
  /** The money it is in, where a sign names another than the project's. */
  foreign: string | null;
}

const signs: Readonly<Record<string, readonly string[]>> = {
  $: ['USD', 'CAD', 'AUD', 'NZD', 'MXN', 'SGD', 'HKD', 'ARS', 'CLP', 'COP', 'BRL', 'TWD'],
  '£': ['GBP'],
  '€': ['EUR'],
  '¥': ['JPY', 'CNY'],
};
const words: readonly [RegExp, string][] = [
  [/^(?:dollars?|bucks?|usd)$/, '$'],
  [/^(?:euros?|eur)$/, '€'],
  [/^(?:pounds?|quid|gbp)$/, '£'],
];

/** What may follow a sum: whom it is for, and words that add nothing. */
const eachWords = String.raw`each|apiece|ea\b\.?|a (?:piece|pop|bunch|pair)|per (?:piece|bunch|one|item)`;
const allWords = String.raw`(?:for )?(?:the )?(?:whole )?(?:lot|pair|set|both|bunch)|for (?:them )?all(?: of them| (?:two|three|four|five|six|seven|eight|nine|ten|\d+))?|all(?: together)?|together|altogether|in total|total`;
const idleWords = String.raw`firm|obo|or best offer|ono|only|today|new in box|on (?:the )?\w+ tag`;
const after = new RegExp(String.raw`^[\s,]*?\s*(?:(${eachWords})|(${allWords})|(?:${idleWords}))(?![\p{L}\d])`, 'iu');

const SIGN = '[$£€¥]';
const patterns: readonly RegExp[] = [
  new RegExp(String.raw`(?<sign>${SIGN})\s*(?<figure>${anyNumber})`, 'giu'),
  new RegExp(String.raw`(?<figure>${anyNumber})\s*(?<sign>${SIGN})`, 'giu'),
  new RegExp(
    String.raw`(?<![\p{L}\d])(?<figure>${anyNumber})\s*(?<word>dollars?|bucks?|euros?|pounds?|quid|usd|eur|gbp)(?![\p{L}])`,
    'giu',
  ),
  new RegExp(
    String.raw`(?<![\p{L}\d])(?<figure>${anyNumber})\s*(?<cents>cents?|¢|pence)(?![\p{L}])|(?<figure2>\d+)(?<cents2>[cp])(?![\p{L}\d])`,
    'giu',
  ),
];
/** Bare figures: after a word that asks for a price, before one that says whom it is for, or alone at the end. */
const asked = new RegExp(
  String.raw`(?:\bpaid|\bnow|\bfor|\bat|@|\basking|\btag|\bpriced?(?: at)?)\s+(?<figure>\d+(?:[.,]\d{1,2})?)(?=\s*(?:$|${eachWords}|${allWords}|${idleWords}))`,
  'giu',
);
const bare = new RegExp(
  String.raw`(?<![\p{L}\d./,-])(?<figure>\d+(?:[.,]\d+)*|[.,]\d{1,2})(?=\s*(?:$|(?:${eachWords}|${allWords}|${idleWords})(?![\p{L}\d])))`,
  'giu',
);
/** A number in words at the end, where no figure names a price: "antique mirror, fifty five". */
const inWords = new RegExp(
  String.raw`(?<=[\p{L}]\s+)(?<figure>${[...numberWords.keys()].filter((word) => !/^(?:an?|.*(?:pair|dozen|couple).*)$/.test(word)).join('|')})\s*$`,
  'giu',
);

function minorOf(figure: string, currency: string, isCents: boolean): number | null {
  const inWords = numberWords.get(figure.toLowerCase());
  const unit = 10 ** currencyExponent(currency);
  if (isCents) {
    const value = inWords ?? Number(figure.replace(',', '.'));
    return Number.isFinite(value) ? Math.round((value * unit) / 100) : null;
  }
  if (inWords !== undefined) return inWords * unit;
  const read = parseMoney(figure.replace(/^[.,]/, '0.'), currency);
  return read.ok ? read.value : null;
}

/** What follows a sum, as far as it belongs to it. */
function qualifierAfter(text: string, to: number): { to: number; per: LineMoney['per'] } {
  let end = to;
  let per: LineMoney['per'] = null;
  for (;;) {
    const match = after.exec(text.slice(end));
    if (!match) return { to: end, per };
    per ??= match[1] ? 'each' : match[2] ? 'all' : null;
    end += match[0].length;
  }
}

/** Words before a sum that belong to it: "for $5", "at 12", "asking 90". */
const before = /(?:\b(?:paid|bought for|now|for|at|asking|tag|priced?(?: at)?)|@|-)\s*$/i;
/** A count that the sum buys: "3 for ", "5/". */
const countBefore = new RegExp(String.raw`(?<![\p{L}\d])(${anyCount})\s*(?:for|/)\s*$`, 'iu');

/**
 * The first sum of money in a text, wherever it stands: "$15", "4 €", "50c", "two bucks", "a dollar each", "for 10", a
 * bare figure at the end. A bare figure only counts when no sign names one.
 * @param text one part of a line, in lower case
 * @param currency in which a bare figure is meant
 */
export function moneyIn(text: string, currency: string): LineMoney | null {
  for (const pattern of [...patterns, asked, bare, inWords]) {
    for (const match of text.matchAll(pattern)) {
      const { sign, figure, word, cents, figure2, cents2 } = match.groups ?? {};
      const minor = minorOf(figure ?? figure2 ?? '', currency, (cents ?? cents2) !== undefined);
      if (minor === null) continue;
      const named = sign ?? words.find(([known]) => word && known.test(word))?.[1];
      const own = named ? signs[named] : undefined;
      // Pounds are a weight where nobody pays in them.
      if (word && /^pounds?$/i.test(word) && currency !== 'GBP') continue;
      const ahead = text.slice(0, match.index);
      // What it cost once is no price.
      if (/\b(?:was|were|worth|reg(?:ular)?|retail)\s*$/i.test(ahead)) continue;
      const many = countBefore.exec(ahead);
      const lead = many ?? before.exec(ahead);
      const from = match.index - (lead?.[0].length ?? 0);
      const tail = qualifierAfter(text, match.index + match[0].length);
      const asks = lead?.[0].trim() ?? match[0].trim().split(/\s/)[0] ?? '';
      return {
        from,
        to: tail.to,
        minor,
        count: many ? numberOf(many[1] ?? '') : null,
        per:
          tail.per ?? (many ? 'all' : null) ?? (/^for\b/.test(asks) ? 'all' : /^(?:at\b|@)/.test(asks) ? 'each' : null),
        foreign: own && !own.includes(currency) ? (own[0] ?? null) : null,
      };
    }
  }
  return null;
}
