import { type Assumptions, assumptionDefinitions } from '../../catalog/assumptions';
import { type Explained, explain } from '../../kernel/explained';

/** An assumption in force as a line that can be changed where it is read. */
export function explainAssumption(assumptions: Assumptions, key: string, scopes: readonly string[] = []): Explained {
  const value = assumptions.get(key, scopes);
  const definition = assumptionDefinitions.get(key);
  return explain(definition?.label ?? key, value.value, definition?.unit ?? 'ratio', {
    source: value.source,
    ...(definition ? { low: definition.figure.low, high: definition.figure.high } : {}),
    assumption: { key, scope: value.scope },
  });
}
