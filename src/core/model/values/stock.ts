import { z } from 'zod';
import type { OwnStock } from '../../catalog/stockFacts';
import type { Offcut, Pin } from '../../cutting/question';
import { LONGEST_MM } from '../../kernel/parseLength';
import { id, line, number, wholeNumber, yesNo } from '../fields';
import { lengthMm } from './surface';

/** What a supply says of the stock that it is: its size and its print. */
export const ownStock = z.strictObject({
  widthMm: lengthMm.nullable(),
  lengthMm: lengthMm.nullable(),
  repeatMm: lengthMm.nullable(),
  isHalfDrop: yesNo,
  motifs: wholeNumber(1, 500, 'motifs on a sheet').nullable(),
  isDirectional: yesNo,
}) satisfies z.ZodType<OwnStock>;

/** A leftover on the shelf. */
export const storedOffcut = z.strictObject({
  id,
  widthMm: lengthMm,
  lengthMm,
  count: wholeNumber(1, 500, 'pieces'),
}) satisfies z.ZodType<Offcut>;

/** A part that was put somewhere by hand. */
export const storedPin = z.strictObject({
  unitKey: line(1, 120),
  partKey: line(1, 300),
  nth: wholeNumber(1, 100_000, 'a number'),
  xMm: number(0, LONGEST_MM),
  yMm: number(0, LONGEST_MM),
  turnedDeg: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)], {
    error: 'a turn by 0, 90, 180 or 270 degrees',
  }),
}) satisfies z.ZodType<Pin>;
