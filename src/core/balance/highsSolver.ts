import type { Highs, HighsCallbackMap, Model } from 'highs';
import type { LinearModel, SolveAsk, Solved, Solver } from './linearModel';

/**
 * How the solver is set for programs of this kind, found by trying on many: it does not start anew (the slowest of twenty
 * take half as long without), does not round by reduced costs at the root, does not look for symmetries, which these
 * programs hardly have, and trusts a branch after two looks. Where a good answer is known to begin from, it looks little
 * for others itself.
 */
const SETTINGS = {
  output_flag: false,
  mip_allow_restart: false,
  mip_detect_symmetry: false,
  mip_heuristic_run_root_reduced_cost: false,
  mip_pscost_minreliable: 2,
} as const;
const WITH_START = { mip_heuristic_effort: 0.05 } as const;

/** Rows of a model as arrays, row by row. */
function arraysOf({ columns, rows, goal }: LinearModel, infinity: number) {
  const bounded = (value: number) => (Number.isFinite(value) ? value : Math.sign(value) * infinity);
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [column, factor] of terms) {
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  const cost = columns.map(() => 0);
  for (const [column, factor] of goal.terms) cost[column] = factor;
  return {
    numCols: columns.length,
    numRows: rows.length,
    offset: goal.constant,
    colCost: cost,
    colLower: columns.map(({ lower }) => bounded(lower)),
    colUpper: columns.map(({ upper }) => bounded(upper)),
    rowLower: rows.map(({ lower }) => bounded(lower)),
    rowUpper: rows.map(({ upper }) => bounded(upper)),
    integrality: Int32Array.from(columns, ({ isWhole }) => (isWhole ? 1 : 0)),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts: Int32Array.from(starts),
      indices: Int32Array.from(indices),
      values: Float64Array.from(values),
    },
  } as const;
}

/**
 * The solver of the `highs` package behind our port. Each question has an instance of its own, which is given back at the
 * end whatever happens.
 * @param highs the package, loaded where its WebAssembly lies
 */
export function highsSolver(highs: Highs): Solver {
  return (ask) => {
    try {
      return solve(highs, ask);
    } catch (error) {
      // Out of memory, or a fault of its own: an answer like others, so that the page stays usable.
      return { kind: 'noAnswer', reason: error instanceof Error ? error.message : String(error) };
    }
  };
}

function solve(highs: Highs, ask: SolveAsk): Solved {
  const { callbackType, modelStatus } = highs.constants;
  if (ask.model.columns.length === 0) return solvedWithoutColumns(ask.model);
  return highs.withModel(arraysOf(ask.model, highs.infinity), (model): Solved => {
    model.options.set({
      ...SETTINGS,
      ...(ask.start ? WITH_START : {}),
      time_limit: ask.seconds,
      mip_abs_gap: ask.absoluteGap,
      mip_rel_gap: ask.relativeGap,
    });
    if (ask.start) begin(model, ask.start);
    let values: readonly number[] | null = null;
    let isStopped = false;
    const told = { best: Number.POSITIVE_INFINITY, bound: Number.NEGATIVE_INFINITY };
    const report = (found: readonly number[] | null) => {
      if (!ask.report({ ...told, values: found })) isStopped = true;
    };
    const note = (data: { mip_primal_bound?: number; mip_dual_bound?: number }) => {
      told.best = data.mip_primal_bound ?? told.best;
      told.bound = data.mip_dual_bound ?? told.bound;
    };
    const callbacks: HighsCallbackMap = {
      [callbackType.mipImprovingSolution](event) {
        note(event.data);
        values = event.data.mip_solution ? [...event.data.mip_solution] : values;
        report(values);
        return undefined;
      },
      [callbackType.mipLogging](event) {
        note(event.data);
        report(null);
        return undefined;
      },
      [callbackType.mipInterrupt](event) {
        if (isStopped) event.interrupt();
        return undefined;
      },
    };
    model.run(callbacks);
    const status = model.getModelStatus();
    if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible)
      return { kind: 'impossible' };
    const isProven = status === modelStatus.optimal;
    const found = isProven ? [...model.getSolution().colValue] : values;
    if (found === null) return { kind: 'noAnswer', reason: `it ended as ${statusName(modelStatus, status)}` };
    const bound = Number(model.info.get('mip_dual_bound'));
    return { kind: isProven ? 'proven' : 'stopped', values: found, bound };
  });
}

/** Begins from some values; where these do not fit after all, the search begins from nothing. */
function begin(model: Model, start: NonNullable<SolveAsk['start']>): void {
  try {
    model.setSolution({ indices: start.map(([column]) => column), values: start.map(([, value]) => value) });
  } catch {
    model.clearSolver();
  }
}

/** Without a column there is one answer, if any. */
function solvedWithoutColumns({ rows, goal }: LinearModel): Solved {
  const holds = rows.every(({ lower, upper }) => lower <= 0 && upper >= 0);
  return holds ? { kind: 'proven', values: [], bound: goal.constant } : { kind: 'impossible' };
}

const statusName = (names: Readonly<Record<string, number>>, status: number): string =>
  Object.entries(names).find(([, code]) => code === status)?.[0] ?? String(status);
