import { laborKey } from '../../technique';
import type { PlannedLayer, StackEntry } from '../stack';
import type { ZonePlan } from '../zonePlans';

/** A layer on one zone. */
export interface LaidOn {
  zone: ZonePlan;
  entry: StackEntry;
}

/** How often a rate is taken on one piece of a zone. */
export interface RateTaken {
  /** The assumption of the rate. */
  key: string;
  units: number;
  /** Whether the units are square meters. */
  byArea: boolean;
}

/** What a coat takes on one piece of a zone: its rates together, and never less than the least of its sheets. */
export interface CoatWork {
  rates: readonly RateTaken[];
  least: RateTaken | null;
}

/** What a sheet of paper takes at the least, however small. */
const LAID_SHEET_KEY = 'labor.laidSheetMinutesEach';

/** The rate that a coat goes by; medium over paper that lies goes on as quickly as any clear coat. */
export function coatRateKey({ technique }: PlannedLayer, coat: number): string {
  return laborKey(coat > 1 && technique.laterRate !== null ? { perM2: technique.laterRate } : technique.rate);
}

/**
 * What a coat takes on one piece of a zone. The first goes by what is cut where a technique says so (letters weeded,
 * shapes applied), else by the piece (leaves, faces of film, torn paper) or by the area; coats over it by the area, or
 * by the piece where the technique knows no other rate.
 */
export function coatWork(layer: PlannedLayer, { zone: { zone }, entry }: LaidOn, coat: number): CoatWork {
  const { technique, coating } = layer;
  const demand = coat === 1 ? entry.sheet?.demand : undefined;
  if (demand?.work) {
    const rates = demand.work.map(({ rate, units }) => ({ key: laborKey({ each: rate }), units, byArea: false }));
    return { rates, least: null };
  }
  const key = coatRateKey(layer, coat);
  const isLater = coat > 1 && technique.laterRate !== null;
  if ('each' in technique.rate && !isLater) {
    const pieces =
      entry.sheet?.demand.laidPieces ?? (zone.shape.kind === 'leaves' ? zone.shape.leaves : 1) * zone.count;
    return { rates: [{ key, units: pieces, byArea: false }], least: null };
  }
  // A spray sees no texture.
  const area = coating.unit === 'can' ? entry.reachedM2.projected : entry.reachedM2.textured;
  const hasLeast = technique.family === 'paper' && (demand?.laidPieces ?? 0) > 0;
  return {
    rates: [{ key, units: area, byArea: true }],
    least: hasLeast ? { key: LAID_SHEET_KEY, units: demand?.laidPieces ?? 0, byArea: false } : null,
  };
}

/** Minutes of that work at a practiced hand, on a surface without detail. */
export function coatMinutes({ rates, least }: CoatWork, rateOf: (key: string) => number): number {
  const minutes = rates.reduce((sum, { key, units }) => sum + units * rateOf(key), 0);
  return least === null ? minutes : Math.max(minutes, least.units * rateOf(least.key));
}
