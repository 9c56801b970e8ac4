import { localDay } from '@core/calendar/zonedTime';
import type { Amount } from '@core/kernel/amount';
import { formatMoney } from '@core/kernel/formatMoney';
import { M_PER_MILE, M2_PER_SQUARE_FOOT, type UnitSystem } from '@core/kernel/units';
import type { Placement } from '@core/sourcing/placements';

/** How the page shows figures: the project's units, currency and time zone. */
export interface ProjectLocale {
  units: UnitSystem;
  currency: string;
  timeZone: string;
}

/** An amount in words: a range stays a range, an unknown part is said. */
export function amountWords(amount: Amount, locale: Pick<ProjectLocale, 'currency'>): string {
  const least = amount.atLeast ? 'at least ' : '';
  if (amount.low !== amount.high)
    return `${least}${formatMoney(amount.low, locale.currency, { cents: 'auto' })} to ${formatMoney(amount.high, locale.currency, { cents: 'auto' })}`;
  return `${least}${formatMoney(amount.likely, locale.currency)}`;
}

const weekdayForm = { weekday: 'short', month: 'short', day: 'numeric' } as const;
const dateFormats = new Map<string, Intl.DateTimeFormat>();

/** A format of dates; making one takes longer than using it a hundred times, so each is made once. */
function dateFormat(form: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify(form);
  let format = dateFormats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', form);
    dateFormats.set(key, format);
  }
  return format;
}

/** What ways are measured in: miles or kilometers. */
export const longUnit = (units: UnitSystem): { sign: string; name: string; meters: number } =>
  units === 'us' ? { sign: 'mi', name: 'mile', meters: M_PER_MILE } : { sign: 'km', name: 'kilometer', meters: 1000 };

/** A way in words, to a tenth: "3.9 mi". */
export function distanceWords(distanceM: number, units: UnitSystem): string {
  const { sign, meters } = longUnit(units);
  return `${Math.round((distanceM / meters) * 10) / 10} ${sign}`;
}

/** A day as a colleague says it: today, tomorrow, Thu, Jun 4, or July 9. */
export function dayWords(ms: number, nowMs: number, timeZone: string): string {
  return dayWordsFrom(localDay(nowMs, timeZone), ms, timeZone);
}

/** The same, where the present day is known by its number: it changes once a day and not every minute. */
export function dayWordsFrom(today: number, ms: number, timeZone: string): string {
  const away = localDay(ms, timeZone) - today;
  if (away === 0) return 'today';
  if (away === 1) return 'tomorrow';
  const form = away > 45 ? ({ month: 'long', day: 'numeric' } as const) : weekdayForm;
  return dateFormat({ timeZone, ...form }).format(ms);
}

/** A calendar date of the form YYYY-MM-DD in words. */
export function dateWords(date: string): string {
  return dateFormat({ timeZone: 'UTC', weekday: 'short', month: 'long', day: 'numeric' }).format(
    Date.parse(`${date}T12:00:00Z`),
  );
}

/** A calendar date in short, with its year: "May 2, 2026". */
export function dayOf(date: string): string {
  return dateFormat({ timeZone: 'UTC', year: 'numeric', month: 'short', day: 'numeric' }).format(
    Date.parse(`${date}T12:00:00Z`),
  );
}

/** A day with its hour. */
export const momentWords = (ms: number, timeZone: string): string =>
  dateFormat({ timeZone, ...weekdayForm, hour: 'numeric', minute: '2-digit' }).format(ms);

/** An area in the project's units. */
export function areaWords(m2: number, units: UnitSystem): string {
  return units === 'us' ? `${(m2 / M2_PER_SQUARE_FOOT).toFixed(1)} ft²` : `${m2.toFixed(2)} m²`;
}

/** A figure with at most so many digits behind the point. */
export const trimmed = (value: number, digits: number) => String(Math.round(value * 10 ** digits) / 10 ** digits);

/** A temperature as the project's people say it: °F in US units, °C else. */
export function temperatureWords(celsius: number, units: UnitSystem): string {
  return units === 'us' ? `${trimmed(celsius * 1.8 + 32, 0)} °F` : `${trimmed(celsius, 1)} °C`;
}

/** What a recipe asks of a hand, by its level. */
export const difficultyWords = {
  1: 'a first piece',
  2: 'wants some practice',
  3: 'wants a steady hand and patience',
} as const;

/** Where a piece is promised. */
export function placementWords(placement: Placement): string {
  const until = placement.until === null ? '' : ` until ${dateWords(placement.until)}`;
  const place = placement.slotNumber === null ? `looks of ${placement.placeName}` : `slot ${placement.slotNumber}`;
  return `${placement.projectName}, ${place}${until}`;
}
