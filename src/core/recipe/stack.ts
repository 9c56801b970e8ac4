import type { Coating } from '../catalog/coating';
import type { StockFacts } from '../catalog/stockFacts';
import type { Joint } from '../state/joint';
import type { SurfaceState } from '../state/surfaceState';
import { isFilm, type SheetDemand } from '../technique/sheetWork';
import type { QuantityInput, Technique } from '../technique/technique';
import type { Candidate, CandidateWork } from './candidates';
import type { CoatCount } from './coatCount';
import type { Exposed } from './exposed';
import type { RecipeFinding } from './recipeSentences';

/** A layer of the plan: chosen by the stylist, or proposed because a joint or a use asks for it. */
export interface PlannedLayer extends Omit<Candidate, 'coats'> {
  supplyKey: string;
}

/** A work of the plan that lays nothing, with the zones it is done on. */
export interface PlannedWork extends CandidateWork {
  zoneKeys: string[];
  waitHours: number;
}

/** One layer on one zone: the joint below it, its coats, what it takes of one piece, the state it leaves. */
export interface StackEntry {
  layerId: string;
  joint: Joint;
  coats: CoatCount;
  /** What comes out of the can, in the coating's unit. */
  amount: number;
  /** The share of it that the coats take which are not left out, 0 to 1. */
  laidShare: number;
  /** Water that a mix takes beside it, mL. */
  waterMl: number;
  /** What the amount was computed from. */
  quantity: QuantityInput;
  /** The assumption that the absorption of the first coat is from; null where a coat beneath took it. */
  absorptionKey: string | null;
  /** Area that the technique reaches, projected and with its texture, m². */
  reachedM2: { projected: number; textured: number };
  /** What is cut for it, and from which supply; null where nothing is. */
  sheet: { supplyKey: string; stock: StockFacts; demand: SheetDemand } | null;
  below: SurfaceState;
  leaves: SurfaceState;
}

export interface ZoneStacks {
  layers: PlannedLayer[];
  works: PlannedWork[];
  stacks: Map<string, StackEntry[]>;
  /** What lies open of each zone at the end. */
  exposed: Map<string, Exposed>;
  /** What there is to say of them; gathered when it is asked for. */
  findings(): RecipeFinding[];
}

/** The assumption that a layer's loss stands under; a spray can has none, its rate holds it, and what is cut loses none. */
export function lossKey(coating: Coating, technique: Technique): string | null {
  return coating.unit !== 'mL' ? null : (technique.lossKey ?? `coating.${coating.id}.lossPercent`);
}

/** The assumption that a coating's own spreading rate stands under. */
export function coatingRateKey({ id, unit }: Coating): string {
  return `coating.${id}.${unit === 'can' ? 'spreadingRateM2PerCan' : 'spreadingRateM2PerL'}`;
}

/** The assumption that a layer's spreading rate stands under; none for a film, which covers as far as it is wide. */
export function spreadingRateKey(coating: Coating, technique: Technique): string | null {
  return isFilm(coating) ? null : (technique.spreadingRateKey ?? coatingRateKey(coating));
}

/** The share of a layer's amount that one coat takes: the first coat also takes the absorption. */
export function coatShare({ quantity: { absorption, coats } }: Pick<StackEntry, 'quantity'>, coat: number): number {
  return (coat === 1 ? absorption : 1) / (absorption + coats - 1);
}

/** The step that lays a coat: on both faces at once, or on the first face and on the other. */
export const coatStepId = (layerId: string, coat: number, face: 'first' | 'back'): string =>
  `coat:${layerId}:${coat}${face === 'back' ? ':back' : ''}`;
