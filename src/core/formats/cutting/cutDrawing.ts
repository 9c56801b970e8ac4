import type { CutLayout, LaidUnit } from '../../cutting/layout';
import type { PartBag } from '../../cutting/part';
import { type Outline, rectangleOutline, shifted, turned } from '../../surface/outline';

/** A part as it lies on its unit, mm from the unit's upper left corner. */
export interface DrawnPart {
  /** What the cut list calls it, counted from 1. */
  number: number;
  name: string;
  nth: number;
  xMm: number;
  yMm: number;
  widthMm: number;
  lengthMm: number;
  turnedDeg: number;
  outline: Outline;
  /** What the blade follows: the outline, or more than it. */
  lines: Outline;
}

/** One sheet, length of roll or board to cut, in true millimeters, y downward. */
export interface DrawnUnit {
  title: string;
  widthMm: number;
  /** Of a roll only the length that is cut up. */
  lengthMm: number;
  parts: readonly DrawnPart[];
  leftovers: readonly { xMm: number; yMm: number; widthMm: number; lengthMm: number }[];
}

/** What a layout cuts, unit by unit, as every file of it draws it. */
export function cutDrawing(
  layout: Pick<CutLayout, 'units'>,
  parts: PartBag,
  title: (unit: LaidUnit, n: number) => string,
): DrawnUnit[] {
  const numbers = new Map(parts.map(({ part }, n) => [part.key, { part, number: n + 1 }]));
  return layout.units.map((unit, n) => ({
    title: title(unit, n),
    widthMm: unit.widthMm,
    lengthMm: unit.usedMm,
    leftovers: unit.leftovers.filter(({ yMm }) => yMm < unit.usedMm),
    parts: unit.placed.flatMap((place): DrawnPart[] => {
      const known = numbers.get(place.partKey);
      if (!known) return [];
      const { part, number } = known;
      const laid = (shape: Outline) =>
        shifted(turned(shape, part.widthMm, part.lengthMm, place.turnedDeg), place.xMm, place.yMm);
      const outline = part.outline
        ? laid(part.outline)
        : rectangleOutline(place.xMm, place.yMm, place.widthMm, place.lengthMm);
      const lines = part.lines ? laid(part.lines) : outline;
      const { nth, xMm, yMm, widthMm, lengthMm, turnedDeg } = place;
      return [{ number, name: part.name, nth, xMm, yMm, widthMm, lengthMm, turnedDeg, outline, lines }];
    }),
  }));
}
