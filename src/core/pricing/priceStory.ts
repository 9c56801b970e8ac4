import type { Price } from '../kernel/price';
import type { PackContent } from './mixedPack';

/** Sales tax or VAT: rate in thousandths of a percent; `included` when shelf prices hold it already. */
export interface Tax {
  percentThousandths: number;
  included: boolean;
}

/** One thing that happens to a price between tag and till, in the order it happens. Money in minor units. */
export type PriceLine =
  | { kind: 'markdown'; percentThousandths: number }
  | ({ kind: 'couponMoney'; amount: number; by: 'store' | 'maker' } & LeastSpend)
  | ({ kind: 'couponPercent'; percentThousandths: number } & LeastSpend)
  /** "10 off": nobody knows whether money or percent. `value` is in thousandths (10 → 10000). */
  | { kind: 'couponUnknown'; value: number }
  /** The amount is null while nobody knows it. */
  | { kind: 'fee'; amount: number | null; taxed: boolean }
  | { kind: 'delivery'; amount: number | null; taxed: boolean }
  /** Of so many bought and so many more, the latter are free: 2 and 1 for "three for two". */
  | { kind: 'buyGet'; buy: number; free: number }
  /** So much off the second of each pair. */
  | { kind: 'secondLess'; percentThousandths: number };

/** What a coupon may ask for: it counts only where at least so much is bought, minor units. */
interface LeastSpend {
  leastSpend?: number | undefined;
}

/** Where the till rounds: every piece, every line of the receipt, or the receipt as a whole. */
export type Rounding = 'piece' | 'line' | 'receipt';

/** How a price came about. `pieces` is what one tag buys; how many of them serve is the piece's own count. */
export interface PriceStory {
  version: 2;
  tag: Price;
  quantity: number;
  lines: PriceLine[];
  /** Null takes the project's tax. */
  tax: Tax | null;
  rounding: Rounding;
  pieces: number;
  /** What a pack of several sorts holds, and what of it is needed; nothing where its pieces are alike. */
  mix?: { contents: PackContent[]; needs: PackContent[] } | undefined;
}

/** How many pieces a story buys. */
export const piecesBought = (story: PriceStory): number => story.pieces * story.quantity;

/** A plain story: one tag, one piece, the project's tax. */
export function plainStory(tag: Price): PriceStory {
  return { version: 2, tag, quantity: 1, lines: [], tax: null, rounding: 'line', pieces: 1 };
}
