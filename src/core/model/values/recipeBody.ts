import { z } from 'zod';
import { materials, substrates } from '../../catalog/substrates';
import { coatSchools } from '../../state/brief';
import { conditions, preparationKinds } from '../../state/preparation';
import { setbackProblems } from '../../state/setback';
import { surfaceTestIds } from '../../state/surfaceTest';
import { detailKinds, zoneUses } from '../../surface/zone';
import { line, number, oneOf, paragraph, refersTo, registered, wholeNumber, yesNo } from '../fields';
import { lab, measures, sheen } from './surface';

/** An id that counts within one recipe only. */
const localId = line(1, 80);
/** Zones as keys `pieceId/zoneId`, or all included ones. */
const zoneKeys = z.union([z.literal('all'), z.array(z.string().max(160)).max(200)]);
const values = z.record(z.string().max(40), number(0, 100_000, 'a value'));
const sides = z.union([z.literal(1), z.literal(2)], { error: '1 or 2 sides' });

/** A shape as it was entered: its kind, known or not, and what was measured, millimeters, counts or m². */
const shape = z.strictObject({ kind: line(1, 40), values });
export type EnteredShape = z.output<typeof shape>;

/** What the stylist changed on a zone that its template proposed, and what is there now where it differs. */
const zoneEdit = z.strictObject({
  name: line(1, 80).optional(),
  included: yesNo.optional(),
  use: oneOf(zoneUses).optional(),
  sides: sides.optional(),
  count: wholeNumber(1, 500, 'a count').optional(),
  textureFactor: number(0.5, 5, 'a texture factor').optional(),
  detail: oneOf(detailKinds).optional(),
  /** An area measured by hand; older recipes have it, newer ones enter a shape. */
  areaM2: number(0.0001, 100, 'an area in m²').optional(),
  shape: shape.optional(),
  materialId: registered({ ids: materials.map((row) => row.id) }).optional(),
  /** The finish there now: an old finish, null for a bare material. */
  finishId: registered(substrates).nullable().optional(),
  sheen: sheen.optional(),
  color: lab.nullable().optional(),
  conditions: z.array(oneOf(conditions)).max(10).optional(),
});
export type ZoneEdit = z.output<typeof zoneEdit>;

/** A zone the stylist added, or took apart from another: every other door. */
const ownZone = z.strictObject({ id: localId, name: line(1, 80), shape, splitFrom: localId.optional() });
export type OwnZone = z.output<typeof ownZone>;

/** Something that a recipe makes beside coating what is there: a shelf, a runner, a wreath; by what it was measured. */
const build = z.strictObject({
  id: line(1, 60),
  values,
  /** What is chosen for each of its materials: a kind, and its color where it has one. */
  materials: z.record(
    z.string().max(40),
    z.strictObject({ kindId: line(1, 60), colorCardId: refersTo('colorCards').nullable() }),
  ),
});
export type Build = z.output<typeof build>;

/**
 * One piece (or a set of like pieces) a recipe covers: its shape and measures; zones derive from them. It is a find, or
 * it is made from scratch: then it has no find, and what makes it stands in `build`.
 */
const recipePiece = z.strictObject({
  id: localId,
  findId: refersTo('sightings').nullable(),
  build: build.nullable().optional(),
  templateId: line(1, 60),
  measures,
  /** How many like pieces of the find are made this way. */
  count: wholeNumber(1, 200, 'a number of pieces'),
  zoneEdits: z.record(z.string().max(60), zoneEdit),
  ownZones: z.array(ownZone).max(40, 'at most 40 zones of your own'),
  /** Simple tests of the surface and what they showed. */
  tests: z.partialRecord(oneOf(surfaceTestIds), yesNo),
});
export type RecipePiece = z.output<typeof recipePiece>;

/** A layer that the stylist chose, from the bottom up. */
const chosenLayer = z.strictObject({
  id: localId,
  techniqueId: line(1, 60),
  /** What is put on, or null where a technique only works what lies there. */
  coatingId: line(1, 60).nullable(),
  colorCardId: refersTo('colorCards').nullable(),
  /** The kind of paper or cloth that is laid; its design is the color card. Absent where nothing is cut. */
  sheetId: line(1, 60).nullable().optional(),
  /** The shapes or lettering that are cut from it, of several each for its share of like pieces; absent where none are. */
  artworkIds: z.array(refersTo('artworks')).max(50, 'at most 50 shapes in one layer').optional(),
  sheen,
  zoneKeys,
  /** Coats overruled by the stylist, or null to compute them. */
  coats: wholeNumber(0, 12, 'a number of coats').nullable(),
  /** What was set on the technique: a ratio, a share. */
  values,
});
export type ChosenLayer = z.output<typeof chosenLayer>;

/** A preparation that the stylist asked for beyond what the surface asks. */
const chosenPreparation = z.strictObject({ kind: oneOf(preparationKinds), zoneKeys });
export type ChosenPreparation = z.output<typeof chosenPreparation>;

/** What was overruled on a step. */
const stepEdit = z.strictObject({
  runMinutes: number(0, 6000, 'minutes').optional(),
  waitHours: number(0, 2000, 'hours').optional(),
  skipped: yesNo.optional(),
});
export type StepEdit = z.output<typeof stepEdit>;

/** A step of the stylist's own, after another. */
const ownStep = z.strictObject({
  id: localId,
  title: line(1, 120),
  minutes: number(0, 6000, 'minutes'),
  /** Hours that what follows has to wait. */
  waitHours: number(0, 2000, 'hours'),
  afterStepId: z.string().max(200).nullable(),
});
export type OwnStep = z.output<typeof ownStep>;

/** Something that went wrong on a coat; what mends it is planned in after that coat. */
const setback = z.strictObject({
  id: localId,
  layerId: z.string().max(200),
  coat: wholeNumber(1, 12, 'a coat'),
  problem: oneOf(setbackProblems),
  note: paragraph(0, 500),
});
export type Setback = z.output<typeof setback>;

/**
 * The stored shape of a recipe. Proposed primers and top coats are derived each time; `dropped` names those refused.
 * Unknown templates, techniques, coatings and shapes stay as they are: they are shown as unknown, not lost.
 */
export const recipeBodySchema = z.strictObject({
  version: z.literal(2, { error: '2' }),
  pieces: z.array(recipePiece).max(30, 'at most 30 pieces'),
  layers: z.array(chosenLayer).max(20, 'at most 20 layers'),
  preparations: z.array(chosenPreparation).max(40, 'at most 40 preparations'),
  dropped: z.array(z.string().max(200)).max(40),
  /** Color cards of tinted primers, by the layer they are. */
  primerTints: z.record(z.string().max(200), refersTo('colorCards')),
  /** The recipe's own school and label, or null for the project's. */
  school: oneOf(coatSchools).nullable(),
  labelCoats: wholeNumber(1, 12, 'a number of coats').nullable(),
  /** Minutes and waits overruled, by step id. */
  stepEdits: z.record(z.string().max(200), stepEdit),
  ownSteps: z.array(ownStep).max(40, 'at most 40 steps of your own'),
  setbacks: z.array(setback).max(40, 'at most 40 setbacks'),
});
export type RecipeBody = z.output<typeof recipeBodySchema>;
