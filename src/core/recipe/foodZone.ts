import type { Assumptions } from '../catalog/assumptions';
import type { Coating } from '../catalog/coating';
import type { RecipeFinding } from './recipeSentences';
import type { ZonePlan } from './zonePlans';

/** From what food must never meet to what it may by the label. */
const foodRank: Record<Coating['foodUse'], number> = {
  nowhereNear: 0,
  displayOnly: 1,
  outsideBelowRim: 2,
  afterFullCureIfLabelled: 3,
};

/**
 * What may touch food or lips on a zone in that use, or that nothing may. Where several coatings lie open, the one that
 * allows least decides (21 CFR 175.300 names what a label may claim; from memory).
 * @param open the coatings that lie open at the end
 * @returns null for a zone in another use, and where a layer is refused anyway
 */
export function foodFinding(zone: ZonePlan, open: readonly Coating[], assumptions: Assumptions): RecipeFinding | null {
  if (zone.zone.use !== 'food') return null;
  const decides = open.reduce<Coating | undefined>(
    (worst, coating) => (!worst || foodRank[coating.foodUse] < foodRank[worst.foodUse] ? coating : worst),
    undefined,
  );
  const figures = {
    zone: zone.zone.name,
    coating: decides?.name ?? '',
    days: decides ? assumptions.number(`coating.${decides.id}.fullCureDays`) : 0,
  };
  const where = { kind: 'zone', id: zone.key } as const;
  const foodUse = decides?.foodUse;
  switch (foodUse) {
    case undefined:
      return { code: 'food.bare', severity: 'note', where, figures };
    case 'afterFullCureIfLabelled':
      return { code: 'food.ifLabelled', severity: 'stop', where, figures };
    case 'outsideBelowRim':
      return { code: 'food.belowRim', severity: 'stop', where, figures };
    case 'displayOnly':
      return { code: 'food.displayOnly', severity: 'stop', where, figures };
    case 'nowhereNear':
      return null;
    default:
      return foodUse satisfies never;
  }
}
