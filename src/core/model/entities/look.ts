import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, paragraph, refersTo, wholeNumber, yesNo } from '../fields';
import { photoPoint, photoRing } from '../values/photoPoint';
import { lab, lengthMm, placeMm } from '../values/surface';

/** A check that the stylist has set aside for this look, and why. */
const setAside = z.strictObject({ checkId: line(1, 60), reason: line(1, 400) });
export type SetAside = z.output<typeof setAside>;

/** Where the wall is in a picture: a rectangle of known size, its corners from the upper left one clockwise. */
const photoPlane = z.strictObject({
  /** Null where the picture did not come along with the project. */
  photoId: refersTo('photos').nullable(),
  corners: z.tuple([photoPoint, photoPoint, photoPoint, photoPoint], { error: 'four corners' }),
  widthMm: lengthMm,
  heightMm: lengthMm,
  /** Where its lower left corner is in the spot. */
  xMm: placeMm,
  heightAtMm: placeMm,
  /** Things in the picture that get another color, each marked along its edge; without a color they are taken away. */
  recolored: z.array(z.strictObject({ points: photoRing, lab: lab.nullable() })).max(20, 'at most 20 marks'),
});
export type PhotoPlane = z.output<typeof photoPlane>;

/** What somebody else said when shown two looks. */
const vote = z.strictObject({ by: line(1, 80), isFor: yesNo, note: line(0, 400) });

/** One arrangement of pieces on a spot; a spot may have several. */
export const look = defineEntity({
  table: 'looks',
  name: 'look',
  noun: 'look',
  owner: 'project',
  travels: 'always',
  most: { count: 200, per: 'project' },
  fields: {
    spotId: refersTo('spots'),
    name: line(1, 80),
    note: paragraph(0, 1000),
    position: wholeNumber(0, 10_000),
    setAside: z.array(setAside).max(60, 'at most 60 checks'),
    photo: photoPlane.nullable(),
    votes: z.array(vote).max(60, 'at most 60 votes'),
  },
});
