import type { DrawnShape } from '../drawing';
import type { Ink } from '../inks.data';

type Points = readonly (readonly [x: number, y: number])[];

/** A shape in a square of one by one, y down. */
export type UnitShape =
  | { form: 'polygon'; points: Points; shade: number; ink?: Ink }
  | { form: 'oval'; cx: number; cy: number; rx: number; ry: number; shade: number; ink?: Ink }
  /** `thick` is a share of the shorter side of the piece. */
  | { form: 'line'; points: Points; thick: number; shade: number; ink?: Ink };

/**
 * What a thing of the house looks like by what it is called, where its kind of furniture says no more than a box: a bowl,
 * a pumpkin, a suitcase. To add one: an entry in a file of this folder. Only for the eye: areas and prices never come from it.
 */
export interface Likeness {
  id: string;
  /** In the singular, as one names it. */
  words: readonly string[];
  front: readonly UnitShape[];
  /** How a whole name says it, where single words do not: a row of green books. */
  said?: RegExp;
  /** Words in a name that say that it is not this. */
  not?: RegExp;
  /** Kinds of furniture in whose place it is drawn as well: they say less than its name. */
  instead?: readonly string[];
  /** How large it is while nobody measured it, where no single word says it; else see `usualSizes.data.ts`; mm. */
  usual?: { widthMm: number; heightMm: number };
  /** How deep it is for its width while nobody measured it, where that is neither round nor usual for a box. */
  depthShare?: number;
  /** Whether it is thin and set up against the wall. */
  leans?: true;
  /** The kind of furniture that it is, where there is one for it. */
  templateId?: string;
  /** Boards within it on which things stand, in the square of its front; the lowest first. */
  boards?: readonly { left: number; top: number; right: number; bottom: number }[];
  /** From above: round where nothing is said, or with corners. */
  plan?: 'square';
}

/** A closed shape, without an ink in the color of the piece. */
export const poly = (points: Points, shade = 0, ink?: Ink): UnitShape => ({
  form: 'polygon',
  points,
  shade,
  ...(ink && { ink }),
});
export const oval = (cx: number, cy: number, rx: number, ry: number, shade = 0, ink?: Ink): UnitShape => ({
  form: 'oval',
  cx,
  cy,
  rx,
  ry,
  shade,
  ...(ink && { ink }),
});
export const line = (points: Points, thick = 0.02, shade = 0, ink?: Ink): UnitShape => ({
  form: 'line',
  points,
  thick,
  shade,
  ...(ink && { ink }),
});
/** A rectangle from a corner to the one across. */
export const box = (left: number, top: number, right: number, bottom: number, shade = 0, ink?: Ink): UnitShape =>
  poly(
    [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ],
    shade,
    ink,
  );
/** Something turned: how wide it is at some heights, as shares, around its middle. */
export const turned = (profile: Points, shade = 0, ink?: Ink): UnitShape =>
  poly(
    [
      ...profile.map(([y, wide]) => [0.5 + wide / 2, y] as const),
      ...[...profile].reverse().map(([y, wide]) => [0.5 - wide / 2, y] as const),
    ],
    shade,
    ink,
  );

/** The zones that such a piece has: its color is that of its sides. */
const BODY = 'sides';

/** A shape of a likeness in a piece of some size. */
export function drawnShape(shape: UnitShape, widthMm: number, heightMm: number): DrawnShape {
  const zoneId = shape.ink ? null : BODY;
  const common = { zoneId, shade: shape.shade, ...(shape.ink && { ink: shape.ink }) };
  switch (shape.form) {
    case 'polygon':
      return {
        kind: 'polygon',
        ...common,
        points: shape.points.map(([x, y]): [number, number] => [x * widthMm, y * heightMm]),
      };
    case 'oval':
      return {
        kind: 'ellipse',
        ...common,
        cx: shape.cx * widthMm,
        cy: shape.cy * heightMm,
        rx: shape.rx * widthMm,
        ry: shape.ry * heightMm,
      };
    case 'line':
      return {
        kind: 'line',
        ...common,
        points: shape.points.map(([x, y]): [number, number] => [x * widthMm, y * heightMm]),
        thickMm: shape.thick * Math.min(widthMm, heightMm),
      };
    default:
      return shape satisfies never;
  }
}
