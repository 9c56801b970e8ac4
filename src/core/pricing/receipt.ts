import { type Amount, nothing } from '../kernel/amount';
import { currencyExponent } from '../kernel/currencies.data';
import { amountOfPrice } from '../kernel/price';
import { type Exact, minus, positive, round, taxOn, times, whole } from './exact';
import type { PriceFinding } from './priceSentences';
import { type PriceLine, type PriceStory, piecesBought, type Tax } from './priceStory';

/** One printed line of a till receipt. */
export interface ReceiptLine {
  kind: 'tag' | PriceLine['kind'] | 'tax';
  amount: Amount;
  /** Percent in thousandths where the line is a rate. */
  percentThousandths?: number;
  quantity?: number;
}

export interface Receipt {
  lines: ReceiptLine[];
  tax: Amount;
  taxIncluded: boolean;
  total: Amount;
  pieces: number;
  usable: number;
  /** Total ÷ usable pieces, rounded; null when nothing is usable. */
  perUsable: Amount | null;
  findings: PriceFinding[];
}

interface Till {
  total: number;
  tax: number;
  lines: number[];
}

/**
 * One pass through the story with a certain tag and one reading of an unclear coupon. What is rounded is the price
 * after all that was taken off, once: of a piece, or of the line; never a markdown by itself. Tax is due on that price.
 */
function passTill(story: PriceStory, tag: number, taxRule: Tax, couponAsPercent: boolean, unit: number): Till {
  const perPiece = story.rounding === 'piece';
  const copies = perPiece ? 1 : story.quantity;
  let factor = perPiece ? story.quantity : 1;
  let goods = whole(tag * copies);
  let taxable = goods;
  let extras = 0;
  let taxedExtras = 0;
  const amounts: number[] = [round(goods) * factor];
  /** Takes something off; its line is what the rounded price falls by, so that the lines add up to what is paid. */
  const takeOff = (off: Exact, fromTaxable = true): void => {
    const before = round(goods);
    goods = minus(goods, off);
    if (fromTaxable) taxable = minus(taxable, off);
    amounts.push((round(goods) - before) * factor);
  };
  /** Where pieces are rounded one by one and then not all paid alike, what follows is reckoned with their sum. */
  const together = (): void => {
    goods = whole(round(goods) * factor);
    taxable = whole(round(taxable) * factor);
    factor = 1;
  };
  for (const line of story.lines) {
    if ('leastSpend' in line && round(goods) * factor < (line.leastSpend ?? 0)) {
      amounts.push(0);
      continue;
    }
    switch (line.kind) {
      case 'markdown':
      case 'couponPercent':
        takeOff(times(goods, line.percentThousandths));
        break;
      case 'buyGet': {
        together();
        const free = Math.floor(story.quantity / (line.buy + line.free)) * line.free;
        takeOff({ n: goods.n * BigInt(free), d: goods.d * BigInt(story.quantity) });
        break;
      }
      case 'secondLess': {
        const pairs = Math.floor(story.quantity / 2);
        // Pieces that are rounded one by one stand apart until now: the second of each pair is rounded by itself.
        const each =
          factor > 1 ? whole(round(goods) - round(minus(goods, times(goods, line.percentThousandths)))) : null;
        together();
        const off = times(goods, line.percentThousandths);
        takeOff(
          each
            ? { n: each.n * BigInt(pairs), d: each.d }
            : { n: off.n * BigInt(pairs), d: off.d * BigInt(story.quantity) },
        );
        break;
      }
      case 'couponMoney':
      case 'couponUnknown': {
        const percent = line.kind === 'couponUnknown' && couponAsPercent;
        const wanted = percent
          ? times(goods, line.value)
          : whole(line.kind === 'couponMoney' ? line.amount : Math.round((line.value * unit) / 1000));
        // A money coupon is taken once a receipt: with rounding per piece its share falls on each piece.
        const spread = percent ? wanted : { n: wanted.n, d: wanted.d * BigInt(factor) };
        const off = positive(minus(goods, spread)).n === 0n ? goods : spread;
        // A maker's coupon pays part of the price; the tax is still due on all of it.
        takeOff(off, !(line.kind === 'couponMoney' && line.by === 'maker'));
        break;
      }
      case 'fee':
      case 'delivery':
        // What nobody knows counts nothing here; the total says "at least".
        extras += line.amount ?? 0;
        if (line.taxed) taxedExtras += line.amount ?? 0;
        amounts.push(line.amount ?? 0);
        break;
      default:
        line satisfies never;
    }
  }
  const due = (base: number): number => taxOn(base, taxRule);
  const taxed = round(positive(taxable));
  const tax = story.rounding === 'receipt' ? due(taxed + taxedExtras) : due(taxed) * factor + due(taxedExtras);
  const paid = round(goods) * factor + extras + (taxRule.included ? 0 : tax);
  return { total: paid, tax, lines: amounts };
}

/** All readings of a story at one tag: one, or two when a coupon may be money or percent. */
function readings(story: PriceStory, tag: number, tax: Tax, unit: number): Till[] {
  const unclear = story.lines.some((line) => line.kind === 'couponUnknown');
  const tills = [passTill(story, tag, tax, false, unit)];
  if (unclear) tills.push(passTill(story, tag, tax, true, unit));
  return tills;
}

/**
 * The till receipt of a price story, to the minor unit. Lines stand in the order of the story; tax comes last.
 * An unclear coupon is read both ways: the total is then a range whose likely end is the dearer reading.
 * @param projectTax used when the story names no tax of its own
 * @param usable how many of the bought pieces serve; all of them while nobody said otherwise
 */
export function receiptOf(
  story: PriceStory,
  currency: string,
  projectTax: Tax,
  usable: number = piecesBought(story),
): Receipt {
  const unit = 10 ** currencyExponent(currency);
  const tax = story.tax ?? projectTax;
  const tag = amountOfPrice(story.tag);
  const atLow = readings(story, tag.low, tax, unit);
  const atLikely = readings(story, tag.likely, tax, unit);
  const atHigh = readings(story, tag.high, tax, unit);
  const dearest = (tills: Till[]) => tills.reduce((a, b) => (b.total > a.total ? b : a));
  const cheapest = (tills: Till[]) => tills.reduce((a, b) => (b.total < a.total ? b : a));
  const low = cheapest(atLow);
  const likely = dearest(atLikely);
  const high = dearest(atHigh);
  const atLeast = tag.atLeast || story.lines.some((line) => 'amount' in line && line.amount === null);
  const pick = (of: (till: Till) => number): Amount => {
    const ends = [of(low), of(likely), of(high)];
    return { low: Math.min(...ends), likely: of(likely), high: Math.max(...ends), atLeast };
  };
  const total = pick((till) => till.total);
  const lines: ReceiptLine[] = [
    { kind: 'tag', amount: pick((till) => till.lines[0] ?? 0), quantity: story.quantity },
    ...story.lines.map((line, index): ReceiptLine => {
      const amount = pick((till) => till.lines[index + 1] ?? 0);
      return 'percentThousandths' in line
        ? { kind: line.kind, amount, percentThousandths: line.percentThousandths }
        : { kind: line.kind, amount };
    }),
    {
      kind: 'tax',
      amount: tax.included ? nothing : pick((till) => till.tax),
      percentThousandths: tax.percentThousandths,
    },
  ];
  const pieces = piecesBought(story);
  const findings: PriceFinding[] = [];
  for (const [index, line] of story.lines.entries())
    if ('leastSpend' in line && line.leastSpend !== undefined && (lines[index + 1]?.amount.likely ?? 0) === 0)
      findings.push({
        code: 'coupon.leastSpend',
        severity: 'note',
        where: { kind: 'find', id: '' },
        figures: { leastMinor: line.leastSpend },
      });
  if (story.tag.state === 'unknown')
    findings.push({ code: 'price.unknown', severity: 'warn', where: { kind: 'find', id: '' }, figures: {} });
  if (story.lines.some((line) => line.kind === 'couponUnknown')) {
    findings.push({
      code: 'coupon.readBothWays',
      severity: 'warn',
      where: { kind: 'find', id: '' },
      figures: { low: total.low, high: total.high },
    });
  }
  return {
    lines,
    tax: pick((till) => till.tax),
    taxIncluded: tax.included,
    total,
    pieces,
    usable,
    perUsable:
      usable > 0
        ? {
            ...total,
            low: Math.round(total.low / usable),
            likely: Math.round(total.likely / usable),
            high: Math.round(total.high / usable),
          }
        : null,
    findings,
  };
}

/**
 * The largest tag at which the till total (the dearer reading) is at most `till` minor units: a price worked back
 * through its story. Null when even a free tag costs more (a fee or a delivery alone exceeds it).
 * @param till minor units
 * @returns minor units before anything of the story is applied
 */
export function largestTagFor(story: PriceStory, currency: string, projectTax: Tax, till: number): number | null {
  const unit = 10 ** currencyExponent(currency);
  const tax = story.tax ?? projectTax;
  const totalOf = (of: PriceStory) => (tag: number) =>
    Math.max(...readings(of, tag, tax, unit).map((reading) => reading.total));
  const asIs = largestBelow(totalOf(story), till);
  if (!story.lines.some((line) => 'leastSpend' in line && line.leastSpend !== undefined)) return asIs;
  // A coupon that asks for a least spend makes a dearer tag cheaper at the till: above that spend it counts.
  const counting = {
    ...story,
    lines: story.lines.map((line) => ('leastSpend' in line ? { ...line, leastSpend: undefined } : line)),
  };
  const withCoupon = largestBelow(totalOf(counting), till);
  return withCoupon !== null && totalOf(story)(withCoupon) <= till ? Math.max(withCoupon, asIs ?? 0) : asIs;
}

/**
 * The tags that come to just so much at the till: a list price worked back from what was paid.
 * @param paid minor units
 * @returns from the smallest to the largest such tag; null where no tag comes to it
 * @example half off and no tax, 12.00 paid → tags from 23.99 to 24.00, since half of 23.99 is 11.995
 */
export function tagsFor(
  story: PriceStory,
  currency: string,
  projectTax: Tax,
  paid: number,
): { low: number; high: number } | null {
  const high = largestTagFor(story, currency, projectTax, paid);
  if (high === null) return null;
  const at = (tag: number) =>
    receiptOf({ ...story, tag: { state: 'stated', low: tag, high: tag } }, currency, projectTax).total.likely;
  if (at(high) !== paid) return null;
  const below = paid === 0 ? null : largestTagFor(story, currency, projectTax, paid - 1);
  return { low: below === null ? 0 : below + 1, high };
}

/** The largest tag whose total is at most `till`, where totals rise with the tag; null when even nothing is too much. */
function largestBelow(totalAt: (tag: number) => number, till: number): number | null {
  const free = totalAt(0);
  if (free > till) return null;
  let low = 0;
  let lowTotal = free;
  let high = Math.max(1, till);
  let highTotal = totalAt(high);
  while (highTotal <= till) {
    low = high;
    lowTotal = highTotal;
    high *= 2;
    if (high > 1e11) return low;
    highTotal = totalAt(high);
  }
  // The total rises nearly evenly with the tag: aim where a straight line would cross, halve when that lags.
  for (let round = 0; high - low > 1; round += 1) {
    const aimed = low + Math.floor(((till - lowTotal) * (high - low)) / Math.max(1, highTotal - lowTotal));
    const middle = round % 3 === 2 ? Math.floor((low + high) / 2) : Math.min(high - 1, Math.max(low + 1, aimed));
    const total = totalAt(middle);
    if (total <= till) {
      low = middle;
      lowTotal = total;
    } else {
      high = middle;
      highTotal = total;
    }
  }
  return low;
}
