import { completeValues, type Technique, type TechniqueValues } from './technique';

/** What goes into a jar, mL. */
export interface Mix {
  paint: number;
  waterMl: number;
}

/**
 * What a wanted volume of a technique's mix takes of paint and of water.
 * @param volumeMl the mix as it is used, mL; below zero counts as nothing
 * @returns the two parts, which add up to the volume; all paint where the technique lets nothing down
 */
export function mixOf(technique: Technique, set: TechniqueValues, volumeMl: number): Mix {
  const volume = Math.max(0, volumeMl);
  const paint = volume * technique.paintShare(completeValues(technique, set));
  return { paint, waterMl: volume - paint };
}
