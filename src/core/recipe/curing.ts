import { cureFactor, dryingFactor } from '../calendar/climate';
import type { Assumptions } from '../catalog/assumptions';
import { isWaterborne } from '../catalog/coating';
import { useDemands } from '../catalog/uses.data';
import type { ZoneUse } from '../surface/zone';
import type { RecipePlan } from './computeRecipe';
import { climateOf } from './recipeContext';

/** Nothing handled daily is called usable before three days (a modelling choice). */
const LEAST_HANDLED_HOURS = 72;

type Readiness = (typeof useDemands)[ZoneUse]['readyAfter'];
const readinessOrder: readonly Readiness[] = ['handle', 'quarterCure', 'fullCure'];

/** What the strictest of the uses waits for. */
function strictestUse(uses: ReadonlySet<ZoneUse>): Readiness {
  const ranks = [...uses].map((use) => readinessOrder.indexOf(useDemands[use].readyAfter));
  return readinessOrder[Math.max(0, ...ranks)] ?? 'handle';
}

/** What a layer waits for after its last coat, hours: until it may be set in place, and until it is used as it is used. */
export interface Curing {
  layerId: string;
  handleHours: number;
  usableHours: number;
}

/**
 * How long each film of a recipe waits from its own last coat: *seen* until it may be handled; *handled* and *table top* a
 * quarter of full cure, three days at the least; *wet, warm, within a child's reach, food nearby* full cure.
 */
export function curingOf(plan: RecipePlan, assumptions: Assumptions): Curing[] {
  const strictest = strictestUse(plan.uses);
  const climate = climateOf(assumptions);
  const share = assumptions.number('readiness.handledCurePercent') / 100;
  return plan.layers.map(({ id, coating, supplyKey }): Curing => {
    const scopes = [`supply:${supplyKey}`];
    const waterborne = isWaterborne(coating);
    const handleHours =
      assumptions.number(`coating.${coating.id}.handleHours`, scopes) * dryingFactor(climate, waterborne);
    const cureHours =
      assumptions.number(`coating.${coating.id}.fullCureDays`, scopes) * 24 * cureFactor(climate, waterborne);
    const usableHours =
      strictest === 'handle'
        ? handleHours
        : strictest === 'quarterCure'
          ? Math.max(handleHours, LEAST_HANDLED_HOURS, cureHours * share)
          : Math.max(handleHours, cureHours);
    return { layerId: id, handleHours, usableHours };
  });
}
