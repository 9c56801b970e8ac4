import { z } from 'zod';
import { featureKinds } from '../../catalog/spotFeatures.data';
import { spotKinds } from '../../catalog/spotKinds';
import { defineEntity } from '../entity';
import { id, line, number, oneOf, registered, wholeNumber, yesNo } from '../fields';
import { lengthMm, measures, placeMm } from '../values/surface';
import { daylights, spotWall } from '../values/wall';

/** Something of the place that a sketch must respect. Positions in the sketch's room, mm. */
const feature = z.strictObject({
  id,
  kind: oneOf(featureKinds),
  name: line(0, 80),
  xMm: placeMm,
  yMm: placeMm,
  widthMm: lengthMm,
  heightMm: lengthMm,
});
export type SpotFeature = z.output<typeof feature>;

/** Clearing and cleaning that belongs to the spot, with the hours it blocks the place while drying. */
const task = z.strictObject({
  id,
  name: line(1, 120),
  minutes: wholeNumber(0, 6000, 'minutes'),
  dryHours: number(0, 720, 'hours'),
  done: yesNo,
});
export type SpotTask = z.output<typeof task>;

/** A place in the project that gets styled. */
export const spot = defineEntity({
  table: 'spots',
  name: 'spot',
  noun: 'spot',
  owner: 'project',
  travels: 'always',
  fields: {
    name: line(1, 120),
    kind: registered(spotKinds),
    widthMm: lengthMm.nullable(),
    depthMm: lengthMm.nullable(),
    heightMm: lengthMm.nullable(),
    /** Air wanted between two things side by side; null for half an inch. */
    gapMm: lengthMm.nullable(),
    /** Further measures that the kind asks for, by id. */
    measures,
    features: z.array(feature).max(40, 'at most 40 things to respect'),
    wall: spotWall.nullable(),
    daylight: oneOf(daylights),
    tasks: z.array(task).max(40, 'at most 40 tasks'),
    position: wholeNumber(0, 10_000),
  },
});
