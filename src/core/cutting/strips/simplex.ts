/** One way to cut a stick: how many of each part, and which kind of stick it is. */
export interface Pattern {
  stick: number;
  counts: readonly number[];
}

/** The linear program over patterns: its value, what each part and each limited kind of stick is worth, and the shares. */
export interface LinearCover {
  value: number;
  partDuals: number[];
  stickDuals: number[];
  shares: { pattern: Pattern; share: number }[];
}

const TINY = 1e-9;
/** More pivots than a program of this size ever takes; beyond it rounding goes in circles. */
const MOST_PIVOTS = 5000;

interface Column {
  cost: number;
  entries: number[];
  pattern: Pattern | null;
}

/**
 * Covers every part's demand with shares of patterns at the least cost, by the revised simplex method with a dense
 * inverse; columns are found as they are needed (Gilmore and Gomory, 1961).
 * @param demand how often each part is wanted
 * @param limits how many sticks of each kind there are; Infinity where they can be bought
 * @param costs what a stick of each kind costs
 * @param start for each part a pattern of an unlimited kind of stick that holds it; null where none does
 * @param best the pattern of most worth for a kind of stick, given what each part is worth
 */
export function coverLinearly(of: {
  demand: readonly number[];
  limits: readonly number[];
  costs: readonly number[];
  start: readonly (Pattern | null)[];
  best: (stick: number, worth: readonly number[]) => { counts: number[]; worth: number };
}): LinearCover {
  const parts = of.demand.length;
  const limited = of.limits.flatMap((limit, stick) => (Number.isFinite(limit) ? [stick] : []));
  const rows = parts + limited.length;
  const rowOf = new Map(limited.map((stick, n) => [stick, parts + n]));
  // What no stick can hold alone is covered at a price that nothing else reaches.
  const dear = 1e6 * (1 + Math.max(0, ...of.costs));
  const columnOf = (pattern: Pattern): Column => {
    const entries = new Array<number>(rows).fill(0);
    pattern.counts.forEach((count, part) => {
      entries[part] = count;
    });
    const row = rowOf.get(pattern.stick);
    if (row !== undefined) entries[row] = 1;
    return { cost: of.costs[pattern.stick] ?? 0, entries, pattern };
  };
  const unit = (row: number, cost: number): Column => ({
    cost,
    entries: Array.from({ length: rows }, (_, n) => (n === row ? 1 : 0)),
    pattern: null,
  });
  const basis: Column[] = of.demand.map((_, part) => {
    const pattern = of.start[part];
    return pattern ? columnOf(pattern) : unit(part, dear);
  });
  for (const stick of limited) basis.push(unit(rowOf.get(stick) ?? 0, 0));
  const inverse = Array.from({ length: rows }, (_, row) => {
    const line = new Array<number>(rows).fill(0);
    line[row] = 1 / (basis[row]?.entries[row] || 1);
    return line;
  });
  const values = [...of.demand, ...limited.map((stick) => of.limits[stick] ?? 0)].map(
    (amount, row) => amount * (inverse[row]?.[row] ?? 0),
  );
  let duals: number[] = [];
  const price = () => {
    duals = new Array<number>(rows).fill(0);
    inverse.forEach((line, row) => {
      const cost = basis[row]?.cost ?? 0;
      if (cost !== 0)
        line.forEach((entry, column) => {
          duals[column] = (duals[column] ?? 0) + cost * entry;
        });
    });
  };
  for (let pivot = 0; pivot < MOST_PIVOTS; pivot += 1) {
    price();
    let entering: Column | null = null;
    let least = -1e-7;
    // More than is wanted may be cut: a column that takes one part out, at no cost.
    for (let part = 0; part < parts; part += 1) {
      const worth = duals[part] ?? 0;
      if (worth < least) {
        least = worth;
        const column = unit(part, 0);
        column.entries[part] = -1;
        entering = column;
      }
    }
    const worths = duals.slice(0, parts).map((worth) => Math.max(0, worth));
    of.costs.forEach((cost, stick) => {
      const found = of.best(stick, worths);
      const row = rowOf.get(stick);
      const reduced = cost - found.worth - (row === undefined ? 0 : (duals[row] ?? 0));
      if (reduced < least) {
        least = reduced;
        entering = columnOf({ stick, counts: found.counts });
      }
    });
    if (entering === null) break;
    const { entries } = entering as Column;
    const moves = inverse.map((line) => line.reduce((sum, entry, n) => sum + entry * (entries[n] ?? 0), 0));
    let leaving = -1;
    let ratio = Number.POSITIVE_INFINITY;
    moves.forEach((move, row) => {
      if (move <= TINY) return;
      const here = (values[row] ?? 0) / move;
      if (here < ratio - TINY || (here < ratio + TINY && move > (moves[leaving] ?? 0))) {
        ratio = here;
        leaving = row;
      }
    });
    if (leaving < 0) break;
    const by = moves[leaving] ?? 1;
    const pivotLine = (inverse[leaving] ?? []).map((entry) => entry / by);
    inverse[leaving] = pivotLine;
    values[leaving] = ratio;
    moves.forEach((move, row) => {
      if (row === leaving || move === 0) return;
      const line = inverse[row] ?? [];
      for (let n = 0; n < rows; n += 1) line[n] = (line[n] ?? 0) - move * (pivotLine[n] ?? 0);
      values[row] = Math.max(0, (values[row] ?? 0) - move * ratio);
    });
    basis[leaving] = entering;
  }
  price();
  return {
    value: basis.reduce((sum, column, row) => sum + column.cost * (values[row] ?? 0), 0),
    partDuals: duals.slice(0, parts).map((worth) => Math.max(0, worth)),
    stickDuals: of.limits.map((_, stick) => {
      const row = rowOf.get(stick);
      return row === undefined ? 0 : (duals[row] ?? 0);
    }),
    shares: basis.flatMap(({ pattern }, row) =>
      pattern && (values[row] ?? 0) > TINY ? [{ pattern, share: values[row] ?? 0 }] : [],
    ),
  };
}
