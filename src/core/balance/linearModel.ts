/** A sum of columns, each times a factor, and a constant. */
export interface Sum {
  readonly terms: ReadonlyMap<number, number>;
  readonly constant: number;
}

/** A column of a linear program: its bounds, and whether it takes whole numbers only. */
export interface Column {
  lower: number;
  upper: number;
  isWhole: boolean;
}

/** A row: what the sum of some columns, each times a factor, may lie between. */
export interface Row {
  lower: number;
  upper: number;
  terms: ReadonlyMap<number, number>;
}

/** A mixed-integer linear program: the least of a sum of columns within bounds and rows. */
export interface LinearModel {
  columns: readonly Column[];
  rows: readonly Row[];
  goal: Sum;
}

/** A sum that is added up term by term. */
export class GrowingSum implements Sum {
  readonly terms = new Map<number, number>();
  constant = 0;

  /** Adds a column times a factor. */
  add(column: number, factor: number): this {
    if (factor !== 0) this.terms.set(column, (this.terms.get(column) ?? 0) + factor);
    return this;
  }

  /** Adds another sum times a factor. */
  addSum({ terms, constant }: Sum, factor = 1): this {
    for (const [column, own] of terms) this.add(column, own * factor);
    this.constant += constant * factor;
    return this;
  }

  /** What it comes to at some values of the columns. */
  at(values: readonly number[]): number {
    let sum = this.constant;
    for (const [column, factor] of this.terms) sum += factor * (values[column] ?? 0);
    return sum;
  }
}

/** A linear program while it is built. */
export class ModelBuilder {
  readonly columns: Column[] = [];
  readonly rows: Row[] = [];

  /** A column; its place. */
  column(lower: number, upper: number, isWhole: boolean): number {
    this.columns.push({ lower, upper, isWhole });
    return this.columns.length - 1;
  }

  /** A sum that may be at most so much; its constant is taken over to the other side. */
  atMost({ terms, constant }: Sum, upper: number): void {
    this.rows.push({ lower: Number.NEGATIVE_INFINITY, upper: upper - constant, terms });
  }

  /** A sum that must be at least so much. */
  atLeast({ terms, constant }: Sum, lower: number): void {
    this.rows.push({ lower: lower - constant, upper: Number.POSITIVE_INFINITY, terms });
  }
}

/** What a search has come to so far. */
export interface SolveProgress {
  /** The best value found, and the best that there can still be; infinite while unknown. */
  best: number;
  bound: number;
  /** The columns of a better answer, where this one is new. */
  values: readonly number[] | null;
}

/** What a solver is asked. */
export interface SolveAsk {
  model: LinearModel;
  /** Values of some columns to begin from, where an answer with them is known. */
  start: readonly (readonly [column: number, value: number])[] | null;
  /** It may end as soon as no better answer can be better by more than this. */
  absoluteGap: number;
  /** The same as a share of the best value. */
  relativeGap: number;
  /** The most that it may take, seconds. */
  seconds: number;
  /** Is told how far it is; false stops it. */
  report(progress: SolveProgress): boolean;
}

/** What a solver answers: the least is proven, or the best so far, or there is none. */
export type Solved =
  | { kind: 'proven' | 'stopped'; values: readonly number[]; bound: number }
  | { kind: 'impossible' }
  /** It ended without an answer: out of time or of memory, or it broke. */
  | { kind: 'noAnswer'; reason: string };

/** Solves a mixed-integer linear program; the port behind which a solver package stands. */
export type Solver = (ask: SolveAsk) => Solved;
