import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, moment, number, onceReferredTo, oneOf, refersTo, wholeNumber } from '../fields';
import { photoKinds } from '../rowKinds';

/** How an after photo lies over its before photo: moved by parts of its width and height, sized, turned about its middle. */
const photoPair = z.strictObject({
  beforeId: onceReferredTo('photos'),
  xPercent: number(-100, 100, 'percent of the width'),
  yPercent: number(-100, 100, 'percent of the height'),
  zoom: number(0.25, 4, 'a size from a quarter to four times'),
  turnDegrees: number(-45, 45, 'degrees'),
});
export type PhotoPair = z.output<typeof photoPair>;

/** A picture kept with its project; the bytes lie elsewhere under the same id and are never in a list. */
export const photo = defineEntity({
  table: 'photos',
  name: 'photo',
  noun: 'photo',
  owner: 'project',
  travels: 'never',
  idRefersTo: 'photoBytes',
  fields: {
    kind: oneOf(photoKinds),
    name: line(0, 200),
    widthPx: wholeNumber(1, 30_000, 'pixels'),
    heightPx: wholeNumber(1, 30_000, 'pixels'),
    sizeBytes: wholeNumber(1, 20_000_000, 'bytes'),
    atMs: moment,
    /** The step at the bench that it shows. */
    shows: z.strictObject({ stepRunId: refersTo('stepRuns') }).nullable(),
    /** The before photo that an after photo is held against; null for any other. */
    pair: photoPair.nullable(),
  },
});
