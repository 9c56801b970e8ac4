import { currencyExponent } from '../kernel/currencies.data';
import { multiplyDivideRound } from '../kernel/money';

/** Money of another currency as it was paid: the amount in its own minor units, the rate, and the day it held. */
export interface ForeignMoney {
  currency: string;
  amount: number;
  /** What one unit of it was worth in the project's currency, in millionths: 1 EUR = 1.0842 USD → 1 084 200. */
  rateMillionths: number;
  /** Local date. */
  day: string;
}

const RATE_SCALE = 1_000_000;

/**
 * What foreign money came to in the project's own: amount × rate, rounded once to its minor unit, half away from zero. The
 * two currencies may have different minor units (ISO 4217): 12,500 yen at 0.0067 are 83.75 dollars.
 * @returns minor units of `currency`
 */
export function inOwnMoney({ currency: foreign, amount, rateMillionths }: ForeignMoney, currency: string): number {
  const shift = currencyExponent(currency) - currencyExponent(foreign);
  return shift >= 0
    ? multiplyDivideRound(amount * 10 ** shift, rateMillionths, RATE_SCALE)
    : multiplyDivideRound(amount, rateMillionths, RATE_SCALE * 10 ** -shift);
}
