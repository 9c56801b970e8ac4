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
    | 'yourLog'
    | 'alwaysTwo'
    | 'asLabel'
    | 'filmBuild'
    | 'clearBuild'
    | 'primer'
    | 'translucent'
    | 'technique'
    | 'paper'
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
  /** Coats that the log says are given beyond each that hides by the tables. */
  moreCoatsPerCoat: number;
  /** What the paper weighs that is laid, g/m²; null where none is. */
  paperGrams: number | null;
}

/** Paper from this weight on is card: it is damped first, and takes a coat more (common practice, from memory). */
export const CARD_FROM_G = 160;

/** Coats of medium over what is papered: 2 over thin paper, 3 over card, 5 on a table top or in the wet; one lies beneath. */
function coatsOfPaper(grams: number | null, builds: boolean): number {
  return 1 + (builds ? 5 : (grams ?? 0) >= CARD_FROM_G ? 3 : 2);
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
  if (technique.coats === 'paper') return { coats: coatsOfPaper(question.paperGrams, builds), reason: 'paper', hiding };
  const { similar } = coating.hiding;
  switch (coating.role) {
    case 'primer':
      return { coats: similar.typical, reason: 'primer', hiding };
    case 'clear':
      return { coats: builds ? similar.typical : similar.minimum, reason: 'clearBuild', hiding };
    case 'translucent':
      return { coats: similar.typical, reason: 'translucent', hiding };
    case 'film':
      return { coats: 1, reason: 'technique', hiding };
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
  const logged = Math.max(1, Math.round(hiding.coats * (1 + question.moreCoatsPerCoat)));
  if (builds && logged < 2) return { coats: 2, reason: 'filmBuild', hiding };
  if (logged !== hiding.coats) return { coats: logged, reason: 'yourLog', hiding };
  return { coats: hiding.coats, reason: 'untilHidden', hiding };
}
