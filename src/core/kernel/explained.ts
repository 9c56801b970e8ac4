import { type Amount, inOrder } from './amount';
import { fromMicro, toMicro } from './micro';
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
  /** Whether the value is the sum of the reasons that are in the same unit. */
  adds?: true;
  /** Told beside the reasons that add up, and not counted among them. */
  aside?: true;
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

/**
 * A figure that is the sum of its reasons: those in its own unit are added up, exactly; the others, and what is told
 * aside, are not counted.
 * @param rest may tell the range; the value itself is never given
 */
export function explainSum(
  label: string,
  unit: Exclude<Unit, 'text'>,
  because: Explained[],
  rest: Partial<Omit<Explained, 'label' | 'value' | 'unit' | 'because'>> = {},
): Explained {
  const inUnit = because.filter((line) => line.unit === unit && !line.aside).map((line) => Number(line.value));
  // Money is whole already; minutes and amounts are whole in millionths.
  const value =
    unit === 'money'
      ? inUnit.reduce((sum, one) => sum + one, 0)
      : fromMicro(inUnit.reduce((sum, one) => sum + toMicro(one), 0));
  return { label, value, unit, because, adds: true, ...rest };
}

/** A line of money with its range. */
export function explainMoney(label: string, amount: Amount, rest: Partial<Explained> = {}): Explained {
  const { low, high, atLeast } = inOrder(amount);
  return explain(label, amount.likely, 'money', { low, high, atLeast, ...rest });
}

/** A sum of money with the range that was computed for it. */
export function explainMoneySum(
  label: string,
  range: Amount,
  because: Explained[],
  rest: Partial<Omit<Explained, 'label' | 'value' | 'unit' | 'because'>> = {},
): Explained {
  const { low, high, atLeast } = inOrder(range);
  return explainSum(label, 'money', because, { low, high, atLeast, ...rest });
}
