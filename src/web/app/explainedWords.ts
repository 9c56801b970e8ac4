import type { Explained, Unit } from '@core/kernel/explained';
import { formatLength } from '@core/kernel/formatLength';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { quantityUnit, shownQuantity } from '@core/kernel/quantities';
import { supplyWords } from '@core/words/supplyWords';
import { areaWords, momentWords, type ProjectLocale, temperatureWords, trimmed } from './words';

function unitWords(value: number, unit: Unit, locale: ProjectLocale): string {
  switch (unit) {
    case 'money':
      return formatMoney(value, locale.currency);
    case 'moneyPerHour':
      return `${formatMoney(value, locale.currency)} an hour`;
    case 'minutes':
      return formatMinutes(value);
    case 'hours':
      return `${trimmed(value, 2)} h`;
    case 'days':
      return `${trimmed(value, 1)} ${value === 1 ? 'day' : 'days'}`;
    case 'instant':
      return momentWords(value, locale.timeZone);
    case 'm2':
      return areaWords(value, locale.units);
    case 'mm':
      return formatLength(value, locale.units);
    case 'mL':
      return supplyWords(value, 'mL', locale.units);
    case 'can':
      return supplyWords(value, 'can', locale.units);
    case 'm2PerL':
      return `${trimmed(shownQuantity(value, unit, locale.units), locale.units === 'us' ? 0 : 2)} ${quantityUnit(unit, locale.units)}`;
    case 'm2PerCan':
      return `${trimmed(shownQuantity(value, unit, locale.units), locale.units === 'us' ? 1 : 2)} ${quantityUnit(unit, locale.units)} a can`;
    case 'minPerM2':
      return `${trimmed(shownQuantity(value, unit, locale.units), locale.units === 'us' ? 2 : 1)} ${quantityUnit(unit, locale.units)}`;
    case 'celsius':
      return temperatureWords(value, locale.units);
    case 'percent':
      return `${trimmed(value, 2)} %`;
    case 'ratio':
      return `× ${trimmed(value, 3)}`;
    case 'coats':
      return `${value} ${value === 1 ? 'coat' : 'coats'}`;
    case 'deltaE':
      return trimmed(value, 1);
    case 'each':
      return trimmed(value, 2);
    case 'text':
      return String(value);
    default:
      return unit satisfies never;
  }
}

/** The value of an explained line in words; its range where it has one and is no changeable assumption. */
export function explainedWords(line: Explained, locale: ProjectLocale): string {
  if (typeof line.value === 'string') return line.value;
  const words = unitWords(line.value, line.unit, locale);
  const least = line.atLeast ? 'at least ' : '';
  if (
    line.assumption ||
    line.low === undefined ||
    line.high === undefined ||
    unitWords(line.low, line.unit, locale) === unitWords(line.high, line.unit, locale)
  )
    return `${least}${words}`;
  return `${least}${words} (${unitWords(line.low, line.unit, locale)} to ${unitWords(line.high, line.unit, locale)})`;
}
