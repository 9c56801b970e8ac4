import type { ProjectRows } from '@core/plan/rows';
import type { z } from 'zod';
import type { RowChange } from '../changes';

/** Why a command cannot be done as things stand: one sentence and the field it is about. */
export interface Refusal {
  refused: { field: string; value: unknown; accepted: string };
}

export type Decision = RowChange[] | Refusal;

/**
 * A command: its payload's schema and the decision which rows change. The decision is pure and shared: the page applies
 * it at once to what it shows, the server applies it to what is stored.
 */
export interface CommandDefinition<K extends string = string, S extends z.ZodType = z.ZodType> {
  kind: K;
  /** What the act is called in the message that offers to undo it. */
  title: string;
  payload: S;
  decide(rows: ProjectRows, payload: z.output<S>): Decision;
}

/** Keeps the payload's type while the definition is written. */
export function defineCommand<const K extends string, S extends z.ZodType>(
  definition: CommandDefinition<K, S>,
): CommandDefinition<K, S> {
  return definition;
}

/** A refusal of one field. */
export function refuse(field: string, value: unknown, accepted: string): Refusal {
  return { refused: { field, value, accepted } };
}

export function isRefusal(decision: Decision): decision is Refusal {
  return 'refused' in decision;
}
