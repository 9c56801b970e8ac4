import { clearOverRules } from './joints/clearOver.data';
import { paintOverRules } from './joints/paintOver.data';
import { paperAndFilmRules } from './joints/paperAndFilm.data';
import type { JointRule } from './joints/rule';

export type { JointRule, OverCondition, UnderCondition } from './joints/rule';

/** The compatibility table (common practice, from memory), each row a predicate on states. */
export const jointRules: readonly JointRule[] = [...paintOverRules, ...clearOverRules, ...paperAndFilmRules];
