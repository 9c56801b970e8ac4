import type { RecipePlan } from '../recipe/computeRecipe';
import { curingOf } from '../recipe/curing';
import type { Step } from '../state/step';
import { stepSubject, taskIdOf } from './benchJobs';
import type { Follows } from './benchProblem';
import { type JobBook, type NewJob, openAfter } from './jobBook';
import { tripsOf } from './tripJobs';

/** What may be done in parts is begun for no less than this, minutes. */
const LEAST_CHUNK_MINUTES = 5;

/** The steps of a recipe, each after what it follows, the first ones after what is fetched for it. */
export function recipeJobs(book: JobBook, recipe: RecipePlan): void {
  const { recipeId } = recipe;
  const rowId = book.recipeRow(recipeId);
  const fetched = tripsOf(book, recipeId);
  const followed = new Set(recipe.steps.flatMap((step) => step.after.map(({ stepId }) => stepId)));
  const last: Follows[] = [];
  for (const step of recipe.steps) {
    const after = step.after.map(
      (link): Follows => ({
        taskId: taskIdOf(stepSubject(recipeId, link.stepId)),
        allowed: link.allowed.map(({ fromHours, toHours, extraSteps }) => ({
          fromMinutes: Math.ceil(fromHours * 60 - 1e-6),
          toMinutes:
            toHours === null ? null : Math.max(Math.ceil(fromHours * 60 - 1e-6), Math.floor(toHours * 60 + 1e-6)),
          // The first way to follow has its own step for what comes in between; a later one takes so much more.
          extraMinutes:
            fromHours === link.allowed[0]?.fromHours || extraSteps.length === 0 ? 0 : scuffMinutes(book, recipe, step),
        })),
      }),
    );
    const subject = stepSubject(recipeId, step.id);
    book.add(jobOfStep(book, recipe, step, rowId, after.length === 0 ? fetched : after));
    if (!followed.has(step.id)) last.push(openAfter(taskIdOf(subject), 0));
  }
  for (const { layerId, handleHours } of curingOf(recipe, book.plan.assumptions)) {
    const coat = recipe.steps.filter((step) => step.layerId === layerId && step.kind === 'coat').at(-1);
    if (coat) last.push(openAfter(taskIdOf(stepSubject(recipeId, coat.id)), handleHours * 60));
  }
  book.lastOf.set(recipeId, last);
}

function jobOfStep(book: JobBook, recipe: RecipePlan, step: Step, rowId: string, after: Follows[]): NewJob {
  const subject = stepSubject(recipe.recipeId, step.id);
  const layer = recipe.layers.find(({ id }) => id === step.layerId);
  const card = book.plan.rows.colorCards.find(({ id }) => id === layer?.colorCardId);
  const isBatch = step.batchKey !== null;
  const own = isBatch ? 0 : step.setUpMinutes + step.cleanUpMinutes;
  const runMinutes = step.skipped
    ? 0
    : Math.max(step.runMinutes > 0 || isBatch ? 1 : 0, book.minutes(step.runMinutes + own));
  const { drying } = step;
  return {
    title: step.title,
    hint: step.hint,
    subject,
    step,
    color: step.kind === 'coat' ? (card?.lab ?? null) : null,
    dries: drying
      ? { touchMinutes: Math.ceil(drying.touchHours * 60), handleMinutes: Math.ceil(drying.untilHours * 60) }
      : null,
    task: {
      id: taskIdOf(subject),
      rowId,
      runMinutes,
      batch:
        step.batchKey !== null && !step.skipped
          ? {
              key: step.batchKey,
              setUpMinutes: book.minutes(step.setUpMinutes),
              cleanUpMinutes: book.minutes(step.cleanUpMinutes),
            }
          : null,
      chunkMinutes: step.splittable && runMinutes > 0 ? Math.max(LEAST_CHUNK_MINUTES, step.leastChunkMinutes) : null,
      hoursKey: step.place === 'outdoors' && !step.skipped ? book.hoursKey(step) : null,
      hold: drying && !step.skipped ? { areaM2: drying.footprintM2, minutes: Math.ceil(drying.untilHours * 60) } : null,
      after,
    },
  };
}

function scuffMinutes(book: JobBook, recipe: RecipePlan, step: Step): number {
  const rate = book.plan.assumptions.number('labor.sandBetweenMinutesPerM2');
  const skill = book.plan.assumptions.number(`skill.${book.plan.rows.project.skill}`);
  const area = recipe.zones
    .filter(({ key }) => step.zoneKeys.includes(key))
    .reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0);
  return book.minutes(area * rate * skill);
}

/** The other face of a piece is a session too, when it lies in another window: it sets up as the first one does. */
export function shareSetUps(book: JobBook): void {
  const most = new Map<string, { setUpMinutes: number; cleanUpMinutes: number }>();
  for (const { task } of book.jobs.values()) {
    if (!task.batch) continue;
    const known = most.get(task.batch.key) ?? { setUpMinutes: 0, cleanUpMinutes: 0 };
    most.set(task.batch.key, {
      setUpMinutes: Math.max(known.setUpMinutes, task.batch.setUpMinutes),
      cleanUpMinutes: Math.max(known.cleanUpMinutes, task.batch.cleanUpMinutes),
    });
  }
  for (const [id, job] of book.jobs) {
    const minutes = most.get(job.task.batch?.key ?? '');
    if (job.task.batch && minutes)
      book.jobs.set(id, { ...job, task: { ...job.task, batch: { key: job.task.batch.key, ...minutes } } });
  }
}
