import type { OptionModel } from '../plan/model/optionModel';
import { reversibleOf } from '../plan/optionFacts';

type Way = Pick<OptionModel, 'option' | 'recipe'>;

const hasStep = ({ recipe }: Way, kind: string): boolean => recipe?.steps.some((step) => step.kind === kind) ?? false;

/** What a plan may do without: each with the ways that it leaves out. */
export const exclusions = {
  /** Nothing from an aerosol can: no air for it, no place, no neighbors who bear it. */
  spraying: ({ recipe }: Way) => recipe?.layers.some(({ coating }) => coating.unit === 'can') ?? false,
  /** Nothing that stays on what it is done to; what is made new alters nothing. */
  altering: (way: Way) => reversibleOf(way) === 'forGood',
  sewing: (way: Way) => hasStep(way, 'sew'),
  sawing: (way: Way) => hasStep(way, 'saw'),
  buyingNew: ({ option }: Way) => option.kind === 'buyNew',
} as const satisfies Record<string, (way: Way) => boolean>;

export type Exclusion = keyof typeof exclusions;

/** All of them, in the order in which they are offered. */
export const exclusionIds = Object.keys(exclusions) as Exclusion[];

/** Whether a way is among what a plan shall do without. */
export const isExcluded = (way: Way, without: readonly Exclusion[]): boolean =>
  without.some((id) => exclusions[id](way));
