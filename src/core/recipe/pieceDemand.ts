import { noParts, type PartBag } from '../cutting/part';
import { fromMicro } from '../kernel/micro';
import { type Minutes, minutesFromMicro } from '../kernel/minutes';

/** What asks for a supply: the coats of a layer on a zone, or a step. */
export type SupplyDriver =
  | { kind: 'layer'; layerId: string; zoneKey: string }
  | { kind: 'step'; stepId: string; zoneKey: string }
  /** Making a piece from scratch. */
  | { kind: 'build'; pieceId: string; zoneKey: null }
  /** A flaw that is mended without a makeover. */
  | { kind: 'flaw'; checkId: string; zoneKey: null };

/**
 * What one piece takes of one supply for one reason: an amount (poured, counted or measured off) in millionths of the
 * supply's unit, and parts to cut from it, whose sheets, meters or boards follow only from a layout of all that is
 * cut from it together.
 */
export interface SupplyTerm {
  supplyKey: string;
  micro: number;
  parts: PartBag;
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

/** A term of an amount alone. */
export const amountTerm = (supplyKey: string, micro: number, driver: SupplyDriver): SupplyTerm => ({
  supplyKey,
  micro,
  parts: noParts,
  driver,
});

export const noDemand: PieceDemand = Object.freeze({ supplies: [], work: [] });

/** What a demand takes of each supply as amounts, in the supply's unit; parts to cut are not in it. */
export function needsOfDemand(demand: PieceDemand): Map<string, number> {
  const micro = new Map<string, number>();
  for (const term of demand.supplies)
    if (term.micro > 0) micro.set(term.supplyKey, (micro.get(term.supplyKey) ?? 0) + term.micro);
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
