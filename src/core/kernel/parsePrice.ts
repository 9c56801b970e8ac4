import { currencyExponent } from './currencies.data';
import { parseMoney } from './parseMoney';
import { type Price, stated } from './price';
import { fail, type Result, succeed } from './result';

const bound = (words: string) => new RegExp(`^(?:${words})\\s*(.+)$`, 'i');
const least = bound('over|more than|at least|from|min(?:imum)?|>=?|≥');
const most = bound('under|less than|at most|up to|max(?:imum)?|<=?|≤');
const about = bound('about|around|roughly|ca\\.?|~');
const range = /^(?:between\s+)?(.+?)\s*(?:to|and|–|—|-)\s*(.+)$/i;

/** How far a guess may be off on either side, as a share (our own choice). */
const ABOUT_LOW = 0.8;
const ABOUT_HIGH = 1.25;

/**
 * Reads a price as people know it: `12`, `10 to 14`, `between 10 and 14`, `over 100`, `100+`, `at most 20`, `about 12`,
 * `free`, `unknown` or `?`; nothing at all is unknown.
 * @param currency an ISO 4217 code
 * @returns the price in minor units, or a finding that names the text and an example
 * @example "over 100" in USD → { state: 'over', low: 10000 }
 */
export function parsePrice(text: string, currency: string): Result<Price> {
  const said = text.trim().toLowerCase();
  if (said === '' || /^(?:unknown|not known|no idea|\?+)$/.test(said)) return succeed({ state: 'unknown' });
  if (/^(?:free|for free|nothing|gift|given)$/.test(said)) return succeed({ state: 'free' });
  const money = (part: string): number | null => {
    const read = parseMoney(part.trim(), currency);
    return read.ok ? read.value : null;
  };
  const over = money(least.exec(said)?.[1] ?? /^(.+?)\s*(?:\+|or more|and up)$/.exec(said)?.[1] ?? '');
  if (over !== null) return succeed({ state: 'over', low: over });
  const under = money(most.exec(said)?.[1] ?? /^(.+?)\s*or less$/.exec(said)?.[1] ?? '');
  if (under !== null) return succeed({ state: 'stated', low: 0, high: under });
  const guess = money(about.exec(said)?.[1] ?? '');
  if (guess !== null)
    return succeed({
      state: 'estimated',
      low: Math.round(guess * ABOUT_LOW),
      likely: guess,
      high: Math.round(guess * ABOUT_HIGH),
    });
  const ends = range.exec(said);
  const [from, to] = [money(ends?.[1] ?? ''), money(ends?.[2] ?? '')];
  if (from !== null && to !== null)
    return succeed({ state: 'stated', low: Math.min(from, to), high: Math.max(from, to) });
  const one = parseMoney(said, currency);
  if (one.ok) return succeed(one.value === 0 ? { state: 'free' } : stated(one.value));
  return fail({
    code: 'price.unreadable',
    severity: 'refuse',
    where: { kind: 'field', id: 'price' },
    figures: { text, currency, example: currencyExponent(currency) === 0 ? '1250' : '12.50' },
  });
}
