import { z } from 'zod';
import { acknowledgment } from './entities/acknowledgment';
import { ad } from './entities/ad';
import { artwork } from './entities/artwork';
import { benchPlan } from './entities/benchPlan';
import { bill } from './entities/bill';
import { billDraft } from './entities/billDraft';
import { box } from './entities/box';
import { clientPayment } from './entities/clientPayment';
import { colorCard } from './entities/colorCard';
import { fill } from './entities/fill';
import { gap } from './entities/gap';
import { hole } from './entities/hole';
import { inspiration } from './entities/inspiration';
import { layout } from './entities/layout';
import { ledgerLine } from './entities/ledgerLine';
import { letterhead } from './entities/letterhead';
import { logEntry } from './entities/logEntry';
import { look } from './entities/look';
import { lookPiece } from './entities/lookPiece';
import { looseEnd } from './entities/looseEnd';
import { namedPlan } from './entities/namedPlan';
import { offer } from './entities/offer';
import { option } from './entities/option';
import { override } from './entities/override';
import { pack } from './entities/pack';
import { pattern } from './entities/pattern';
import { photo } from './entities/photo';
import { piece } from './entities/piece';
import { planFreeze } from './entities/planFreeze';
import { priceNote } from './entities/priceNote';
import { project } from './entities/project';
import { receipt } from './entities/receipt';
import { recipe } from './entities/recipe';
import { savedSearch } from './entities/savedSearch';
import { sighting } from './entities/sighting';
import { slot } from './entities/slot';
import { source } from './entities/source';
import { spot } from './entities/spot';
import { stepRun } from './entities/stepRun';
import { studioRecipe } from './entities/studioRecipe';
import { supply } from './entities/supply';
import { supplyPlace } from './entities/supplyPlace';
import { supplyUse } from './entities/supplyUse';
import { tool } from './entities/tool';
import { trip } from './entities/trip';
import { weatherDay } from './entities/weatherDay';
import { wish } from './entities/wish';
import type { Entity, Row } from './entity';

/** Every kind of row. Snapshots and files list the tables in this order. */
const listed = [
  spot,
  slot,
  sighting,
  offer,
  option,
  fill,
  recipe,
  colorCard,
  supply,
  pack,
  tool,
  ledgerLine,
  override,
  acknowledgment,
  photo,
  inspiration,
  pattern,
  piece,
  priceNote,
  gap,
  savedSearch,
  supplyUse,
  studioRecipe,
  source,
  receipt,
  trip,
  ad,
  artwork,
  layout,
  namedPlan,
  supplyPlace,
  weatherDay,
  benchPlan,
  stepRun,
  logEntry,
  look,
  lookPiece,
  hole,
  planFreeze,
  looseEnd,
  box,
  letterhead,
  billDraft,
  bill,
  clientPayment,
  wish,
] as const;

type Listed = (typeof listed)[number];
type EntityOf<T extends TableName> = Extract<Listed, { table: T }>;

/** The name of a table of rows; the project's own row stands beside them. */
export type TableName = Listed['table'];
/** The name of any table that an act may change. */
export type ChangedTable = TableName | typeof project.table;
/** Tables that belong to the studio. */
export type HouseTable = Extract<Listed, { owner: 'studio' }>['table'];
/** Tables that belong to a project. */
export type ProjectTable = Exclude<TableName, HouseTable>;

/** The row of a table. */
export type RowOf<T extends ChangedTable> = T extends TableName
  ? z.output<EntityOf<T>['row']>
  : z.output<typeof project.row>;

const byTable = new Map<string, Entity>();
for (const entity of [project, ...listed] as unknown as readonly Entity[]) {
  if (byTable.has(entity.table)) throw new Error(`entities: the table "${entity.table}" is listed twice`);
  byTable.set(entity.table, entity);
}

export const projectEntity = project as unknown as Entity<'project'>;
/** Every table but the project's own row. */
export const rowEntities: readonly Entity<TableName>[] = listed as unknown as readonly Entity<TableName>[];
/** All of them, the project's own row first. */
export const allEntities: readonly Entity<ChangedTable>[] = [projectEntity, ...rowEntities];
export const tableNames: readonly TableName[] = rowEntities.map((entity) => entity.table);

/** The entity of a table; throws for a name that is none, which is then a bug of the caller. */
export function entityOf<T extends ChangedTable>(table: T): Entity<T> {
  const entity = byTable.get(table);
  if (!entity) throw new Error(`no table "${table}"`);
  return entity as Entity<T>;
}

/** Whether a text names a table. */
export const isTable = (name: string): name is ChangedTable => byTable.has(name);

type SchemaOf<T extends ChangedTable> = T extends TableName ? EntityOf<T>['row'] : typeof project.row;

/** The schema of a table's rows, with its fields as they are typed. */
export function rowSchema<T extends ChangedTable>(table: T): SchemaOf<T> {
  return entityOf(table).row as SchemaOf<T>;
}

/**
 * The schemas of lists of rows, by their tables.
 * @param most rows that one list may hold
 */
export function rowLists<T extends TableName>(
  tables: readonly T[],
  most = Number.MAX_SAFE_INTEGER,
): { [K in T]: z.ZodArray<SchemaOf<K>> } {
  const lists = {} as { [K in T]: z.ZodArray<SchemaOf<K>> };
  for (const table of tables) lists[table] = z.array(rowSchema(table)).max(most, `at most ${most} rows`);
  return lists;
}

/** Whether a table's rows belong to the whole studio. */
export const isHouseTable = (table: ChangedTable): table is HouseTable =>
  table !== 'project' && entityOf(table).owner === 'studio';

export type { Entity, Row };
