import { z } from 'zod';
import {
  entityOf,
  type HouseTable,
  isHouseTable,
  type ProjectTable,
  rowSchema,
  type TableName,
} from '../model/entities';
import { id } from '../model/fields';
import type { ProjectRows } from '../model/rows';
import type { BenchSubject } from '../model/values/benchSubject';
import { type Act, type Decision, type Place, refuse } from './act';
import { removeLooks, removePlacements } from './arrange/lookChanges';
import { type AnyRow, type RowChange, rowIn, update, type Workspace } from './changes';

type PlaceOf<T extends TableName> = T extends ProjectTable ? 'project' : T extends HouseTable ? 'house' : never;
type Edit = z.ZodType<{ id: string; values: Record<string, unknown> }>;
type Add = z.ZodType<{ row: AnyRow }>;

const placeOf = (table: TableName): Place => (isHouseTable(table) ? 'house' : 'project');

/** The fields of a row that an edit may change: all but id and version, each on its own. */
export function editPayload(table: TableName): Edit {
  return z.strictObject({
    id,
    values: z.strictObject(entityOf(table).fields as z.core.$ZodShape).partial(),
  }) as unknown as Edit;
}

/** An edit of one row of a table. */
export function editRow<const K extends string, T extends TableName>(
  kind: K,
  table: T,
  title: string,
): Act<K, Edit, PlaceOf<T>> {
  const act: Act<string, Edit> = {
    kind,
    title,
    place: placeOf(table),
    payload: editPayload(table),
    decide: (rows, payload): Decision =>
      rowIn(rows as Workspace, table, payload.id)
        ? [{ table, op: 'update', id: payload.id, values: payload.values }]
        : refuse('id', payload.id, `a ${entityOf(table).noun} that is still there`),
  };
  return act as unknown as Act<K, Edit, PlaceOf<T>>;
}

/** Adds one row to a table. */
export function addRow<const K extends string, T extends TableName>(
  kind: K,
  table: T,
  title: string,
): Act<K, Add, PlaceOf<T>> {
  const act: Act<string, Add> = {
    kind,
    title,
    place: placeOf(table),
    payload: z.strictObject({ row: rowSchema(table) }) as unknown as Add,
    decide: (_rows, payload): Decision => [{ table, op: 'insert', row: { ...payload.row, version: 1 } }],
  };
  return act as unknown as Act<K, Add, PlaceOf<T>>;
}

/** Removes one row of a table. */
export function removeRow<const K extends string, T extends TableName>(
  kind: K,
  table: T,
  title: string,
): Act<K, z.ZodType<{ id: string }>, PlaceOf<T>> {
  const act: Act<string, z.ZodType<{ id: string }>> = {
    kind,
    title,
    place: placeOf(table),
    payload: z.strictObject({ id }),
    decide: (rows, payload): Decision =>
      rowIn(rows as Workspace, table, payload.id)
        ? [{ table, op: 'remove', id: payload.id }]
        : refuse('id', payload.id, `a ${entityOf(table).noun} that is still there`),
  };
  return act as unknown as Act<K, z.ZodType<{ id: string }>, PlaceOf<T>>;
}

/** Plans that are kept by name go on without the slots and ways that go. */
function plansWithout(rows: ProjectRows, optionIds: ReadonlySet<string>, slotIds: ReadonlySet<string>): RowChange[] {
  return rows.plans.flatMap((plan): RowChange[] => {
    const choices = plan.choices
      .filter(({ slotId }) => !slotIds.has(slotId))
      .map((choice) => ({ ...choice, fills: choice.fills.filter(({ optionId }) => !optionIds.has(optionId)) }));
    const isSame =
      choices.length === plan.choices.length &&
      choices.every((choice, n) => choice.fills.length === plan.choices[n]?.fills.length);
    return isSame ? [] : [{ table: 'plans', op: 'update', id: plan.id, values: { choices } }];
  });
}

/** What is removed beside options and the recipes that only they used. */
interface AlsoGone {
  /** Slots of which plans that are kept by name say nothing more. */
  slotIds?: ReadonlySet<string>;
  spotIds?: ReadonlySet<string>;
  recipeIds?: ReadonlySet<string>;
}

const none: ReadonlySet<string> = new Set();

/**
 * Removals of the options that a test picks, with their fills and with the recipes that no other option uses; plans that
 * are kept by name go on without them, and so does the bench. What was logged stays in the log.
 */
export function removeOptions(
  rows: ProjectRows,
  gone: (option: ProjectRows['options'][number]) => boolean,
  { slotIds = none, spotIds = none, recipeIds = none }: AlsoGone = {},
): RowChange[] {
  const options = rows.options.filter(gone);
  const ids = new Set(options.map((option) => option.id));
  const orphans = rows.recipes.filter(
    (recipe) =>
      options.some((option) => option.recipeId === recipe.id) &&
      !rows.options.some((option) => option.recipeId === recipe.id && !ids.has(option.id)),
  );
  const recipes = new Set([...recipeIds, ...orphans.map(({ id: recipeId }) => recipeId)]);
  return [
    ...plansWithout(rows, ids, slotIds),
    ...looksWithout(rows, ids, slotIds, spotIds),
    ...benchWithout(
      rows,
      ({ recipeId, optionId, spotId }) =>
        (recipeId !== null && recipes.has(recipeId)) ||
        (optionId !== null && ids.has(optionId)) ||
        (spotId !== null && spotIds.has(spotId)),
    ),
    ...rows.fills.filter((fill) => ids.has(fill.optionId)).map((fill) => removal('fills', fill.id)),
    ...options.map((option) => removal('options', option.id)),
    ...removeRecipes(rows, recipes),
  ];
}

/** Looks go with their spot, places with their slot; where another way goes, what is chosen stands there again. */
function looksWithout(
  rows: ProjectRows,
  optionIds: ReadonlySet<string>,
  slotIds: ReadonlySet<string>,
  spotIds: ReadonlySet<string>,
): RowChange[] {
  const looksGone = new Set(rows.looks.filter(({ spotId }) => spotIds.has(spotId)).map(({ id }) => id));
  const isKept = (placement: ProjectRows['lookPieces'][number]) => !looksGone.has(placement.lookId);
  const isGone = ({ slotId }: ProjectRows['lookPieces'][number]) => slotId !== null && slotIds.has(slotId);
  return [
    ...removePlacements(rows, (placement) => isKept(placement) && isGone(placement)),
    ...rows.lookPieces
      .filter((one) => isKept(one) && !isGone(one) && one.optionId !== null && optionIds.has(one.optionId))
      .map(({ id: placementId }) => update('lookPieces', placementId, { optionId: null })),
    ...removeLooks(rows, ({ id: lookId }) => looksGone.has(lookId)),
  ];
}

/** The bench without tasks that are gone: nothing of them is planned or at hand any more. */
function benchWithout(rows: ProjectRows, isGone: (subject: BenchSubject) => boolean): RowChange[] {
  const gone = rows.stepRuns.filter(isGone);
  const goneIds = new Set(gone.map((run) => run.id));
  return [
    // Pictures of what was done stay with the project.
    ...rows.photos
      .filter(({ shows }) => shows && goneIds.has(shows.stepRunId))
      .map((photo): RowChange => ({ table: 'photos', op: 'update', id: photo.id, values: { shows: null } })),
    ...gone.map((run) => removal('stepRuns', run.id)),
    ...rows.benchPlans.flatMap((plan): RowChange[] => {
      const placed = plan.placed.filter((one) => !isGone(one));
      const isSame = placed.length === plan.placed.length;
      return isSame ? [] : [{ table: 'benchPlans', op: 'update', id: plan.id, values: { placed } }];
    }),
  ];
}

const removal = (table: TableName, rowId: string): RowChange => ({ table, op: 'remove', id: rowId });

/** Removals of recipes with what was acknowledged and overruled for them. */
function removeRecipes(rows: ProjectRows, recipeIds: ReadonlySet<string>): RowChange[] {
  return [
    ...rows.acknowledgments
      .filter((row) => recipeIds.has(row.recipeId))
      .map((row) => removal('acknowledgments', row.id)),
    ...rows.overrides
      .filter((row) => row.scope.startsWith('recipe:') && recipeIds.has(row.scope.slice('recipe:'.length)))
      .map((row) => removal('overrides', row.id)),
    ...[...recipeIds].map((recipeId) => removal('recipes', recipeId)),
  ];
}
