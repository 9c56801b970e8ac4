import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, number, oneOf, paragraph, refersTo } from '../fields';
import { lengthMm } from '../values/surface';

/** The longest outline that is kept, as the text of its path. */
const MOST_PATH = 200_000;
/** Moves, lines, curves and closings by their letters, with numbers: what others write is put so before it is kept. */
const KEPT_PATH = /^[MLCZ\deE+\-.,\s]*$/;

/** A shape or a lettering that is cut: its outlines by color, in true millimeters. */
export const artwork = defineEntity({
  table: 'artworks',
  name: 'artwork',
  noun: 'artwork',
  owner: 'project',
  travels: 'always',
  most: { count: 200, per: 'project' },
  fields: {
    name: line(1, 120),
    widthMm: lengthMm,
    heightMm: lengthMm,
    /** One entry a color, from the bottom up; paths in millimeters from the upper left, straight lines and curves. */
    layers: z
      .array(
        z.strictObject({
          name: line(0, 60),
          colorCardId: refersTo('colorCards').nullable(),
          path: z
            .string({ error: 'the outline of a shape' })
            .max(MOST_PATH, 'an outline of at most 200,000 characters')
            .regex(KEPT_PATH, 'an outline by M, L, C and Z, its places from the upper left'),
        }),
      )
      .max(12, 'at most 12 colors'),
    /** The words that it was set from, so that they can be set anew; null for what was drawn or brought in. */
    text: z
      .strictObject({
        words: paragraph(1, 400),
        fontId: line(1, 60),
        letterHeightMm: number(1, 2000, 'a height in mm'),
        letterSpacingMm: number(-50, 200, 'a distance in mm'),
        lineSpacing: number(0.5, 5, 'a line spacing'),
        align: oneOf(['left', 'middle', 'right']),
      })
      .nullable(),
  },
});
