import type { Outline, Point } from '../../surface/outline';
import { rectangleOutline, roundRing } from '../../surface/outline';
import type { LadderThing } from './ladderSheet';

/** Half the length of the cross that marks a nail, and the round about it; mm. */
const CROSS_MM = 8;
const ROUND_MM = 3;

/** A paper template of one thing: its edge, a line to level it by, a cross at each nail; mm from its upper left corner. */
export interface WallTemplate {
  name: string;
  widthMm: number;
  heightMm: number;
  nails: readonly Point[];
  lines: Outline;
}

/** The template of a thing that hangs: what is pressed to the wall at its place, nailed through, and torn away. */
export function wallTemplate(
  { thing, nails }: Pick<LadderThing, 'thing' | 'nails' | 'number'>,
  baseMm: number,
): WallTemplate {
  const { box, size, name } = thing;
  const points = nails.map(({ xMm, heightMm }): Point => [xMm - box.leftMm, box.topMm + baseMm - heightMm]);
  const level = points[0]?.[1] ?? size.heightMm / 2;
  return {
    name,
    widthMm: size.widthMm,
    heightMm: size.heightMm,
    nails: points,
    lines: [
      ...rectangleOutline(0, 0, size.widthMm, size.heightMm),
      [
        [0, level],
        [size.widthMm, level],
      ],
      ...points.flatMap(([x, y]) => [
        [
          [x - CROSS_MM, y],
          [x + CROSS_MM, y],
        ] as const,
        [
          [x, y - CROSS_MM],
          [x, y + CROSS_MM],
        ] as const,
        roundRing(x, y, ROUND_MM),
      ]),
    ],
  };
}
