import type { Coating } from '../catalog/coating';
import { BRUSH_LOSS_PERCENT, coatings } from '../catalog/coatings';

import { MS_PER_DAY } from '../kernel/units';
import type { SupplyRow } from '../model/rows';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { zoneAreaM2 } from '../surface/zone';
import { techniques } from '../technique';
import { completeValues, type QuantityInput } from '../technique/technique';

/** Something of a usual size that a can would cover so many times. */
export interface CoverOf {
  templateId: string;
  name: string;
  times: number;
}

/** What a can holds and what that is good for. */
export interface CanGauge {
  /** Share of a full can, 0 to 1; null while nobody knows what a full one holds. */
  share: number | null;
  /** Local date until which it keeps: as noted, else opening plus the kind's usual life; null when it is not opened. */
  keepsUntil: string | null;
  /** Whether that date was computed and not noted. */
  estimated: boolean;
  /** Days left to that date from today; below 0 when it is over. */
  daysLeft: number | null;
  /** Surface that it still covers in the usual coats over a similar color, m²; null for what is no coating. */
  coversM2: number | null;
  covers: CoverOf[];
}

function addMonths(date: string, months: number): string {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
  const first = new Date(Date.UTC(year, month - 1 + months, 1));
  const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  return new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth(), Math.min(day, last)))
    .toISOString()
    .slice(0, 10);
}

/** Area of a kind of piece at its standard size, over the zones that are usually coated; m². */
function usualAreaM2(templateId: string): number {
  const template = furnitureTemplates.get(templateId);
  return template
    .zones(completeMeasures(template, {}))
    .filter((zone) => zone.included)
    .reduce((sum, zone) => sum + zoneAreaM2(zone), 0);
}

/** What a coating takes in its usual technique. */
function amountOf(coating: Coating, input: QuantityInput): number {
  const technique = techniques.get(coating.techniqueId);
  return technique.quantity(input, completeValues(technique, {}));
}

/**
 * Reads a supply as a gauge. Coverage is for flat, primed surfaces in the typical number of coats over a similar color,
 * from the table's spreading rate; the life of an opened can is the table's usual one (from memory).
 * @param today local date
 */
export function canGauge(supply: SupplyRow, today: string): CanGauge {
  const coating = coatings.find(supply.kindId);
  const amount = supply.stash.state === 'none' ? 0 : supply.stash.amount;
  const full = supply.containerSize;
  const usual = coating && supply.openedOn !== null ? addMonths(supply.openedOn, coating.openedLifeMonths.usual) : null;
  const keepsUntil = supply.keepsUntil ?? usual;
  const perM2 = coating
    ? amountOf(coating, {
        projectedAreaM2: 1,
        texture: 1,
        coats: coating.hiding.similar.typical,
        absorption: 1,
        spreadingRate: coating.spreadingRate.usual,
        lossPercent: coating.unit === 'mL' ? BRUSH_LOSS_PERCENT.usual : 0,
        detail: 'flat',
      })
    : null;
  const coversM2 = perM2 === null ? null : amount / perM2;
  return {
    share: full === null || full <= 0 ? null : Math.min(1, amount / full),
    keepsUntil,
    estimated: supply.keepsUntil === null && keepsUntil !== null,
    daysLeft: keepsUntil === null ? null : Math.round((Date.parse(keepsUntil) - Date.parse(today)) / MS_PER_DAY),
    coversM2,
    covers:
      coversM2 === null
        ? []
        : furnitureTemplates.all
            .filter((template) => template.id !== 'freeBox')
            .map((template) => ({
              templateId: template.id,
              // A kind goes by its first word here: a basket, of "basket or hamper".
              name: (template.name.split(/,| or /)[0] ?? template.name).toLowerCase(),
              times: Math.floor(coversM2 / usualAreaM2(template.id)),
            }))
            // Two kinds of one name are one to who reads it, and what stands in the plural is no piece.
            .filter((entry, n, all) => all.findIndex((other) => other.name === entry.name) === n)
            .filter((entry) => entry.times > 0 && !entry.name.startsWith('drawers'))
            .sort((a, b) => a.times - b.times || (a.name < b.name ? -1 : 1)),
  };
}

/** After so many days a stock is asked about again: is it still there? (our own choice) */
export const ASK_AGAIN_AFTER_DAYS = 90;

/**
 * Whether it is time to look into a can once more.
 * @param today local date
 * @returns false for what is used up and for what nobody counts: there is nothing to look into
 */
export function wantsLook(supply: SupplyRow, today: string): boolean {
  if (supply.stash.state === 'none' || supply.stash.state === 'always') return false;
  const last = supply.checkedOn ?? supply.openedOn;
  return last === null || (Date.parse(today) - Date.parse(last)) / MS_PER_DAY > ASK_AGAIN_AFTER_DAYS;
}
