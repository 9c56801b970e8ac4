import { assumptionDefinitions } from '../catalog/assumptions';
import { type Explained, explain } from '../kernel/explained';
import type { Plan } from './computePlan';

/** An assumption in force as a line that can be changed where it is read. */
export function explainAssumption(plan: Plan, key: string, scopes: readonly string[] = []): Explained {
  const value = plan.assumptions.get(key, scopes);
  const definition = assumptionDefinitions.get(key);
  return explain(definition?.label ?? key, value.value, definition?.unit ?? 'ratio', {
    source: value.source,
    ...(definition ? { low: definition.figure.low, high: definition.figure.high } : {}),
    assumption: { key, scope: value.scope },
  });
}
