import { MM_PER_INCH, type UnitSystem } from '../../kernel/units';
import { writeTable } from '../table/writeTable';
import type { DrawnUnit } from './cutDrawing';

/** The cut list as CSV: each part with its unit, its size, where it lies and how it is turned; lengths in inches or mm. */
export function writeCutList(
  stocks: readonly { name: string; units: readonly DrawnUnit[] }[],
  units: UnitSystem,
): string {
  const unit = units === 'us' ? 'in' : 'mm';
  const length = (mm: number): number => Math.round((units === 'us' ? mm / MM_PER_INCH : mm) * 1000) / 1000;
  return writeTable(
    [
      'Cut from',
      'Unit',
      'Part',
      'Name',
      'Of them',
      `Width, ${unit}`,
      `Length, ${unit}`,
      `From the left, ${unit}`,
      `From the top, ${unit}`,
      'Turned, degrees',
    ],
    stocks.flatMap(({ name, units: drawn }) =>
      drawn.flatMap(({ parts }, n) =>
        parts.map((part) => [
          name,
          n + 1,
          part.number,
          part.name,
          part.nth,
          length(part.widthMm),
          length(part.lengthMm),
          length(part.xMm),
          length(part.yMm),
          part.turnedDeg,
        ]),
      ),
    ),
  );
}
