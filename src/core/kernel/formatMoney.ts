import { currencyExponent } from './currencies.data';

/**
 * Money for words: symbol, decimals by currency, and a real minus sign before it, as hours have.
 * @example formatMoney(-5207, 'USD') // '−$52.07'
 */
export function formatMoney(minor: number, currency: string, options: { cents?: 'always' | 'auto' } = {}): string {
  const exponent = currencyExponent(currency);
  const whole = options.cents === 'auto' && minor % 10 ** exponent === 0;
  // Nothing less nothing is minus zero to the platform; a person is told zero.
  const text = moneyFormat(currency, whole ? 0 : exponent).format(minor === 0 ? 0 : minor / 10 ** exponent);
  return text.replace('-', '−');
}

/**
 * Money as a plain decimal number, as a field and a spreadsheet want it; nothing for an amount that is not known.
 * @example decimalMoney(-5207, 'USD') // '-52.07'
 */
export function decimalMoney(minor: number | null, currency: string): string {
  const exponent = currencyExponent(currency);
  return minor === null ? '' : (minor / 10 ** exponent).toFixed(exponent);
}

const moneyFormats = new Map<string, Intl.NumberFormat>();
function moneyFormat(currency: string, decimals: number): Intl.NumberFormat {
  const key = `${currency}${decimals}`;
  let format = moneyFormats.get(key);
  if (!format) {
    format = new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency,
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    moneyFormats.set(key, format);
  }
  return format;
}
