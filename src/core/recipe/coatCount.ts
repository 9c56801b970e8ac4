import type { Coating } from '../catalog/coating';
import { useDemands } from '../catalog/uses.data';
import { coatsUntilHidden, type HidingEye, type HidingResult, hidingThresholds } from '../color/coatsUntilHidden';
import type { Lab } from '../color/lab';
import type { ZoneUse } from '../surface/zone';
import type { Technique } from '../technique/technique';
import type { CoatSchool } from './recipeBody';

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
    | 'translucent'
    | 'technique'
    | 'colorMissing';
  hiding: HidingResult | null;
}

export interface CoatQuestion {
  coating: Coating;
  technique: Technique;
  /** Coats the stylist asked for, or null. */
  overruled: number | null;
  school: CoatSchool;
  labelCoats: number | null;
  eye: HidingEye;
  /** The color beneath: the primer's when there is one. */
  under: Lab | null;
  target: Lab | null;
  use: ZoneUse;
}

/**
 * Coats of a layer on one zone. A clear coat takes the table's least number where it is only seen or handled and the
 * usual one on table tops, in the wet and outdoors; a see-through coat takes the table's typical number (modelling
 * choices). Accents are laid once.
 */
export function coatCountFor(question: CoatQuestion): CoatCount {
  const { coating, technique, under, target } = question;
  const hides = coating.role === 'paint' && technique.coats === 'untilHidden';
  const hiding =
    hides && under && target ? coatsUntilHidden(under, target, coating.hiding, hidingThresholds[question.eye]) : null;
  if (question.overruled !== null) return { coats: question.overruled, reason: 'overruled', hiding };
  if (typeof technique.coats === 'number') return { coats: technique.coats, reason: 'technique', hiding };
  const builds = useDemands[question.use].buildsFilm;
  const { similar } = coating.hiding;
  switch (coating.role) {
    case 'primer':
      return { coats: similar.typical, reason: 'primer', hiding };
    case 'clear':
      return { coats: builds ? similar.typical : similar.minimum, reason: 'clearBuild', hiding };
    case 'translucent':
      return { coats: similar.typical, reason: 'translucent', hiding };
    case 'paint':
      break;
    default:
      coating.role satisfies never;
  }
  if (technique.coats === 'table') return { coats: similar.minimum, reason: 'translucent', hiding };
  if (question.school === 'alwaysTwo') return { coats: 2, reason: 'alwaysTwo', hiding };
  if (question.school === 'asLabel')
    return { coats: question.labelCoats ?? similar.typical, reason: 'asLabel', hiding };
  if (!hiding) return { coats: coating.hiding.lightOverDark.typical, reason: 'colorMissing', hiding };
  if (builds && hiding.coats < 2) return { coats: 2, reason: 'filmBuild', hiding };
  return { coats: hiding.coats, reason: 'untilHidden', hiding };
}
