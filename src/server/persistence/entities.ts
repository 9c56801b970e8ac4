import type { Lab } from '@core/color/lab';
import type { ChangedTable, ProjectTable, RowOf } from '@core/model/entities';
import type { LedgerSubject, SubjectKind } from '@core/model/values/subject';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';
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

const moment = (name: string): EntitySchemaColumnOptions => ({ name, type: 'timestamptz', default: () => 'now()' });
const studioId: EntitySchemaColumnOptions = { name: 'studio_id', type: 'uuid', primary: true };

/** Short, stable names for constraints, well under PostgreSQL's 63 characters. */
const foreignKeyName = (table: string, column: string) => `fk_${table}_${column}`;

/** Everything belongs to a studio. */
const ofStudio = (table: string) => ({
  target: 'studio',
  columnNames: ['studio_id'],
  referencedColumnNames: ['id'],
  name: foreignKeyName(table, 'studio_id'),
});

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

/** Somebody who may come in: the owner of a studio, and whoever the owner lets in. */
export interface StoredPerson {
  studioId: string;
  id: string;
  name: string;
  role: string;
  /** The hash of the pass phrase; null for who only comes in by a code. */
  passHash: string | null;
  createdAt: Date;
  /** Since when they may come in no more. */
  removedAt: Date | null;
}
const ofPerson = (table: string) => ({
  target: 'person',
  columnNames: ['studio_id', 'person_id'],
  referencedColumnNames: ['studio_id', 'id'],
  name: foreignKeyName(table, 'person_id'),
});
export const personEntity = new EntitySchema<StoredPerson>({
  name: 'person',
  tableName: 'person',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    role: { type: 'text' },
    passHash: { name: 'pass_hash', type: 'text', nullable: true },
    createdAt: moment('created_at'),
    removedAt: { name: 'removed_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('person')],
});

/** A device that somebody signed in on. Its token is kept as a hash: who reads the table cannot come in with it. */
export interface StoredSession {
  studioId: string;
  id: string;
  personId: string;
  tokenHash: string;
  device: string;
  createdAt: Date;
  seenAt: Date;
  expiresAt: Date;
  /** When the pass phrase was given last on it. */
  confirmedAt: Date | null;
  endedAt: Date | null;
}
export const sessionEntity = new EntitySchema<StoredSession>({
  name: 'session',
  tableName: 'session',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    personId: { name: 'person_id', type: 'uuid' },
    tokenHash: { name: 'token_hash', type: 'text' },
    device: { type: 'text' },
    createdAt: moment('created_at'),
    seenAt: moment('seen_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    confirmedAt: { name: 'confirmed_at', type: 'timestamptz', nullable: true },
    endedAt: { name: 'ended_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('session'), ofPerson('session')],
  indices: [{ name: 'uq_session_token_hash', columns: ['tokenHash'], unique: true }],
});

/** A link to one project's sheet, for somebody who is not of the studio. */
export interface StoredLink {
  studioId: string;
  id: string;
  projectId: string;
  tokenHash: string;
  madeBy: string;
  showsCosts: boolean;
  createdAt: Date;
  expiresAt: Date;
  endedAt: Date | null;
}
export const linkEntity = new EntitySchema<StoredLink>({
  name: 'shareLink',
  tableName: 'share_link',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    projectId: { name: 'project_id', type: 'uuid' },
    tokenHash: { name: 'token_hash', type: 'text' },
    madeBy: { name: 'made_by', type: 'text' },
    showsCosts: { name: 'shows_costs', type: 'boolean' },
    createdAt: moment('created_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    endedAt: { name: 'ended_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('share_link')],
  indices: [{ name: 'uq_share_link_token_hash', columns: ['tokenHash'], unique: true }],
});

/** A code that lets one device in, once, for a while. */
export interface StoredEntryCode {
  studioId: string;
  id: string;
  personId: string;
  codeHash: string;
  createdAt: Date;
  expiresAt: Date;
  usedAt: Date | null;
}
export const entryCodeEntity = new EntitySchema<StoredEntryCode>({
  name: 'entry_code',
  tableName: 'entry_code',
  columns: {
    studioId,
    id: { type: 'uuid', primary: true },
    personId: { name: 'person_id', type: 'uuid' },
    codeHash: { name: 'code_hash', type: 'text' },
    createdAt: moment('created_at'),
    expiresAt: { name: 'expires_at', type: 'timestamptz' },
    usedAt: { name: 'used_at', type: 'timestamptz', nullable: true },
  },
  foreignKeys: [ofStudio('entry_code'), ofPerson('entry_code')],
  indices: [{ name: 'ix_entry_code_hash', columns: ['codeHash'] }],
});

/** Somebody tried to come in and could not: so many are let try in a while, whichever server they ask. */
export interface StoredAttempt {
  id: string;
  who: string;
  at: Date;
}
export const attemptEntity = new EntitySchema<StoredAttempt>({
  name: 'attempt',
  tableName: 'attempt',
  columns: { id: { type: 'uuid', primary: true }, who: { type: 'text' }, at: moment('at') },
  indices: [{ name: 'ix_attempt_who', columns: ['who', 'at'] }],
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
  personEntity,
  sessionEntity,
  entryCodeEntity,
  attemptEntity,
  linkEntity,
  ...schemas.values(),
];
