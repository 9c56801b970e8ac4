import type { z } from 'zod';
import type { Entity } from '../entity';
import { fieldFacts } from '../fields';

/** How a field of a row is kept: `lab` is a color, `subject` what money moved for, `json` a parameter shape. */
export type ColumnType =
  | 'uuid'
  | 'text'
  | 'int'
  | 'bigint'
  | 'double'
  | 'boolean'
  | 'date'
  | 'json'
  | 'lab'
  | 'subject';

export interface FieldColumn {
  field: string;
  type: ColumnType;
  nullable: boolean;
}

/** The largest number that four bytes hold. */
const MOST_INT = 2_147_483_647;

/** The schema beneath null, absence and rules. */
export function bareSchema(schema: z.core.$ZodType): { schema: z.core.$ZodType; nullable: boolean } {
  const { def } = schema._zod as unknown as { def: { type: string; innerType?: z.core.$ZodType } };
  if ((def.type === 'nullable' || def.type === 'optional' || def.type === 'default') && def.innerType) {
    const inner = bareSchema(def.innerType);
    return { schema: inner.schema, nullable: inner.nullable || def.type === 'nullable' };
  }
  return { schema, nullable: false };
}

function typeOf(schema: z.core.$ZodType, place: string): ColumnType {
  const said = fieldFacts.get(schema)?.column;
  if (said !== undefined) return said;
  const { def } = schema._zod as unknown as {
    def: { type: string; format?: string; options?: readonly z.core.$ZodType[] };
  };
  switch (def.type) {
    case 'string':
    case 'enum':
      return 'text';
    case 'number':
      if (def.format !== 'safeint') return 'double';
      return ((schema as z.ZodNumber).maxValue ?? Number.POSITIVE_INFINITY) > MOST_INT ? 'bigint' : 'int';
    case 'boolean':
      return 'boolean';
    case 'union':
      // A choice between texts is a text; between shapes, a shape.
      return (def.options ?? []).every((option) => /^(string|literal|enum)$/.test(option._zod.def.type))
        ? 'text'
        : 'json';
    case 'object':
    case 'array':
    case 'record':
      return 'json';
    default:
      throw new Error(`${place}: no column keeps a ${def.type}`);
  }
}

/** The columns that keep an entity's fields, in their order. */
export function columnsOf(entity: Entity): FieldColumn[] {
  return Object.entries(entity.fields).map(([field, schema]) => {
    const { schema: bare, nullable } = bareSchema(schema as z.core.$ZodType);
    return { field, type: typeOf(bare, `${entity.table}.${field}`), nullable };
  });
}
