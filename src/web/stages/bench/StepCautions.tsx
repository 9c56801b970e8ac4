import { acknowledgmentTrigger } from '@core/plan/acknowledgment';
import { cautionsAt } from '@core/recipe/recipeFindings';
import type { RecipeFinding } from '@core/recipe/recipeSentences';
import type { BenchJob } from '@core/schedule/benchJobs';
import { usePlan, useRows } from '../../app/projectStore';
import { Caution } from '../makeover';

/** What is to be minded at a step, and how many stops of it nobody has read: it is not begun before. */
export function useStepCautions({ step, subject }: BenchJob): { findings: readonly RecipeFinding[]; unread: number } {
  const plan = usePlan();
  const { acknowledgments } = useRows();
  const recipeId = subject?.recipeId ?? null;
  const recipe = recipeId === null ? undefined : plan.model.recipe(recipeId);
  if (!recipe || !step) return { findings: [], unread: 0 };
  const findings = cautionsAt(recipe, step.id);
  const read = new Set(acknowledgments.filter((one) => one.recipeId === recipeId).map(({ trigger }) => trigger));
  const isUnread = (finding: RecipeFinding) => finding.severity === 'stop' && !read.has(acknowledgmentTrigger(finding));
  return { findings, unread: findings.filter(isUnread).length };
}

/** The cautions of a step, and what went wrong before on a like surface; a stop is acknowledged before it is begun. */
export function StepCautions(props: { findings: readonly RecipeFinding[]; recipeId: string | null }) {
  const { findings, recipeId } = props;
  if (recipeId === null) return null;
  return findings.map((finding) => (
    <Caution key={`${finding.code} ${JSON.stringify(finding.figures)}`} finding={finding} recipeId={recipeId} />
  ));
}
