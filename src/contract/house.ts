import { supplyKind } from '@core/catalog/supplyKinds';
import { houseTables } from '@core/formats/house/planImport';
import { currencyCodes } from '@core/kernel/currencies.data';
import { rowSchema } from '@core/model/entities';
import { outlines } from '@core/model/entities/piece';
import { localDate, oneOf, registered, UUID_PATTERN } from '@core/model/fields';
import { seasons, slotRoles } from '@core/model/rows';
import { fitAspects } from '@core/sourcing/fitRanking';
import { furnitureTemplates } from '@core/surface/templates';
import { z } from 'zod';

/** The largest file that the house takes in, in characters. */
export const HOUSE_FILE_LIMIT = 10 * 1024 * 1024;

const mm = z.coerce.number({ error: 'a length in mm' }).min(0, 'a length in mm').max(30_000, 'at most 30000 mm');
const hex = z.string().regex(/^[0-9a-f]{6}$/i, 'a color of six hexadecimal digits, like 2f6f73');

/** What the stash can be searched by. Everything may be left out; what is said must hold together. */
export const pieceQuerySchema = z.object({
  /** Words; each must begin some word of the piece. */
  words: z.string().max(200, 'at most 200 characters').optional(),
  role: oneOf(slotRoles).optional(),
  season: oneOf(seasons).optional(),
  templateId: z
    .string()
    .refine((id) => furnitureTemplates.find(id) !== undefined, 'a kind of piece')
    .optional(),
  minWidth: mm.optional(),
  maxWidth: mm.optional(),
  minHeight: mm.optional(),
  maxHeight: mm.optional(),
  maxDepth: mm.optional(),
  /** Room inside for something of this size, turned as one likes in plan; what nobody measured inside is not found. */
  holdsWidth: mm.optional(),
  holdsDepth: mm.optional(),
  holdsHeight: mm.optional(),
  /** Near this color, within `within` of CIEDE2000. */
  near: hex.optional(),
  within: z.coerce.number().min(0, 'from 0 to 100').max(100, 'from 0 to 100').optional(),
  freeFrom: localDate.optional(),
  freeUntil: localDate.optional(),
  /** Not used since before this date. */
  unusedSince: localDate.optional(),
  /** Standing at just this place, in whatever case. */
  standsAt: z.string().max(120, 'at most 120 characters').optional(),
  /** Lying in just this box, in whatever case. */
  box: z.string().max(60, 'at most 60 characters').optional(),
  /** Just these, parted by commas. */
  ids: z
    .string()
    .regex(new RegExp(`^${UUID_PATTERN}(,${UUID_PATTERN}){0,199}$`), 'up to 200 ids, parted by commas')
    .optional(),
  only: oneOf(['unsorted', 'borrowed', 'fragile', 'standing', 'stored']).optional(),
  sort: oneOf(['sleeping', 'name', 'newest', 'tallest']).optional(),
});
export type PieceQuery = z.infer<typeof pieceQuerySchema>;

export const pageSchema = z.object({
  limit: z.coerce.number().int().min(1, 'from 1 to 200').max(200, 'from 1 to 200').default(60),
  offset: z.coerce.number().int().min(0, 'from 0').max(100_000, 'at most 100000').default(0),
});

const placement = z.object({
  pieceId: z.string(),
  projectId: z.string(),
  projectName: z.string(),
  placeId: z.string(),
  slotNumber: z.number().nullable(),
  placeName: z.string(),
  count: z.number(),
  from: z.string().nullable(),
  until: z.string().nullable(),
});

export const piecePageAnswer = z.object({
  total: z.number(),
  offset: z.number(),
  pieces: z.array(rowSchema('pieces')),
  /** Where the pieces of the page are promised. */
  placements: z.array(placement),
});
export type PiecePageAnswer = z.infer<typeof piecePageAnswer>;

export const fitAnswer = z.object({
  total: z.number(),
  free: z.number(),
  offset: z.number(),
  fits: z.array(
    z.object({
      piece: rowSchema('pieces'),
      score: z.number(),
      free: z.boolean(),
      /** Whether it is no larger than there is room for. */
      fits: z.boolean(),
      reasons: z.array(
        z.object({
          aspect: z.enum(fitAspects),
          code: z.string(),
          score: z.number(),
          weight: z.number(),
          figures: z.record(z.string(), z.union([z.string(), z.number()])),
        }),
      ),
      placements: z.array(placement),
    }),
  ),
});
export type FitAnswer = z.infer<typeof fitAnswer>;

export const riserQuerySchema = z.object({
  gapMm: mm.refine((value) => value > 0, 'more than 0 mm'),
  toleranceMm: mm.default(15),
  widthMm: mm.optional(),
  depthMm: mm.optional(),
  outline: oneOf(outlines).optional(),
  weightG: z.coerce.number().min(1, 'from 1 g').max(1_000_000, 'at most 1000 kg').optional(),
});
export type RiserQuery = z.infer<typeof riserQuerySchema>;

export const riserAnswer = z.object({
  risers: z.number(),
  combinations: z.array(
    z.object({
      heightMm: z.number(),
      offMm: z.number(),
      loadKnown: z.boolean(),
      slender: z.boolean(),
      pieces: z.array(z.object({ id: z.string(), name: z.string(), heightMm: z.number() })),
    }),
  ),
});
export type RiserAnswer = z.infer<typeof riserAnswer>;

const valueByCurrency = z.array(z.object({ currency: z.string(), value: z.number() }));

/** The small panels of the house. */
export const housePanelsAnswer = z.object({
  pieces: z.number(),
  things: z.number(),
  unsorted: z.number(),
  value: valueByCurrency,
  sleeping: z.object({ count: z.number(), value: valueByCurrency, pieces: z.array(rowSchema('pieces')) }),
  borrowed: z.array(rowSchema('pieces')),
  /** What lies in each box that pieces name: kinds, things, how many of them break, and the first names, what breaks before the rest. */
  boxes: z.array(
    z.object({
      name: z.string(),
      pieces: z.number(),
      things: z.number(),
      fragile: z.number(),
      names: z.array(z.string()).default([]),
    }),
  ),
  /** What the chosen ways of all projects need of each supply, for all that nobody has made yet. */
  needs: z.array(
    z.object({
      projectId: z.string(),
      projectName: z.string(),
      kindId: z.string().refine((kind) => supplyKind(kind) !== undefined),
      colorCardId: z.string().nullable(),
      sheen: z.string().nullable(),
      amount: z.number(),
    }),
  ),
  /** How much of each project's chosen look was owned already. */
  owned: z.array(
    z.object({
      projectId: z.string(),
      projectName: z.string(),
      currency: z.string(),
      filled: z.number(),
      fromHouse: z.number(),
      value: z.number(),
      fromHouseValue: z.number(),
    }),
  ),
});
export type HousePanelsAnswer = z.infer<typeof housePanelsAnswer>;

/** A file for the house, as text, with how it is to be read; what is not said is taken from the file. */
export const houseImportSchema = z.strictObject({
  kind: oneOf(houseTables),
  text: z.string({ error: 'the text of a CSV file' }).max(HOUSE_FILE_LIMIT, 'a file of at most 10 MB'),
  mapping: z.array(z.string().max(60).nullable()).max(200, 'at most 200 columns').optional(),
  decimal: oneOf(['.', ',']).optional(),
  units: oneOf(['us', 'metric']),
  currency: registered({ ids: currencyCodes }),
  today: localDate,
});
export type HouseImportRequest = z.infer<typeof houseImportSchema>;

const fate = z.enum(['new', 'change', 'same', 'bad']);
const importCounts = z.record(fate, z.number());

export const housePreviewAnswer = z.object({
  fields: z.array(z.string()),
  mapping: z.array(z.string().nullable()),
  columns: z.array(z.object({ id: z.string(), heading: z.string() })),
  delimiter: z.string(),
  decimal: z.enum(['.', ',']),
  counts: importCounts,
  total: z.number(),
  lines: z.array(
    z.object({
      line: z.number(),
      fate,
      label: z.string(),
      problems: z.array(z.object({ field: z.string(), value: z.string(), accepted: z.string() })),
    }),
  ),
});
export type HousePreviewAnswer = z.infer<typeof housePreviewAnswer>;
