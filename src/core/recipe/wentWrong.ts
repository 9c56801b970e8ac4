import type { CoatingGroup } from '../catalog/coating';
import { mishapKinds, type WrongProblem } from '../state/mishap';
import { type SetbackProblem, setbackProblems } from '../state/setback';
import { type BenchWork, mishaps } from './mishaps.data';
import { mendings } from './setbacks.data';

/** Whether it is a coat's, so that what mends it is planned in. */
export const isSetback = (problem: WrongProblem): problem is SetbackProblem =>
  (setbackProblems as readonly string[]).includes(problem);

/** What it is called. */
export const wrongName = (problem: WrongProblem): string =>
  isSetback(problem) ? mendings[problem].name : mishaps[problem].name;

/** What it teaches, within a sentence. */
export const wrongLesson = (problem: WrongProblem): string =>
  isSetback(problem) ? mendings[problem].lesson : mishaps[problem].lesson;

/**
 * What can go wrong at a kind of work.
 * @param group what is laid; null where nothing is
 * @example sawing: cut wrong, splintered, split; a coat of paint never bubbles like paper does
 */
export function wrongsAt(work: BenchWork, group: CoatingGroup | null): WrongProblem[] {
  const isPaint = work === 'coat' && group !== null && group !== 'decoupage' && group !== 'film';
  const byHand = mishapKinds.filter((kind) => {
    const { at, groups } = mishaps[kind];
    return at.includes(work) && (groups === null || group === null || groups.includes(group));
  });
  return [...(isPaint ? setbackProblems : []), ...byHand];
}
