import type { Finding } from '../kernel/finding';
import { createRegistry } from '../kernel/registry';
import type { SafetyFacts } from './facts';
import { aerosolAir } from './rules/aerosolAir';
import { aerosolIgnition } from './rules/aerosolIgnition';
import { asbestosTile } from './rules/asbestosTile';
import { buildingWorks } from './rules/buildingWorks';
import { buttonCells } from './rules/buttonCells';
import { childContact } from './rules/childContact';
import { dampRoom } from './rules/dampRoom';
import { dryingRoom } from './rules/dryingRoom';
import { epoxyKit } from './rules/epoxyKit';
import { foamFire } from './rules/foamFire';
import { foodContact } from './rules/foodContact';
import { foodNear } from './rules/foodNear';
import { greensFire } from './rules/greensFire';
import { heatNear } from './rules/heatNear';
import { heavyLift } from './rules/heavyLift';
import { hotAppliances } from './rules/hotAppliances';
import { hotGlass } from './rules/hotGlass';
import { hotGlue } from './rules/hotGlue';
import { lampWiring } from './rules/lampWiring';
import { leadArea } from './rules/leadArea';
import { leadChild } from './rules/leadChild';
import { leadFound } from './rules/leadFound';
import { leadOldFinish } from './rules/leadOldFinish';
import { limePowder } from './rules/limePowder';
import { liveFlame } from './rules/liveFlame';
import { mold } from './rules/mold';
import { neverMix } from './rules/neverMix';
import { oldGlaze } from './rules/oldGlaze';
import { openFlame } from './rules/openFlame';
import { petsNearby } from './rules/petsNearby';
import { plantHarm } from './rules/plantHarm';
import { pregnancySolvents } from './rules/pregnancySolvents';
import { recalledKinds } from './rules/recalledKinds';
import { sandingDust } from './rules/sandingDust';
import { sawing } from './rules/sawing';
import { shadeHeat } from './rules/shadeHeat';
import { sharpBlades } from './rules/sharpBlades';
import { solventAir } from './rules/solventAir';
import { solventRags } from './rules/solventRags';
import { stripperChoice } from './rules/stripperChoice';
import { tipOver } from './rules/tipOver';
import { treatedTimber } from './rules/treatedTimber';
import { wallDrilling } from './rules/wallDrilling';
import type { SafetyRule } from './safetyRule';

/** Every caution we know, in the order cards are shown within a step. */
export const safetyRules = createRegistry<SafetyRule>('cautions', [
  recalledKinds,
  hotAppliances,
  epoxyKit,
  leadFound,
  leadOldFinish,
  leadArea,
  leadChild,
  lampWiring,
  aerosolAir,
  aerosolIgnition,
  stripperChoice,
  neverMix,
  limePowder,
  asbestosTile,
  solventAir,
  pregnancySolvents,
  solventRags,
  sandingDust,
  treatedTimber,
  mold,
  foodContact,
  oldGlaze,
  openFlame,
  shadeHeat,
  hotGlass,
  foamFire,
  childContact,
  tipOver,
  heavyLift,
  petsNearby,
  dryingRoom,
  heatNear,
  dampRoom,
  foodNear,
  buildingWorks,
  wallDrilling,
  sawing,
  sharpBlades,
  hotGlue,
  liveFlame,
  greensFire,
  buttonCells,
  plantHarm,
]);

/** A caution; its code names the rule that raised it. */
export type CautionFinding = Finding<`caution.${string}`>;

/** The cautions that the facts raise, each as one finding at each step it belongs to, or at the recipe when it has none. */
export function cautionsFor(facts: SafetyFacts, recipeId: string): CautionFinding[] {
  const findings: CautionFinding[] = [];
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
