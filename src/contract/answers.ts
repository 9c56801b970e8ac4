import { closingStates } from '@core/closing/closingStates';
import type { ProjectClosing } from '@core/closing/projectClosing';
import { isHouseTable, rowLists, rowSchema, tableNames } from '@core/model/entities';
import { originKinds } from '@core/sourcing/origins';
import { z } from 'zod';
import { errorCodes } from './errors';

/** Shapes of the answers, as the OpenAPI document tells them and the page reads them. */
export const fieldErrorAnswer = z.object({ field: z.string(), value: z.unknown(), accepted: z.string() });

const anyRow = z.record(z.string(), z.unknown());

/** All rows of a project, and of the house what it refers to. */
export const snapshotAnswer = z.strictObject({ project: rowSchema('project'), ...rowLists(tableNames) });

/** In what the house shows its figures: units, money and clock of the project that was worked on last. */
const houseLocale = z.object({ units: z.enum(['us', 'metric']), currency: z.string(), timeZone: z.string() });

/** The studio's shared rows, pieces only as far as asked for. */
export const houseAnswer = z.strictObject({
  studioId: z.string(),
  locale: houseLocale.nullable(),
  ...rowLists(tableNames.filter(isHouseTable)),
});

/** Both versions of a row that two people changed: what is stored (null when gone), and what was refused. */
const rowConflict = z.object({
  table: z.string(),
  id: z.string(),
  expected: z.number(),
  theirs: anyRow.nullable(),
  mine: anyRow.nullable(),
});
export type RowConflict = z.infer<typeof rowConflict>;

/** A later act that would have to be taken back together with the one that was asked for. */
const actInTheWay = z.object({ actId: z.string(), title: z.string(), atMs: z.number(), ownDevice: z.boolean() });
export type ActInTheWay = z.infer<typeof actInTheWay>;

export const refusedAnswer = z.object({
  code: z.enum(Object.keys(errorCodes) as [keyof typeof errorCodes, ...(keyof typeof errorCodes)[]]),
  sentence: z.string(),
  fields: z.array(fieldErrorAnswer).optional(),
  conflicts: z.array(rowConflict).optional(),
  /** Latest first; empty where the act cannot be taken back even with others. */
  acts: z.array(actInTheWay).optional(),
});
export type RefusedAnswer = z.infer<typeof refusedAnswer>;

export const doneAnswer = z.object({
  actId: z.string(),
  title: z.string(),
  tag: z.string(),
  rows: z.array(z.object({ table: z.string(), row: anyRow })),
  removed: z.array(z.object({ table: z.string(), id: z.string() })),
});
export type DoneAnswer = z.infer<typeof doneAnswer>;

export const studiosAnswer = z.object({
  studios: z.array(
    z.object({ id: z.string(), name: z.string(), projects: z.number(), pieces: z.number(), isOpen: z.boolean() }),
  ),
});
export type StudiosAnswer = z.infer<typeof studiosAnswer>;

const amount = z.object({ low: z.number(), likely: z.number(), high: z.number(), atLeast: z.boolean() });

/** A spot in small: what stands on it, where, in which colors. */
export const spotPicture = z.object({
  spot: z.string(),
  widthMm: z.number(),
  highMm: z.number(),
  isAbove: z.boolean(),
  things: z.array(
    z.object({
      templateId: z.string().nullable(),
      likenessId: z.string().nullable().default(null),
      measures: z.record(z.string(), z.number()),
      xMm: z.number(),
      upMm: z.number(),
      widthMm: z.number(),
      highMm: z.number(),
      colors: z.record(z.string(), z.string()),
    }),
  ),
});

export const projectSummary = z.object({
  coreVersion: z.string(),
  /** Revisions of the project and of the studio's shared rows that it was computed with. */
  revision: z.number().default(0),
  studioRevision: z.number().default(0),
  money: z.object({
    budget: z.number(),
    spent: z.number(),
    promised: z.number(),
    planned: amount,
    keptBack: z.number(),
    free: amount,
  }),
  hands: z.object({
    onHandMinutes: z.number().nullable(),
    plannedMinutes: z.number(),
    freeMinutes: z.number().nullable(),
  }),
  lastUsableMs: z.number().nullable(),
  slots: z.object({ all: z.number(), settled: z.number() }),
  /** What the chosen ways still need of each supply; kind, color card and sheen name it. */
  supplies: z
    .array(
      z.object({
        kindId: z.string(),
        colorCardId: z.string().nullable(),
        sheen: z.string().nullable(),
        amount: z.number(),
      }),
    )
    .default([]),
  /** How much of the chosen look was owned already, by count and by value. */
  owned: z
    .object({ filled: z.number(), fromHouse: z.number(), value: z.number(), fromHouseValue: z.number() })
    .default({ filled: 0, fromHouse: 0, value: 0, fromHouseValue: 0 }),
  /** The first spot in small; null where nothing is called for yet. */
  firstSpot: spotPicture.nullable().default(null),
  /** What it came to, for the history; null in a summary from before there was one, which is computed anew. */
  closing: z
    .object({
      state: z.enum(closingStates),
      beganOn: z.string().nullable(),
      lastOn: z.string().nullable(),
      cash: z.number(),
      stash: z.number(),
      minutes: z.number(),
      atLeast: z.boolean(),
      saved: z.number().nullable(),
      savedMinutes: z.number(),
      slots: z.object({ all: z.number(), filled: z.number() }),
      byOrigin: z.array(z.object({ origin: z.enum(originKinds), count: z.number() })),
      planned: z.object({ cash: z.number(), minutes: z.number() }).nullable(),
      works: z.array(z.object({ work: z.string(), minutes: z.number(), steps: z.number() })),
    })
    .nullable()
    .default(null) satisfies z.ZodType<ProjectClosing | null>,
});

export type ProjectSummary = z.infer<typeof projectSummary>;

export const projectListAnswer = z.object({
  studioId: z.string(),
  projects: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      room: z.string(),
      currency: z.string(),
      units: z.string(),
      revealDate: z.string().nullable(),
      archivedOn: z.string().nullable().default(null),
      updatedAt: z.string(),
      /** Null while it was never computed. */
      summary: projectSummary.nullable(),
      /** Whether something changed since; the newer summary follows in a moment. */
      isStale: z.boolean(),
    }),
  ),
});
export type ProjectListAnswer = z.infer<typeof projectListAnswer>;

/** A picture as it is kept. */
export const photoAnswer = z.object({ widthPx: z.number(), heightPx: z.number(), sizeBytes: z.number() });

export const importedAnswer = z.object({
  projectId: z.string(),
  name: z.string(),
  mode: z.enum(['copy', 'update']),
  /** The act, to be taken back from the message that tells of it; none where nothing was to be changed. */
  actId: z.string().nullable(),
});
export type ImportedAnswer = z.infer<typeof importedAnswer>;

/** What a project's stream tells: the state that the project is in, and who brought it there; null where nobody is asked. */
export const changeEvent = z.object({ tag: z.string(), who: z.string().nullable() });
export type ChangeEvent = z.output<typeof changeEvent>;
