import type { InputFinding } from './inputSentences';

/** An expected outcome: a value, or the findings that say why there is none. Bugs throw instead. */
export type Result<T> = { ok: true; value: T } | { ok: false; findings: readonly [InputFinding, ...InputFinding[]] };

/** Wraps a value that could be computed. */
export function succeed<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** Wraps the findings that explain why nothing could be computed. */
export function fail<T>(...findings: [InputFinding, ...InputFinding[]]): Result<T> {
  return { ok: false, findings };
}
