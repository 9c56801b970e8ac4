import { fromMicro } from '../kernel/micro';
import { type Minutes, minutesFromMicro } from '../kernel/minutes';

/** What asks for a supply: the coats of a layer on a zone, or a step. */
export type SupplyDriver =
  | { kind: 'layer'; layerId: string; zoneKey: string }
  | { kind: 'step'; stepId: string; zoneKey: string }
  /** A flaw that is mended without a makeover. */
  | { kind: 'flaw'; checkId: string; zoneKey: null };

/** What one piece takes of one supply for one reason; in millionths of the supply's unit. */
export interface SupplyTerm {
  supplyKey: string;
  micro: number;
  driver: SupplyDriver;
}

/** Hands-on work of one step on one piece, overhead not in it; in millionths of a minute. */
export interface WorkTerm {
  stepId: string;
  micro: Minutes;
}

/** What one piece of a find asks for in a recipe, term by term: every sum and every explanation reads these. */
export interface PieceDemand {
  supplies: readonly SupplyTerm[];
  work: readonly WorkTerm[];
}

export const noDemand: PieceDemand = Object.freeze({ supplies: [], work: [] });

/** What a demand takes of each supply, in the supply's unit. */
export function needsOfDemand(demand: PieceDemand): Map<string, number> {
  const micro = new Map<string, number>();
  for (const term of demand.supplies) micro.set(term.supplyKey, (micro.get(term.supplyKey) ?? 0) + term.micro);
  return new Map([...micro].map(([key, amount]) => [key, fromMicro(amount)]));
}

/** Hands-on minutes of a demand, overhead not in them. */
export function minutesOfDemand(demand: PieceDemand): Minutes {
  const sum = { low: 0, likely: 0, high: 0 };
  for (const { micro } of demand.work) {
    sum.low += micro.low;
    sum.likely += micro.likely;
    sum.high += micro.high;
  }
  return minutesFromMicro(sum);
}
