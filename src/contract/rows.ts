import { spotKinds } from '@core/arrange/spotKinds';
import { isTimeZone } from '@core/calendar/zonedTime';
import { assumptionDefinitions } from '@core/catalog/assumptions';
import { coatings } from '@core/catalog/coatings';
import { consumables } from '@core/catalog/consumables';
import { materials, oldFinishes } from '@core/catalog/substrates';
import { tools } from '@core/catalog/tools';
import { currencyCodes } from '@core/kernel/currencies.data';
import { LONGEST_MM } from '@core/kernel/parseLength';
import type * as house from '@core/plan/houseRows';
import { seasons } from '@core/plan/houseRows';
import type * as core from '@core/plan/rows';
import { findStates, importances, optionKinds, photoKinds, slotRoles } from '@core/plan/rows';
import type { PriceStory } from '@core/pricing/priceStory';
import {
  amountSchools,
  arrangingSchools,
  groupingSchools,
  paletteRoles,
  petKinds,
  preparationSchools,
} from '@core/state/brief';
import { furnitureTemplates } from '@core/surface/templates';
import { z } from 'zod';
import { id, line, localDate, minorUnits, moment, number, oneOf, registered, version, wholeNumber } from './accept';
import { recipeBodySchema } from './recipeBody';
import { lab, measures, sheen } from './surface';

const percentThousandths = (most: number) => wholeNumber(0, most, 'a percentage in thousandths');
const lengthMm = number(0.1, LONGEST_MM, 'a length in mm');
const place = number(-LONGEST_MM, LONGEST_MM, 'a place in mm');
const perSeat = z.strictObject({
  parts: wholeNumber(1, 20, 'pieces for each seat'),
  spares: wholeNumber(0, 100, 'spares'),
});
const sizeRange = z
  .strictObject({ minimumMm: lengthMm.nullable(), maximumMm: lengthMm.nullable() })
  .refine((range) => range.minimumMm === null || range.maximumMm === null || range.minimumMm <= range.maximumMm, {
    error: 'a smallest size that is not above the largest',
  });

/** A price: stated, estimated, free or unknown. */
export const priceSchema = z.discriminatedUnion(
  'state',
  [
    z.strictObject({ state: z.literal('stated'), low: minorUnits, high: minorUnits }),
    z.strictObject({ state: z.literal('estimated'), low: minorUnits, likely: minorUnits, high: minorUnits }),
    z.strictObject({ state: z.literal('free') }),
    z.strictObject({ state: z.literal('unknown') }),
  ],
  { error: 'a price that is stated, estimated, free or unknown' },
);

export const taxSchema = z.strictObject({
  percentThousandths: percentThousandths(50_000),
  included: z.boolean({ error: 'yes or no' }),
});

const priceLine = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('markdown'), percentThousandths: percentThousandths(100_000) }),
  z.strictObject({ kind: z.literal('couponMoney'), amount: minorUnits, by: oneOf(['store', 'maker']) }),
  z.strictObject({ kind: z.literal('couponPercent'), percentThousandths: percentThousandths(100_000) }),
  z.strictObject({ kind: z.literal('couponUnknown'), value: wholeNumber(0, 100_000, 'a number in thousandths') }),
  z.strictObject({ kind: z.literal('fee'), amount: minorUnits, taxed: z.boolean() }),
  z.strictObject({ kind: z.literal('delivery'), amount: minorUnits, taxed: z.boolean() }),
]);

/** The price story of a find, in order. */
export const priceStorySchema = z
  .strictObject({
    version: z.literal(1),
    tag: priceSchema,
    quantity: wholeNumber(1, 1000),
    lines: z.array(priceLine).max(20, 'at most 20 price lines'),
    tax: taxSchema.nullable(),
    rounding: oneOf(['piece', 'line', 'receipt']),
    pieces: wholeNumber(1, 1000, 'pieces in a pack'),
    usable: wholeNumber(0, 1000, 'usable pieces'),
  })
  .refine((story) => story.usable <= story.pieces, {
    error: 'no more usable pieces than the pack holds',
    path: ['usable'],
  }) satisfies z.ZodType<PriceStory>;

const row = { id, version };

const yesNo = z.boolean({ error: 'yes or no' });

const householdSchema = z.strictObject({
  youngestChildYears: wholeNumber(0, 17, 'years').nullable(),
  pregnancy: yesNo,
  pets: z.array(oneOf(petKinds)).max(petKinds.length),
  rented: yesNo,
  noDrilling: yesNo,
  reversibleOnly: yesNo,
  outdoors: yesNo,
  damp: yesNo,
  heatNear: yesNo,
  foodNear: yesNo,
  buildingWorks: yesNo,
  cordReachMm: lengthMm.nullable(),
});

const briefSchema = z.strictObject({
  version: z.literal(1),
  occasion: line(0, 200),
  mood: line(0, 400),
  functions: z.array(line(1, 120)).max(30, 'at most 30 functions'),
  anchor: z.strictObject({ what: line(1, 200), why: line(0, 400), photoId: id.nullable() }).nullable(),
  splurge: z.strictObject({ what: line(1, 200), amount: minorUnits }).nullable(),
  palette: z.array(z.strictObject({ colorCardId: id, role: oneOf(paletteRoles) })).max(24, 'at most 24 colors'),
  weeks: z
    .array(z.strictObject({ monday: localDate, minutes: wholeNumber(0, 10_080, 'minutes of a week') }))
    .max(60, 'at most 60 weeks'),
  beforePhoto: oneOf(['wanted', 'waived']),
  preparation: oneOf(preparationSchools),
  arranging: oneOf(arrangingSchools),
  amount: oneOf(amountSchools),
  grouping: oneOf(groupingSchools),
});

export const projectSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  room: line(0, 120),
  currency: registered({ ids: currencyCodes }),
  units: oneOf(['us', 'metric']),
  timeZone: z.string().refine(isTimeZone, { error: 'a time zone name like America/New_York' }),
  budget: minorUnits,
  contingencyThousandths: percentThousandths(100_000),
  tax: taxSchema,
  hoursOnHandMinutes: wholeNumber(0, 600_000, 'minutes').nullable(),
  skill: oneOf(['beginner', 'practiced', 'professional']),
  hourValue: minorUnits.nullable(),
  revealDate: localDate.nullable(),
  standsUntil: localDate.nullable(),
  school: oneOf(['untilHidden', 'alwaysTwo', 'asLabel']),
  eye: oneOf(['strict', 'ordinary', 'rustic']),
  household: householdSchema,
  brief: briefSchema,
}) satisfies z.ZodType<core.ProjectRow>;

const spotSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  kind: registered(spotKinds),
  widthMm: lengthMm.nullable(),
  depthMm: lengthMm.nullable(),
  heightMm: lengthMm.nullable(),
  measures,
  features: z
    .array(
      z.strictObject({
        id,
        kind: oneOf(['door', 'socket', 'obstacle']),
        name: line(0, 80),
        xMm: place,
        yMm: place,
        widthMm: lengthMm,
        heightMm: lengthMm,
      }),
    )
    .max(40, 'at most 40 things to respect'),
  tasks: z
    .array(
      z.strictObject({
        id,
        name: line(1, 120),
        minutes: wholeNumber(0, 6000, 'minutes'),
        dryHours: number(0, 720, 'hours'),
        done: yesNo,
      }),
    )
    .max(40, 'at most 40 tasks'),
  position: wholeNumber(0, 10_000),
}) satisfies z.ZodType<core.SpotRow>;

const slotSchema = z.strictObject({
  ...row,
  spotId: id,
  number: wholeNumber(1, 999),
  name: line(1, 120),
  quantity: wholeNumber(1, 200, 'a quantity'),
  importance: oneOf(importances),
  width: sizeRange,
  depth: sizeRange,
  height: sizeRange,
  note: line(0, 1000),
  leftOut: z.boolean(),
  role: oneOf(slotRoles).nullable(),
  perSeat: perSeat.nullable(),
  colorCardIds: z.array(id).max(12, 'at most 12 colors'),
  shareThousandths: percentThousandths(100_000).nullable(),
  box: z.strictObject({ xMm: place, yMm: place, widthMm: lengthMm, heightMm: lengthMm }).nullable(),
  star: z.strictObject({ what: line(1, 120) }).nullable(),
}) satisfies z.ZodType<core.SlotRow>;

const pieceKind = oneOf([
  'ordinary',
  'lamp',
  'dropSideCot',
  'oldCot',
  'childSeatOrHelmet',
  'spaceHeater',
  'candle',
  'toyOrCot',
  'tableware',
]);

const era = oneOf(['unknown', 'old', 'recent']);
const leadTest = oneOf(['notTested', 'negative', 'positive']);
const cordCondition = oneOf(['unknown', 'sound', 'damaged', 'none']);

const findSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  source: line(0, 120),
  state: oneOf(findStates),
  kind: pieceKind,
  templateId: registered(furnitureTemplates),
  measures,
  materialId: registered({ ids: materials.map((entry) => entry.id) }),
  finishId: registered({ ids: oldFinishes.map((entry) => entry.id) }).nullable(),
  sheen,
  color: lab.nullable(),
  era,
  leadTest,
  cordCondition,
  story: priceStorySchema,
  repairMinutes: wholeNumber(0, 6000, 'minutes'),
  note: line(0, 2000),
  reason: line(0, 400),
  pieceId: id.nullable(),
}) satisfies z.ZodType<core.FindRow>;

const offerSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  source: line(0, 120),
  price: priceSchema,
  delivery: minorUnits,
  deliveryTaxed: z.boolean(),
  pieces: wholeNumber(1, 1000, 'pieces in a pack'),
  assemblyMinutes: wholeNumber(0, 6000, 'minutes'),
  leadDays: wholeNumber(0, 365, 'days'),
  templateId: registered(furnitureTemplates),
  measures,
  color: lab.nullable(),
}) satisfies z.ZodType<core.OfferRow>;

const optionSchema = z.strictObject({
  ...row,
  slotId: id,
  kind: oneOf(optionKinds),
  parts: z
    .array(
      z
        .strictObject({ findId: id.nullable(), offerId: id.nullable(), pieces: wholeNumber(1, 200, 'pieces') })
        .refine((part) => (part.findId === null) !== (part.offerId === null), {
          error: 'a find or an offer, one of them',
        }),
    )
    .max(30),
  recipeId: id.nullable(),
  handsOnMinutes: wholeNumber(0, 6000, 'minutes').nullable(),
  liking: wholeNumber(1, 5).nullable(),
  yardstick: z.boolean(),
}) satisfies z.ZodType<core.OptionRow>;

const fillSchema = z.strictObject({
  ...row,
  slotId: id,
  optionId: id,
  count: wholeNumber(1, 200, 'a count'),
}) satisfies z.ZodType<core.FillRow>;
const recipeSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  body: recipeBodySchema,
  doneOn: localDate.nullable(),
}) satisfies z.ZodType<core.RecipeRow>;
const colorCardSchema = z.strictObject({ ...row, name: line(1, 80), lab }) satisfies z.ZodType<core.ColorCardRow>;

const anyCurrency = z.union([z.literal(''), registered({ ids: currencyCodes })], {
  error: 'a currency code like USD, or nothing',
});
const dateOrNothing = z.union([z.literal(''), localDate], { error: 'a date like 2026-06-20, or nothing' });

const supplySchema = z.strictObject({
  ...row,
  kindId: registered({ ids: [...coatings.ids, ...consumables.ids] }),
  colorCardId: id.nullable(),
  sheen: sheen.nullable(),
  stash: z.strictObject({ state: oneOf(['none', 'exact', 'about']), amount: number(0, 1_000_000, 'an amount') }),
  unitCostMillionths: wholeNumber(0, 9_000_000_000_000).nullable(),
  base: line(0, 60),
  containerSize: number(0.001, 1_000_000, 'what a full one holds').nullable(),
  openedOn: localDate.nullable(),
  keepsUntil: localDate.nullable(),
  checkedOn: localDate.nullable(),
}) satisfies z.ZodType<core.SupplyRow>;

const packSchema = z.strictObject({
  ...row,
  supplyId: id,
  name: line(1, 80),
  size: number(0.001, 1_000_000, 'a pack size'),
  price: priceSchema,
  currency: anyCurrency,
  source: line(0, 120),
  seenOn: dateOrNothing,
}) satisfies z.ZodType<core.PackRow>;

const toolSchema = z.strictObject({
  ...row,
  toolId: registered(tools),
  owned: z.boolean(),
  wear: oneOf(['good', 'worn', 'replace']),
}) satisfies z.ZodType<core.ToolRow>;

const ledgerSchema = z.strictObject({
  ...row,
  kind: oneOf(['payment', 'promise', 'refund', 'saleIncome']),
  amount: minorUnits,
  atMs: moment,
  findId: id.nullable(),
  offerId: id.nullable(),
  supplyId: id.nullable(),
  reversesId: id.nullable(),
  note: line(0, 400),
}) satisfies z.ZodType<core.LedgerRow>;

const overrideSchema = z
  .strictObject({
    ...row,
    key: z
      .string()
      .refine((key) => assumptionDefinitions.has(key), { error: 'the key of an assumption that the tables define' }),
    scope: z.string().regex(/^(project|recipe:[\w-]{1,80}|supply:[\w|-]{1,160})$/, 'project, recipe:… or supply:…'),
    value: z.number({ error: 'a number' }),
    note: line(0, 400),
  })
  .superRefine((value, context) => {
    const definition = assumptionDefinitions.get(value.key);
    if (definition && (value.value < definition.minimum || value.value > definition.maximum)) {
      context.addIssue({
        code: 'custom',
        path: ['value'],
        message: `a number from ${definition.minimum} to ${definition.maximum}`,
      });
    }
  }) satisfies z.ZodType<core.OverrideRow>;

const acknowledgmentSchema = z.strictObject({
  ...row,
  recipeId: id,
  trigger: line(1, 2000),
  by: line(0, 120),
  atMs: moment,
}) satisfies z.ZodType<core.AcknowledgmentRow>;

const photoSchema = z.strictObject({
  ...row,
  kind: oneOf(photoKinds),
  name: line(0, 200),
  widthPx: wholeNumber(1, 30_000, 'pixels'),
  heightPx: wholeNumber(1, 30_000, 'pixels'),
  sizeBytes: wholeNumber(1, 20_000_000, 'bytes'),
  atMs: moment,
}) satisfies z.ZodType<core.PhotoRow>;

const inspirationSchema = z.strictObject({
  ...row,
  photoId: id.nullable(),
  seenAt: line(0, 200),
  taken: line(0, 600),
}) satisfies z.ZodType<core.InspirationRow>;

const share = number(0, 1, 'a share of the spot');
const patternSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  spotKind: registered(spotKinds),
  reason: line(0, 400),
  slots: z
    .array(
      z.strictObject({
        name: line(1, 120),
        role: oneOf(slotRoles).nullable(),
        quantity: wholeNumber(1, 200, 'a quantity'),
        importance: oneOf(importances),
        x: share,
        y: share,
        width: share,
        height: share,
        perSeat: perSeat.nullable(),
      }),
    )
    .min(1, 'at least one slot')
    .max(60, 'at most 60 slots'),
}) satisfies z.ZodType<core.PatternRow>;

const pieceSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  templateId: registered(furnitureTemplates),
  kind: pieceKind,
  widthMm: lengthMm.nullable(),
  depthMm: lengthMm.nullable(),
  heightMm: lengthMm.nullable(),
  weightG: number(1, 1_000_000, 'a weight in g').nullable(),
  materialId: registered({ ids: materials.map((entry) => entry.id) }),
  finishId: registered({ ids: oldFinishes.map((entry) => entry.id) }).nullable(),
  sheen,
  color: lab.nullable(),
  accent: lab.nullable(),
  era,
  leadTest,
  cordCondition,
  roles: z.array(oneOf(slotRoles)).max(slotRoles.length),
  style: line(0, 200),
  season: oneOf(seasons),
  standsAt: line(0, 120),
  box: line(0, 60),
  shelf: line(0, 60),
  protection: line(0, 120),
  count: wholeNumber(1, 1000, 'a count'),
  sinceYear: wholeNumber(1000, 2200, 'a year').nullable(),
  uses: wholeNumber(0, 100_000, 'a number of uses'),
  lastUsedOn: localDate.nullable(),
  value: minorUnits.nullable(),
  currency: anyCurrency,
  story: line(0, 2000),
  fragile: yesNo,
  borrowedFrom: line(0, 120),
  backBy: localDate.nullable(),
  mayAlter: yesNo,
  photoId: id.nullable(),
  seenOn: localDate.nullable(),
  sorted: yesNo,
}) satisfies z.ZodType<house.PieceRow>;

const gapSchema = z.strictObject({
  ...row,
  place: line(1, 120),
  what: line(0, 200),
  sinceOn: localDate,
  done: yesNo,
}) satisfies z.ZodType<house.GapRow>;

const searchSchema = z.strictObject({
  ...row,
  name: line(1, 80),
  query: line(0, 1000),
}) satisfies z.ZodType<house.SearchRow>;

const priceNoteSchema = z
  .strictObject({
    ...row,
    subject: oneOf(['piece', 'tool']),
    subjectId: line(1, 60),
    name: line(1, 120),
    price: priceSchema,
    currency: anyCurrency,
    source: line(0, 120),
    seenOn: dateOrNothing,
  })
  .refine((note) => (note.subject === 'tool' ? tools : furnitureTemplates).find(note.subjectId) !== undefined, {
    error: 'a kind of piece or a tool that the tables know',
    path: ['subjectId'],
  }) satisfies z.ZodType<house.PriceNoteRow>;

const supplyUseSchema = z.strictObject({
  ...row,
  supplyId: id,
  what: line(1, 200),
  amount: number(0, 1_000_000, 'an amount'),
  onDate: localDate,
}) satisfies z.ZodType<house.SupplyUseRow>;

const studioRecipeSchema = z.strictObject({
  ...row,
  name: line(1, 120),
  templateId: line(1, 60),
  body: recipeBodySchema,
}) satisfies z.ZodType<house.StudioRecipeRow>;

/** Every table of a project by its name in the snapshot; schemas of files, commands and answers derive from it. */
export const tableSchemas = {
  spots: spotSchema,
  slots: slotSchema,
  finds: findSchema,
  offers: offerSchema,
  options: optionSchema,
  fills: fillSchema,
  recipes: recipeSchema,
  colorCards: colorCardSchema,
  supplies: supplySchema,
  packs: packSchema,
  tools: toolSchema,
  ledger: ledgerSchema,
  overrides: overrideSchema,
  acknowledgments: acknowledgmentSchema,
  photos: photoSchema,
  inspirations: inspirationSchema,
  patterns: patternSchema,
  pieces: pieceSchema,
  priceNotes: priceNoteSchema,
  gaps: gapSchema,
  searches: searchSchema,
  supplyUses: supplyUseSchema,
  studioRecipes: studioRecipeSchema,
} as const;

export type TableName = keyof typeof tableSchemas;
export const tableNames = Object.keys(tableSchemas) as TableName[];

/** Tables that belong to the studio, shared by all its projects. */
export const studioTables: ReadonlySet<TableName> = new Set<TableName>([
  'colorCards',
  'supplies',
  'packs',
  'tools',
  'patterns',
  'pieces',
  'priceNotes',
  'gaps',
  'searches',
  'supplyUses',
  'studioRecipes',
]);

/** The row of a table. */
export type RowOf<T extends TableName> = core.ProjectRows[T][number];
