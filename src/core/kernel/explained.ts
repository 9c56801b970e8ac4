import type { Source } from './source';

export type Unit =
  | 'money'
  | 'moneyPerHour'
  | 'minutes'
  | 'hours'
  | 'days'
  | 'instant'
  | 'm2'
  | 'mm'
  | 'mL'
  | 'can'
  | 'm2PerL'
  | 'm2PerCan'
  | 'minPerM2'
  | 'celsius'
  | 'percent'
  | 'ratio'
  | 'coats'
  | 'deltaE'
  | 'each'
  | 'text';

/** An assumption that can be changed where it is read: its key and the scope the change would have. */
export interface AssumptionRef {
  key: string;
  scope: string;
}

/**
 * A figure with its reasons: a small tree of labeled inputs. `value` is in `unit`
 * (money in minor units, instants in epoch milliseconds); `low` and `high` are given where it is a range.
 */
export interface Explained {
  label: string;
  value: number | string;
  unit: Unit;
  low?: number;
  high?: number;
  atLeast?: boolean;
  source?: Source;
  note?: string;
  assumption?: AssumptionRef;
  because: Explained[];
}

/** Builds one line of an explanation; `because` defaults to no further reasons. */
export function explain(
  label: string,
  value: number | string,
  unit: Unit,
  rest: Partial<Omit<Explained, 'label' | 'value' | 'unit'>> = {},
): Explained {
  return { label, value, unit, because: [], ...rest };
}
