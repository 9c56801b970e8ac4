import type { z } from 'zod';
import { allEntities, type ChangedTable, entityOf } from '../entities';
import type { Entity } from '../entity';
import { fieldFacts } from '../fields';
import { bareSchema } from './columns';

/** One id in a row that points to another row. */
export interface Reference {
  /** Where it stands in the row: field names and places in lists. */
  path: readonly (string | number)[];
  /** The table that it points into; `photoBytes` are no rows. */
  table: string;
  id: string;
  /** Whether the row need not be there any more. */
  isOnce?: true;
}

/** What stands in a reference's place: another id, or null where the form allows nothing. */
type Change = (reference: Reference) => string | null;

/** What a part of a row's form has to do with references: nothing, or how to go through it. */
type Walker = (value: unknown, path: readonly (string | number)[], change: Change) => unknown;

interface Def {
  type: string;
  shape?: Readonly<Record<string, z.core.$ZodType>>;
  element?: z.core.$ZodType;
  keyType?: z.core.$ZodType;
  valueType?: z.core.$ZodType;
  options?: readonly z.core.$ZodType[];
  discriminator?: string;
}

/** The values by which one form of a union is told apart. */
function marksOf(option: z.core.$ZodType, discriminator: string): unknown[] {
  const mark = (option._zod.def as unknown as Def).shape?.[discriminator];
  return [...((mark?._zod.def as unknown as { values?: readonly unknown[] } | undefined)?.values ?? [])];
}

/** Makes the walker of a form once; null where no reference can stand in it. */
function walkerOf(given: z.core.$ZodType): Walker | null {
  const { schema, nullable } = bareSchema(given);
  const facts = fieldFacts.get(schema);
  if (facts?.refersTo !== undefined) {
    const table = facts.refersTo;
    return (value, path, change) => {
      if (typeof value !== 'string') return value;
      const wanted = change({ path, table, id: value });
      if (wanted === null && !nullable) throw new Error(`${path.join('.')} cannot be left empty`);
      return wanted;
    };
  }
  if (facts?.onceReferredTo !== undefined) {
    const table = facts.onceReferredTo;
    return (value, path, change) =>
      typeof value === 'string' ? (change({ path, table, id: value, isOnce: true }) ?? value) : value;
  }
  if (facts?.idsIn !== undefined) {
    const { idsIn } = facts;
    return (value, path, change) =>
      typeof value === 'string'
        ? idsIn.read(value).reduce((text, { table, id }) => text.replace(id, change({ path, table, id }) ?? id), value)
        : value;
  }
  const def = schema._zod.def as unknown as Def;
  switch (def.type) {
    case 'object': {
      const inner = Object.entries(def.shape ?? {}).flatMap(([key, part]): [string, Walker][] => {
        const walker = walkerOf(part);
        return walker ? [[key, walker]] : [];
      });
      if (inner.length === 0) return null;
      return (value, path, change) => {
        if (value === null || typeof value !== 'object') return value;
        let result = value as Record<string, unknown>;
        for (const [key, walker] of inner) {
          const before = result[key];
          const after = walker(before, [...path, key], change);
          if (after !== before) result = { ...result, [key]: after };
        }
        return result;
      };
    }
    case 'array': {
      const walker = def.element ? walkerOf(def.element) : null;
      if (!walker) return null;
      return (value, path, change) => {
        if (!Array.isArray(value)) return value;
        const after = value.map((entry, n) => walker(entry, [...path, n], change));
        return after.some((entry, n) => entry !== value[n]) ? after : value;
      };
    }
    case 'record': {
      const walker = def.valueType ? walkerOf(def.valueType) : null;
      if (!walker) return null;
      return (value, path, change) => {
        if (value === null || typeof value !== 'object') return value;
        const before = Object.entries(value);
        const after = before.map(([key, entry]) => [key, walker(entry, [...path, key], change)] as const);
        return after.some(([, entry], n) => entry !== before[n]?.[1]) ? Object.fromEntries(after) : value;
      };
    }
    case 'union': {
      const options = (def.options ?? []).map((option) => ({ option, walker: walkerOf(option) }));
      if (options.every(({ walker }) => walker === null)) return null;
      const { discriminator } = def;
      if (discriminator !== undefined) {
        // Told apart by one field, whose value names the form.
        const byMark = new Map(
          options.flatMap(({ option, walker }) => marksOf(option, discriminator).map((mark) => [mark, walker])),
        );
        return (value, path, change) => {
          if (value === null || typeof value !== 'object') return value;
          const walker = byMark.get((value as Record<string, unknown>)[discriminator]);
          return walker ? walker(value, path, change) : value;
        };
      }
      return (value, path, change) => {
        const taken = options.find(({ option }) => (option as z.ZodType).safeParse(value).success);
        return taken?.walker ? taken.walker(value, path, change) : value;
      };
    }
    default:
      return null;
  }
}

const walkers = new Map<string, readonly [string, Walker][]>();

/** The fields of an entity in which references can stand. */
function fieldWalkers(entity: Entity): readonly [string, Walker][] {
  const known = walkers.get(entity.table);
  if (known) return known;
  const made = Object.entries(entity.fields).flatMap(([field, schema]): [string, Walker][] => {
    const walker = walkerOf(schema as z.core.$ZodType);
    return walker ? [[field, walker]] : [];
  });
  walkers.set(entity.table, made);
  return made;
}

/** Every reference of a row that has to lead somewhere, its own id's among them where that points elsewhere. */
export function referencesOf(table: ChangedTable, row: Readonly<Record<string, unknown>>): Reference[] {
  const entity = entityOf(table);
  const found: Reference[] = [];
  const take: Change = (reference) => {
    if (reference.isOnce !== true) found.push(reference);
    return reference.id;
  };
  if (entity.idRefersTo !== null) found.push({ path: ['id'], table: entity.idRefersTo, id: String(row.id) });
  for (const [field, walker] of fieldWalkers(entity)) walker(row[field], [field], take);
  return found;
}

/**
 * A row with its references changed, the input untouched; one that nothing changes in is given back as it is.
 * @param change the id to put in a reference's place, or null to leave it empty
 */
export function withReferences<R extends Readonly<Record<string, unknown>>>(
  table: ChangedTable,
  row: R,
  change: (reference: Reference) => string | null,
): R {
  let result = row;
  for (const [field, walker] of fieldWalkers(entityOf(table))) {
    const before = row[field];
    const after = walker(before, [field], change);
    if (after !== before) result = { ...result, [field]: after };
  }
  return result;
}

/** A field of a table that is itself a reference: what a foreign key can guard. */
export interface ReferenceField {
  field: string;
  table: string;
}

/** The fields of an entity that are a reference as a whole. */
export function referenceFields(entity: Entity): ReferenceField[] {
  return Object.entries(entity.fields).flatMap(([field, schema]) => {
    const table = fieldFacts.get(bareSchema(schema as z.core.$ZodType).schema)?.refersTo;
    return table === undefined ? [] : [{ field, table }];
  });
}

/** Every table that a form's references can point into, but for those that need not be there. */
function tablesIn(given: z.core.$ZodType): string[] {
  const { schema } = bareSchema(given);
  const facts = fieldFacts.get(schema);
  if (facts?.refersTo !== undefined) return [facts.refersTo];
  if (facts?.idsIn !== undefined) return [...facts.idsIn.tables];
  const def = schema._zod.def as unknown as Def;
  if (facts?.onceReferredTo !== undefined) return [];
  const parts = [...Object.values(def.shape ?? {}), ...(def.options ?? []), def.element, def.valueType];
  return parts.flatMap((part) => (part ? tablesIn(part) : []));
}

/** Fields of an entity that hold references somewhere inside, with the tables that those point into. */
export function nestedReferenceFields(entity: Entity): { field: string; tables: ReadonlySet<string> }[] {
  const whole = new Set(referenceFields(entity).map(({ field }) => field));
  return fieldWalkers(entity)
    .map(([field]) => field)
    .filter((field) => !whole.has(field))
    .map((field) => ({ field, tables: new Set(tablesIn(entity.fields[field] as z.core.$ZodType)) }))
    .filter(({ tables }) => tables.size > 0);
}

/** Tables in an order in which every foreign key points to an earlier one; a table may point to itself. */
export function writeOrder(): readonly ChangedTable[] {
  const order: ChangedTable[] = [];
  const done = new Set<string>();
  const visit = (entity: Entity<ChangedTable>, trail: readonly string[]) => {
    if (done.has(entity.table)) return;
    if (trail.includes(entity.table))
      throw new Error(`entities refer in a circle: ${[...trail, entity.table].join(' → ')}`);
    for (const { table } of referenceFields(entity)) {
      const target = allEntities.find((other) => other.table === table);
      if (target && target !== entity) visit(target, [...trail, entity.table]);
    }
    done.add(entity.table);
    order.push(entity.table);
  };
  for (const entity of allEntities) visit(entity, []);
  return order;
}
