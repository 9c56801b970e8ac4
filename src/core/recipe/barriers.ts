import { type Coating, isWaterborne } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { substrates } from '../catalog/substrates';
import type { Joint } from '../state/joint';
import { type Candidate, proposedCandidate } from './candidates';
import { decisiveJoint, type Exposed, uppermost } from './exposed';
import { stateAfter } from './laidState';
import { primerColumnOf } from './primerColumn';
import type { ZonePlan } from './zonePlans';

/** Whether a joint does not hold as it is. */
export const isBroken = (joint: Joint): boolean => joint.verdict === 'barrierPrimer' || joint.verdict === 'never';

/** A coat that lets the ground show must not be given an opaque primer: that would hide what it is meant to show. */
function showsGround(over: Candidate): boolean {
  return over.technique.opacity(over.coating, over.values) !== null;
}

/** Conditioners go with a stain of their own base. */
function sameBase(primer: Coating, over: Coating): boolean {
  return primer.group !== 'conditioner' || isWaterborne(primer) === isWaterborne(over);
}

/**
 * The barrier that repairs a joint: the rule's remedy, then the substrate's column, the first that itself holds and
 * carries what comes above; null when none does.
 */
export function barrierFor(zone: ZonePlan, exposed: Exposed, joint: Joint, over: Candidate): Coating | null {
  const column = primerColumnOf(over.coating);
  // What lies there once it is prepared: stripped, it is the material's column that speaks.
  const ground = uppermost(exposed);
  const primers = column ? (substrates.find(ground.substrateId)?.primer?.[column].primers ?? []) : [];
  const wanted = [joint.remedy, ...primers];
  if (zone.noSand && ground.origin === 'oldFinish') wanted.unshift('bondingPrimer');
  if (!isBroken(joint)) wanted.push('bondingPrimer');
  for (const id of wanted) {
    const barrier = id === null ? undefined : coatings.find(id);
    if (!barrier || (barrier.role !== 'primer' && barrier.role !== 'clear')) continue;
    if (!sameBase(barrier, over.coating)) continue;
    if (showsGround(over) && barrier.role === 'primer' && barrier.primer?.color !== null) continue;
    const laid = proposedCandidate('', barrier, 0, barrier.sheens[0] ?? 'matt');
    const lower = decisiveJoint(exposed, { noSand: zone.noSand, ...laid });
    if (isBroken(lower)) continue;
    const on: Exposed = [stateAfter(laid, ground, 1)];
    if (!isBroken(decisiveJoint(on, { noSand: zone.noSand, ...over }))) return barrier;
  }
  return null;
}
