import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';
import { type ColumnType, physicalColumns, type TableSpec, tableSpecs } from './tables';

const postgresTypes: Record<ColumnType, EntitySchemaColumnOptions['type']> = {
  uuid: 'uuid',
  text: 'text',
  int: 'int',
  bigint: 'bigint',
  double: 'double precision',
  boolean: 'boolean',
  date: 'date',
  json: 'jsonb',
};

const moment: EntitySchemaColumnOptions = { type: 'timestamptz', default: () => 'now()' };

/** Short, stable names for constraints, well under PostgreSQL's 63 characters. */
const foreignKeyName = (table: string, column: string) => `fk_${table}_${column}`;

/** The table of a spec as the schema builder wants it. */
export function schemaOf(spec: TableSpec): EntitySchema<Record<string, unknown>> {
  const project = spec.owner === 'project';
  return new EntitySchema<Record<string, unknown>>({
    name: spec.name,
    tableName: spec.name,
    columns: {
      studio_id: { type: 'uuid', primary: true },
      id: { type: 'uuid', primary: true },
      ...(project ? { project_id: { type: 'uuid' as const } } : {}),
      version: { type: 'int', default: 1 },
      created_at: moment,
      updated_at: moment,
      deleted_at: { type: 'timestamptz', nullable: true },
      act_id: { type: 'uuid', nullable: true },
      ...(spec.table === 'project'
        ? { revision: { type: 'int' as const, default: 1 }, summary: { type: 'jsonb' as const, nullable: true } }
        : {}),
      ...Object.fromEntries(
        physicalColumns(spec).map(({ column, type, nullable }) => [column, { type: postgresTypes[type], nullable }]),
      ),
    },
    foreignKeys: [
      {
        target: 'studio',
        columnNames: ['studio_id'],
        referencedColumnNames: ['id'],
        name: foreignKeyName(spec.name, 'studio_id'),
      },
      ...(project
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
      ...(project ? [{ name: `ix_${spec.name}_project`, columns: ['studio_id', 'project_id'] }] : []),
      ...spec.indexed.map((columns) => ({
        name: `ix_${spec.name}_${columns.join('_')}`,
        columns: ['studio_id', ...columns],
      })),
      ...spec.unique.map(({ columns, nullsCount }) => ({
        name: `uq_${spec.name}_${columns.join('_')}`,
        columns: ['studio_id', ...columns],
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

/** A workspace: its defaults and its revision, raised by every write to its shared rows. */
export const studioEntity = new EntitySchema<Record<string, unknown>>({
  name: 'studio',
  tableName: 'studio',
  columns: {
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    revision: { type: 'int', default: 1 },
    created_at: moment,
  },
});

/** One thing somebody did: which rows it changed, as they were and became. Never changed afterwards. */
export const actEntity = new EntitySchema<Record<string, unknown>>({
  name: 'act',
  tableName: 'act',
  columns: {
    studio_id: { type: 'uuid', primary: true },
    id: { type: 'uuid', primary: true },
    project_id: { type: 'uuid', nullable: true },
    device: { type: 'text' },
    kind: { type: 'text' },
    /** The shape of the rows in `changes`: an act of an older shape is kept, and cannot be taken back. */
    shape: { type: 'int', default: 1 },
    changes: { type: 'jsonb' },
    undoes_id: { type: 'uuid', nullable: true },
    /** Further acts that it takes back, since they built on the first. */
    also_undoes: { type: 'jsonb', default: [] },
    created_at: moment,
  },
  foreignKeys: [
    { target: 'studio', columnNames: ['studio_id'], referencedColumnNames: ['id'], name: 'fk_act_studio_id' },
    {
      target: 'act',
      columnNames: ['studio_id', 'undoes_id'],
      referencedColumnNames: ['studio_id', 'id'],
      name: 'fk_act_undoes_id',
    },
  ],
  indices: [
    { name: 'ix_act_project', columns: ['studio_id', 'project_id'] },
    { name: 'uq_act_undoes_id', columns: ['studio_id', 'undoes_id'], unique: true },
  ],
});

/** An idempotency key with the hash of its request and, once, its answer. */
export const requestKeyEntity = new EntitySchema<Record<string, unknown>>({
  name: 'request_key',
  tableName: 'request_key',
  columns: {
    studio_id: { type: 'uuid', primary: true },
    key: { type: 'uuid', primary: true },
    body_hash: { type: 'text' },
    status: { type: 'int', nullable: true },
    answer: { type: 'jsonb', nullable: true },
    created_at: moment,
  },
  foreignKeys: [
    { target: 'studio', columnNames: ['studio_id'], referencedColumnNames: ['id'], name: 'fk_request_key_studio_id' },
  ],
});

/** The bytes of a picture and of its thumbnail; read by id alone, never in a list. */
export const photoBytesEntity = new EntitySchema<Record<string, unknown>>({
  name: 'photo_bytes',
  tableName: 'photo_bytes',
  columns: {
    studio_id: { type: 'uuid', primary: true },
    id: { type: 'uuid', primary: true },
    mime: { type: 'text' },
    content: { type: 'bytea' },
    thumbnail: { type: 'bytea' },
    width_px: { type: 'int' },
    height_px: { type: 'int' },
    created_at: moment,
  },
  foreignKeys: [
    { target: 'studio', columnNames: ['studio_id'], referencedColumnNames: ['id'], name: 'fk_photo_bytes_studio_id' },
  ],
});

export const rowEntities = new Map(tableSpecs.map((spec) => [spec.name, schemaOf(spec)]));
export const allEntities = [studioEntity, actEntity, requestKeyEntity, photoBytesEntity, ...rowEntities.values()];
