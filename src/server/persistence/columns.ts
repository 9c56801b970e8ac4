import type { EntitySchemaColumnOptions } from 'typeorm';

/** A moment, now where nothing is said. */
export const moment = (name: string): EntitySchemaColumnOptions => ({
  name,
  type: 'timestamptz',
  default: () => 'now()',
});
/** Whose a row is, as the first part of its key. */
export const studioId: EntitySchemaColumnOptions = { name: 'studio_id', type: 'uuid', primary: true };

/** Short, stable names for constraints, well under PostgreSQL's 63 characters. */
export const foreignKeyName = (table: string, column: string) => `fk_${table}_${column}`;

/** Everything belongs to a studio. */
export const ofStudio = (table: string) => ({
  target: 'studio',
  columnNames: ['studio_id'],
  referencedColumnNames: ['id'],
  name: foreignKeyName(table, 'studio_id'),
});
