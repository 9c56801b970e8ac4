import { LONGEST_MM } from '@core/kernel/parseLength';
import { sheens } from '@core/state/surfaceState';
import { z } from 'zod';
import { number, oneOf } from './accept';

/** What is said of surfaces in more than one row: a color, a sheen, the measures of a shape. */
export const lab = z.strictObject({ L: number(0, 100), a: number(-160, 160), b: number(-160, 160) });
export const sheen = oneOf(sheens);
export const measures = z.record(z.string().max(40), number(0, LONGEST_MM, 'a measure'));
