import { z } from 'zod';
import { number, refersTo } from '../fields';

/** A point of a picture, in shares of its width and height from its upper left corner; a little beyond it, too. */
export const photoPoint = z.strictObject({
  x: number(-1, 2, 'a share of the picture'),
  y: number(-1, 2, 'a share of the picture'),
});
export type PhotoPoint = z.output<typeof photoPoint>;

/** How many points a line in a picture has at the most. */
export const MOST_POINTS = 200;
/** How many holes one sees through in a piece, at the most. */
export const MOST_HOLES = 8;

/** A line around something in a picture. */
export const photoRing = z.array(photoPoint).min(3, 'three points').max(MOST_POINTS, `at most ${MOST_POINTS} points`);

/**
 * A piece cut out of a picture: the line around it, then the holes that one sees through. It holds for that picture alone,
 * so that a new picture of the piece is not cut along the old line.
 */
export const cutOut = z.strictObject({
  /** Null where the picture did not come along. */
  photoId: refersTo('photoBytes').nullable(),
  rings: z
    .array(photoRing)
    .min(1, 'a line around the piece')
    .max(MOST_HOLES + 1, `at most ${MOST_HOLES} holes`),
});
export type CutOut = z.output<typeof cutOut>;
