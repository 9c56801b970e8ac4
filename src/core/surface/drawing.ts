/** A piece drawn to proportion, as data; units are millimeters with y downward. */
export interface Drawing {
  widthMm: number;
  heightMm: number;
  shapes: DrawnShape[];
  labels: { letter: string; xMm: number; yMm: number }[];
  dimensions: { fromX: number; fromY: number; toX: number; toY: number; lengthMm: number }[];
}

/** `shade` darkens (negative) or lightens the zone's color so that faces tell apart; null zone is an opening or knob. */
export type DrawnShape =
  | { kind: 'polygon'; zoneId: string | null; points: [number, number][]; shade: number }
  | { kind: 'ellipse'; zoneId: string | null; cx: number; cy: number; rx: number; ry: number; shade: number };

/** A closed rectangle as a drawn polygon. */
export function drawnRectangle(
  zoneId: string | null,
  x: number,
  y: number,
  width: number,
  height: number,
  shade = 0,
): DrawnShape {
  return {
    kind: 'polygon',
    zoneId,
    shade,
    points: [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
  };
}
