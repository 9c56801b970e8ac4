import type { Coating } from '../catalog/coating';
import { coatsUntilHidden, type HidingEye, type HidingResult, hidingThresholds } from '../color/coatsUntilHidden';
import type { Lab } from '../color/lab';
import type { ZoneUse } from '../surface/zone';
import type { CoatSchool } from './recipeBody';

/** Uses that ask for a film of at least two coats, and for the usual build of a clear coat. */
export const filmBuildUses: ReadonlySet<ZoneUse> = new Set<ZoneUse>(['tableTop', 'wet', 'outdoors']);

/** How many coats, by which reason, and what they hide. */
export interface CoatCount {
  coats: number;
  reason:
    | 'overruled'
    | 'untilHidden'
    | 'alwaysTwo'
    | 'asLabel'
    | 'filmBuild'
    | 'clearBuild'
    | 'primer'
    | 'colorMissing';
  hiding: HidingResult | null;
}

/**
 * Coats of a layer on one zone. A clear coat takes the table's least number where it is only seen or handled and the
 * usual one on table tops, in the wet and outdoors (a modelling choice).
 * @param under the color beneath: the primer's when there is one
 */
export function coatCountFor(
  coating: Coating,
  overruled: number | null,
  school: CoatSchool,
  labelCoats: number | null,
  eye: HidingEye,
  under: Lab | null,
  target: Lab | null,
  use: ZoneUse,
): CoatCount {
  const hiding =
    coating.role === 'paint' && under && target
      ? coatsUntilHidden(under, target, coating.hiding, hidingThresholds[eye])
      : null;
  if (overruled !== null) return { coats: overruled, reason: 'overruled', hiding };
  const builds = filmBuildUses.has(use);
  switch (coating.role) {
    case 'primer':
      return { coats: coating.hiding.similar.typical, reason: 'primer', hiding };
    case 'clear':
      return {
        coats: builds ? coating.hiding.similar.typical : coating.hiding.similar.minimum,
        reason: 'clearBuild',
        hiding,
      };
    case 'paint':
      break;
    default:
      coating.role satisfies never;
  }
  if (school === 'alwaysTwo') return { coats: 2, reason: 'alwaysTwo', hiding };
  if (school === 'asLabel') return { coats: labelCoats ?? coating.hiding.similar.typical, reason: 'asLabel', hiding };
  if (!hiding) return { coats: coating.hiding.lightOverDark.typical, reason: 'colorMissing', hiding };
  if (builds && hiding.coats < 2) return { coats: 2, reason: 'filmBuild', hiding };
  return { coats: hiding.coats, reason: 'untilHidden', hiding };
}
