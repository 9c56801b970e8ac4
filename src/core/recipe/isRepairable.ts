import type { RecipeFinding } from './recipeSentences';

/** Findings that say a joint does not hold, or a color cannot be had. */
const broken: ReadonlySet<RecipeFinding['code']> = new Set([
  'joint.never',
  'joint.wouldPeel',
  'joint.stepLeftOut',
  'joint.tooSoon',
  'layer.cannotLighten',
  'layer.forbiddenByUse',
]);

/** Whether repairs are looked for when a recipe has this finding. */
export const isRepairable = (finding: RecipeFinding): boolean => broken.has(finding.code);
