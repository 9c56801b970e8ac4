import type { z } from 'zod';
import type { Problem } from './act';

function valueAt(input: unknown, path: readonly PropertyKey[]): unknown {
  let value: unknown = input;
  for (const key of path) {
    if (value === null || typeof value !== 'object') return undefined;
    value = (value as Record<PropertyKey, unknown>)[key];
  }
  return value;
}

/** Turns a schema's refusal into problems, one for each place. */
export function problemsOfSchema(error: z.core.$ZodError, input: unknown): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  for (const issue of error.issues) {
    const path = issue.code === 'unrecognized_keys' ? [...issue.path, issue.keys[0] ?? ''] : issue.path;
    const field = path.map(String).join('.');
    if (seen.has(field)) continue;
    seen.add(field);
    const value = valueAt(input, path);
    const shown = typeof value === 'string' && value.length > 200 ? `${value.slice(0, 200)}…` : value;
    problems.push({
      field: field || '(all)',
      value: shown ?? null,
      accepted: issue.code === 'unrecognized_keys' ? 'no such field' : issue.message,
    });
  }
  return problems;
}
