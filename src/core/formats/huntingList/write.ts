import { formatLength } from '../../kernel/formatLength';
import { formatMoney } from '../../kernel/formatMoney';
import type { UnitSystem } from '../../kernel/units';
import type { HuntingLine } from '../../sourcing/huntingList';

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
