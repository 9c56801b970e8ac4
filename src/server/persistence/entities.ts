import type { Lab } from '@core/color/lab';
import type { ChangedTable, ProjectTable, RowOf } from '@core/model/entities';
import type { LedgerSubject, SubjectKind } from '@core/model/values/subject';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';
import { foreignKeyName, moment, ofStudio, studioId } from './columns';
import { identityEntities } from './identityEntities';
import { jobEntity } from './jobEntity';
import { type PhysicalColumn, physicalColumns, postgresTypes, specOf, type TableSpec, tableSpecs } from './tables';

/** What every table of rows keeps beside the row's own fields. */
export interface StoredRow {
  studioId: string;
  id: string;
  version: number;
  createdAt: Date;
  updatedAt: Date;
  deletedAt: Date | null;
  /** The act that wrote the row last. */
  actId: string | null;
}

/** A row's fields as its columns keep them: a color as three numbers, a subject as one id of several. */
type Fields<R> = {
  [K in keyof R as [NonNullable<R[K]>] extends [Lab] | [LedgerSubject] ? never : K]: R[K];
} & {
  [K in keyof R & string as [NonNullable<R[K]>] extends [Lab] ? `${K}${'L' | 'A' | 'B'}` : never]: number | null;
} & {
  [K in keyof R as [NonNullable<R[K]>] extends [LedgerSubject] ? `${SubjectKind}Id` : never]: string | null;
};

/** A row as its table keeps it. */
export type Stored<T extends ChangedTable> = StoredRow &
  Fields<RowOf<T>> &
  (T extends ProjectTable ? { projectId: string } : unknown) &
  (T extends 'project' ? { revision: number; summary: Record<string, unknown> | null } : unknown);

/** The driver gives eight bytes as text; every amount of ours is a number that fits. */
const asNumber = {
  to: (value: unknown) => value,
  from: (value: string | null) => (value === null ? null : Number(value)),
};

function columnOptions({ column, type, nullable }: PhysicalColumn): EntitySchemaColumnOptions {
  return {
    name: column,
    type: postgresTypes[type],
    nullable,
    ...(type === 'bigint' ? { transformer: asNumber } : {}),
  };
}

/** The property behind a column, as indexes name them. */
function propertyOf(spec: TableSpec, column: string): string {
  if (column === 'project_id') return 'projectId';
  return physicalColumns(spec).find((one) => one.column === column)?.property ?? column;
}

/** The table of a spec as the schema builder wants it. */
export function schemaOf(spec: TableSpec): EntitySchema<StoredRow> {
  const isOfProject = spec.owner === 'project';
  const properties = (columns: readonly string[]) => ['studioId', ...columns.map((column) => propertyOf(spec, column))];
  return new EntitySchema<StoredRow>({
    name: spec.name,
    tableName: spec.name,
    columns: {
      studioId,
      id: { type: 'uuid', primary: true },
      ...(isOfProject ? { projectId: { name: 'project_id', type: 'uuid' } } : {}),
      version: { type: 'int', default: 1 },
      createdAt: moment('created_at'),
      updatedAt: moment('updated_at'),
      // Removed rows stay; what reads through entities does not see them unless it asks.
      deletedAt: { name: 'deleted_at', type: 'timestamptz', nullable: true, deleteDate: true },
      actId: { name: 'act_id', type: 'uuid', nullable: true },
      ...(spec.table === 'project'
        ? { revision: { type: 'int', default: 1 }, summary: { type: 'jsonb', nullable: true } }
        : {}),
      ...Object.fromEntries(physicalColumns(spec).map((column) => [column.property, columnOptions(column)])),
    },
    foreignKeys: [
      ofStudio(spec.name),
      ...(isOfProject
        ? [
            {
              target: 'project',
              columnNames: ['studio_id', 'project_id'],
              referencedColumnNames: ['studio_id', 'id'],
              name: foreignKeyName(spec.name, 'project_id'),
            },
          ]
        : []),
      ...spec.references.map(({ column, table }) => ({
        target: table,
        columnNames: ['studio_id', column],
        referencedColumnNames: ['studio_id', 'id'],
        name: foreignKeyName(spec.name, column),
      })),
    ],
    indices: [
      ...(isOfProject ? [{ name: `ix_${spec.name}_project`, columns: properties(['project_id']) }] : []),
      ...spec.indexed.map((columns) => ({
        name: `ix_${spec.name}_${columns.join('_')}`,
        columns: properties(columns),
      })),
      ...spec.unique.map(({ columns, nullsCount }) => ({
        name: `uq_${spec.name}_${columns.join('_')}`,
        columns: properties(columns),
        unique: true,
        ...(spec.record ? {} : { where: 'deleted_at IS NULL' }),
        // That nothing said counts as a value is said by the migration that makes the index.
        ...(nullsCount ? { synchronize: false } : {}),
      })),
      // So are indexes over an expression; the entity only says that they belong there.
      ...(spec.table === 'pieces' ? [{ name: 'ix_piece_words', columns: ['name'], synchronize: false }] : []),
    ],
  });
}

/** A workspace with the revisions of its shared rows. */
export interface StoredStudio {
  id: string;
  name: string;
  /** Raised by every write to any shared row. */
  revision: number;
  /** Raised by those to pieces: there may be thousands, and what is read of all of them is kept while none changes. */
  piecesRevision: number;
  createdAt: Date;
  /** Of several studios the one opened last is shown. */
  openedAt: Date;
}
export const studioEntity = new EntitySchema<StoredStudio>({
  name: 'studio',
  tableName: 'studio',
  columns: {
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    revision: { type: 'int', default: 1 },
    piecesRevision: { name: 'pieces_revision', type: 'int', default: 1 },
    createdAt: moment('created_at'),
    openedAt: moment('opened_at'),
  },
});

/** One thing somebody did: which rows it changed, as they were and became. Never changed afterwards. */
export interface StoredActRow {
  studioId: string;
  id: string;
  projectId: string | null;
  device: string;
  kind: string;
  /** The shape of the rows in `changes`: an act of an older shape is kept, and cannot be taken back. */
  shape: number;
  changes: unknown;
  undoesId: string | null;
  /** Further acts that it takes back, since they built on the first. */
  alsoUndoes: string[];
  createdAt: Date;
}
export const actEntity = new EntitySchema<StoredActRow>({
  name: 'act',
  tableName: 'act',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    projectId: { name: 'project_id', type: 'uuid', nullable: true },
    device: { type: 'text' },
    kind: { type: 'text' },
    shape: { type: 'int', default: 1 },
    changes: { type: 'jsonb' },
    undoesId: { name: 'undoes_id', type: 'uuid', nullable: true },
    alsoUndoes: { name: 'also_undoes', type: 'jsonb', default: [] },
    createdAt: moment('created_at'),
  },
  foreignKeys: [
    ofStudio('act'),
    {
      target: 'act',
      columnNames: ['studio_id', 'undoes_id'],
      referencedColumnNames: ['studio_id', 'id'],
      name: foreignKeyName('act', 'undoes_id'),
    },
  ],
  indices: [
    { name: 'ix_act_project', columns: ['studioId', 'projectId'] },
    { name: 'uq_act_undoes_id', columns: ['studioId', 'undoesId'], unique: true },
  ],
});

/** An idempotency key with the hash of its request and, once, its answer. */
export interface StoredRequestKey {
  studioId: string;
  key: string;
  bodyHash: string;
  status: number | null;
  answer: unknown;
  createdAt: Date;
}
export const requestKeyEntity = new EntitySchema<StoredRequestKey>({
  name: 'request_key',
  tableName: 'request_key',
  columns: {
    studioId,
    key: { type: 'uuid', primary: true },
    bodyHash: { name: 'body_hash', type: 'text' },
    status: { type: 'int', nullable: true },
    answer: { type: 'jsonb', nullable: true },
    createdAt: moment('created_at'),
  },
  foreignKeys: [ofStudio('request_key')],
});

/** The bytes of a picture and of its thumbnail; read by id alone, never in a list. */
export interface StoredPhotoBytes {
  studioId: string;
  id: string;
  mime: string;
  content: Buffer;
  thumbnail: Buffer;
  widthPx: number;
  heightPx: number;
  createdAt: Date;
}
export const photoBytesEntity = new EntitySchema<StoredPhotoBytes>({
  name: 'photo_bytes',
  tableName: 'photo_bytes',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    mime: { type: 'text' },
    content: { type: 'bytea' },
    thumbnail: { type: 'bytea' },
    widthPx: { name: 'width_px', type: 'int' },
    heightPx: { name: 'height_px', type: 'int' },
    createdAt: moment('created_at'),
  },
  foreignKeys: [ofStudio('photo_bytes')],
});

const schemas = new Map(tableSpecs.map((spec) => [spec.table, schemaOf(spec)]));

/** The entity of a table whose fields matter to who asks. */
export const entityFor = <T extends ChangedTable>(table: T): EntitySchema<Stored<T>> =>
  anyEntity(table) as EntitySchema<Stored<T>>;

/** The entity of whatever table, for what every table keeps. */
export function anyEntity(table: ChangedTable): EntitySchema<StoredRow> {
  const schema = schemas.get(specOf(table).table);
  if (!schema) throw new Error(`no entity keeps "${table}"`);
  return schema;
}

export const allEntities = [
  studioEntity,
  actEntity,
  requestKeyEntity,
  photoBytesEntity,
  ...identityEntities,
  jobEntity,
  ...schemas.values(),
];
