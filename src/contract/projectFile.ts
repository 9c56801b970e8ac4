import { CORE_VERSION, FIGURES_VERSION } from '@core/plan/computePlan';
import type { ProjectRows, Row } from '@core/plan/rows';
import { ledgerInOrder } from '@core/pricing/ledger';
import { cardsOfRecipe } from '@core/recipe/recipeBody';
import { z } from 'zod';
import { type FieldError, fieldErrorsOf } from './fieldErrors';
import { projectSchema, type TableName, tableNames, tableSchemas } from './rows';
import { upgradeFile } from './upgrades';

export const PROJECT_FILE_FORMAT = 'euporia.project';
export const PROJECT_FILE_VERSION = 4;
export const PROJECT_FILE_LIMIT = 50 * 1024 * 1024;

const moment = z
  .string()
  .refine(
    (value) =>
      /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/.test(value) && !Number.isNaN(Date.parse(value)),
    {
      error: 'a moment like 2026-06-01T09:00:00-04:00',
    },
  );

const rowLists = Object.fromEntries(
  tableNames.map((table) => [table, z.array(tableSchemas[table] as z.ZodType).max(30_000)]),
) as unknown as Record<TableName, z.ZodType>;

/** A project with every studio row it refers to, by value. Cross-field rules (references, fills within quantities) are not in its JSON Schema. */
export const projectFileSchema = z.strictObject({
  format: z.literal(PROJECT_FILE_FORMAT, { error: `"${PROJECT_FILE_FORMAT}"` }),
  formatVersion: z.literal(PROJECT_FILE_VERSION, { error: `${PROJECT_FILE_VERSION}` }),
  coreVersion: z.string().max(40),
  figuresVersion: z.string().max(40),
  /** Which studio wrote it; a file of the same studio may update its project. */
  studioId: z.string().max(60),
  asOf: moment,
  project: projectSchema,
  ...rowLists,
});

export interface ProjectFile extends ProjectRows {
  format: typeof PROJECT_FILE_FORMAT;
  formatVersion: typeof PROJECT_FILE_VERSION;
  coreVersion: string;
  figuresVersion: string;
  studioId: string;
  asOf: string;
}

export type ReadFile =
  | { ok: true; file: ProjectFile }
  | { ok: false; code: 'file.unreadable' | 'file.newer'; errors: FieldError[] };

/** A project as a file; only studio rows that the project uses go along. */
export function writeProjectFile(rows: ProjectRows, asOf: string, studioId: string): ProjectFile {
  const cards = new Set<string>();
  for (const { colorCardId } of rows.project.brief.palette) cards.add(colorCardId);
  for (const slot of rows.slots) for (const cardId of slot.colorCardIds) cards.add(cardId);
  for (const recipe of rows.recipes) for (const cardId of cardsOfRecipe(recipe.body)) cards.add(cardId);
  const supplies = rows.supplies.filter((supply) => supply.colorCardId === null || cards.has(supply.colorCardId));
  const supplyIds = new Set(supplies.map((supply) => supply.id));
  const plain = <T extends Row>(list: readonly T[]): T[] => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
  return {
    format: PROJECT_FILE_FORMAT,
    formatVersion: PROJECT_FILE_VERSION,
    coreVersion: CORE_VERSION,
    figuresVersion: FIGURES_VERSION,
    studioId,
    asOf,
    // Pictures stay in their studio; what refers to one goes without it.
    project: {
      ...rows.project,
      brief: {
        ...rows.project.brief,
        anchor: rows.project.brief.anchor && { ...rows.project.brief.anchor, photoId: null },
      },
    },
    spots: plain(rows.spots),
    slots: plain(rows.slots),
    finds: plain(rows.finds),
    offers: plain(rows.offers),
    options: plain(rows.options),
    fills: plain(rows.fills),
    recipes: plain(rows.recipes),
    colorCards: plain(rows.colorCards.filter((card) => cards.has(card.id))),
    supplies: plain(supplies),
    packs: plain(rows.packs.filter((pack) => supplyIds.has(pack.supplyId))),
    tools: plain(rows.tools),
    ledger: plain(rows.ledger),
    overrides: plain(rows.overrides),
    acknowledgments: plain(rows.acknowledgments),
    photos: [],
    inspirations: plain(rows.inspirations).map((entry) => ({ ...entry, photoId: null })),
    patterns: [],
    // What is in the house by value as far as this project's finds are it; their pictures stay behind.
    pieces: plain(rows.pieces).map((piece) => ({ ...piece, photoId: null })),
    priceNotes: [],
    gaps: [],
    searches: [],
    supplyUses: [],
    studioRecipes: [],
  };
}

/**
 * Reads a project file from parsed JSON. Refuses another format, a newer version, bad fields, repeated ids and
 * references that point nowhere, each with its place in the file.
 */
export function readProjectFile(input: unknown): ReadFile {
  const refuse = (...errors: FieldError[]): ReadFile => ({ ok: false, code: 'file.unreadable', errors });
  if (input === null || typeof input !== 'object' || Array.isArray(input)) {
    return refuse({
      field: '(all)',
      value: input === null ? null : typeof input,
      accepted: 'a JSON object written by Euporia',
    });
  }
  const head = input as Record<string, unknown>;
  if (head.format !== PROJECT_FILE_FORMAT)
    return refuse({ field: 'format', value: head.format ?? null, accepted: `"${PROJECT_FILE_FORMAT}"` });
  if (typeof head.formatVersion === 'number' && head.formatVersion > PROJECT_FILE_VERSION) {
    return {
      ok: false,
      code: 'file.newer',
      errors: [
        {
          field: 'formatVersion',
          value: head.formatVersion,
          accepted: `at most ${PROJECT_FILE_VERSION}; update Euporia to read it`,
        },
      ],
    };
  }
  const present = upgradeFile(head);
  const parsed = projectFileSchema.safeParse(present);
  if (!parsed.success) return refuse(...fieldErrorsOf(parsed.error, present).slice(0, 50));
  const file = parsed.data as unknown as ProjectFile;
  const errors = referenceErrors(file);
  return errors.length > 0 ? refuse(...errors.slice(0, 50)) : { ok: true, file };
}

/** Cross-field rules of a project's rows: ids unique, references inside, fills within quantities. */
export function referenceErrors(rows: ProjectRows): FieldError[] {
  const errors: FieldError[] = [];
  const ids = (table: TableName) => new Set((rows[table] as readonly Row[]).map((row) => row.id));
  const known = Object.fromEntries(tableNames.map((table) => [table, ids(table)])) as Record<TableName, Set<string>>;
  const seen = new Set<string>([rows.project.id]);
  for (const table of tableNames) {
    (rows[table] as readonly Row[]).forEach((row, index) => {
      if (seen.has(row.id))
        errors.push({ field: `${table}.${index}.id`, value: row.id, accepted: 'an id that no other row has' });
      seen.add(row.id);
    });
  }
  const need = (field: string, table: TableName, value: string | null) => {
    if (value !== null && !known[table].has(value))
      errors.push({ field, value, accepted: `the id of one of the file's ${table}` });
  };
  rows.project.brief.palette.forEach((entry, i) =>
    need(`project.brief.palette.${i}.colorCardId`, 'colorCards', entry.colorCardId),
  );
  need('project.brief.anchor.photoId', 'photos', rows.project.brief.anchor?.photoId ?? null);
  rows.inspirations.forEach((entry, i) => need(`inspirations.${i}.photoId`, 'photos', entry.photoId));
  rows.slots.forEach((slot, i) => {
    need(`slots.${i}.spotId`, 'spots', slot.spotId);
    slot.colorCardIds.forEach((cardId, j) => need(`slots.${i}.colorCardIds.${j}`, 'colorCards', cardId));
  });
  rows.options.forEach((option, i) => {
    need(`options.${i}.slotId`, 'slots', option.slotId);
    need(`options.${i}.recipeId`, 'recipes', option.recipeId);
    option.parts.forEach((part, j) => {
      need(`options.${i}.parts.${j}.findId`, 'finds', part.findId);
      need(`options.${i}.parts.${j}.offerId`, 'offers', part.offerId);
    });
  });
  rows.recipes.forEach((recipe, i) => {
    recipe.body.pieces.forEach((piece, j) => need(`recipes.${i}.body.pieces.${j}.findId`, 'finds', piece.findId));
    recipe.body.layers.forEach((layer, j) =>
      need(`recipes.${i}.body.layers.${j}.colorCardId`, 'colorCards', layer.colorCardId),
    );
    for (const [layerId, cardId] of Object.entries(recipe.body.primerTints))
      need(`recipes.${i}.body.primerTints.${layerId}`, 'colorCards', cardId);
  });
  rows.finds.forEach((find, i) => need(`finds.${i}.pieceId`, 'pieces', find.pieceId));
  rows.supplies.forEach((supply, i) => need(`supplies.${i}.colorCardId`, 'colorCards', supply.colorCardId));
  rows.packs.forEach((pack, i) => need(`packs.${i}.supplyId`, 'supplies', pack.supplyId));
  rows.acknowledgments.forEach((entry, i) => need(`acknowledgments.${i}.recipeId`, 'recipes', entry.recipeId));
  rows.ledger.forEach((entry, i) => {
    need(`ledger.${i}.findId`, 'finds', entry.findId);
    need(`ledger.${i}.offerId`, 'offers', entry.offerId);
    need(`ledger.${i}.supplyId`, 'supplies', entry.supplyId);
    need(`ledger.${i}.reversesId`, 'ledger', entry.reversesId);
  });
  const placed = new Set(ledgerInOrder(rows.ledger).map((line) => line.id));
  const reversed = new Set<string>();
  rows.ledger.forEach((entry, i) => {
    if (entry.reversesId !== null && reversed.has(entry.reversesId))
      errors.push({
        field: `ledger.${i}.reversesId`,
        value: entry.reversesId,
        accepted: 'a line that no other line reverses',
      });
    if (entry.reversesId !== null) reversed.add(entry.reversesId);
    if (!placed.has(entry.id))
      errors.push({
        field: `ledger.${i}.reversesId`,
        value: entry.reversesId,
        accepted: 'a line that does not reverse this one in turn',
      });
  });
  const covered = new Map<string, number>();
  rows.fills.forEach((fill, i) => {
    need(`fills.${i}.slotId`, 'slots', fill.slotId);
    need(`fills.${i}.optionId`, 'options', fill.optionId);
    const option = rows.options.find((candidate) => candidate.id === fill.optionId);
    if (option && option.slotId !== fill.slotId)
      errors.push({ field: `fills.${i}.optionId`, value: fill.optionId, accepted: 'an option of the same slot' });
    const slot = rows.slots.find((candidate) => candidate.id === fill.slotId);
    const sum = (covered.get(fill.slotId) ?? 0) + fill.count;
    covered.set(fill.slotId, sum);
    if (slot && sum > slot.quantity)
      errors.push({
        field: `fills.${i}.count`,
        value: fill.count,
        accepted: `fills that together cover at most ${slot.quantity}`,
      });
  });
  return errors;
}
