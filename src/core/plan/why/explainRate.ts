import { type Explained, explain } from '../../kernel/explained';
import { calculated } from '../../kernel/source';
import type { Plan } from '../computePlan';
import { explainAssumption } from './explainAssumption';
import type { StepRate } from './ratesOfStep';

/** A rate that minutes go by; where it is taken by the piece or the meter, with how often, and what that comes to. */
export function explainRate(plan: Plan, { key, units }: StepRate): Explained {
  const rate = explainAssumption(plan.assumptions, key);
  if (units === null) return rate;
  const rounded = Math.round(units * 100) / 100;
  return explain(rate.label, units * Number(rate.value), 'minutes', {
    source: calculated,
    note: `${rounded} ×, at a practiced hand`,
    because: [rate],
  });
}
