import { materials, substrates } from '@core/catalog/substrates';
import { coatSchools, type RecipeBody } from '@core/recipe/recipeBody';
import { setbackProblems } from '@core/recipe/setbacks.data';
import { surfaceTestIds } from '@core/recipe/surfaceTests';
import { conditions, preparationKinds } from '@core/state/preparation';
import { detailKinds, zoneUses } from '@core/surface/zone';
import { z } from 'zod';
import { id, line, number, oneOf, registered, wholeNumber } from './accept';
import { lab, measures, sheen } from './surface';

const localId = line(1, 80);
const zoneKeys = z.union([z.literal('all'), z.array(z.string().max(160)).max(200)]);
const values = z.record(z.string().max(40), number(0, 100_000, 'a value'));
const sides = z.union([z.literal(1), z.literal(2)], { error: '1 or 2 sides' });
/** A shape's kind stays as it is, known or not; what is measured is checked. */
const shape = z.strictObject({ kind: line(1, 40), values });

const zoneEdit = z.strictObject({
  name: line(1, 80).optional(),
  included: z.boolean({ error: 'yes or no' }).optional(),
  use: oneOf(zoneUses).optional(),
  sides: sides.optional(),
  count: wholeNumber(1, 500, 'a count').optional(),
  textureFactor: number(0.5, 5, 'a texture factor').optional(),
  detail: oneOf(detailKinds).optional(),
  areaM2: number(0.0001, 100, 'an area in m²').optional(),
  shape: shape.optional(),
  materialId: registered({ ids: materials.map((row) => row.id) }).optional(),
  finishId: registered(substrates).nullable().optional(),
  sheen: sheen.optional(),
  color: lab.nullable().optional(),
  conditions: z.array(oneOf(conditions)).max(10).optional(),
});

const piece = z.strictObject({
  id: localId,
  findId: id,
  templateId: line(1, 60),
  measures,
  count: wholeNumber(1, 200, 'a number of pieces'),
  zoneEdits: z.record(z.string().max(60), zoneEdit),
  ownZones: z.array(z.strictObject({ id: localId, name: line(1, 80), shape })).max(40, 'at most 40 zones of your own'),
  tests: z.partialRecord(oneOf(surfaceTestIds), z.boolean({ error: 'yes or no' })),
});

const layer = z.strictObject({
  id: localId,
  techniqueId: line(1, 60),
  coatingId: line(1, 60).nullable(),
  colorCardId: id.nullable(),
  sheen,
  zoneKeys,
  coats: wholeNumber(0, 12, 'a number of coats').nullable(),
  values,
});

/**
 * A recipe as stored. Unknown templates, techniques, coatings and shapes stay as they are: they are shown as unknown,
 * not lost.
 */
export const recipeBodySchema = z.strictObject({
  version: z.literal(2, { error: '2' }),
  pieces: z.array(piece).max(30, 'at most 30 pieces'),
  layers: z.array(layer).max(20, 'at most 20 layers'),
  preparations: z.array(z.strictObject({ kind: oneOf(preparationKinds), zoneKeys })).max(40, 'at most 40 preparations'),
  dropped: z.array(z.string().max(200)).max(40),
  primerTints: z.record(z.string().max(200), id),
  school: oneOf(coatSchools).nullable(),
  labelCoats: wholeNumber(1, 12, 'a number of coats').nullable(),
  stepEdits: z.record(
    z.string().max(200),
    z.strictObject({
      runMinutes: number(0, 6000, 'minutes').optional(),
      waitHours: number(0, 2000, 'hours').optional(),
      skipped: z.boolean({ error: 'yes or no' }).optional(),
    }),
  ),
  ownSteps: z
    .array(
      z.strictObject({
        id: localId,
        title: line(1, 120),
        minutes: number(0, 6000, 'minutes'),
        waitHours: number(0, 2000, 'hours'),
        afterStepId: z.string().max(200).nullable(),
      }),
    )
    .max(40, 'at most 40 steps of your own'),
  setbacks: z
    .array(
      z.strictObject({
        id: localId,
        layerId: z.string().max(200),
        coat: wholeNumber(1, 12, 'a coat'),
        problem: oneOf(setbackProblems),
        note: line(0, 500),
      }),
    )
    .max(40, 'at most 40 setbacks'),
}) satisfies z.ZodType<RecipeBody>;
