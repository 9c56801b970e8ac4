import { decimalMoney } from '../../kernel/formatMoney';
import type { HuntingLine } from '../../sourcing/huntingList';
import { writeTable } from '../table/writeTable';
import type { ListLocale } from './write';

/** The hunting list as CSV. Money as a decimal number of the currency, lengths in inches or centimeters. */
export function huntingListCsv(lines: readonly HuntingLine[], locale: ListLocale): string {
  const unit = locale.units === 'us' ? 'in' : 'cm';
  const length = (mm: number | null) =>
    mm === null ? '' : String(Math.round((mm / (locale.units === 'us' ? 25.4 : 10)) * 100) / 100);
  const money = (minor: number) => decimalMoney(minor, locale.currency);
  return writeTable(
    [
      'Number',
      'What',
      'Spot',
      'Needed',
      `Widest (${unit})`,
      `Deepest (${unit})`,
      `Tallest (${unit})`,
      `Target each (${locale.currency})`,
      `Ceiling each (${locale.currency})`,
    ],
    lines.map((line) => [
      line.slot.number,
      line.slot.name,
      line.spotName,
      line.needed,
      length(line.largest.widthMm),
      length(line.largest.depthMm),
      length(line.largest.heightMm),
      money(line.target),
      money(line.ceiling),
    ]),
  );
}
