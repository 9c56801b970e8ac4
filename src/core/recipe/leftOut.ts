import { preparations } from '../catalog/preparations.data';
import { isBroken, type Joint } from '../state/joint';
import type { PreparationKind } from '../state/preparation';
import type { Candidate } from './candidates';
import type { RecipeBody } from './recipeBody';
import type { RecipeFinding } from './recipeSentences';
import { coatShare, coatStepId, type StackEntry } from './stack';
import type { ZonePlan } from './zonePlans';

/** Works that serve the eye; nothing holds the worse for want of them. */
const cosmeticWorks: ReadonlySet<PreparationKind> = new Set(['fill', 'dust']);

/**
 * The share of a layer's amount that is laid: without the coats that the stylist left out of the steps.
 * @param sides faces of the zone; a film on both is laid face by face, and each may be left out by itself
 * @returns 0 to 1
 */
export function laidShare(
  { stepEdits }: RecipeBody,
  { id, coating }: Candidate,
  quantity: StackEntry['quantity'],
  sides: 1 | 2,
): number {
  if (quantity.coats === 0 || Object.keys(stepEdits).length === 0) return 1;
  const faces = sides === 2 && coating.film !== 'none' ? (['first', 'back'] as const) : (['first'] as const);
  let leftOut = 0;
  for (let coat = 1; coat <= quantity.coats; coat += 1)
    for (const face of faces)
      if (stepEdits[coatStepId(id, coat, face)]?.skipped) leftOut += coatShare({ quantity }, coat) / faces.length;
  return leftOut === 0 ? 1 : Math.max(0, 1 - leftOut);
}

/** Whether every coat of a layer was taken out of the steps. */
export function isLeftOut({ stepEdits }: RecipeBody, layerId: string, coats: number): boolean {
  for (let coat = 1; coat <= coats; coat += 1)
    if (!stepEdits[coatStepId(layerId, coat, 'first')]?.skipped) return false;
  return coats > 0;
}

/** What a joint that holds relies on and the stylist left out of the steps, or cut short. */
export function reliedOnFindings(of: {
  body: RecipeBody;
  zone: ZonePlan;
  candidate: Candidate;
  joint: Joint;
  /** Whether it is the first layer of its zone: what lies below is what was prepared. */
  isFirst: boolean;
  /** The surface below, as it is named. */
  surface: string;
}): RecipeFinding[] {
  const { body, zone, candidate, joint, isFirst } = of;
  if (isBroken(joint)) return [];
  const { stepEdits } = body;
  const where = { kind: 'joint', id: `${zone.key}|${candidate.id}` } as const;
  const figures = { zone: zone.zone.name, coating: candidate.coating.name, surface: of.surface };
  const findings: RecipeFinding[] = [];
  const missing = isFirst ? zone.leftOut.filter((work) => !cosmeticWorks.has(work)) : [];
  const asksScuff = joint.verdict === 'scuff' || joint.verdict === 'notKnown';
  const scuffStep = isFirst ? 'scuff' : `scuff:${candidate.id}`;
  if (asksScuff && !zone.noSand && stepEdits[scuffStep]?.skipped) missing.push('scuff');
  if (missing.length > 0)
    findings.push({
      code: 'joint.stepLeftOut',
      severity: 'stop',
      where,
      figures: { ...figures, steps: missing.map((work) => preparations[work].title.toLowerCase()).join('; ') },
    });
  const waited = stepEdits[coatStepId(candidate.id, 1, 'first')]?.waitHours;
  if (!isFirst && waited !== undefined && waited < joint.waitHours)
    findings.push({
      code: 'joint.tooSoon',
      severity: 'stop',
      where,
      figures: { ...figures, hours: waited, wants: joint.waitHours, reason: joint.reason },
    });
  return findings;
}
