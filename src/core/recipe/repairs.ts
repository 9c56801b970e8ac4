import { computeRecipe, type RecipePlan } from './computeRecipe';
import { isRepairable } from './isRepairable';
import { needsOf } from './needsOf';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { looks, type RepairAttempt, repairAttempts } from './repairAttempts';

/** A change of a recipe after which a joint holds, with what it adds. */
export interface Repair extends RepairAttempt {
  id: string;
  /** Hands-on minutes and cash (minor units) it adds; negative when it takes less. */
  minutes: number;
  cash: number;
}

/** The layer that a finding of a joint or a layer is about. */
export const layerOf = (finding: RecipeFinding): string =>
  finding.where.id.slice(finding.where.id.lastIndexOf('|') + 1);

const isUnknown = (finding: RecipeFinding): boolean => finding.code === 'joint.notKnown';

function handsOn(plan: RecipePlan): number {
  return plan.steps.reduce((sum, step) => sum + step.setUpMinutes + step.runMinutes + step.cleanUpMinutes, 0);
}

/** What a repair costs with its time, minor units; less than nothing where it saves. */
export const costOfRepair = ({ cash, minutes }: Pick<Repair, 'cash' | 'minutes'>, hourValue: number): number =>
  cash + (minutes * hourValue) / 60;

/** What a repair must not bring in: whatever warns and did not before. Cautions stay at their steps, whatever is done. */
function warnings(findings: readonly RecipeFinding[]): Set<string> {
  return new Set(
    findings
      .filter(
        ({ code, severity }) => severity !== 'note' && !code.startsWith('caution.') && !code.startsWith('weather.'),
      )
      .map(({ code }) => code),
  );
}

/** Whether a change mends the layer: nothing of it is broken any more, and nothing else became worse. */
function mends(before: RecipePlan, after: RecipePlan, layerId: string): boolean {
  const bad = after.findings.filter(isRepairable);
  if (bad.length >= before.findings.filter(isRepairable).length) return false;
  if (bad.some((finding) => layerOf(finding).startsWith(layerId))) return false;
  if (after.findings.filter(isUnknown).length > before.findings.filter(isUnknown).length) return false;
  const known = warnings(before.findings);
  return [...warnings(after.findings)].every((code) => known.has(code));
}

/**
 * What would make a joint hold: each change is tried on the whole recipe and kept only when nothing of the layer is
 * broken any more and nothing else becomes worse. What keeps technique and look comes first, then another look, each
 * by what it costs; of each kind the cheapest, and whatever the joint's own row names.
 * @param cashOf what buying a set of needs takes, minor units
 * @param hourValue what an hour is worth to the project, minor units; 0 where time is free, and cash alone decides
 * @returns an empty list when the finding is about no layer or nothing helps
 */
export function repairsFor(
  recipeId: string,
  body: RecipeBody,
  context: RecipeContext,
  finding: RecipeFinding,
  cashOf: (needs: ReadonlyMap<string, number>) => number,
  hourValue: number,
): Repair[] {
  const layerId = layerOf(finding);
  const before = computeRecipe(recipeId, body, context);
  const repairs = new Map<string, Repair>();
  for (const attempt of repairAttempts(body, before, layerId)) {
    const id = `${attempt.kind}:${attempt.coating ?? ''}`;
    if (repairs.get(id)?.named) continue;
    const after = computeRecipe(recipeId, attempt.body, context);
    if (!mends(before, after, layerId)) continue;
    repairs.set(id, {
      ...attempt,
      id,
      minutes: handsOn(after) - handsOn(before),
      cash: cashOf(needsOf(after, attempt.body)) - cashOf(needsOf(before, body)),
    });
  }
  const sorted = [...repairs.values()].sort(
    (a, b) =>
      looks.indexOf(a.look) - looks.indexOf(b.look) ||
      costOfRepair(a, hourValue) - costOfRepair(b, hourValue) ||
      a.minutes - b.minutes ||
      (a.id < b.id ? -1 : 1),
  );
  return sorted.filter(
    (repair, index) => repair.named || sorted.findIndex((other) => other.kind === repair.kind) === index,
  );
}
