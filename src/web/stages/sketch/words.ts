import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import type { SizeRange, SlotRole } from '@core/model/rows';

/** A wished size as one would type it again. */
export function sizeText(range: SizeRange, units: UnitSystem): string {
  const { minimumMm, maximumMm } = range;
  const show = (mm: number) => formatLength(mm, units, false);
  if (minimumMm !== null && maximumMm !== null)
    return minimumMm === maximumMm ? show(minimumMm) : `${show(minimumMm)} to ${show(maximumMm)}`;
  if (maximumMm !== null) return `at most ${show(maximumMm)}`;
  if (minimumMm !== null) return `at least ${show(minimumMm)}`;
  return '';
}

export const roleWords: Record<SlotRole, string> = {
  anchor: 'anchor',
  height: 'height',
  light: 'light',
  greenery: 'greenery',
  texture: 'texture',
  riser: 'riser',
  personal: 'personal',
  scent: 'scent',
  function: 'function',
  filler: 'filler',
};
