import { splitAmount } from '../kernel/money';
import { add, type Exact, minus, positive, round, taxOn, times, whole } from './exact';
import type { Rounding, Tax } from './priceStory';

/** One line of a receipt with several: so many at a price, less what its own tag takes off. Money in minor units. */
export interface SlipLine {
  id: string;
  /** Of one, as its tag says. */
  price: number;
  quantity: number;
  /** Taken off one after another, thousandths of a percent. */
  markdowns: readonly number[];
  /** Null takes the receipt's tax. */
  tax: Tax | null;
  /** Whether it is no goods but a fee: discounts over everything leave it out. */
  isFee: boolean;
}

/** What a discount over several lines takes off. */
export type SlipOffer =
  | { kind: 'money'; amount: number; by: 'store' | 'maker' }
  | { kind: 'percent'; percentThousandths: number }
  /** Of so many bought and so many more, the cheapest are free. */
  | { kind: 'buyGet'; buy: number; free: number }
  /** Of each pair, the cheaper one costs so much less. */
  | { kind: 'secondLess'; percentThousandths: number };

/** A discount over several lines. */
export interface SlipDiscount {
  id: string;
  offer: SlipOffer;
  /** The lines it holds for; null for all goods. */
  lineIds: readonly string[] | null;
  /** It counts only where these lines come to at least so much. */
  leastSpend: number | null;
}

/** A receipt as it was typed off: lines, then discounts over several, then tax as the till rounds. */
export interface Slip {
  lines: readonly SlipLine[];
  discounts: readonly SlipDiscount[];
  tax: Tax;
  rounding: Rounding;
  /** What the receipt says was paid; null while nobody said. */
  paid: number | null;
}

/** What a line came to. Its parts add up to its total. */
export interface ReckonedLine {
  id: string;
  /** Price × quantity, less its own markdowns. */
  goods: number;
  /** Its shares of the discounts over several lines, negative. */
  discount: number;
  /** Tax that is added; none where prices include it. */
  tax: number;
  /** Its share of what the till says more or less than these lines. */
  difference: number;
  total: number;
}

/** A discount as it came out: what it took off, and what was missing for it to count. */
export interface ReckonedDiscount {
  id: string;
  off: number;
  /** So much more had to be bought; null where it counts. */
  missing: number | null;
}

export interface ReckonedSlip {
  lines: ReckonedLine[];
  discounts: ReckonedDiscount[];
  /** What the lines come to by themselves, before anything that the receipt says otherwise. */
  reckoned: number;
  /** Tax in the total, added or included. */
  tax: number;
  /** What was paid: of the receipt where it says so, else as reckoned. Always the sum of the lines. */
  total: number;
}

/** A line's goods after its own markdowns, rounded where the till rounds: of a piece, or of the line. */
function goodsOf(line: SlipLine, rounding: Rounding): number {
  const markedDown = (price: Exact) =>
    line.markdowns.reduce((left, percent) => minus(left, times(left, percent)), price);
  return rounding === 'piece'
    ? round(markedDown(whole(line.price))) * line.quantity
    : round(markedDown(whole(line.price * line.quantity)));
}

/** What one piece of a line costs at this point, exactly. */
const eachOf = (left: number, line: SlipLine): Exact => ({ n: BigInt(left), d: BigInt(line.quantity) });
const dearer = (a: Exact, b: Exact): number => {
  const difference = b.n * a.d - a.n * b.d;
  return difference > 0n ? 1 : difference < 0n ? -1 : 0;
};

/** What an offer takes off some lines, whole minor units: what is rounded is the price that is left. */
function offOf(offer: SlipOffer, lines: readonly SlipLine[], left: ReadonlyMap<string, number>): number {
  const sum = lines.reduce((all, line) => all + (left.get(line.id) ?? 0), 0);
  const after = (off: Exact) => sum - round(positive(minus(whole(sum), off)));
  switch (offer.kind) {
    case 'money':
      return Math.min(sum, offer.amount);
    case 'percent':
      return after(times(whole(sum), offer.percentThousandths));
    case 'buyGet':
    case 'secondLess': {
      const pieces = lines
        .flatMap((line) => Array.from({ length: line.quantity }, () => eachOf(left.get(line.id) ?? 0, line)))
        .sort(dearer);
      const [group, cheap] = offer.kind === 'buyGet' ? [offer.buy + offer.free, offer.free] : [2, 1];
      const percent = offer.kind === 'buyGet' ? 100_000 : offer.percentThousandths;
      // Grouped from the dearest down, so that the cheapest of each full group are the ones for less.
      const cheaper = pieces.filter((_, n) => {
        const begin = n - (n % group);
        return begin + group <= pieces.length && n % group >= group - cheap;
      });
      return after(cheaper.reduce((off, piece) => add(off, times(piece, percent)), whole(0)));
    }
    default:
      return offer satisfies never;
  }
}

/** Tax of each line as the till rounds it: line by line, piece by piece, or over all lines of one rate together. */
function taxesOf(slip: Slip, taxable: ReadonlyMap<string, number>): Map<string, number> {
  const taxes = new Map<string, number>();
  const ruleOf = (line: SlipLine) => line.tax ?? slip.tax;
  if (slip.rounding !== 'receipt') {
    for (const line of slip.lines) {
      const base = taxable.get(line.id) ?? 0;
      const parts =
        slip.rounding === 'piece'
          ? splitAmount(
              base,
              Array.from({ length: line.quantity }, () => 1),
            )
          : [base];
      taxes.set(
        line.id,
        parts.reduce((sum, part) => sum + taxOn(part, ruleOf(line)), 0),
      );
    }
    return taxes;
  }
  const byRule = new Map<string, SlipLine[]>();
  for (const line of slip.lines) {
    const rule = ruleOf(line);
    const key = `${rule.percentThousandths} ${rule.included}`;
    byRule.set(key, [...(byRule.get(key) ?? []), line]);
  }
  for (const lines of byRule.values()) {
    const bases = lines.map((line) => taxable.get(line.id) ?? 0);
    const [first] = lines;
    const due = first
      ? taxOn(
          bases.reduce((sum, base) => sum + base, 0),
          ruleOf(first),
        )
      : 0;
    const shares = splitAmount(due, bases);
    for (const [n, line] of lines.entries()) taxes.set(line.id, shares[n] ?? 0);
  }
  return taxes;
}

/**
 * Reckons a receipt with several lines, to the minor unit (definitions: receipt). Each line's goods with its own markdowns;
 * then the discounts in their order, each spread over the lines it holds for by their price, largest remainder, the
 * earlier line first; then the tax as the till rounds. A maker's coupon leaves the tax due. Where the receipt says that
 * something else was paid, the difference is spread over the lines in the same way: what they come to is what was paid.
 * @returns no lines come to nothing; a discount whose least spend is not met takes nothing off and says what is missing
 * @example 2.00 off 12.49, 3.99 and 7.25 → 1.05, 0.34 and 0.61; half off the cheaper of 12.00 and 8.00 → 2.40 and 1.60
 */
export function reckonSlip(slip: Slip): ReckonedSlip {
  const goods = new Map(slip.lines.map((line) => [line.id, goodsOf(line, slip.rounding)]));
  const left = new Map(goods);
  const taxable = new Map(goods);
  const discounts = slip.discounts.map(({ id, offer, lineIds, leastSpend }): ReckonedDiscount => {
    const lines = slip.lines.filter((line) => (lineIds ? lineIds.includes(line.id) : !line.isFee));
    const sum = lines.reduce((all, line) => all + (left.get(line.id) ?? 0), 0);
    if (lines.length === 0 || (leastSpend !== null && sum < leastSpend))
      return { id, off: 0, missing: leastSpend === null ? null : Math.max(0, leastSpend - sum) };
    const off = offOf(offer, lines, left);
    const shares = splitAmount(
      off,
      lines.map((line) => left.get(line.id) ?? 0),
    );
    for (const [n, line] of lines.entries()) {
      const share = shares[n] ?? 0;
      left.set(line.id, (left.get(line.id) ?? 0) - share);
      if (!(offer.kind === 'money' && offer.by === 'maker')) taxable.set(line.id, (taxable.get(line.id) ?? 0) - share);
    }
    return { id, off, missing: null };
  });
  const taxes = taxesOf(slip, taxable);
  const before = slip.lines.map((line): ReckonedLine => {
    const [own, after, tax] = [goods.get(line.id) ?? 0, left.get(line.id) ?? 0, taxes.get(line.id) ?? 0];
    const added = (line.tax ?? slip.tax).included ? 0 : tax;
    return { id: line.id, goods: own, discount: after - own, tax: added, difference: 0, total: after + added };
  });
  const reckoned = before.reduce((sum, line) => sum + line.total, 0);
  const total = slip.paid === null || before.length === 0 ? reckoned : slip.paid;
  const differences =
    total === reckoned
      ? []
      : splitAmount(
          total - reckoned,
          before.map((line) => line.total),
        );
  return {
    lines: before.map((line, n) => {
      const difference = differences[n] ?? 0;
      return { ...line, difference, total: line.total + difference };
    }),
    discounts,
    reckoned,
    tax: [...taxes.values()].reduce((sum, tax) => sum + tax, 0),
    total,
  };
}
