import { fail, type Result, succeed } from './result';
import { MM_PER_FOOT, MM_PER_INCH, MM_PER_YARD, type UnitSystem } from './units';

const unitMm: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: MM_PER_FOOT,
  foot: MM_PER_FOOT,
  feet: MM_PER_FOOT,
  "'": MM_PER_FOOT,
  yd: MM_PER_YARD,
  yard: MM_PER_YARD,
  yards: MM_PER_YARD,
};

const vulgarFractions: Record<string, string> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
  '⅓': ' 1/3',
  '⅔': ' 2/3',
};

const term = /^\s*(?:(\d+)\s+(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-z"']+)?/;

/** No single measurement in a home is longer than this; a larger one is a slip of the unit. */
export const LONGEST_MM = 30_000;

/**
 * Reads a length as a person writes it: `34 1/2`, `3' 2"`, `80 cm`, `0.8m`, `¾ in`. A bare number is in inches
 * (US) or centimeters (metric).
 * @returns millimeters, more than 0 and at most 30 m; otherwise a finding with the text and what is accepted
 * @example 3' 2" → 965.2 mm
 */
export function parseLength(text: string, system: UnitSystem): Result<number> {
  const refuse = (code: 'length.unreadable' | 'length.outOfRange') =>
    fail<number>({
      code,
      severity: 'refuse',
      where: { kind: 'field', id: 'length' },
      figures: {
        text,
        example: system === 'us' ? '34 1/2, 3\' 2" or 80 cm' : '80, 80 cm or 0.8 m',
        longest: LONGEST_MM,
      },
    });
  let rest = text
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (mark) => vulgarFractions[mark] ?? mark)
    .replace(/[’′]/g, "'")
    .replace(/''|[”″]/g, '"')
    .trim();
  if (rest === '') return refuse('length.unreadable');
  let total = 0;
  let lastUnit = Number.POSITIVE_INFINITY;
  while (rest !== '') {
    const match = term.exec(rest);
    if (!match) return refuse('length.unreadable');
    const [all, whole, over, under, over2, under2, plain, unitText] = match;
    const denominator = Number(under ?? under2 ?? 1);
    if (denominator === 0) return refuse('length.unreadable');
    const count =
      plain !== undefined
        ? Number(plain.replace(',', '.'))
        : Number(whole ?? 0) + Number(over ?? over2 ?? 0) / denominator;
    rest = rest.slice(all.length).trim();
    const defaultUnit =
      lastUnit === MM_PER_FOOT ? MM_PER_INCH : lastUnit === 1000 ? 10 : system === 'us' ? MM_PER_INCH : 10;
    const unit = unitText === undefined ? defaultUnit : unitMm[unitText];
    if (unit === undefined || unit >= lastUnit) return refuse('length.unreadable');
    total += count * unit;
    lastUnit = unit;
  }
  if (!(total > 0) || total > LONGEST_MM) return refuse('length.outOfRange');
  return succeed(total);
}
