import type { z } from 'zod';
import type { HouseRows, ProjectRows } from '../model/rows';
import type { RowChange } from './changes';

/** Why something cannot be done as things stand: the field it is about, its value, what would be accepted. */
export interface Problem {
  field: string;
  value: unknown;
  accepted: string;
}

export interface Refusal {
  refused: Problem;
}

export type Decision = RowChange[] | Refusal;

/** Where an act can be done: in a project, or with the house's rows alone (then within a project too). */
export type Place = 'project' | 'house';

/**
 * An act: its payload's schema and the decision which rows change. The decision is pure and shared: the page applies it
 * at once to what it shows, the server to what is stored. What every act must leave intact stands in `invariants/`.
 */
export interface Act<K extends string = string, S extends z.ZodType = z.ZodType, P extends Place = Place> {
  kind: K;
  /** What the act is called in the message that offers to undo it. */
  title: string;
  /** The same where it depends on what was said: "Bought: oak bench". */
  titleFor?(payload: z.output<S>): string;
  place: P;
  payload: S;
  decide(rows: P extends 'project' ? ProjectRows : HouseRows, payload: z.output<S>): Decision;
}

/** An act that needs an open project. */
export function projectAct<const K extends string, S extends z.ZodType>(
  act: Omit<Act<K, S, 'project'>, 'place'>,
): Act<K, S, 'project'> {
  return { ...act, place: 'project' };
}

/** An act that touches only what all projects share. */
export function houseAct<const K extends string, S extends z.ZodType>(
  act: Omit<Act<K, S, 'house'>, 'place'>,
): Act<K, S, 'house'> {
  return { ...act, place: 'house' };
}

/** A refusal of one field. */
export function refuse(field: string, value: unknown, accepted: string): Refusal {
  return { refused: { field, value, accepted } };
}

/** Whether a decision refuses. */
export function isRefusal(decision: Decision): decision is Refusal {
  return 'refused' in decision;
}
