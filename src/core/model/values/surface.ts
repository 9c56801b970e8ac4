import { z } from 'zod';
import type { Lab } from '../../color/lab';
import { LONGEST_MM } from '../../kernel/parseLength';
import { sheens } from '../../state/surfaceState';
import { fieldFacts, number, oneOf } from '../fields';

/** What is said of surfaces in more than one row: a color, a sheen, the measures of a shape. */
export const lab = z
  .strictObject({ L: number(0, 100), a: number(-160, 160), b: number(-160, 160) })
  .register(fieldFacts, { column: 'lab' }) satisfies z.ZodType<Lab>;
export const sheen = oneOf(sheens);
export const lengthMm = number(0.1, LONGEST_MM, 'a length in mm');
/** A place in a sketch, mm from its left or up from its base. */
export const placeMm = number(-LONGEST_MM, LONGEST_MM, 'a place in mm');
export const measures = z.record(z.string().max(40), number(0, LONGEST_MM, 'a measure'));
