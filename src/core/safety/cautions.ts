import type { Finding } from '../kernel/finding';
import { createRegistry } from '../kernel/registry';
import type { SafetyFacts } from './facts';
import { aerosolAir } from './rules/aerosolAir';
import { aerosolIgnition } from './rules/aerosolIgnition';
import { buildingWorks } from './rules/buildingWorks';
import { childContact } from './rules/childContact';
import { dampRoom } from './rules/dampRoom';
import { foodContact } from './rules/foodContact';
import { foodNear } from './rules/foodNear';
import { heatNear } from './rules/heatNear';
import { hotAppliances } from './rules/hotAppliances';
import { lampWiring } from './rules/lampWiring';
import { leadChild } from './rules/leadChild';
import { leadFound } from './rules/leadFound';
import { leadOldFinish } from './rules/leadOldFinish';
import { openFlame } from './rules/openFlame';
import { petsNearby } from './rules/petsNearby';
import { recalledKinds } from './rules/recalledKinds';
import { sandingDust } from './rules/sandingDust';
import { solventAir } from './rules/solventAir';
import { solventRags } from './rules/solventRags';
import type { SafetyRule } from './safetyRule';

/** Every caution we know, in the order cards are shown within a step. */
export const safetyRules = createRegistry<SafetyRule>('cautions', [
  recalledKinds,
  hotAppliances,
  leadFound,
  leadOldFinish,
  leadChild,
  lampWiring,
  aerosolAir,
  aerosolIgnition,
  solventAir,
  solventRags,
  sandingDust,
  foodContact,
  openFlame,
  childContact,
  petsNearby,
  heatNear,
  dampRoom,
  foodNear,
  buildingWorks,
]);

/** The cautions that the facts raise, each as one finding at each step it belongs to, or at the recipe when it has none. */
export function cautionsFor(facts: SafetyFacts, recipeId: string): Finding[] {
  const findings: Finding[] = [];
  for (const rule of safetyRules.all) {
    const caution = rule.check(facts);
    if (!caution) continue;
    const figures = {
      ...(facts.piece ? { piece: facts.piece.name } : {}),
      ...(rule.instead ? { instead: rule.instead } : {}),
      ...caution.figures,
    };
    const places = caution.stepIds.length > 0 ? caution.stepIds : [null];
    for (const stepId of places) {
      findings.push({
        code: `caution.${rule.id}`,
        severity: caution.severity,
        where: stepId === null ? { kind: 'recipe', id: recipeId } : { kind: 'step', id: stepId },
        figures,
      });
    }
  }
  return findings;
}
