import { z } from 'zod';
import { id, version } from './fields';

/** Whom a row belongs to: the whole studio (the house), or one project. */
export type Owner = 'studio' | 'project';

/**
 * Whether a row goes along in a project's file, and into a copy made through one:
 * - `always`: every row that the project's snapshot holds;
 * - `referred`: when a row that goes along refers to it;
 * - `companion`: the same, and also when everything that it refers to goes along itself;
 * - `never`: it stays where it is; what refers to it goes without it.
 */
export type Travel = 'always' | 'referred' | 'companion' | 'never';

/** Which rows of a table a project's snapshot holds. */
export type Snapshot<Field extends string = string> = 'all' | 'linked' | 'none' | { sharing: Field } | { along: Field };

/** What an entity says of itself. */
export interface EntityFacts<T extends string, F extends z.core.$ZodLooseShape, O extends Owner = Owner> {
  /** Its name in snapshots, files and changes: the plural. */
  table: T;
  /** Its name in the database: the singular. */
  name: string;
  /** What a person calls one of them. */
  noun: string;
  owner: O;
  /** Every field by name, without id and version; the order is the order of the columns. */
  fields: F;
  travels: Travel;
  /**
   * What of it a project's snapshot holds:
   * - `all`: every row; `none`: no row;
   * - `linked`: rows that the project refers to;
   * - `sharing` a field: those, and rows whose field says the same as something the project refers to, or nothing;
   * - `along` a field: rows whose field refers to a row that the snapshot holds.
   */
  snapshot?: Snapshot<string & keyof F>;
  /** What of it the house holds: all its rows, or those that are asked for, as there are too many. */
  house?: 'all' | 'asked';
  /** Sets of fields that no two live rows of one owner share. */
  unique?: readonly (readonly (string & keyof F)[])[];
  /** Sets of fields that searches go by. */
  indexed?: readonly (readonly (string & keyof F)[])[];
  /** How many there may be, of a project or of the whole studio. */
  most?: { count: number; per: 'project' | 'studio' };
  /** In whose words it is refused to go while something still points to it. */
  keptWhile?: string;
  /** What becomes of a row that would go and cannot, since the books name it: nothing of it counts any more. */
  remains?: { readonly [K in string & keyof F]?: z.output<F[K]> };
  /** Never changed or removed, only reversed. */
  record?: boolean;
  /** The id itself points into this table: the row is about that other row. */
  idRefersTo?: string;
}

/** One kind of row: its fields, said once. Types, schemas, columns, references, files and fixtures derive from it. */
export interface Entity<
  T extends string = string,
  F extends z.core.$ZodLooseShape = z.core.$ZodLooseShape,
  O extends Owner = Owner,
> extends Required<Omit<EntityFacts<T, F, O>, 'idRefersTo' | 'unique' | 'indexed' | 'most' | 'snapshot'>> {
  snapshot: Snapshot;
  unique: readonly (readonly string[])[];
  indexed: readonly (readonly string[])[];
  idRefersTo: string | null;
  most: { count: number; per: 'project' | 'studio' } | null;
  /** The whole row with id and version, and the rules that hold across its fields. */
  row: z.ZodObject<{ id: typeof id; version: typeof version } & F, z.core.$strict>;
}

/** Every row has an id made on the device and a version that each write raises. */
export interface Row {
  id: string;
  version: number;
}

/** A rule across the fields of one row: the field that it speaks of and what would be accepted, or null. */
export type RowRule<R> = (row: R) => { field: string; accepted: string } | null;

/**
 * Defines an entity. To add a table: one file with one call of this, one line in `entities.ts`, one migration.
 * @param rules what must hold across the fields of a row
 */
export function defineEntity<const T extends string, F extends z.core.$ZodLooseShape, const O extends Owner>(
  facts: EntityFacts<T, F, O>,
  ...rules: RowRule<z.output<Entity<T, F, O>['row']>>[]
): Entity<T, F, O> {
  const plain = z.strictObject({ id, version, ...facts.fields }) as unknown as Entity<T, F, O>['row'];
  const row = rules.reduce(
    (schema, rule) =>
      schema.superRefine((value, context) => {
        const problem = rule(value);
        if (problem) context.addIssue({ code: 'custom', path: [problem.field], message: problem.accepted });
      }),
    plain,
  );
  return {
    snapshot: 'all',
    house: 'all',
    unique: [],
    indexed: [],
    record: false,
    idRefersTo: null,
    most: null,
    remains: {},
    keptWhile: `a ${facts.noun} that nothing needs any more`,
    ...facts,
    row,
  };
}
