import { z } from 'zod';
import { number, refersTo } from '../fields';

/** A point of a picture, in shares of its width and height from its upper left corner; a little beyond it, too. */
export const photoPoint = z.strictObject({
  x: number(-1, 2, 'a share of the picture'),
  y: number(-1, 2, 'a share of the picture'),
});
export type PhotoPoint = z.output<typeof photoPoint>;

/** A line around something in a picture. */
export const photoRing = z.array(photoPoint).min(3, 'three points').max(200, 'at most 200 points');

/**
 * A piece cut out of a picture: the line around it, then the holes that one sees through. It holds for that picture alone,
 * so that a new picture of the piece is not cut along the old line.
 */
export const cutOut = z.strictObject({
  /** Null where the picture did not come along. */
  photoId: refersTo('photoBytes').nullable(),
  rings: z.array(photoRing).min(1, 'a line around the piece').max(9, 'at most 8 holes'),
});
export type CutOut = z.output<typeof cutOut>;
