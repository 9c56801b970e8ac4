import type { OptionRow } from '../model/rows';
import type { OptionPlan, Plan } from './computePlan';
import { overallSize } from './fitFindings';
import type { OptionModel } from './model/optionModel';
import { costOf } from './optionFigures';

/** What is left when a look comes down: nothing was done, it comes off again, or the piece stays altered. */
export type Reversible = 'untouched' | 'comesOff' | 'forGood' | 'made';

/** Works that take nothing off a piece and leave nothing on it. */
const harmless: ReadonlySet<string> = new Set([
  'brushOut',
  'clean',
  'wetClean',
  'dust',
  'alcoholWipe',
  'mask',
  'leadTest',
  'dismantle',
  'reassemble',
  'cut',
  'arrange',
]);

/**
 * Whether what is done to a piece can be undone. Film that is sold as removable comes off; every other coat stays, and so
 * does what was sanded, filled, drilled or sawn (common practice, no source).
 */
export function reversibleOf({ option, recipe }: Pick<OptionModel, 'option' | 'recipe'>): Reversible {
  if (option.kind === 'make') return 'made';
  if (!recipe || recipe.layers.length + recipe.works.length === 0) return 'untouched';
  const comesOff = recipe.layers.every(({ coating }) => coating.adhesive?.isRemovable ?? false);
  const isGentle = recipe.steps.every(({ kind }) => kind === 'coat' || harmless.has(kind));
  return comesOff && recipe.works.length === 0 && isGentle ? 'comesOff' : 'forGood';
}

/** What could be had for the pieces of an option, in minor units; null where nobody said. */
export interface SoldFor {
  asItIs: number | null;
  after: number | null;
  /** What is given up by altering it: max(0, as it is − after); null where either is not known. */
  forgone: number | null;
}

/**
 * What the pieces of an option could be sold for, now and when this is done to them. A line of its own, never inside
 * cash. What is only lent is nobody's to sell; what is not altered loses nothing.
 */
export function soldForOf(
  plan: Plan,
  { option, model, count }: Pick<OptionPlan, 'option' | 'model' | 'count'>,
): SoldFor {
  const { currency } = plan.rows.project;
  const worths = model.finds.map((find) => {
    const piece = plan.model.piece(find.pieceId);
    const pieces = option.parts.find(({ findId }) => findId === find.id)?.pieces ?? 1;
    if (piece?.borrowedFrom !== '' || piece.currency !== currency || piece.value === null) return null;
    return piece.value * pieces * Math.max(1, count);
  });
  const known = worths.length > 0 && worths.every((worth) => worth !== null);
  const asItIs = known ? worths.reduce<number>((sum, worth) => sum + (worth ?? 0), 0) : null;
  const after = reversibleOf(model) === 'untouched' ? asItIs : option.resaleAfter;
  return { asItIs, after, forgone: asItIs === null || after === null ? null : Math.max(0, asItIs - after) };
}

/** What an option comes to for each use, look and year that it is thought to be good for; minor units, null where not said. */
export interface CostPer {
  use: number | null;
  look: number | null;
  year: number | null;
}

/** Its cost (cash added and stash used) ÷ planned uses, looks and years; unknown prices count as their least. */
export function costPerOf(option: Pick<OptionPlan, 'option' | 'cashAdded' | 'stashUsed'>): CostPer {
  return costPerLasts(option.option.lasts, costOf(option));
}

/** A cost in minor units for each use, look and year that something is thought to last. */
export function costPerLasts({ uses, looks, years }: OptionRow['lasts'], cost: number): CostPer {
  const per = (times: number | null) => (times === null ? null : Math.round(cost / times));
  return { use: per(uses), look: per(looks), year: per(years) };
}

/** What an option's pieces take up where they are kept between looks, in liters; 0 for what goes back, null where not measured. */
export function storageLitersOf({ option, finds, offers, recipe }: OptionModel, count: number): number | null {
  if (option.kind === 'borrow' || option.kind === 'rent') return 0;
  const things = [
    ...finds.map((find) => ({ of: find, times: option.parts.find(({ findId }) => findId === find.id)?.pieces ?? 1 })),
    ...offers.map(({ offer, pieces }) => ({ of: offer, times: pieces })),
    ...(recipe && option.kind === 'make' ? recipe.built.map(({ piece }) => ({ of: piece, times: piece.count })) : []),
  ];
  if (things.length === 0) return null;
  let liters = 0;
  for (const { of, times } of things) {
    const { width, depth, height } = overallSize(of.templateId, of.measures);
    if (width === null || height === null) return null;
    // What has no depth of its own hangs or lies flat: an inch of it is reckoned with.
    liters += ((width * (depth ?? 25.4) * height) / 1e6) * times * Math.max(1, count);
  }
  return liters;
}
