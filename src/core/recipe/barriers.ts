import { type Coating, isWaterborne } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { substrates } from '../catalog/substrates';
import { isBroken, type Joint } from '../state/joint';
import type { SurfaceState } from '../state/surfaceState';
import { type Candidate, proposedCandidate } from './candidates';
import { decisiveJoint, type Exposed, uppermost } from './exposed';
import { stateAfter } from './laidState';
import { primerColumnOf } from './primerColumn';
import type { ZonePlan } from './zonePlans';

/** Whether a barrier would hide the ground that the coat above lets show: an opaque primer under a stain. */
export function hidesGround(barrier: Coating, over: Pick<Candidate, 'technique' | 'coating' | 'values'>): boolean {
  const showsGround = over.technique.opacity(over.coating, over.values) !== null;
  return showsGround && barrier.role === 'primer' && barrier.primer?.color !== null;
}

/** Conditioners go with a stain of their own base. */
function sameBase(primer: Coating, over: Coating): boolean {
  return primer.group !== 'conditioner' || isWaterborne(primer) === isWaterborne(over);
}

/** The coatings that a ground names to go in between for what comes above. */
function groundPrimers(ground: SurfaceState, coating: Coating): readonly string[] {
  const column = primerColumnOf(coating);
  if (column === null || ground.productId !== null) return [];
  return substrates.find(ground.substrateId)?.primer?.[column].primers ?? [];
}

/**
 * What a row names to go in between where a joint does not hold: the joint's own remedies, then the ground's column,
 * with a bonding primer first where nothing may be scuffed. Nothing else is ever laid in between.
 */
export function barriersNamed(zone: ZonePlan, ground: SurfaceState, joint: Joint, coating: Coating): string[] {
  const wanted = [
    ...joint.remedies.flatMap((remedy) => (remedy.kind === 'between' ? [remedy.coatingId] : [])),
    ...groundPrimers(ground, coating),
  ];
  if (zone.noSand && ground.origin === 'oldFinish') wanted.unshift('bondingPrimer');
  return [...new Set(wanted)];
}

/** Whether a coat holds where it is laid, by what is known, and what comes above holds on it. */
export function holdsBetween(laid: Candidate, exposed: Exposed, over: Candidate, noSand: boolean): boolean {
  const lower = decisiveJoint(exposed, { noSand, ...laid });
  // What nobody knows is for the stylist to try, not for the plan to propose.
  if (isBroken(lower) || lower.verdict === 'notKnown') return false;
  const on: Exposed = [stateAfter(laid, uppermost(exposed), 1)];
  return !isBroken(decisiveJoint(on, { noSand, ...over }));
}

/**
 * The barrier that mends a joint: the first named one that itself holds and carries what comes above; null when none
 * does. Where the joint holds already, a school asks for a primer and a bonding primer will do.
 */
export function barrierFor(zone: ZonePlan, exposed: Exposed, joint: Joint, over: Candidate): Coating | null {
  // What lies there once it is prepared: stripped, it is the material's column that speaks.
  const ground = uppermost(exposed);
  const wanted = barriersNamed(zone, ground, joint, over.coating);
  if (!isBroken(joint)) wanted.push('bondingPrimer');
  for (const id of wanted) {
    const barrier = coatings.find(id);
    if (!barrier || (barrier.role !== 'primer' && barrier.role !== 'clear')) continue;
    if (!sameBase(barrier, over.coating)) continue;
    if (hidesGround(barrier, over)) continue;
    const laid = proposedCandidate('', barrier, 0, barrier.sheens[0] ?? 'matt');
    if (holdsBetween(laid, exposed, over, zone.noSand)) return barrier;
  }
  return null;
}
