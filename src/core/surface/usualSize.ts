import { lastSaid } from './lastSaid';
import type { UsualSize } from './usualSizes.data';
import { usualSizes } from './usualSizes.data';

const MM = 25.4;
const said = lastSaid<UsualSize>(usualSizes);

/** Sides of a thing as far as they are known, mm. */
export type KnownSides = Partial<Record<'widthMm' | 'heightMm' | 'depthMm', number>>;

/**
 * How large a thing is by what it is called, where not all of it was measured: furniture is as high and as deep as it
 * usually is, however wide; all else keeps its proportions.
 * @returns all three sides in mm, those that are known as they are; null where its name says nothing of its size
 * @example a wall clock 12 in wide is 12 in high; a desk 60 in wide is 30 in high
 */
export function usualSize(name: string, known: KnownSides): Required<KnownSides> | null {
  const row = said(name);
  if (!row) return null;
  const usual = { widthMm: row.wide * MM, heightMm: row.high * MM, depthMm: row.deep * MM };
  const [from] = (['widthMm', 'heightMm', 'depthMm'] as const).filter((side) => known[side] !== undefined);
  const share = row.isFurniture || from === undefined ? 1 : (known[from] ?? 0) / usual[from];
  return {
    widthMm: known.widthMm ?? usual.widthMm * share,
    heightMm: known.heightMm ?? usual.heightMm * share,
    depthMm: known.depthMm ?? usual.depthMm * share,
  };
}
