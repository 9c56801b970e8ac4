import { z } from 'zod';
import { faceIds, wallIds } from '../../catalog/walls.data';
import { line, localDate, oneOf, yesNo } from '../fields';
import { lengthMm, placeMm } from './surface';

/** How much daylight falls on a spot. */
export const daylights = ['unknown', 'sunny', 'bright', 'dim'] as const;
export type Daylight = (typeof daylights)[number];

/** The wall behind a spot, as far as nails and adhesive ask about it. */
export const spotWall = z.strictObject({
  kind: oneOf(wallIds),
  face: oneOf(faceIds),
  /** Where the first stud is, from the left end of the spot; null where nobody knows. */
  studAtMm: placeMm.nullable(),
  /** From the middle of one stud to the next; null where nobody knows. */
  studEveryMm: lengthMm.nullable(),
  /** What the left and the right end of the spot are, in words: "the door frame". */
  leftEdge: line(0, 60),
  rightEdge: line(0, 60),
  /** Steam of a bath or a kitchen; a heater, a stove or a fireplace below. */
  isDamp: yesNo,
  isHot: yesNo,
  /** When it was painted last; null for long ago. */
  paintedOn: localDate.nullable(),
});
export type SpotWall = z.output<typeof spotWall>;
