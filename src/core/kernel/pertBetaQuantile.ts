import { pertBetaCdf, type ThreePoints } from './pertBeta';

/** How many steps a table of quantiles has; between them it is read along straight lines. */
const STEPS = 256;

/**
 * The value that a figure stays below with a given chance: the other way round of {@link pertBetaCdf}, found by halving.
 * @param chance 0 to 1
 */
export function pertBetaQuantile(chance: number, points: ThreePoints): number {
  if (points.high <= points.low) return points.usual;
  if (chance <= 0) return points.low;
  if (chance >= 1) return points.high;
  let [low, high] = [points.low, points.high];
  for (let turn = 0; turn < 60 && high - low > 1e-12 * Math.max(1, Math.abs(high)); turn += 1) {
    const middle = (low + high) / 2;
    if (pertBetaCdf(middle, points) < chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Where its usual value lies between its ends decides a figure's shape; so finely it is told apart. */
const SHAPES = 1000;
const unitTables = new Map<number, Float64Array>();

/** Quantiles between 0 and 1 of a figure whose usual value lies at a share of its range. */
function unitTable(usual: number): Float64Array {
  const shape = Math.round(usual * SHAPES);
  let table = unitTables.get(shape);
  if (!table) {
    const points = { low: 0, usual: shape / SHAPES, high: 1 };
    table = Float64Array.from({ length: STEPS + 1 }, (_entry, n) => pertBetaQuantile(n / STEPS, points));
    unitTables.set(shape, table);
  }
  return table;
}

/** Quantiles of one figure, to be drawn from again and again; figures of one shape share their table. */
export class QuantileTable {
  private readonly low: number;
  private readonly width: number;
  private readonly usual: number;
  private readonly table: Float64Array | null;

  constructor({ low, usual, high }: ThreePoints) {
    this.low = low;
    this.width = high - low;
    this.usual = usual;
    this.table = this.width > 0 ? unitTable((usual - low) / this.width) : null;
  }

  /** The value at a chance from 0 to 1. */
  at(chance: number): number {
    const { table } = this;
    if (!table) return this.usual;
    const place = chance * STEPS;
    const n = Math.min(STEPS - 1, Math.floor(place));
    const [below, above] = [table[n] ?? 0, table[n + 1] ?? 0];
    return this.low + this.width * (below + (above - below) * (place - n));
  }

  /** Whether it can only be one value. */
  get isSure(): boolean {
    return this.table === null;
  }
}
