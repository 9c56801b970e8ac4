import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, moment, oneOf, refersTo, wholeNumber } from '../fields';

export const photoKinds = ['before', 'inspiration', 'anchor', 'palette', 'find', 'tag', 'receipt', 'step'] as const;
export type PhotoKind = (typeof photoKinds)[number];

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
  },
});
