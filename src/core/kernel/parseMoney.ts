import { currencyExponent } from './currencies.data';
import { fail, type Result, succeed } from './result';

/**
 * Reads money as a person writes it ("12", "$12.50", "12,50", "1,299.00", "1.299,00") into minor units.
 * The last of dot and comma is the decimal mark when at most the currency's decimals follow it; else it groups thousands.
 * Refused: letters, negative sums, more decimals than the currency has.
 * @param currency an ISO 4217 code; it says how many decimals there are
 * @returns minor units, or a finding that names the text and an example
 * @example "1.299,00" in EUR → 129900
 */
export function parseMoney(text: string, currency: string): Result<number> {
  const exponent = currencyExponent(currency);
  const refuse = () =>
    fail<number>({
      code: 'money.unreadable',
      severity: 'refuse',
      where: { kind: 'field', id: 'money' },
      figures: { text, currency, example: exponent === 0 ? '1250' : '12.50' },
    });
  const bare = text.replace(/[\s$€£¥]/g, '').replace(new RegExp(currency, 'i'), '');
  if (!/^\d[\d.,]*$/.test(bare) && !/^[.,]\d+$/.test(bare)) return refuse();
  const lastMark = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  const after = lastMark < 0 ? '' : bare.slice(lastMark + 1);
  const marks = bare.replace(/\d/g, '');
  const groupsOnly = after.length === 3 && exponent !== 3 && new Set(marks).size === 1;
  const grouped = lastMark < 0 || groupsOnly ? bare : bare.slice(0, lastMark);
  if (!/^\d*$/.test(grouped) && !/^\d{1,3}([.,])\d{3}(\1\d{3})*$/.test(grouped)) return refuse();
  const whole = grouped.replace(/[.,]/g, '');
  const decimals = lastMark < 0 || groupsOnly ? '' : after;
  if (decimals.length > exponent) return refuse();
  const minor = Number((whole || '0') + decimals.padEnd(exponent, '0'));
  return Number.isSafeInteger(minor) ? succeed(minor) : refuse();
}
