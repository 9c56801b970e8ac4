import type { Ink } from './inks.data';

/** A piece drawn to proportion, as data; units are millimeters with y downward. */
export interface Drawing {
  widthMm: number;
  heightMm: number;
  shapes: DrawnShape[];
  labels: { letter: string; xMm: number; yMm: number }[];
  dimensions: { fromX: number; fromY: number; toX: number; toY: number; lengthMm: number }[];
}

/** What every drawn shape says of its color. */
interface Painted {
  /** The zone whose color it has; null for an opening, a knob, or what has a color of its own. */
  zoneId: string | null;
  /** Darkens (negative) or lightens the color, so that faces tell apart. */
  shade: number;
  /** What it is where no zone is: paper, glass, a leaf. */
  ink?: Ink;
  /** Drawn without its edge: a highlight, a leaf among many. */
  isSoft?: boolean;
}

export type DrawnShape =
  | (Painted & { kind: 'polygon'; points: [number, number][] })
  | (Painted & { kind: 'ellipse'; cx: number; cy: number; rx: number; ry: number })
  /** A line that tells what something is made of: a weave, a fold, a stem. It adds nothing to the silhouette. */
  | (Painted & { kind: 'line'; points: [number, number][]; thickMm: number });

/** A closed rectangle as a drawn polygon. */
export function drawnRectangle(
  zoneId: string | null,
  x: number,
  y: number,
  width: number,
  height: number,
  shade = 0,
  more: Pick<Painted, 'ink' | 'isSoft'> = {},
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
    ...more,
  };
}
