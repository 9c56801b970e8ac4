import type { AnyRow } from '@core/acts/changes';
import type { Lab } from '@core/color/lab';
import { columnsOf, type ColumnType as FieldType } from '@core/model/derive/columns';
import { nestedReferenceFields, referenceFields, writeOrder } from '@core/model/derive/references';
import { type ChangedTable, type Entity, entityOf, isTable, rowEntities } from '@core/model/entities';
import { type LedgerSubject, ledgerSubjects } from '@core/model/values/subject';

/** How a physical column keeps a field: `lab` and `subject` are spread over several. */
export type ColumnType = Exclude<FieldType, 'lab' | 'subject'>;

/** What PostgreSQL calls them. */
export const postgresTypes = {
  uuid: 'uuid',
  text: 'text',
  int: 'int',
  bigint: 'bigint',
  double: 'double precision',
  boolean: 'boolean',
  date: 'date',
  json: 'jsonb',
} as const satisfies Record<ColumnType, string>;

export interface PhysicalColumn {
  /** Its name in an entity. */
  property: string;
  /** Its name in the database. */
  column: string;
  type: ColumnType;
  nullable: boolean;
}

/** A field of a row with the columns that keep it. */
export interface ColumnSpec {
  field: string;
  type: FieldType;
  columns: PhysicalColumn[];
}

/** One table of rows, as the database sees its entity. */
export interface TableSpec {
  table: ChangedTable;
  name: string;
  owner: Entity['owner'];
  columns: ColumnSpec[];
  /** Composite foreign keys, always with the studio: column → table in the database. */
  references: { column: string; table: string }[];
  /** Unique among rows that are not deleted, with the studio, and with the project for its own rows. */
  unique: { columns: string[]; nullsCount: boolean }[];
  indexed: string[][];
  snapshot: Entity['snapshot'];
  house: Entity['house'];
  record: boolean;
}

export const snake = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

export const LAB = ['L', 'a', 'b'] as const;
/** The property that keeps one number of a color. */
const labProperty = (field: string, part: (typeof LAB)[number]) => `${field}${part.toUpperCase()}`;
/** The property that keeps the id of a subject of a kind. */
export const subjectProperty = (kind: string) => `${kind}Id`;
export const subjects = Object.entries(ledgerSubjects);
/** The table in the database that a reference points into; pictures' bytes are no rows. */
const nameOf = (table: string) => (isTable(table) ? entityOf(table).name : snake(table));

function physical(field: string, type: FieldType, nullable: boolean): PhysicalColumn[] {
  const kept = (property: string, columnType: ColumnType, mayBeNull: boolean): PhysicalColumn => ({
    property,
    column: snake(property),
    type: columnType,
    nullable: mayBeNull,
  });
  switch (type) {
    case 'lab':
      return LAB.map((part) => kept(labProperty(field, part), 'double', nullable));
    case 'subject':
      return subjects.map(([kind]) => kept(subjectProperty(kind), 'uuid', true));
    default:
      return [kept(field, type, nullable)];
  }
}

/** How the database keeps an entity. */
export function specFor(entity: Entity<ChangedTable>): TableSpec {
  const columns = columnsOf(entity).map(({ field, type, nullable }) => ({
    field,
    type,
    columns: physical(field, type, nullable),
  }));
  const isNullable = (field: string) => columns.find((column) => column.field === field)?.columns[0]?.nullable === true;
  return {
    table: entity.table,
    name: entity.name,
    owner: entity.owner,
    columns,
    references: [
      ...(entity.idRefersTo === null ? [] : [{ column: 'id', table: nameOf(entity.idRefersTo) }]),
      ...referenceFields(entity).map(({ field, table }) => ({ column: snake(field), table: nameOf(table) })),
      ...(columns.some(({ type }) => type === 'subject')
        ? subjects.map(([kind, table]) => ({ column: snake(subjectProperty(kind)), table: nameOf(table) }))
        : []),
    ],
    unique: entity.unique.map((fields) => ({
      columns: [...(entity.owner === 'project' && entity.record === false ? ['project_id'] : []), ...fields.map(snake)],
      // Nothing said is a value where it is said together with something: a supply without a color is one supply.
      nullsCount: fields.some(isNullable) && !fields.every(isNullable),
    })),
    indexed: entity.indexed.map((fields) => fields.map(snake)),
    snapshot: entity.snapshot,
    house: entity.house,
    record: entity.record,
  };
}

const specs = new Map(writeOrder().map((table) => [table, specFor(entityOf(table))]));

/** Every table of rows, in an order in which a reference always points to an earlier one. */
export const tableSpecs: readonly TableSpec[] = [...specs.values()];

/** The spec of a table. */
export function specOf(table: ChangedTable): TableSpec {
  const spec = specs.get(table);
  if (!spec) throw new Error(`no table "${table}"`);
  return spec;
}

/** Physical columns of a spec. */
export const physicalColumns = (spec: TableSpec): PhysicalColumn[] => spec.columns.flatMap(({ columns }) => columns);

/** A row's fields as the properties of its entity; a field that the table does not have is a bug of the caller. */
export function toStored(spec: TableSpec, fields: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const values: Record<string, unknown> = {};
  for (const [field, value] of Object.entries(fields)) {
    if (field === 'id' || field === 'version') continue;
    const column = spec.columns.find((candidate) => candidate.field === field);
    if (!column) throw new Error(`${spec.name} has no field "${field}"`);
    switch (column.type) {
      case 'lab': {
        const lab = value as Lab | null;
        for (const part of LAB) values[labProperty(field, part)] = lab?.[part] ?? null;
        break;
      }
      case 'subject': {
        const subject = value as LedgerSubject;
        for (const [kind] of subjects) values[subjectProperty(kind)] = kind === subject.kind ? subject.id : null;
        break;
      }
      default:
        values[field] = value;
    }
  }
  return values;
}

/** The row that an entity keeps: the other way round. */
export function fromStored(spec: TableSpec, stored: { id: string; version: number }): AnyRow {
  const kept = stored as Readonly<Record<string, unknown>>;
  const row: AnyRow = { id: stored.id, version: stored.version };
  for (const { field, type } of spec.columns) {
    switch (type) {
      case 'lab':
        row[field] =
          kept[labProperty(field, 'L')] === null
            ? null
            : Object.fromEntries(LAB.map((part) => [part, kept[labProperty(field, part)]]));
        break;
      case 'subject': {
        const [kind] = subjects.find(([one]) => kept[subjectProperty(one)] !== null) ?? [];
        row[field] = kind === undefined ? null : { kind, id: kept[subjectProperty(kind)] };
        break;
      }
      default:
        row[field] = kept[field] ?? null;
    }
  }
  return row;
}

/** Where the live rows of the studio point into a table: a whole column, or ids somewhere in a parameter shape. */
export function pointersInto(table: ChangedTable): { spec: TableSpec; column: string; nested: boolean }[] {
  return rowEntities
    .map((entity) => entity as Entity<ChangedTable>)
    .concat(entityOf('project'))
    .flatMap((entity) => {
      const spec = specOf(entity.table);
      const whole = referenceFields(entity)
        .filter((reference) => reference.table === table)
        .map(({ field }) => ({ spec, column: snake(field), nested: false }));
      const subject = spec.columns.some(({ type }) => type === 'subject')
        ? subjects
            .filter(([, target]) => target === table)
            .map(([kind]) => ({ spec, column: snake(subjectProperty(kind)), nested: false }))
        : [];
      const nested = nestedReferenceFields(entity)
        .filter(({ tables }) => tables.has(table))
        .map(({ field }) => field)
        .filter((field) => spec.columns.find((column) => column.field === field)?.type !== 'subject')
        .map((field) => ({ spec, column: snake(field), nested: true }));
      return [...whole, ...subject, ...nested];
    });
}
