import { columnsOf, type ColumnType as FieldType } from '@core/model/derive/columns';
import { nestedReferenceFields, referenceFields, writeOrder } from '@core/model/derive/references';
import { type ChangedTable, type Entity, entityOf, isTable, rowEntities } from '@core/model/entities';
import { ledgerSubjects } from '@core/model/values/subject';

/** How a physical column keeps a field: `lab` and `subject` are spread over several. */
export type ColumnType = Exclude<FieldType, 'lab' | 'subject'>;

export interface PhysicalColumn {
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

const LAB = ['l', 'a', 'b'] as const;
/** The column that keeps the id of a subject of a kind. */
const subjectColumn = (kind: string) => `${kind}_id`;
const subjects = Object.entries(ledgerSubjects);
/** The table in the database that a reference points into; pictures' bytes are no rows. */
const nameOf = (table: string) => (isTable(table) ? entityOf(table).name : snake(table));

function physical(field: string, type: FieldType, nullable: boolean): PhysicalColumn[] {
  switch (type) {
    case 'lab':
      return LAB.map((part) => ({ column: `${snake(field)}_${part}`, type: 'double', nullable }));
    case 'subject':
      return subjects.map(([kind]) => ({ column: subjectColumn(kind), type: 'uuid', nullable: true }));
    default:
      return [{ column: snake(field), type, nullable }];
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
        ? subjects.map(([kind, table]) => ({ column: subjectColumn(kind), table: nameOf(table) }))
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

/** A row's fields as physical column values; unknown fields are a bug of the caller. */
export function toColumns(spec: TableSpec, fields: Record<string, unknown>): Record<string, unknown> {
  const values: Record<string, unknown> = {};
  for (const [field, value] of Object.entries(fields)) {
    if (field === 'id' || field === 'version') continue;
    const column = spec.columns.find((candidate) => candidate.field === field);
    if (!column) throw new Error(`${spec.name} has no field "${field}"`);
    switch (column.type) {
      case 'lab': {
        const lab = value as { L: number; a: number; b: number } | null;
        const parts = [lab?.L ?? null, lab?.a ?? null, lab?.b ?? null];
        column.columns.forEach((part, n) => {
          values[part.column] = parts[n];
        });
        break;
      }
      case 'subject': {
        const subject = value as { kind: string; id: string };
        for (const { column: name } of column.columns)
          values[name] = name === subjectColumn(subject.kind) ? subject.id : null;
        break;
      }
      default:
        values[column.columns[0]?.column ?? field] = value;
    }
  }
  return values;
}

/** SQL that builds a row's JSON, with the alias of its table. */
export function rowJsonSql(spec: TableSpec, alias: string): string {
  const parts = [`'id', ${alias}.id`, `'version', ${alias}.version`];
  for (const { field, type, columns } of spec.columns) {
    const [first] = columns;
    const at = (column: PhysicalColumn | undefined) => `${alias}."${column?.column}"`;
    switch (type) {
      case 'lab':
        parts.push(
          `'${field}', case when ${at(first)} is null then null else json_build_object(${LAB.map((_, n) => `'${'Lab'[n]}', ${at(columns[n])}`).join(', ')}) end`,
        );
        break;
      case 'subject':
        parts.push(
          `'${field}', case ${subjects
            .map(
              ([kind]) =>
                `when ${alias}."${subjectColumn(kind)}" is not null then json_build_object('kind', '${kind}', 'id', ${alias}."${subjectColumn(kind)}")`,
            )
            .join(' ')} end`,
        );
        break;
      default:
        parts.push(`'${field}', ${at(first)}`);
    }
  }
  return `json_build_object(${parts.join(', ')})`;
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
            .map(([kind]) => ({ spec, column: subjectColumn(kind), nested: false }))
        : [];
      const nested = nestedReferenceFields(entity)
        .filter(({ tables }) => tables.has(table))
        .map(({ field }) => field)
        .filter((field) => spec.columns.find((column) => column.field === field)?.type !== 'subject')
        .map((field) => ({ spec, column: snake(field), nested: true }));
      return [...whole, ...subject, ...nested];
    });
}
