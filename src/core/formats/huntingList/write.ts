import { formatLength } from '../../kernel/formatLength';
import { decimalMoney, formatMoney } from '../../kernel/formatMoney';
import type { UnitSystem } from '../../kernel/units';
import type { HuntingLine } from '../../sourcing/huntingList';
import { writeTable } from '../table/writeTable';

/** How lengths and money are shown. */
export interface ListLocale {
  units: UnitSystem;
  currency: string;
}

/** The largest size of a line in words, like "at most 18 in wide, 27 in tall"; empty where nothing was said. */
export function largestWords(line: HuntingLine, locale: ListLocale): string {
  const { widthMm, depthMm, heightMm } = line.largest;
  const parts = [
    widthMm === null ? '' : `${formatLength(widthMm, locale.units)} wide`,
    depthMm === null ? '' : `${formatLength(depthMm, locale.units)} deep`,
    heightMm === null ? '' : `${formatLength(heightMm, locale.units)} tall`,
  ].filter((part) => part !== '');
  return parts.length === 0 ? '' : `at most ${parts.join(', ')}`;
}

/** The list as plain text, grouped by spot, as one sends it to whoever goes shopping. */
export function huntingListText(lines: readonly HuntingLine[], locale: ListLocale): string {
  const spots = [...new Set(lines.map((line) => line.slot.spotId))];
  const money = (minor: number) => formatMoney(minor, locale.currency, { cents: 'auto' });
  return spots
    .map((spotId) => {
      const here = lines.filter((line) => line.slot.spotId === spotId);
      const rows = here.map((line) => {
        const size = largestWords(line, locale);
        return `${line.slot.number}. ${line.needed} × ${line.slot.name}${size ? `, ${size}` : ''}; aim ${money(line.target)}, at most ${money(line.ceiling)} each`;
      });
      return [here[0]?.spotName ?? '', ...rows].join('\n');
    })
    .join('\n\n');
}

/**
 * The list as CSV. Money as a decimal number of the currency, lengths in inches or centimeters.
 */
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
