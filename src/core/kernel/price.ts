import { type Amount, exactly, nothing } from './amount';

/**
 * A price as it is known: stated or estimated (a range, possibly of no width), over so much and nobody knows how far,
 * free, or unknown. Minor units.
 */
export type Price =
  | { state: 'stated'; low: number; high: number }
  | { state: 'estimated'; low: number; likely: number; high: number }
  | { state: 'over'; low: number }
  | { state: 'free' }
  | { state: 'unknown' };

/** A price read off a tag. */
export function stated(minorUnits: number): Price {
  return { state: 'stated', low: minorUnits, high: minorUnits };
}

/** The price as an amount: what is unknown counts nothing, what is over so much counts that, and both say "at least". */
export function amountOfPrice(price: Price): Amount {
  switch (price.state) {
    case 'stated':
      return price.low === price.high
        ? exactly(price.low)
        : { low: price.low, likely: Math.round((price.low + price.high) / 2), high: price.high, atLeast: false };
    case 'estimated':
      return { low: price.low, likely: price.likely, high: price.high, atLeast: false };
    case 'over':
      return { ...exactly(price.low), atLeast: true };
    case 'free':
      return nothing;
    case 'unknown':
      return { ...nothing, atLeast: true };
    default:
      return price satisfies never;
  }
}
