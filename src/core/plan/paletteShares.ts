import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import type { PaletteRole } from '../state/brief';
import type { Plan, PlannedFill } from './computePlan';

/** The wished shares of a palette: 60 % ground, 30 % main, 10 % accent (others hold 70/20/10; common practice). */
export const wishedShares: Partial<Record<PaletteRole, number>> = { ground: 0.6, main: 0.3, accent: 0.1 };

/** How much of what is chosen shows one color of the palette. */
export interface PaletteShare {
  colorCardId: string;
  role: PaletteRole;
  /** Share of the visible area of what is chosen, 0 to 1. */
  share: number;
  areaM2: number;
}

/** A color farther than this from every palette color (ΔE00) belongs to none. */
const FAR = 20;

/** Visible surfaces of a choice's pieces with their final colors. */
function surfacesOf({ model, count }: PlannedFill): { lab: Lab; areaM2: number }[] {
  const { recipe, finds } = model;
  if (recipe)
    return recipe.zones
      .filter((zone) => finds.some((find) => find.id === zone.workpieceId))
      .flatMap((zone) => {
        const color = recipe.stacks.get(zone.key)?.at(-1)?.leaves.color ?? zone.present.color;
        return color ? [{ lab: color, areaM2: zone.projectedAreaM2 * count }] : [];
      });
  return [];
}

/**
 * Shares of the palette among what is chosen, by the area of made-over surfaces; each surface counts for the nearest
 * palette color. `other` is the area that is near none of them. Pieces used as found count once their color is known
 * and their zones are (a recipe), so that this never guesses.
 */
export function paletteShares(plan: Plan): { shares: PaletteShare[]; otherM2: number } {
  const cards = new Map(plan.rows.colorCards.map((card) => [card.id, card.lab]));
  const palette = plan.rows.project.brief.palette.flatMap((entry) => {
    const lab = cards.get(entry.colorCardId);
    return lab ? [{ ...entry, lab, areaM2: 0 }] : [];
  });
  let otherM2 = 0;
  for (const fill of plan.chosen) {
    for (const surface of surfacesOf(fill)) {
      const nearest = palette
        .map((entry) => ({ entry, distance: ciede2000(entry.lab, surface.lab) }))
        .sort((a, b) => a.distance - b.distance)[0];
      if (nearest && nearest.distance <= FAR) nearest.entry.areaM2 += surface.areaM2;
      else otherM2 += surface.areaM2;
    }
  }
  const total = palette.reduce((sum, entry) => sum + entry.areaM2, 0) + otherM2;
  return {
    otherM2,
    shares: palette.map(({ colorCardId, role, areaM2 }) => ({
      colorCardId,
      role,
      areaM2,
      share: total > 0 ? areaM2 / total : 0,
    })),
  };
}
